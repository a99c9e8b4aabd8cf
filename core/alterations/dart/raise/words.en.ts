import type { Words } from '../../../speech/index.ts';

export const words = {
  names: {
    'dart-raise': {
      name: 'Dart higher',
      lapName: 'Dart lower',
      about: 'Moves a dart up or down to the height of the bust: the whole dart in a box, or its tip alone.',
      over: '',
    },
  },
  steps: {
    'raise.mark.box': (s) =>
      `Draw a box around the ${s.text('dart')} dart, level at top and bottom, upright at its inner end. Mark where the bust point is to be, ${s.both('by')} higher.`,
    'lower.mark.box': (s) =>
      `Draw a box around the ${s.text('dart')} dart, level at top and bottom, upright at its inner end. Mark where the bust point is to be, ${s.both('by')} lower.`,
    'raise.mark.tip': (s) => `Mark where the tip is to point, ${s.both('by')} higher.`,
    'lower.mark.tip': (s) => `Mark where the tip is to point, ${s.both('by')} lower.`,
    'raise.cut': () => 'Cut the box out of a tracing.',
    'raise.slide': (s) => `Slide the box up by ${s.both('by')} along the side. Tape paper behind the gap.`,
    'lower.slide': (s) => `Slide the box down by ${s.both('by')} along the side. Tape paper behind the gap.`,
    'raise.retip': (s) =>
      `Draw the ${s.text('dart')} dart again from its ends on the seam to the new tip; lengthen the shorter leg past the seam and shorten the longer by half of what they differ, so that they close.`,
    'raise.bustPoint': () => 'The bust point goes with it.',
    'raise.others': (s) => `Move the tip of the other dart by the same ${s.both('by')}; its legs must still be equal.`,
    'raise.true': () => 'Rule a straight side seam again from the dart to its end.',
    'raise.true.curve': () =>
      'Draw a shaped side seam again in one curve from the dart to a hand’s breadth beyond the box; closed, the side is as long as before.',
  },
} satisfies Words;
