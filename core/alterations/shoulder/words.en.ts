import type { Words } from '../../speech/index.ts';
import { CUT_A_TRACING } from '../kit/phrases/caution.ts';
import { armhole } from '../kit/phrases/shoulders.ts';

const clip = (where: string): string =>
  `Clip the ${where} allowance from outside to the pin, so that a thread of paper holds.`;

export const words = {
  steps: {
    'shoulder.mark.slash': (s) =>
      s.text('pinned') === 'underarm'
        ? 'On front and back draw a line from the middle of the shoulder, on the overarm seam, down to the underarm seam line.'
        : 'On front and back draw a line from the middle of the shoulder seam (on a back with a dart: between the dart and the end; in panels: on the side panel) down to the armhole seam line at notch height.',
    'shoulder.cut.slash': (s) =>
      `Cut along the line to the ${armhole(s)} seam line, not through it. ${clip(armhole(s))} ${CUT_A_TRACING}`,
    'shoulder.lap': (s) =>
      `Swing the outer part in about the pin until the shoulder is ${s.both('by')} shorter, measured along the seam: it is then ${s.len('wanted')}.`,
    'shoulder.open': (s) =>
      `Swing the outer part out about the pin until the shoulder is ${s.both('by')} longer, measured along the seam: it is then ${s.len('wanted')}. Tape paper behind the gap.`,
    'shoulder.rule': () =>
      'Rule the shoulder straight from the neck point to the new shoulder point, any dart in it folded shut.',
    'shoulder.smooth': (s) =>
      s.text('pinned') === 'underarm'
        ? 'Smooth the underarm seam where it was hinged; it stays as long.'
        : 'Smooth the armhole where it was hinged and square it to the shoulder end.',
    'shoulder.match': () =>
      'Walk the front shoulder along the back, darts shut: they must be equally long. Walk the armhole along the sleeve cap.',
    'shoulder.mark.slide': () =>
      'On front and back draw a line from the middle of the shoulder straight down to notch height and across to the armhole: the block.',
    'shoulder.cut.slide': () => `Cut the block out along the lines. ${CUT_A_TRACING}`,
    'shoulder.slide.in': (s) => `Slide the block in along the shoulder by ${s.both('by')} and tape it down.`,
    'shoulder.slide.out': (s) =>
      `Slide the block out along the shoulder by ${s.both('by')} and tape paper behind the gap.`,
    'shoulder.blend': () => 'Blend the armhole in one curve above and below the step the block has left.',
    'shoulder.mark.redraw': (s) =>
      `On front and back mark the new shoulder point: the seam is to be ${s.len('wanted')}. Put a pin where the notch is.`,
    'shoulder.redraw.in': (s) =>
      `Draw the armhole again from the new shoulder point, ${s.both('by')} in, to nothing at the notch.`,
    'shoulder.redraw.out': (s) =>
      `Draw the armhole again from the new shoulder point, ${s.both('by')} out, to nothing at the notch.`,
    'shoulder.match.redraw': (s) =>
      `Walk the shoulders. The armholes together are ${s.signed('change')} different; the sleeve cap has to follow by as much.`,
  },
} satisfies Words;
