import type { Words } from '../../../speech/index.ts';
import { onePiece } from '../../kit/phrases/back.ts';
import { same } from '../../kit/phrases/names.ts';
import { en, inWords } from '../../../speech/index.ts';

export const words = inWords({
  names: {
    'swayback-waist-seam': same(
      'Swayback, at the waist seam',
      'The waist seam of the back is drawn again from the amount above it at the centre back to nothing at the side.',
      'at the centre back',
    ),
  },
  why: {
    'why.swayback-waist-seam': () => 'The back ends at a waist seam.',
  },
  steps: {
    'swayWaist.mark': (s) => en`Mark a point on the centre back ${s.both('by')} above the waist seam.`,
    'swayWaist.true': (s) =>
      en`${onePiece(s) ? '' : 'Lay the back panels beside each other, seam line on seam line. '}Draw the waist seam again from that point, square to the centre back, to nothing at the side. Darts it crosses keep their width; fold them shut and draw their ends again.`,
    'swayWaist.side': () =>
      'On the slant the waist has become a little longer: take that in at the side, so that it still fits the skirt.',
    'swayWaist.skirt': (s) =>
      en`The skirt gains as much: draw its waist again from ${s.both('by')} above the centre back to nothing at the side.`,
    'swayWaist.match': () => 'Walk the waist seam along the skirt, darts shut, and the side seam along the front.',
  },
} satisfies Words);
