export * from './cutApart.ts';
export { yokeLineOf, yokeLinesOf, type YokeLine } from './joint.ts';
export * from './pin.ts';
