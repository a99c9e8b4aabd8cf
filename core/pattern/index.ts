export * from './access.ts';
export * from './cutting.ts';
export * from './measure.ts';
export * from './mirror.ts';
export * from './normalise.ts';
export * from './schema.ts';
export * from './types.ts';
export * from './validate.ts';
