export * from './leastSquares.ts';
export * from './roots.ts';
