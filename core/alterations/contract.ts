import type { Path, Point } from '../geometry/index.ts';
import type { ChartRow, Dart, HeightLies, MeasurementKey, Piece, Seam } from '../pattern/index.ts';
import type { Gap, LengthChange, Panel, Progress, SlashSpec } from '../paper/slash/index.ts';
import type { Finding } from '../paper/truing/index.ts';
import type { RefusalCode, Result } from '../units/index.ts';
import type { Dimension, FitCode, MarkLine, MarkPoint, Message, Stage, WhyCode } from './message.ts';
import type { Instruction } from './operations/index.ts';
import type { Family, Phase } from './order.ts';

export * from './message.ts';
export type { Instruction } from './operations/index.ts';

/** A parameter the user may set. Forms, validation and files are all derived from it. */
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
  /** A size of the pattern; null keeps the one in hand, or lets the fit choose. */
  | { readonly kind: 'size'; readonly key: string; readonly initial: null }
  /** A point on the piece; null lets the program choose it. */
  | { readonly kind: 'point'; readonly key: string; readonly initial: null };

export type Value = number | string | Point | null;
export type Values = Readonly<Record<string, Value>>;

/** A handle on the mat, and the parameter that dragging it sets. */
export type Grip = {
  readonly id: string;
  readonly piece: string;
  readonly key: string;
  readonly stages: readonly Stage[];
  readonly at: Point;
} & (
  | { readonly kind: 'point' }
  /** Slides along a path; the value is the share of its length. */
  | { readonly kind: 'along'; readonly path: Path; readonly min: number; readonly max: number }
  /** Slides along a line from `from`; the value grows by `per` for each millimetre along `axis`. */
  | {
      readonly kind: 'amount';
      readonly from: Point;
      readonly axis: Point;
      readonly per: number;
      readonly min: number;
      readonly max: number;
    }
  /** A place on the seam line. */
  | { readonly kind: 'outline' }
);

export interface Program {
  /** The piece the alteration is mainly about. */
  readonly piece: string;
  readonly instructions: readonly Instruction[];
  readonly grips?: readonly Grip[];
}

/** One piece at the end of a stage. */
export interface PieceFrame {
  readonly piece: Piece;
  readonly lines: readonly MarkLine[];
  readonly points: readonly MarkPoint[];
  readonly panels: readonly Panel[];
  readonly gaps: readonly Gap[];
  readonly dimensions: readonly Dimension[];
  /** The paper that moves during the stage, with its progress before and after. */
  readonly moves: {
    readonly from: Piece;
    readonly spec: SlashSpec;
    readonly before: Progress;
    readonly after: Progress;
  } | null;
}

