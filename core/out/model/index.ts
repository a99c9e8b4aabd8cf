export * from './gltf.ts';
