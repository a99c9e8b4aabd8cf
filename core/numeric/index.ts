export * from './leastSquares.ts';
export * from './roots.ts';
export * from './linear.ts';
