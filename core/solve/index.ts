export * from './leastSquares.ts';
export * from './solve.ts';
