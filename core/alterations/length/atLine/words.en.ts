import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { where } from '../../kit/phrases/lengths.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'length-line': both(
      'Longer',
      'Shorter',
      'Every piece is cut straight across at the same distance from a shared place and spread or lapped in parallel; the seams are drawn again from end to end.',
      '',
    ),
  },
  why: {
    'why.length-line': () => 'The pieces carry a line to lengthen or shorten at.',
  },
  steps: {
    'length.mark': (s) =>
      `On ${s.count('pieces', 'piece')} draw a line square to the grain${s.text('where') === 'own' ? `, ${where(s)}` : ` ${where(s)}, on each the same distance from the same point of the seam`}.`,
    'length.cut': () => `Cut each piece in two along its line. ${CUT_A_TRACING}`,
    'length.open': (s) =>
      s.text('shares') === 'uneven'
        ? `Spread each piece by ${s.both('above')} above the bust and by ${s.both('below')} below it, the same all along each line, the grainline running on. Tape paper behind.`
        : `Spread each piece by ${s.both('by')}, the same all along the line, the grainline running on. Tape paper behind.`,
    'length.lap': (s) =>
      s.text('shares') === 'uneven'
        ? `Lap each piece by ${s.both('above')} above the bust and by ${s.both('below')} below it, the same all along each line, the grainline running on.`
        : `Lap each piece by ${s.both('by')}, the same all along the line, the grainline running on.`,
    'length.true.straight': () =>
      'Rule the seams that were cut straight from end to end: what one piece loses at the step, the other gains.',
    'length.true.curve': () => 'Draw curved seams again in one line over the step.',
    'length.match': () => 'Walk every seam that was cut: all are changed by the same.',
    'length.match.armhole': () =>
      'Walk every seam that was cut. The armhole has changed its length: the sleeve cap has to follow.',
  },
} satisfies Words;
