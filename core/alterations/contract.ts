import type { Path, Point } from '../geometry/index.ts';
import type { Dart, LevelName, Piece, Seam } from '../pattern/index.ts';
import type { Gap, LengthChange, Panel, Progress, SlashSpec } from '../slash/index.ts';
import type { DivideNames, Finding, RotationTarget } from '../truing/index.ts';
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

interface At {
  readonly stage: Stage;
  /** Another piece than the program's own. */
  readonly piece?: string;
}
interface Said extends At {
  readonly message: Message;
}

/** The primitives. Only the interpreter, the kernel and the truing code touch curves. */
export type Instruction =
  | (Said & { readonly op: 'mark'; readonly lines: readonly MarkLine[]; readonly points: readonly MarkPoint[] })
  /** Carried out from its stage on: opened at `open`, levelled at `level`, closed at `dart`. */
  | (At & {
      readonly op: 'slash';
      readonly messages: Readonly<Partial<Record<Stage, Message>>>;
      readonly spec: SlashSpec;
      readonly dimensions: readonly Dimension[];
    })
  /** Carried out whole at its stage. */
  | (Said & { readonly op: 'shift'; readonly spec: SlashSpec })
  | (Said & {
      readonly op: 'landmark';
      readonly bustPoint?: Point;
      readonly levels?: Readonly<Partial<Record<LevelName, number>>>;
      /** The grainline stays where it was drawn, whatever the paper under it did. */
      readonly keepGrain?: boolean;
    })
  /** Turns a dart (wholly or by `share`) into another place; the tips are set back from the bust point. */
  | (Said & {
      readonly op: 'rotate';
      readonly dart: string;
      readonly target: RotationTarget;
      readonly about: Point;
      readonly share: number;
      readonly bustPoint: Point;
      readonly setback: number;
    })
  /** The opening that the slash left in an edge becomes a dart. */
  | (Said & { readonly op: 'openDart'; readonly edge: string; readonly at: number; readonly tip: Point })
  | (Said & { readonly op: 'retip'; readonly dart: string; readonly bustPoint: Point; readonly setback: number })
  /** From its ends on the seam to another tip, the legs made equal where they end. */
  | (Said & { readonly op: 'tip'; readonly dart: string; readonly tip: Point })
  | (Said & { readonly op: 'narrow'; readonly dart: string; readonly change: number })
  | (Said & { readonly op: 'cap'; readonly dart: string })
  | (Said & { readonly op: 'cutAway'; readonly dart: string; readonly allowance: number })
  | (Said & { readonly op: 'ease'; readonly dart: string })
  | (Said & {
      readonly op: 'divide';
      readonly upper: string;
      readonly lower: string;
      readonly meet: readonly Point[];
      readonly names: DivideNames;
    })
  | (Said & { readonly op: 'smooth'; readonly edge: string; readonly near: Point; readonly reach: number })
  | (Said & { readonly op: 'smoothKinks'; readonly role: 'waist' | 'hem'; readonly reach: number })
  /** One smooth curve between two arc lengths of an edge. */
  | (Said & { readonly op: 'fairRun'; readonly edge: string; readonly from: number; readonly to: number })
  /** A notch put at a distance from the upper end of its edge. */
  | (Said & { readonly op: 'notch'; readonly notch: string; readonly edge: string; readonly fromTop: number })
  /** Straight edges drawn straight again from end to end; their length together is held along the dart's slide. */
  | (Said & { readonly op: 'straighten'; readonly edges: readonly string[] })
  /** A hem or waist in one piece drawn again, square to the centre and to the side. */
  | (Said & { readonly op: 'redraw'; readonly role: 'waist' | 'hem' })
  /** Divides an edge where a change along it is to begin. */
  | (Said & { readonly op: 'part'; readonly edge: string; readonly at: number })
  | (Said & {
      readonly op: 'restoreWidth';
      /** The side edge; the lower part where `part` has divided it. */
      readonly side: string;
      readonly role: 'waist' | 'hem';
      readonly shape: 'straight' | 'curved';
    })
  | (Said & { readonly op: 'match'; readonly kinds: readonly Seam['kind'][] })
  | { readonly op: 'finding'; readonly stage: Stage; readonly finding: Finding };

/** Something on the table one may take hold of, and the value it sets. */
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
  /** The piece being altered first of all. */
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
  /** The paper that moves on entering the stage: from how far to how far. */
  readonly moves: {
    readonly from: Piece;
    readonly spec: SlashSpec;
    readonly before: Progress;
    readonly after: Progress;
  } | null;
}

/** What the table looks like at the end of a stage. */
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

/** What became of one piece. */
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

/** What an alteration may look at: the pieces as they are after the steps before it. */
export interface Context {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
  /** The untouched pieces, so that a check blames a step only for what it did. */
  readonly original: readonly Piece[];
  readonly originalSeams: readonly Seam[];
  /** From the wearer, where measured: mm. */
  readonly wearer: Readonly<{ neckPointToBustPoint?: number; bustSpan?: number }>;
}

export interface Example {
  readonly name: string;
  /** Id of the sample pattern it is shown on. */
  readonly on: string;
  readonly values: Values;
}

/** One alteration: everything views, hand sheets, checks and docs need to know of it. */
export interface AlterationDefinition {
  /** Saved in files; never reused for another procedure. */
  readonly id: string;
  readonly revision: number;
  readonly family: 'bust' | 'shoulder' | 'back' | 'length' | 'width' | 'dart' | 'sleeve' | 'trousers';
  readonly params: readonly Param[];
  /** The value that says how much, shown on slips and labels; null where there is none. */
  readonly amount: 'total' | 'by' | 'setback' | 'share' | 'allowance' | null;
  /** Edge roles a piece must have. */
  readonly requires: readonly string[];
  readonly refusals: readonly string[];
  /** Each on a sample pattern: they drive tests and the page of the docs. */
  readonly examples: readonly Example[];
  /** Where the method comes from. */
  readonly source: string;
  /** Values that go with an amount (mm, whole body) unless the user sets them. */
  readonly suggest: (total: number) => Values;
  /** How well it suits a pattern, and why: `best` is proposed, `possible` is offered. */
  readonly suits: (pieces: readonly Piece[]) => { readonly grade: 'best' | 'possible' | 'no'; readonly why: Message };
  readonly plan: (context: Context, values: Values) => Result<Program>;
  /** What must hold afterwards; a finding is returned for each promise broken. */
  readonly holds: (before: readonly Piece[], after: readonly Piece[]) => readonly Finding[];
}
