export * from './catalogue.ts';
export * from './contract.ts';
export * from './interpreter.ts';
export * from './propose.ts';
export * from './values.ts';
export { fullBustSideDart } from './fullBustSideDart/definition.ts';
export { dartReports, lengthChanges } from './report.ts';
export * from './order.ts';
export { heightShare, type HeightShare } from './kit/height.ts';
