export * from './brand.ts';
export * from './length.ts';
export * from './result.ts';
export * from './tolerance.ts';
