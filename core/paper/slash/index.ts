export { type Cut } from './graph.ts';
export * from './motion.ts';
export { type Gap } from './gaps.ts';
export * from './types.ts';
export { cutPiece } from './cut.ts';
export * from './slash.ts';
