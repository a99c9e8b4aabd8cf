import { crossDefinition } from '../../kit/crossWidth.ts';

export const frontWidth = crossDefinition('front', [
  { name: 'broader', on: 'causeway', values: { by: 16 } },
  { name: 'narrower, hinged', on: 'causeway-shirt', values: { by: -10, way: 'hinge' } },
]);
