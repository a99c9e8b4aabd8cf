export * from './contours.ts';
export * from './figure.ts';
export * from './measure.ts';
export * from './mesh.ts';
export * from './proportions.ts';
export * from './shape.ts';
export * from './solve.ts';
export * from './tape.ts';
