import type { Speaker, Words } from '../../../speech/index.ts';
import { en, inWords } from '../../../speech/index.ts';
import { bust } from '../../kit/phrases/namesBust.ts';

const lower = (s: Speaker): string =>
  s.text('waist') === 'same' ? 'as much all the way down' : 'to nothing at the lower edge';

export const words = inWords({
  names: {
    'full-bust-princess-seam': bust(
      'princess, at the seam itself',
      'For little: both panels are made wider (or narrower) at the apex of their princess seam, to nothing at its top. Nothing is slashed, and the side front keeps its grain.',
    ),
  },
  why: {
    'why.princess-seam': () =>
      'The front is in two panels: up to 15 mm on each half can be put on at their seam, without slashing.',
  },
  steps: {
    'princessSeam.mark': (s) =>
      en`At the apex notch mark ${s.both('each')} beside the princess seam of the side front and of the centre front: a quarter of ${s.both('total')}.`,
    'princessSeam.out': (s) =>
      `Draw both princess seams out through the marks in one smooth line, from nothing at the top, ${lower(s)}. Tape paper beside them first. Where one seam has grown less than the other, lengthen it at its lower end by the difference, and draw the lower edge to it.`,
    'princessSeam.in': (s) =>
      `Draw both princess seams in through the marks in one smooth line, from nothing at the top, ${lower(s)}. Where one seam has shrunk less than the other, trim it at its lower end by the difference, and draw the lower edge to it.`,
    'princessSeam.match': () =>
      'Walk the princess seams against each other from the apex notch both ways: both have changed by the same.',
  },
} satisfies Words);
