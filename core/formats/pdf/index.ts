export * from './canvas.ts';
export * from './write.ts';
export { type PrintedSheet } from './sheet.ts';
export type { PrintedRecord } from '../record.ts';
