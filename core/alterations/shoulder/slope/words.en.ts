import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'shoulder-slope': both(
      'Sloping shoulder',
      'Square shoulder',
      'The shoulder turns about the neck point until its end lies lower (or higher). A slash to the neck point, or more seam allowance at the end, gives the same line. The underarm can follow, so that the armhole keeps its size.',
      'at the shoulder end',
    ),
  },
  why: {
    'why.shoulder-slope': () => 'The shoulder seams can turn about the neck points.',
  },
  steps: {
    'slope.mark': () => 'Put a pin at the neck point of front and back. It is what the shoulder turns about.',
    'slope.lower': (s) =>
      `Draw the shoulder from the neck point to an end ${s.both('by')} lower, as long as it was, any dart in it folded shut.`,
    'slope.raise': (s) =>
      `Draw the shoulder from the neck point to an end ${s.both('by')} higher, as long as it was, any dart in it folded shut.`,
    'slope.underarm': () =>
      'Carry the whole armhole up or down with the shoulder end: the underarm slides along the side seam until the armhole is as long as before. The width across at its middle stays.',
    'slope.match.follow': () =>
      'Walk shoulders and side seams; the armhole is as long as before, so the sleeve still fits. The side seam has changed at the underarm.',
    'slope.match.stay': () => 'Walk the shoulders, then the armhole along the sleeve cap: the cap has to follow.',
  },
} satisfies Words;
