export * from './draft.ts';
export * from './waysOn.ts';
