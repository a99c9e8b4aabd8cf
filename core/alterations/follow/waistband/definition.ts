import { bandFollower } from '../../kit/bandFollow.ts';

export const waistbandFollows = bandFollower(
  { kind: 'waist', part: 'waistband', words: 'waistbandFollows' },
  {
    id: 'waistband-follows',
    example: {
      name: 'after a wider waist',
      on: 'landing',
      values: {},
      after: [{ alteration: 'trouser-waist', values: { by: 24 } }],
    },
    source: 'The waistband changed by what the waist lost or gained, at its front and at its back.',
    why: 'why.waistband-follows',
  },
);
