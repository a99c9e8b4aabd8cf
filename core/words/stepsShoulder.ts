import type { Sentence, Speaker } from './say.ts';

const cut = 'Cut a tracing, never your only original.';
const clip = (where: string): string =>
  `Clip the ${where} allowance from outside to the pin, so that a thread of paper holds.`;

const armhole = (s: Speaker): string => (s.text('pinned') === 'underarm' ? 'underarm' : 'armhole');

/** Shoulder and across the body at the armholes. */
export const SHOULDER_STEPS: Readonly<Record<string, Sentence>> = {
  'shoulder.mark.slash': (s) =>
    s.text('pinned') === 'underarm'
      ? 'On front and back draw a line from the middle of the shoulder, on the overarm seam, down to the underarm seam line.'
      : 'On front and back draw a line from the middle of the shoulder seam (on a back with a dart: between the dart and the end; in panels: on the side panel) down to the armhole seam line at notch height.',
  'shoulder.cut.slash': (s) =>
    `Cut along the line to the ${armhole(s)} seam line, not through it. ${clip(armhole(s))} ${cut}`,
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
  'shoulder.cut.slide': () => `Cut the block out along the lines. ${cut}`,
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
  'slope.mark': () => 'Put a pin at the neck point of front and back. It is what the shoulder turns about.',
  'slope.lower': (s) =>
    `Draw the shoulder from the neck point to an end ${s.both('by')} lower, as long as it was, any dart in it folded shut.`,
  'slope.raise': (s) =>
    `Draw the shoulder from the neck point to an end ${s.both('by')} higher, as long as it was, any dart in it folded shut.`,
  'slope.underarm': () =>
    'Carry the whole armhole with the shoulder end: the underarm slides along the side seam until the armhole is as long as before.',
  'slope.match.follow': () =>
    'Walk shoulders and side seams; the armhole is as long as before, so the sleeve still fits. The side seam has changed at the underarm.',
  'slope.match.stay': () => 'Walk the shoulders, then the armhole along the sleeve cap: the cap has to follow.',
  'forward.mark': (s) =>
    Number(s.num('neck', 1)) === 0
      ? `Draw the new seam from the old neck point to ${s.both('by')} down the armhole.`
      : `Draw the new seam: ${s.both('neck')} from the old one along the neckline, ${s.both('by')} along the armhole.`,
  'forward.cut': () => `Cut the sliver between the two lines off the front. ${cut}`,
  'forward.cut.back': () => `Cut the sliver between the two lines off the back. ${cut}`,
  'forward.join': () =>
    'Lay the sliver against the shoulder seam of the back, darts shut, seam line to seam line, and tape it: nothing is trimmed.',
  'forward.join.back': () =>
    'Lay the sliver against the shoulder seam of the front, seam line to seam line, and tape it: nothing is trimmed.',
  'forward.cap': (s) =>
    `Move the shoulder notch of the sleeve cap by ${s.both('by')} the same way; the cap itself stays.`,
  'forward.match': () => 'Walk the new shoulders, the armholes along the cap from the moved notch, and the facings.',
  'cross.mark.slide': () =>
    'Draw a line from the middle of the shoulder straight down to a little below the underarm, and across to the side seam: the armhole block.',
  'cross.mark.hinge': () =>
    'Draw the armhole block: from the middle of the shoulder straight down to a little below the underarm, and across to the side. Put a pin on the shoulder seam line.',
  'cross.cut.slide': () => `Cut the block out along the lines. ${cut}`,
  'cross.cut.hinge': () => `Cut along the lines to the shoulder seam line, not through it. ${cut}`,
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
};
