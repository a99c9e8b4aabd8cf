export * from './english.ts';
export * from './speaker.ts';
export * from './words.ts';
export * from './sample.ts';
export * from './plural.ts';
