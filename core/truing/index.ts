export * from './check.ts';
export * from './dart.ts';
export * from './smooth.ts';
export * from './walk.ts';
export * from './width.ts';
export * from './divide.ts';
export * from './rotate.ts';
export * from './rotateDart.ts';
