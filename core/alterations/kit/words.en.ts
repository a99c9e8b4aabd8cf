import type { Speaker, Words } from '../../speech/index.ts';
import { CUT_A_TRACING } from './phrases/caution.ts';

export const words = {
  steps: {
    'across.true.band': () => 'Draw the outer edge across the line again as one curve, as long as it is now.',
    'across.yoke.pin': () => 'Pin the yoke to the back along the yoke seam line: both are altered as one piece.',
    'across.yoke.apart': () =>
      'Trace yoke and back apart again along the yoke seam line, each with its own seam allowance.',
    'across.true.panels': () =>
      'Smooth the seams between the panels where the line crosses them, both sides alike; they stay as long as each other.',
    'panels.grade': (s) =>
      `Draw the seams between the panels again as well, both edges of each by ${s.signed('waist')} at the waist${s.num('hip', 2) === '0.00' ? '' : ` and ${s.signed('hip')} at the hip`}, from nothing at the bust; they stay as long as each other.`,
    'cross.mark.slide': () =>
      'Draw a line from the middle of the shoulder straight down to a little below the underarm, and across to the side seam: the armhole block.',
    'cross.mark.hinge': () =>
      'Draw the armhole block: from the middle of the shoulder straight down to a little below the underarm, and across to the side. Put a pin on the shoulder seam line.',
    'cross.cut.slide': () => `Cut the block out along the lines. ${CUT_A_TRACING}`,
    'cross.cut.hinge': () => `Cut along the lines to the shoulder seam line, not through it. ${CUT_A_TRACING}`,
    'cross.out': (s) =>
      `Slide the block straight out by ${s.both('each')}, half of the difference. Tape paper behind the gap.`,
    'cross.in': (s) => `Slide the block straight in by ${s.both('each')}, half of the difference.`,
    'cross.turn.out': (s) =>
      `Swing the block out about the pin until the line has opened by ${s.both('each')} at notch height. Tape paper behind the gap.`,
    'cross.turn.in': (s) => `Swing the block in about the pin until it laps by ${s.both('each')} at notch height.`,
    'cross.true.shoulder': () =>
      'Mark the shoulder point at the old length of the seam and draw the armhole from it to nothing at the notch.',
    'cross.true.rule': () => 'Rule the shoulder straight from end to end.',
    'cross.true.side': () => 'Rule the side seam straight from the moved underarm to where it was, as long as before.',
    'cross.true.smooth': () => 'Square the armhole to the shoulder and to the side seam.',
    'cross.match': (s: Speaker) =>
      `Walk shoulders and side seams, and the armhole along the cap. ${s.text('by') === '0' ? '' : 'The width across is changed at mid-armhole only.'}`.trim(),
  },
} satisfies Words;
