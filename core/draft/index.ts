export * from './draft.ts';
