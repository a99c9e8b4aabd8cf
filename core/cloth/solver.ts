/** The linear algebra of the cloth, for others who solve on a mesh. */
export * from './conjugate.ts';
export * from './matrix.ts';
export * from './direct.ts';
export * from './parts.ts';
