export * from './drags.ts';
export * from './measure.ts';
export * from './readings.ts';
export * from './report.ts';
export * from './shown.ts';
export * from './untold.ts';
export * from './wear.ts';
export * from './whole.ts';
