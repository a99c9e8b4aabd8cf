import type { PlaceKind } from '@ample/core/in/tracing';

/** Kinds of point, clicked or typed: the word, and the letter that stands for it in the table. */
export const PLACE_WORDS: readonly (readonly [kind: PlaceKind, name: string, letter: string])[] = [
  ['corner', 'corner', 'c'],
  ['curve', 'on a curve', 'k'],
  ['notch', 'notch', 'n'],
  ['dartTip', 'dart tip', 'd'],
  ['dartLeg', 'dart leg', 'l'],
  ['grain', 'grain end', 'g'],
  ['bustPoint', 'bust point', 'b'],
];
