export * from './patterns.ts';
export * from './scenario.ts';
