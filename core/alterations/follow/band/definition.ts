import type { AlterationDefinition } from '../../contract.ts';
import { bandProgram, type BandOf } from '../../kit/bandFollow.ts';
import { define } from '../../kit/define.ts';
import { followings } from '../../kit/follow.ts';

const NECKBAND: BandOf = { kind: 'neck', part: 'band', words: 'bandFollows' };

export const bandFollows: AlterationDefinition = define({
  id: 'band-follows',
  family: 'follow',
  amount: null,
  params: [],
  requires: [],
  refusals: ['nothing-to-follow'],
  examples: [
    {
      name: 'after a narrower neckline',
      on: 'causeway-shirt',
      values: {},
      after: [{ alteration: 'neck-gape-seam', values: { by: 12 } }],
    },
  ],
  source: 'The band changed by what the neckline lost or gained, times the ratio of band to neckline as drafted.',
  why: 'why.band-follows',
  needs: (context) => followings(context, 'neck', ['band']),
  plan: (context) => bandProgram(context, NECKBAND),
});
