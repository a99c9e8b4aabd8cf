import type { Words } from '../../../speech/index.ts';

export const words = {
  names: {
    'dart-waist-width': {
      name: 'Waist wider, in the darts',
      lapName: 'Waist narrower, in the darts',
      about: 'The difference around the whole waist is shared over the waist darts, half of each share on each leg.',
      over: 'around the waist',
    },
  },
  steps: {
    'waistDarts.mark': (s) =>
      `Of ${s.signed('by')} around the whole waist, ${s.noun('pieces', 'one piece takes', `each of ${s.num('pieces')} pieces takes`)} ${s.both('each')} in its dart.`,
    'waistDarts.narrower': (s) =>
      `Make each waist dart narrower by ${s.both('each')}: bring each leg in by ${s.len('leg')} at the waist and draw it to the old tip.`,
    'waistDarts.wider': (s) =>
      `Make each waist dart wider by ${s.both('each')}: take each leg out by ${s.len('leg')} at the waist and draw it to the old tip.`,
    'waistDarts.match': () => 'Measure the sewn waist again, and walk the waist seam of what is sewn to it.',
  },
} satisfies Words;
