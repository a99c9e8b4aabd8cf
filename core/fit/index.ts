export * from './amounts.ts';
export * from './body.ts';
export * from './catalogue.ts';
export * from './ease.ts';
export * from './size.ts';
export * from './worksheet.ts';
export * from './level.ts';
export * from './needed.ts';
