export * from './solve.ts';
export * from './thin.ts';
