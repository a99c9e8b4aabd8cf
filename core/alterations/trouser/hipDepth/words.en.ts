import type { Speaker, Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

const way = (s: Speaker): string => (s.text('way') === 'higher' ? 'higher' : 'lower');

export const words = {
  names: {
    'trouser-hip-depth': both(
      'Hip lower on trousers',
      'Hip higher on trousers',
      'The hip line and the curve of the side move to where the body has them; darts become longer or shorter with them. Waist, crotch and knee stay.',
      'from waist to hip',
    ),
  },
  why: {
    'why.trouser-hip-depth': () => 'The trousers carry a hip line, and their sides can be drawn again.',
  },
  steps: {
    'trouserHipDepth.mark': (s) =>
      `On front and back draw the hip line ${s.both('by')} ${way(s)}, square to the grain, and mark where the side is to cross it: each piece as wide there as it was at the old line.`,
    'trouserHipDepth.dart': (s) => `Move the tip of each dart ${s.both('by')} ${way(s)} and draw its legs again.`,
    'trouserHipDepth.side': () =>
      'Trace the curve of the side from the waist to the old line, and draw it again down to the mark, from there to nothing at the knee.',
    'trouserHipDepth.match': () => 'Walk the side seams; the pocket’s notches go along.',
  },
} satisfies Words;
