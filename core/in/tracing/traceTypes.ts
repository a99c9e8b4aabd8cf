import type { Path, Point } from '../../geometry/index.ts';
import type { CentreInside, EdgeRole, LevelName, Piece } from '../../pattern/index.ts';
import type { FoundDart } from './darts.ts';
import type { FoundDouble } from './doubleDarts.ts';
import type { Orientation } from './orient.ts';
import type { Part } from './roles.ts';

/** What is known, or was said by hand, of a piece that is being traced. Points lie where they do on the drawing. */
export interface TraceChoices {
  readonly id: string;
  readonly name: string;
  readonly part: Part;
  readonly cut: number;
  /** Half of what it becomes on the body. */
  readonly half: boolean;
  /** Which line the outline is. */
  readonly line: 'cutting' | 'sewing';
  /** Default seam allowance of an edge, mm. */
  readonly allowance: number;
  /** Bevels and roundings at the corners of a cutting line: left out, or kept. */
  readonly corners: 'mitred' | 'asDrawn';
  /** How it is turned from the drawing to the table; null takes what the grain says. */
  readonly orientation: Orientation | null;
  /** Corners set (`on`) or taken away by hand. */
  readonly turned: readonly { readonly at: Point; readonly on: boolean }[];
  /** Choices for edges, keyed by a point on or near the middle, so that they survive re-tracing. */
  readonly said: readonly {
    readonly at: Point;
    readonly role?: EdgeRole;
    readonly allowance?: number;
    readonly fold?: boolean;
  }[];
  /** Darts not wanted, and darts drawn by hand: tip and the two places where the legs meet the outline. */
  readonly notDarts: readonly Point[];
  readonly ownDarts: readonly { readonly tip: Point; readonly one: Point; readonly two: Point }[];
  /** Notches not wanted, and set by hand. */
  readonly notNotches: readonly Point[];
  readonly ownNotches: readonly Point[];
  readonly grain: { readonly from: Point; readonly to: Point } | null;
  readonly bustPoint: Point | null;
  readonly levels: Readonly<Partial<Record<LevelName, Point>>>;
  /** Where the centre lies inside the outer edge of an extension or facing; `edge`: at the edge; null: as found. */
  readonly centreInside: CentreInside | 'edge' | null;
}

export type TraceNote =
  | { readonly code: 'gaps-healed'; readonly data: { readonly count: number; readonly widest: number } }
  | { readonly code: 'corners-joined'; readonly data: { readonly count: number } }
  | {
      readonly code: 'allowance-missed';
      readonly data: { readonly x: number; readonly y: number; readonly off: number };
    }
  | { readonly code: 'leg-misses'; readonly data: { readonly x: number; readonly y: number } }
  | { readonly code: 'no-grain'; readonly data: Record<string, never> }
  | { readonly code: 'no-bust-point'; readonly data: Record<string, never> }
  | { readonly code: 'looks-whole'; readonly data: Record<string, never> }
  | { readonly code: 'centre-found'; readonly data: { readonly centre: number; readonly fold: number } }
  | { readonly code: 'centre-or-fold'; readonly data: { readonly inside: number } }
  | { readonly code: 'centre-not-inside'; readonly data: { readonly piece: string } };

export interface TracedEdge {
  readonly path: Path;
  readonly role: EdgeRole;
  readonly allowance: number;
  readonly fold: boolean;
}
/** What tracing found, on the drawing, and the piece made of it, turned as it lies on the table. */
export interface Traced {
  readonly piece: Piece;
  /** Edges along the seam line as they lie on the drawing, in the order of the piece's before it was turned over. */
  readonly edges: readonly TracedEdge[];
  readonly corners: readonly Point[];
  readonly darts: readonly (FoundDart & { readonly mouth: number })[];
  /** Darts with two points, inside the piece. */
  readonly doubleDarts: readonly FoundDouble[];
  readonly notches: readonly { readonly at: Point; readonly count: number }[];
  readonly dots: readonly Point[];
  readonly bustPoint: Point | null;
  readonly grain: { readonly from: Point; readonly to: Point } | null;
  readonly orientation: Orientation;
  readonly notes: readonly TraceNote[];
}

export const plainChoices = (id: string, name: string): TraceChoices => ({
  id,
  name,
  part: 'front',
  cut: 1,
  half: true,
  line: 'cutting',
  allowance: 15,
  corners: 'mitred',
  orientation: null,
  turned: [],
  said: [],
  notDarts: [],
  ownDarts: [],
  notNotches: [],
  ownNotches: [],
  grain: null,
  bustPoint: null,
  levels: {},
  centreInside: null,
});

/** How near a click on the drawing counts as meant, mm. */
export const MEANT = 6;
