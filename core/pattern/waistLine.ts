import type { Point } from '../geometry/index.ts';
import { levelOf } from './access.ts';
import { flippedTape } from './bustLine.ts';
import { sideDirection } from './measure.ts';
import type { Piece, TapeStretch } from './types.ts';

/**
 * How high the waist lies at the centre of a piece and at its side, y in mm: one height while it is level, two once the
 * piece was folded (or spread) across the waist at its centre alone. Null on a piece without a waist.
 */
export function waistHeight(piece: Piece, at: 'centre' | 'side'): number | null {
  const ends = piece.waistLine?.flatMap((s) => [s.from, s.to]) ?? [];
  if (ends.length === 0) return levelOf(piece, 'waist')?.y ?? null;
  const outward = sideDirection(piece) * (at === 'side' ? 1 : -1);
  return ends.reduce((best, p) => ((p.x - best.x) * outward > 0 ? p : best)).y;
}

/** The line seen from the other side of the cloth. */
export function flippedWaistLine(
  line: readonly TapeStretch[] | undefined,
  flip: (p: Point) => Point,
): { readonly waistLine?: readonly TapeStretch[] } {
  return line ? { waistLine: flippedTape(line, flip) } : {};
}
