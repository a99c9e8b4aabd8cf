export * from './price.ts';
export * from './protocol.ts';
export * from './queue.ts';
