export * from './catalogue.ts';
export * from './contract.ts';
export * from './interpreter.ts';
export * from './values.ts';
export { armholePath, findFront } from './fullBustSideDart/landmarks.ts';
export { fullBustSideDart } from './fullBustSideDart/definition.ts';
