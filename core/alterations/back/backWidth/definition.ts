import { crossDefinition } from '../../kit/crossWidth.ts';

export const backWidth = crossDefinition('back', [
  { name: 'broader', on: 'causeway', values: { by: 16 } },
  { name: 'narrower, hinged', on: 'causeway-side', values: { by: -12, way: 'hinge' } },
]);
