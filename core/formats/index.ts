export * from './drawing.ts';
export * from './pages.ts';
export * from './read.ts';
export * from './schema.ts';
export * from './svg.ts';
export * from './svgPath.ts';
export * from './diagram.ts';
export * from './diagramSvg.ts';
