export * from './merge.ts';
export * from './read.ts';
export * from './schema.ts';
