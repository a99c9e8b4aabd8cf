export * from './amounts.ts';
export * from './body.ts';
export * from './catalogue.ts';
export * from './size.ts';
