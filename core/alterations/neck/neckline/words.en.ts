import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';
import { en, inWords } from '../../../speech/index.ts';

export const words = inWords({
  names: {
    neckline: both(
      'Neckline lower',
      'Neckline higher',
      'The neckline is drawn again between new ends on the centre and the shoulder; the facings are drawn on the new neck.',
      'at the centre front',
    ),
  },
  why: {
    'why.neckline': () => en`Front and back have a neckline between centre and shoulder.`,
  },
  steps: {
    'neckline.mark': () => en`Mark the new ends of the neckline on centre and shoulder.`,
    'neckline.front.lower': (s) =>
      en`Draw the front neckline from ${s.both('by')} lower at the centre front, square to it.`,
    'neckline.front.higher': (s) =>
      en`Draw the front neckline from ${s.both('by')} higher at the centre front, square to it.`,
    'neckline.back.lower': (s) =>
      en`Draw the back neckline from ${s.both('back')} lower at the centre back, square to it.`,
    'neckline.back.higher': (s) =>
      en`Draw the back neckline from ${s.both('back')} higher at the centre back, square to it.`,
    'neckline.wider': (s) => `Begin it ${s.both('wide')} farther out on the shoulder, front and back alike.`,
    'neckline.narrower': (s) => `Begin it ${s.both('wide')} farther in on the shoulder, front and back alike.`,
    'neckline.facing': () => 'Draw the facings anew on the altered pieces.',
    'neckline.match': () => 'Walk the shoulders, and the neckline along its facing or band.',
  },
} satisfies Words);
