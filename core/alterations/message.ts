import type { Point } from '../geometry/index.ts';

/** The stages of the hands' work, in order. `open` reads "Lap" where paper overlaps. */
export const STAGES = ['mark', 'cut', 'open', 'level', 'dart', 'true', 'match'] as const;
export type Stage = (typeof STAGES)[number];

/** A sentence by code: the words live in `core/words`. Lengths are mm, angles degrees. */
export interface Message {
  readonly code: string;
  readonly data: Readonly<Record<string, string | number>>;
}

export interface MarkLine {
  readonly id: string;
  readonly label: string;
  readonly points: readonly Point[];
}
/** A pin, or a point marked in pencil. */
export interface MarkPoint {
  readonly id: string;
  readonly kind: 'hinge' | 'bustPoint' | 'newBustPoint' | 'target';
  readonly at: Point;
  /** Where it was marked, once the paper has carried it elsewhere. */
  readonly marked?: Point;
}
/** A dimension to draw: measured from `from` to `to`, square to what it measures. */
export interface Dimension {
  readonly id: string;
  readonly from: Point;
  readonly to: Point;
  readonly value: number;
}

/** Stands for the dart the program itself has made. */
export const NEW_DART = '@new';
