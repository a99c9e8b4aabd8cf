import type { Values } from '../alterations/index.ts';
import type { EdgeRole, Piece } from '../pattern/index.ts';
import type { Sentence } from '../speech/index.ts';

export const PARTS_OF_PRACTICE = ['bust', 'dart', 'back', 'shoulder', 'length', 'width', 'sleeve', 'trousers'] as const;
export type PartOfPractice = (typeof PARTS_OF_PRACTICE)[number];

/**
 * How much is shown. `guided`: lines and hinges are drawn, the hands move the paper. `marked`: the places are marked, and
 * what has opened is written beside it. `free`: the paper, the task and a tape.
 */
export const GRADES = ['guided', 'marked', 'free'] as const;
export type Grade = (typeof GRADES)[number];

/** Numbers drawn anew: one of evenly spaced lengths, mm, or one of a list. */
export interface Draw {
  readonly between: (min: number, max: number, step: number) => number;
  readonly oneOf: <T>(list: readonly T[]) => T;
}

/** What a lesson asks for once its numbers are drawn. */
export interface Asked {
  readonly values: Values;
  /** What the task names, mm. */
  readonly told: Readonly<Record<string, number>>;
}

/** One thing to cut oneself. The right way is the alteration's own program; a lesson says only on what and how much. */
export interface Lesson {
  /** Kept in files. */
  readonly id: string;
  readonly part: PartOfPractice;
  readonly alteration: string;
  /** The sample it is cut on, and the pieces that are on the mat, the first of them first. */
  readonly on: string;
  readonly pieces: readonly Piece['part'][];
  /** Whether a dart is to be drawn at the end. */
  readonly dart?: true;
  /** A seam to be drawn anew once the paper is taped, on every piece on the mat. */
  readonly trues?: EdgeRole;
  readonly draw: (draw: Draw) => Asked;
  readonly words: {
    readonly title: string;
    readonly task: Sentence;
    /** What to remember of it. */
    readonly point: string;
  };
}
