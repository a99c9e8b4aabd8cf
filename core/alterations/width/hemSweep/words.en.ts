import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';
import { en } from '../../../speech/index.ts';

export const words = {
  names: {
    'hem-sweep': both(
      'Hem wider',
      'Hem narrower',
      'A quarter of the amount at each side edge of the hem, from nothing at the hip.',
      'around the hem',
    ),
  },
  why: {
    'why.hem-sweep': () => 'The side seams end in a hem.',
  },
  steps: {
    'sweep.mark': (s) => `Mark ${s.both('each')} beside each side seam at the hem: a quarter of the whole.`,
    'sweep.out': () => 'Draw each side seam from nothing at the hip out to its mark, as long as before.',
    'sweep.in': () => 'Draw each side seam from nothing at the hip in to its mark, as long as before.',
    'sweep.hem': () => en`Draw the hem again, square to the centre and to the side.`,
    'sweep.match': () => 'Walk the side seams.',
  },
} satisfies Words;
