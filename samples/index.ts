export * from './inline.ts';
export * from './scenario.ts';
