export * from './alarms.ts';
export * from './cloth.ts';
export * from './need.ts';
export * from './strips.ts';
export * from './wish.ts';
