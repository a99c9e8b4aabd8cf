import { upperBackDefinition } from '../../kit/upperBack.ts';

export const roundBack = upperBackDefinition(
  'round-back',
  'round',
  1,
  'The back slashed a little below the neck to a hinge on the armhole seam line, the neck raised at the centre back.',
);
