export * from './canvas.ts';
export * from './write.ts';
