export * from './scenario.ts';
