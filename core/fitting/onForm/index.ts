export * from './onForm.ts';
