import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'grade-by-chart': both(
      'Wider at waist and hip',
      'Narrower at waist and hip',
      'For a pattern of one size: a quarter of what the body differs at each side edge, level by level.',
      'around the waist',
    ),
  },
  why: {
    'why.grade-by-chart': () => 'The pieces have side seams.',
  },
  steps: {
    'gradeChart.mark': (s) =>
      `Mark a ${s.num('edges') === '4' ? 'quarter' : `share (1 of ${s.num('edges')})`} of the difference at each ${s.num('edges') === '4' ? 'side edge' : 'seam edge, at the side and between the panels'}: ${s.signed('waist')} at the waist, ${s.signed('hip')} at the hip.`,
    'gradeChart.waist': (s) =>
      `Draw the side seam from nothing at the underarm (below a dart: from its lower leg) to ${s.signed('waist')} at the waist, as long as before.`,
    'gradeChart.side': (s) =>
      `Draw the side seam from nothing at the underarm over ${s.signed('waist')} at the waist to ${s.signed('hip')} at the hem, as long as before.`,
    'gradeChart.skirt': (s) =>
      `Draw the side seam of the skirt from ${s.signed('waist')} at the waist to ${s.signed('hip')} at the hip and on to the hem.`,
    'gradeChart.match': () => 'Walk the side seams, front along back, and the waist seam.',
  },
} satisfies Words;
