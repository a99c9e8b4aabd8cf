import { inWords } from '../speech/index.ts';

/** An accident with paper, what one does now, and how one knows that it is right again. */
export interface Rescue {
  readonly id: string;
  readonly title: string;
  readonly happened: string;
  readonly now: readonly string[];
  readonly check: string;
  /** The lesson in which it can happen without harm. */
  readonly lesson: string;
}

export const RESCUES: readonly Rescue[] = inWords([
  {
    id: 'hinge-torn',
    title: 'The hinge tore',
    happened: 'The scissors went through the seam line, or the paper gave way when it was swung.',
    now: [
      'Lay both edges on each other at the seam line, not at the cut edge, and put one short piece of tape over that point.',
      'Swing the paper about the tape as if it were the hinge.',
      'Tape the rest once it lies as it should.',
    ],
    check: 'Measure the seam through the hinge again: it is as long as before, to a millimetre.',
    lesson: 'roundBack',
  },
  {
    id: 'wrong-place',
    title: 'Cut in the wrong place',
    happened:
      'The slash was made beside its line, on the back instead of the front, or on the half that did not need it.',
    now: [
      'Push the cut edges back together on a straight line and tape them on both sides.',
      'Draw the seam line, the grain line and the notches over the tape again.',
      'Draw the right line, and cut again.',
    ],
    check: 'Lay the mended piece on the untouched one of the other side: they cover each other.',
    lesson: 'swayback',
  },
  {
    id: 'taped-slanted',
    title: 'The gap was taped slanted',
    happened: 'It is as wide as asked at one end only, or was measured along the slant.',
    now: [
      'Slit the tape with a blade along one edge of the paper. Keep fingers behind the blade.',
      'Draw two lines on the paper behind, as far apart as the gap is to be, square to the cut.',
      'Lay the edges on the lines and tape again, first at both ends.',
    ],
    check: 'Measure square to the cut at both ends and in the middle: three times the same.',
    lesson: 'longerBodice',
  },
  {
    id: 'dart-swallowed',
    title: 'A dart was swallowed by a fold',
    happened: 'The lap or the fold runs over a dart, and its legs no longer meet at the seam.',
    now: [
      'Fold the paper as it is to be and pin it flat.',
      'Draw the dart’s middle line anew, straight from its tip to the middle of what is left of its mouth.',
      'Give both legs the length of the shorter one, fold the dart shut, and cut its end along the seam line.',
    ],
    check: 'The legs are equally long, and the seam runs straight across the folded dart.',
    lesson: 'shorterBodice',
  },
  {
    id: 'only-tissue',
    title: 'Only one tissue is left',
    happened: 'The pattern is out of print, or this is the last copy, and it has to be cut.',
    now: [
      'Do not cut it. Iron it dry and cool, lay it under plain paper or film, and trace seam lines, darts, notches, grain and the words on it.',
      'Write the size and the date on the tracing.',
      'Alter the tracing; the tissue goes back into its envelope.',
    ],
    check: 'Lay the tracing on the tissue against a window: every line covers its own.',
    lesson: 'fullerBust',
  },
]);
