export * from './bodice.ts';
export * from './causeway.ts';
export * from './chart.ts';
export * from './names.ts';
export * from './samples.ts';
