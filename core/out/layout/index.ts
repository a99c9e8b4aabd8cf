export * from './cloth.ts';
export * from './need.ts';
