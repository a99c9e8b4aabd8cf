export * from './again.ts';
export * from './causes.ts';
export * from './change.ts';
export * from './differences.ts';
export * from './follow.ts';
export * from './next.ts';
export * from './rank.ts';
export * from './versions.ts';
