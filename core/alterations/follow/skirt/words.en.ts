import type { Words } from '../../../speech/index.ts';
import { same } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'skirt-follows': same(
      'Skirt follows the bodice',
      'The skirt is let out or taken in at its side seams, from nothing at the hip, until its waist fits the bodice.',
    ),
  },
  why: {
    'why.skirt-follows': () => 'A skirt is sewn to the bodice at the waist.',
  },
  steps: {
    'skirt.mark': (s) => `Around the waist the skirt has to change by ${s.signed('by')}.`,
    'skirt.wider': () => 'Let the side seams out at the waist, to nothing at the hip, their lengths kept.',
    'skirt.narrower': () => 'Take the side seams in at the waist, to nothing at the hip, their lengths kept.',
    'skirt.match': () => 'Walk the skirt’s waist along the bodice, darts shut, and the side seams.',
  },
} satisfies Words;
