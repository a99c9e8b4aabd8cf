import type { Point } from '../../geometry/index.ts';
import type { Piece } from '../../pattern/index.ts';
import type { Context } from '../contract.ts';

/** A flat measurement of the pieces: what a body measurement is compared with, and where the tape lies for it. */
export interface Flat {
  /** As the body is measured: all around for girths, one arm for sleeves, mm. On the seam line, darts folded out. */
  readonly value: number;
  readonly lines: readonly { readonly piece: string; readonly points: readonly Point[] }[];
}
export type OnPieces = Pick<Context, 'pieces' | 'seams'>;
export type Measure = (on: OnPieces) => Flat | null;

/** Where a tape lies on one piece. */
export const line = (piece: Piece, ...points: readonly Point[]) => ({ piece: piece.id, points });
export const partOf = (pieces: readonly Piece[], ...parts: readonly Piece['part'][]): Piece | undefined =>
  pieces.find((p) => parts.includes(p.part));
