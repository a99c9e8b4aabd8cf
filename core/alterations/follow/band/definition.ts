import { bandFollower } from '../../kit/bandFollow.ts';

export const bandFollows = bandFollower(
  { kind: 'neck', part: 'band', words: 'bandFollows' },
  {
    id: 'band-follows',
    example: {
      name: 'after a narrower neckline',
      on: 'causeway-shirt',
      values: {},
      after: [{ alteration: 'neck-gape-seam', values: { by: 12 } }],
    },
    source: 'The band changed by what the neckline lost or gained, times the ratio of band to neckline as drafted.',
    why: 'why.band-follows',
  },
);
