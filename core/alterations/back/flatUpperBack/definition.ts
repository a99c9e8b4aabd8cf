import { upperBackDefinition } from '../../kit/upperBack.ts';

export const flatUpperBack = upperBackDefinition(
  'flat-upper-back',
  'flatBack',
  -1,
  'Excess between neck and shoulder blade folded out along the line of the high round back.',
);
