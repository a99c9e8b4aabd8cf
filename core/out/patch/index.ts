export * from './added.ts';
export * from './patches.ts';
export * from './untouched.ts';
export { type Region, type Ring } from './regions.ts';
