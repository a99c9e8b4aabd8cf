export * from './brand.ts';
export * from './lists.ts';
export * from './once.ts';
export * from './length.ts';
export * from './result.ts';
export * from './shown.ts';
export * from './tolerance.ts';
export type { KeepingCode, RefusalCode } from './codes.ts';
export * from './work.ts';
