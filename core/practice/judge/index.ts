export * from './openings.ts';
export * from './compare.ts';
export * from './mistakes.ts';
export * from './judge.ts';
export * from './dart.ts';
