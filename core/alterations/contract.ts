import type { Point } from '../geometry/index.ts';
import type { Dart, LevelName, Piece, Seam } from '../pattern/index.ts';
import type { Gap, LengthChange, Panel, SlashSpec } from '../slash/index.ts';
import type { Finding } from '../truing/index.ts';
import type { Result } from '../units/index.ts';

/** The stages of the hands' work, in order. `open` reads "Lap" where paper overlaps. */
export const STAGES = ['mark', 'cut', 'open', 'level', 'dart', 'true', 'match'] as const;
export type Stage = (typeof STAGES)[number];

/** A sentence by code: the words live in `core/words`. Lengths are mm, angles degrees. */
export interface Message {
  readonly code: string;
  readonly data: Readonly<Record<string, string | number>>;
}

/** One value a user may set. The form, the parser and the file all read this. */
export type Param =
  | {
      readonly kind: 'length';
      readonly key: string;
      readonly min: number;
      readonly max: number;
      readonly initial: number;
      readonly step: number;
      readonly signed?: boolean;
    }
  | {
      readonly kind: 'share';
      readonly key: string;
      readonly min: number;
      readonly max: number;
      readonly initial: number;
    }
  | { readonly kind: 'choice'; readonly key: string; readonly options: readonly string[]; readonly initial: string }
  /** A place on the piece; null lets the program find it. */
  | { readonly kind: 'point'; readonly key: string; readonly initial: null };

export type Value = number | string | Point | null;
export type Values = Readonly<Record<string, Value>>;

export interface MarkLine {
  readonly id: string;
  readonly label: string;
  readonly points: readonly Point[];
}
/** A pin, or a point marked in pencil. */
export interface MarkPoint {
  readonly id: string;
  readonly kind: 'hinge' | 'bustPoint' | 'newBustPoint';
  readonly at: Point;
}
/** A dimension to draw: measured from `from` to `to`, square to what it measures. */
export interface Dimension {
  readonly id: string;
  readonly from: Point;
  readonly to: Point;
  readonly value: number;
}

/** The primitives. Only the interpreter, the kernel and the truing code touch curves. */
export type Instruction =
  | {
      readonly op: 'mark';
      readonly stage: Stage;
      readonly message: Message;
      readonly lines: readonly MarkLine[];
      readonly points: readonly MarkPoint[];
    }
  | {
      readonly op: 'slash';
      readonly stage: Stage;
      readonly messages: Readonly<Partial<Record<Stage, Message>>>;
      readonly spec: SlashSpec;
      readonly dimensions: readonly Dimension[];
    }
  | {
      readonly op: 'landmark';
      readonly stage: Stage;
      readonly message: Message;
      readonly bustPoint?: Point;
      readonly levels?: Readonly<Partial<Record<LevelName, number>>>;
    }
  | {
      readonly op: 'retip';
      readonly stage: Stage;
      readonly message: Message;
      readonly dart: string;
      readonly bustPoint: Point;
      readonly setback: number;
    }
  | {
      readonly op: 'narrow';
      readonly stage: Stage;
      readonly message: Message;
      readonly dart: string;
      readonly change: number;
    }
  | { readonly op: 'cap'; readonly stage: Stage; readonly message: Message; readonly dart: string }
  | {
      readonly op: 'smooth';
      readonly stage: Stage;
      readonly message: Message;
      readonly edge: string;
      readonly near: Point;
      readonly reach: number;
    }
  | {
      readonly op: 'smoothKinks';
      readonly stage: Stage;
      readonly message: Message;
      readonly role: 'waist' | 'hem';
      readonly reach: number;
    }
  | {
      readonly op: 'restoreWidth';
      readonly stage: Stage;
      readonly message: Message;
      readonly side: string;
      readonly role: 'waist' | 'hem';
      readonly shape: 'straight' | 'curved';
    }
  | { readonly op: 'match'; readonly stage: Stage; readonly message: Message; readonly kinds: readonly Seam['kind'][] }
  | { readonly op: 'finding'; readonly stage: Stage; readonly finding: Finding };

export interface Program {
  /** The piece being altered. */
  readonly piece: string;
  readonly instructions: readonly Instruction[];
}

/** What the table looks like at the end of a stage. */
export interface Frame {
  readonly stage: Stage;
  /** True where paper overlaps instead of opening: the stage reads "Lap". */
  readonly laps: boolean;
  readonly piece: Piece;
  readonly messages: readonly Message[];
  readonly lines: readonly MarkLine[];
  readonly points: readonly MarkPoint[];
  readonly panels: readonly Panel[];
  readonly gaps: readonly Gap[];
  readonly dimensions: readonly Dimension[];
}

export interface DartReport {
  readonly dart: Dart['id'];
  readonly kind: Dart['kind'];
  readonly tip: Point;
  readonly legEnds: readonly [Point, Point];
  readonly legs: readonly [number, number];
  readonly intake: number;
  readonly openingDegrees: number;
}

/** One alteration carried out: the pieces, every stage, and the numbers. */
export interface Run {
  readonly pieces: readonly Piece[];
  readonly altered: string;
  readonly original: Piece;
  readonly frames: readonly Frame[];
  readonly slash: SlashSpec | null;
  readonly panels: readonly Panel[];
  readonly lengths: Readonly<Record<string, LengthChange>>;
  readonly darts: readonly DartReport[];
  readonly bustPoint: Point | null;
  readonly inserted: number;
  readonly overlapped: number;
  readonly findings: readonly Finding[];
}

/** What an alteration may look at: the pieces as they are after the steps before it. */
export interface Context {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
  /** The untouched pieces, so that a check blames a step only for what it did. */
  readonly original: readonly Piece[];
  /** From the wearer, where measured: mm. */
  readonly wearer: Readonly<{ neckPointToBustPoint?: number; bustSpan?: number }>;
}

export interface Example {
  readonly name: string;
  readonly values: Values;
}

/** One alteration: everything views, hand sheets, checks and docs need to know of it. */
export interface AlterationDefinition {
  /** Saved in files; never reused for another procedure. */
  readonly id: string;
  readonly revision: number;
  readonly family: 'bust' | 'shoulder' | 'back' | 'length' | 'width' | 'dart' | 'sleeve' | 'trousers';
  readonly params: readonly Param[];
  /** Edge roles a piece must have. */
  readonly requires: readonly string[];
  readonly refusals: readonly string[];
  readonly examples: readonly Example[];
  /** Where the method comes from. */
  readonly source: string;
  /** Values that go with an amount (mm, whole body) unless the user sets them. */
  readonly suggest: (total: number) => Values;
  readonly plan: (context: Context, values: Values) => Result<Program>;
  /** What must hold afterwards; a finding is returned for each promise broken. */
  readonly holds: (before: Piece, after: Piece) => readonly Finding[];
}
