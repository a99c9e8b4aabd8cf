import type { Sheet } from '../cloth/index.ts';
import type { Point } from '../geometry/index.ts';
import type { Piece } from '../pattern/index.ts';
import type { Band } from './bands.ts';

/** Where the triangles of one piece stand in a toile, and its points on paper. */
export interface Panel {
  readonly piece: Piece;
  readonly from: number;
  readonly to: number;
  /** The point of the toile that each point of the piece is, and where it lies on the paper, mm. */
  readonly points: Int32Array;
  readonly places: readonly Point[];
  /** Three of its own points for every triangle. */
  readonly triangles: Int32Array;
}

/** Pieces sewn together: the wearer’s left half of a garment that is alike on both sides. */
export interface Toile {
  readonly sheet: Sheet;
  readonly panels: readonly Panel[];
  /** The points along every edge of every piece, in outline order, by piece and edge. */
  readonly edges: ReadonlyMap<string, Int32Array>;
  /** Lines of points that are sewn, for a drawing. */
  readonly seams: readonly Int32Array[];
  /** Bands, cuffs and collars, in the order in which they are sewn on. */
  readonly bands: readonly Sewn[];
  /** The edges in the plane between the halves: sewn to their mirror image, or cut on the fold. */
  readonly centres: readonly string[];
}

/** A band that is sewn on: the points of its seam from end to end, and how far along it they lie, mm. */
export interface Sewn extends Band {
  readonly line: readonly { readonly at: number; readonly point: number }[];
}

export const edgeKey = (piece: string, edge: string): string => `${piece} ${edge}`;
