import type { AlterationDefinition } from '../../contract.ts';
import { bandProgram, type BandOf } from '../../kit/bandFollow.ts';
import { define } from '../../kit/define.ts';
import { followings } from '../../kit/follow.ts';

const WAISTBAND: BandOf = { kind: 'waist', part: 'waistband', words: 'waistbandFollows' };

export const waistbandFollows: AlterationDefinition = define({
  id: 'waistband-follows',
  family: 'follow',
  amount: null,
  params: [],
  requires: [],
  refusals: ['nothing-to-follow'],
  examples: [
    {
      name: 'after a wider waist',
      on: 'landing',
      values: {},
      after: [{ alteration: 'trouser-waist', values: { by: 24 } }],
    },
  ],
  source: 'The waistband changed by what the waist lost or gained, at its front and at its back.',
  why: 'why.waistband-follows',
  needs: (context) => followings(context, 'waist', ['waistband']),
  plan: (context) => bandProgram(context, WAISTBAND),
});
