export * from './canvas.ts';
export * from './input.ts';
export * from './write.ts';
export { TEST_SQUARE, TEST_SQUARE_INCH } from './firstPage.ts';
export { PDF_LAYERS, USUAL_LINES, type PdfLayer } from './layers.ts';
export { type PrintedSheet } from './sheet.ts';
export type { PrintedRecord } from '../record.ts';
