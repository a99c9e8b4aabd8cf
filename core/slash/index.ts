export { type Cut } from './graph.ts';
export * from './motion.ts';
export * from './slash.ts';
