export * from './sheet.ts';
export * from './snap.ts';
export * from './hands.ts';
export * from './tape.ts';
export * from './hinge.ts';
export * from './true.ts';
