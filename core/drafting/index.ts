export * from './bodice.ts';
export * from './causeway.ts';
export * from './chart.ts';
