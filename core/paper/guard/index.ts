export * from './fault.ts';
export * from './inspect.ts';
