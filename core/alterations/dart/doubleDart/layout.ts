import { add, distance, lerp, scale, sub, unit } from '../../../geometry/index.ts';
import {
  bowOf,
  doubleDartsOf,
  doubleDartShape,
  mostBow,
  sideDirection,
  type DoubleDart,
  type Piece,
} from '../../../pattern/index.ts';
import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type { DoubleDartDrawn } from '../../operations/shapeDart.ts';

/** A dart left with less is not worth sewing; on either side of its widest line it is at least so long, mm. */
const LEAST = { width: 2, part: 20 } as const;

/** Darts without a mouth on the pieces meant, each with the way to the side. */
export interface OnPiece {
  readonly piece: Piece;
  readonly dart: DoubleDart;
  readonly out: 1 | -1;
}

export const doubleDartsOn = (pieces: readonly Piece[], parts: readonly Piece['part'][]): readonly OnPiece[] =>
  pieces
    .filter((p) => parts.includes(p.part))
    .flatMap((piece) => doubleDartsOf(piece).map((dart) => ({ piece, dart, out: sideDirection(piece) })));

/** How often a dart is sewn around the body: once on either half. */
export const timesSewn = (on: readonly OnPiece[]): number =>
  on.reduce((sum, { piece }) => sum + (piece.half ? 2 : 1), 0);

/** So much wider the whole waist can become in these darts, mm. */
export const mostGiven = (on: readonly OnPiece[]): number =>
  Math.max(0, Math.min(...on.map((o) => o.dart.width)) - LEAST.width) * timesSewn(on);

/** Moved as a whole, mm: towards the side and down. */
export const movedBy = (dart: DoubleDartDrawn, out: number, down: number): DoubleDartDrawn => {
  const by = { x: out, y: down };
  return { ...dart, upper: add(dart.upper, by), lower: add(dart.lower, by) };
};

/** Its tips moved along it, mm, its widest line where it is; refused where a part of it is left too short to sew. */
export function lengthenedBy(
  on: OnPiece,
  dart: DoubleDartDrawn,
  above: number,
  below: number,
): Result<DoubleDartDrawn> {
  const { middle } = doubleDartShape(dart);
  const down = unit(sub(dart.lower, dart.upper));
  const parts = [distance(dart.upper, middle) + above, distance(middle, dart.lower) + below] as const;
  if (Math.min(...parts) < LEAST.part) return refuse('dart-too-short', { piece: on.piece.name, least: LEAST.part });
  return ok({
    ...dart,
    upper: sub(middle, scale(down, parts[0])),
    lower: add(middle, scale(down, parts[1])),
    widest: parts[0] / (parts[0] + parts[1]),
  });
}

/** Its legs curved farther out by so much half-way, mm, below nothing farther in; refused where they would be too curved for its width. */
export function bowedBy(on: OnPiece, dart: DoubleDartDrawn, by: number): Result<DoubleDartDrawn> {
  const bow = bowOf(dart) + by;
  const most = mostBow(dart.width);
  if (Math.abs(bow) > most + TOL.same) return refuse('dart-legs-too-curved', { piece: on.piece.name, most });
  return ok({ ...dart, curve: Math.abs(bow) < TOL.same ? 0 : Math.max(-1, Math.min(1, bow / most)) });
}

/** Two darts of half the width beside each other, the one nearer the side a little shorter at both tips. */
export function inTwo(dart: DoubleDartDrawn, out: 1 | -1, apart: number): readonly [DoubleDartDrawn, DoubleDartDrawn] {
  const half = { ...dart, width: dart.width / 2 };
  const second = movedBy(half, (out * apart) / 2, 0);
  const { middle } = doubleDartShape(second);
  return [
    movedBy(half, (-out * apart) / 2, 0),
    { ...second, upper: lerp(second.upper, middle, SHORTER), lower: lerp(second.lower, middle, SHORTER) },
  ];
}
/** By this share of its parts: tips level with each other would pull into a line. */
const SHORTER = 0.12;
