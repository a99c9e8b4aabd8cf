import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'band-height': both(
      'Band higher',
      'Band lower',
      'The band is spread or lapped along its middle; both long edges stay as they are. Stiff cloth wants a lower stand than cloth that drapes.',
      'in height',
    ),
  },
  why: {
    'why.band-height': () => 'There is a band.',
  },
  steps: {
    'band.mark': () => 'Draw a line along the middle of the band.',
    'band.cut': () => `Cut the band in two along it. ${CUT_A_TRACING}`,
    'band.lap': (s) =>
      `Lap the two halves by ${s.both('by')}${s.text('wanted') ? `: the band is then ${s.len('wanted')} high` : ''}.`,
    'band.open': (s) =>
      `Spread the two halves by ${s.both('by')}${s.text('wanted') ? `: the band is then ${s.len('wanted')} high` : ''}. Tape paper behind.`,
    'band.match': () => 'Both long edges are as they were; walk the band along the neckline.',
  },
} satisfies Words;
