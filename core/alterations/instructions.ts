import type { Point } from '../geometry/index.ts';
import type { LevelName, Seam } from '../pattern/index.ts';
import type { SlashSpec } from '../paper/slash/index.ts';
import type { CapGoal, DivideNames, Finding, RotationTarget, SideKnot, WaistPanel } from '../paper/truing/index.ts';

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

export interface At {
  readonly stage: Stage;
  /** Another piece than the program's own. */
  readonly piece?: string;
}
export interface Said extends At {
  readonly message: Message;
}

/** The primitives. Only the interpreter, the kernel and the truing code touch curves. */
export type Instruction =
  | Redraw
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
  /**
   * One smooth curve between two arc lengths of an edge; the second counted from its start or from its end, as is known
   * before a slash has made the edge longer or shorter.
   */
  | (Said & {
      readonly op: 'fairRun';
      readonly edge: string;
      readonly from: number;
      readonly free?: boolean;
      /** How long the whole edge is to be, mm; left out, as long as it was. */
      readonly length?: number;
      /** An edge of another piece drawn before: it becomes as much longer or shorter as that has. */
      readonly like?: { readonly piece: string; readonly edge: string };
    } & ({ readonly to: number } | { readonly toFromEnd: number }))
  /** A notch put at a distance from the upper end of its edge. */
  | (Said & { readonly op: 'notch'; readonly notch: string; readonly edge: string; readonly fromTop: number })
  /** Straight edges drawn straight again from end to end; their length together is held along the dart's slide. */
  | (Said & { readonly op: 'straighten'; readonly edges: readonly string[] })
  /** Edges put back as they lay before the step, so that they are drawn again from their own shape. */
  | (Said & { readonly op: 'asBefore'; readonly edges: readonly string[] })
  /** How much wider or narrower a waist or hem has become, told from the pieces. */
  | (Said & { readonly op: 'tellWidth'; readonly role: 'waist' | 'hem' })
  /** Notches of the piece that follows put where they meet those of the seam it is sewn into, as they were drafted to. */
  | (Said & { readonly op: 'matchNotches'; readonly seam: string })
  /** A seam's ease set anew: a band keeps its ratio, not its difference. */
  | (Said & { readonly op: 'easeTo'; readonly seam: string; readonly ease: number })
  /** A hem or waist in one piece drawn again, square to the centre and to the side. */
  | (Said & { readonly op: 'redraw'; readonly role: 'waist' | 'hem' })
  /** Divides an edge where a change along it is to begin. */
  | (Said & { readonly op: 'part'; readonly edge: string; readonly at: number })
  | (Said & {
      readonly op: 'restoreWidth';
      /** What was let out at the bust stays: the side is drawn in from there down. */
      readonly belowBust?: boolean;
      /** The side edge; the lower part where `part` has divided it. */
      readonly side: string;
      readonly role: 'waist' | 'hem';
      readonly shape: 'straight' | 'curved';
      /** How long the waist or hem is to be, sewn; left out, as long as it was before. */
      readonly target?: number;
      /** Panels whose waist or hem counts with it: what they have lost is given back here too. */
      readonly others?: readonly string[];
    })
  | (Said & { readonly op: 'match'; readonly kinds: readonly Seam['kind'][] })
  /** Tells where a waist or hip, measured again over these pieces, is not what was wanted, mm. */
  | (At & {
      readonly op: 'tellReached';
      readonly level: 'waist' | 'hip';
      readonly pieces: readonly string[];
      readonly wanted: number;
    })
  | { readonly op: 'finding'; readonly stage: Stage; readonly finding: Finding };

/** A seam as it lies on one piece, in outline order. */
export interface SeamPlace {
  readonly piece: string;
  readonly edges: readonly string[];
}

/** Edges drawn again with pencil and ruler, no paper moved. */
export type Redraw =
  /** The corner where `edge` begins, and both edges to it again, from nothing at their reach. */
  | (Said & {
      readonly op: 'corner';
      readonly edge: string;
      readonly to: Point;
      readonly reach?: { readonly first?: number; readonly second?: number };
    })
  /** A whole edge carried, its start and its end each by its own shift; its neighbours are drawn to it. */
  | (Said & { readonly op: 'carry'; readonly edge: string; readonly start: Point; readonly end: Point })
  /** An edge cut shorter at one end; its neighbour is drawn to the new end from nothing at `reach`. */
  | (Said & {
      readonly op: 'trim';
      readonly edge: string;
      readonly at: 'start' | 'end';
      readonly by: number;
      readonly reach: number;
    })
  /** The joint between an edge and the next moved along them. */
  | (Said & { readonly op: 'joint'; readonly edge: string; readonly by: number })
  /** The end of a curve turned until its corner is what it was before the work began. */
  | (Said & {
      readonly op: 'keepCorner';
      readonly edge: string;
      readonly at: 'start' | 'end';
      readonly reach: number;
    })
  /** A seam ruled straight as it is sewn, the darts in it folded shut. */
  | (Said & { readonly op: 'rule'; readonly edges: readonly string[] })
  /** The waist from so far above where it meets the centre to nothing at the side; on a panel, its part of that. */
  | (Said & { readonly op: 'raiseCentre'; readonly by: number; readonly panel?: WaistPanel })
  | (Said & {
      readonly op: 'widen';
      /** The parts of the side that move, from the top down; darts may lie between them. */
      readonly edges: readonly string[];
      readonly knots: readonly SideKnot[];
      readonly out: 1 | -1;
      /** The seam keeps its length; what is lost or gained is put right at its lower end. */
      readonly hold: boolean;
      /** Where it bends at a knot it is drawn as one curve, this far to either side. */
      readonly smooth?: number;
    })
  /** A sliver along a shoulder seam from one piece to the other. */
  | (Said & {
      readonly op: 'transfer';
      readonly from: SeamPlace;
      readonly to: SeamPlace;
      readonly neck: number;
      readonly shoulder: number;
    })
  | (Said & { readonly op: 'restoreNeck'; readonly by: number; readonly reach: number })
  | (Said & { readonly op: 'fitCap'; readonly goal: CapGoal })
  /** Drawn anew on the piece it faces. */
  | (Said & { readonly op: 'facing'; readonly of: string; readonly depth: number })
  /** A pocket's opening drawn anew along the part of the seam it is sewn into. */
  | (Said & { readonly op: 'opening'; readonly of: string; readonly seam: string })
  | (Said & { readonly op: 'allowance'; readonly edges: readonly string[]; readonly by: number });
