export * from './leastSquares.ts';
export * from './solve.ts';
export * from './thin.ts';
