export * from './chance.ts';
export * from './hand.ts';
export * from './jobFile.ts';
export * from './oracle.ts';
export * from './plans.ts';
export * from './rewrite.ts';
export * from './search.ts';
export * from './equivariance.ts';
