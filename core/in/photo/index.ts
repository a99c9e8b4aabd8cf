export * from './edges.ts';
export * from './homography.ts';
export * from './image.ts';
export * from './standIn.ts';
export * from './stitch.ts';
