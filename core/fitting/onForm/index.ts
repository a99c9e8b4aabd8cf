export * from './more.ts';
export * from './onForm.ts';
export * from './signs.ts';
