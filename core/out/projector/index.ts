export * from './calibrate.ts';
export * from './view.ts';