/** The pieces as they lie at the end of a stage. */
export interface Frame {
  readonly stage: Stage;
  /** True where paper overlaps instead of opening: the stage reads "Lap". */
  readonly laps: boolean;
  readonly messages: readonly Message[];
  /** The pieces the alteration touches, its own first. */
  readonly pieces: readonly PieceFrame[];
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

/** What one piece was and has become. */
export interface PieceChange {
  readonly piece: string;
  readonly original: Piece;
  readonly panels: readonly Panel[];
  readonly lengths: Readonly<Record<string, LengthChange>>;
  readonly darts: readonly DartReport[];
  readonly bustPoint: Point | null;
  readonly inserted: number;
  readonly overlapped: number;
}

/** One alteration carried out: the pieces, every stage, and the numbers. */
export interface Run {
  readonly pieces: readonly Piece[];
  /** The seams, naming the edges as they are now. */
  readonly seams: readonly Seam[];
  readonly altered: string;
  readonly changes: readonly PieceChange[];
  readonly frames: readonly Frame[];
  readonly grips: readonly Grip[];
  readonly findings: readonly Finding[];
}

/** What an alteration works on: the pieces as the steps before it left them. */
export interface Context {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
  /** The untouched pieces, so that a check blames a step only for what it did. */
  readonly original: readonly Piece[];
  readonly originalSeams: readonly Seam[];
  /** The wearer's own measurements, where taken, mm. */
  readonly wearer: Readonly<Partial<Record<MeasurementKey, number>>>;
  /** The pattern's sizes drawn inside each other, what each was drafted for, and the one in hand. */
  readonly nest?: Readonly<Record<string, readonly Piece[]>>;
  readonly chart?: readonly ChartRow[];
  readonly size?: string | null;
  /** The height the pattern was drafted for, mm. */
  readonly draftedHeight?: number | null;
  /** Where a difference in height lies; omitted, evenly along the body. */
  readonly heightLies?: HeightLies;
  /** How far what hangs from the waist will pull it down, mm. */
  readonly hung?: number;
  /** Ease wanted at a measurement, whole body, mm; omitted, the alteration's usual ease. */
  readonly ease?: Readonly<Partial<Record<MeasurementKey, number>>>;
  /** For loose designs: the least ease that will do, mm, so that a body with room needs no change. */
  readonly enough?: Readonly<Partial<Record<MeasurementKey, number>>>;
  /** Measurements the pattern states no standard for, so that nothing can be compared. */
  readonly untold?: readonly MeasurementKey[];
  /** The precision of a tape at each measurement, mm: a smaller difference is ignored. */
  readonly within?: Readonly<Partial<Record<MeasurementKey, number>>>;
  /** With paper only: the pattern's measurements as entered. The pieces then are a similar draft and are not measured. */
  readonly flat?: Readonly<Partial<Record<MeasurementKey, number>>>;
}

/** What this body needs on these pieces: the values, and the sum behind them. */
export interface Fit {
  readonly values: Values;
  readonly sum: Message<FitCode>;
}

export interface Example {
  readonly name: string;
  /** Id of the sample pattern it is shown on. */
  readonly on: string;
  readonly values: Values;
  /** Steps done first, for alterations that only follow others. */
  readonly after?: readonly { readonly alteration: string; readonly values: Values }[];
}

/** One alteration: everything views, hand sheets, checks and docs need to know of it. */
export interface AlterationDefinition {
  /** Stored in files, so never reused for another procedure. */
  readonly id: string;
  readonly revision: number;
  readonly family: Family;
  /** Its place in the order of work; omitted, that of its family. */
  readonly phase?: Phase;
  readonly params: readonly Param[];
  /** The value that says how much, shown on slips and labels; null where there is none. */
  readonly amount: 'total' | 'by' | 'setback' | 'share' | 'allowance' | 'waist' | null;
  /**
   * The lengths that together make up the amount; omitted, `amount` alone. Where all of them are nothing, the pieces
   * stay exactly as they are: an alteration by nothing is the identity, and is not refused.
   */
  readonly amounts?: readonly string[];
  /** Edge roles a piece must have. */
  readonly requires: readonly string[];
  readonly refusals: readonly RefusalCode[];
  /** Runs on sample patterns, used by the tests and the docs page. */
  readonly examples: readonly Example[];
  /** Where the method comes from. */
  readonly source: string;
  /** Defaults of the other parameters for an amount (mm, whole body). */
  readonly suggest: (total: number) => Values;
  /** How well it suits a pattern, and why: `best` is proposed, `possible` is offered. */
  readonly suits: (
    pieces: readonly Piece[],
    seams?: readonly Seam[],
  ) => { readonly grade: 'best' | 'possible' | 'no'; readonly why: Message<WhyCode | RefusalCode> };
  /** Body measurements it is computed from; they are asked for first. */
  readonly reads?: readonly MeasurementKey[];
  /** The values this body asks for on these pieces; null where nothing is measured that would tell. */
  readonly fits?: (context: Context) => Fit | null;
  /** Offered with an explanation, never recommended: other methods leave it alone. */
  readonly offered?: true;
  readonly plan: (context: Context, values: Values) => Result<Program>;
  /** Checks what must hold afterwards; one finding for each broken promise. */
  readonly holds: (before: readonly Piece[], after: readonly Piece[]) => readonly Finding[];
}

/** Whether the amount is the bust's, which several methods work out, mm over the whole front. */
export const isByBust = (definition: Pick<AlterationDefinition, 'amount'> | undefined): boolean =>
  definition?.amount === 'total';
