import type { Point } from '../geometry/index.ts';
import type { StepCode } from './words.ts';

export type { StepCode, WhyCode } from './words.ts';

/** The sums that say how an amount was worked out. */
export type FitCode =
  `fit.${'length' | 'girth' | 'room' | 'lengths' | 'fallen' | 'bust' | 'bust.knit' | 'bust.cup' | 'height' | 'hung' | 'sizes'}`;

/** The codes below a word of their own: `Under<'cap'>` is what may follow `cap.` */
export type Under<Word extends string> = StepCode extends infer Code
  ? Code extends `${Word}.${infer Rest}`
    ? Rest
    : never
  : never;

/** The stages of the hands' work, in order. `open` reads "Lap" where paper overlaps. */
export const STAGES = ['mark', 'cut', 'open', 'level', 'dart', 'true', 'match'] as const;
export type Stage = (typeof STAGES)[number];
/** Whether a stage is done before another. */
export const isBefore = (stage: Stage, other: Stage): boolean => STAGES.indexOf(stage) < STAGES.indexOf(other);

/** A sentence by code, with what it says: lengths in mm, angles in degrees. The sentences stand in the words files. */
export interface Message<Code extends string = StepCode> {
  readonly code: Code;
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
