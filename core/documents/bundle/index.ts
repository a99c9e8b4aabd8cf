export * from './types.ts';
export * from './write.ts';
export * from './read.ts';
export * from './plan.ts';
export * from './single.ts';
