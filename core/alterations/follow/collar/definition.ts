import { bandFollower } from '../../kit/bandFollow.ts';

export const collarFollows = bandFollower(
  { kind: 'neck', part: 'collar', words: 'collarFollows' },
  {
    id: 'collar-follows',
    example: {
      name: 'after a smaller neckline and its stand',
      on: 'quay',
      values: {},
      after: [
        { alteration: 'neck-gape-seam', values: { by: 12 } },
        { alteration: 'band-follows', values: {} },
      ],
    },
    source: 'The collar changed by what the edge it is sewn to lost or gained.',
    why: 'why.collar-follows',
  },
);
