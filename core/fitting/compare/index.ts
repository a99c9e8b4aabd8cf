export * from './worksheet.ts';
