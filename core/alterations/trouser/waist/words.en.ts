import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';
import { onHalves } from '../../kit/phrases/trousers.ts';

export const words = {
  names: {
    'trouser-waist': both(
      'Wider waist',
      'Narrower waist',
      'A quarter of the difference on each half: in the darts first, as far as they go, and the rest at the side, to nothing at the hip.',
      'around the waist',
    ),
  },
  why: {
    'why.trouser-waist': () => 'The trousers have a waist seam, darts and side seams.',
  },
  steps: {
    'trouserWaist.mark': (s) =>
      `Each half becomes ${s.both('each')} ${s.text('way')} at the waist, darts shut: a quarter of the whole.`,
    'trouserWaist.narrower': (s) =>
      `Make the darts narrower, to the same tips, by ${onHalves(s, 'frontDart', 'backDart')}: half of it at each leg.`,
    'trouserWaist.wider': (s) =>
      `Make the darts wider, to the same tips, by ${onHalves(s, 'frontDart', 'backDart')}: half of it at each leg.`,
    'trouserWaist.cap': () => 'Fold the darts shut and cut their ends along the waist.',
    'trouserWaist.out': (s) =>
      `At the side let the waist out by ${onHalves(s, 'frontSide', 'backSide')}, in one line to nothing at the hip line. Tape paper beside it first.`,
    'trouserWaist.in': (s) =>
      `At the side take the waist in by ${onHalves(s, 'frontSide', 'backSide')}, in one line to nothing at the hip line.`,
    'trouserWaist.match': () => 'Walk the side seams. The waistband has to follow.',
  },
} satisfies Words;
