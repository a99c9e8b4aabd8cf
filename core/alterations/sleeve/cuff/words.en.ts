import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'cuff-width': both(
      'Wider cuff',
      'Narrower cuff',
      'The cuff is spread or lapped across its middle. Overlap, button and slit stay where they are; the sleeve is gathered into it less or more.',
      'around the wrist',
    ),
  },
  why: {
    'why.cuff-width': () => 'The sleeve is sewn into a cuff.',
  },
  steps: {
    'cuff.mark': () => 'Draw a line across the cuff, half-way along the part that is sewn to the sleeve.',
    'cuff.cut': () => `Cut the cuff in two along the line. ${CUT_A_TRACING}`,
    'cuff.open': (s) =>
      `Spread the cuff by ${s.both('by')}, the same all along the line: it goes ${s.both('now')} around the wrist instead of ${s.both('was')}. Tape paper behind.`,
    'cuff.lap': (s) =>
      `Lap the cuff by ${s.both('by')}, the same all along the line: it goes ${s.both('now')} around the wrist instead of ${s.both('was')}.`,
    'cuff.true': () => 'Rule both long edges from end to end.',
    'cuff.gather': (s) => `Gather or pleat ${s.both('gathered')} of the sleeve’s hem into the cuff.`,
    'cuff.match': () => 'Walk the cuff along the hem of the sleeve from the slit round to the other end.',
  },
} satisfies Words;
