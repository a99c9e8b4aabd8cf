import type { Speaker, Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

const TAPER: Readonly<Record<string, string>> = {
  middle: 'half-way up the seam',
  underarm: 'the underarm point',
};
const runsOut = (s: Speaker): string => TAPER[s.text('taper')] ?? 'the elbow';

export const words = {
  names: {
    'wrist-width': both(
      'Wider wrist',
      'Narrower wrist',
      'Half of the difference goes on or off at each underarm seam at the hem, to nothing at the elbow. Both seams stay equally long.',
      'around the hem of the sleeve',
    ),
  },
  why: {
    'why.wrist-width': () => 'The sleeve ends in a hem of its own, without a cuff.',
  },
  steps: {
    'wrist.mark': (s) =>
      `At each end of the hem mark ${s.both('each')} ${s.text('way') === 'in' ? 'in' : 'out'} along the hem: it becomes ${s.both('now')} instead of ${s.both('was')}.`,
    'wrist.in': (s) => `Draw each underarm seam from its mark to nothing at ${runsOut(s)}, and trim what lies outside.`,
    'wrist.out': (s) =>
      `Draw each underarm seam from its mark to nothing at ${runsOut(s)}. Tape paper beside it first.`,
    'wrist.match': () => 'Walk the underarm seams of the sleeve: both are equally long.',
  },
} satisfies Words;
