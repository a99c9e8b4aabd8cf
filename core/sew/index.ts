export * from './carry.ts';
export * from './cutOn.ts';
export * from './garment.ts';
export * from './intake.ts';
export * from './sew.ts';
export * from './place.ts';
export * from './sleeve.ts';
