export * from './cloths.ts';
export * from './contact.ts';
export * from './layers.ts';
export * from './membrane.ts';
export * from './settle.ts';
export * from './sheet.ts';
export * from './field.ts';
