export * from './lesson.ts';
export * from './task.ts';
export * from './cutting/index.ts';
export * from './judge/index.ts';
export * from './model.ts';
export * from './lessons/index.ts';
