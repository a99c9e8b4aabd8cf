export * from './dxf.ts';
export * from './svg.ts';
export * from './xml.ts';
export * from './pdf.ts';
export { textOf } from '../text.ts';
