import { endOf, type Point } from '../../geometry/index.ts';
import { edgesWithRole, neckAway, neckBaseOf, type Piece } from '../../pattern/index.ts';
import type { Half } from './block.ts';
import { line, partOf, type Measure } from './flatMeasure.ts';
import { outerShoulders, shoulderPair, type ShoulderOn } from './shoulder.ts';

/** From the neck to the shoulder point, darts folded: a neckline cut wider than the neck takes nothing off. */
export const shoulderLength: Measure = (on) => {
  const pair = outerShoulders(on);
  if (!pair.ok) return null;
  const { front, back } = pair.value;
  // In panels the inner part of the shoulder lies on the piece with the neck.
  const withNeck = (s: ShoulderOn, part: Half): Piece =>
    s.before > 0 ? (partOf(on.pieces, part) ?? s.piece) : s.piece;
  const from = (s: ShoulderOn): Point => (s.before > 0 ? s.neckPoint : (neckBaseOf(s.piece) ?? s.neckPoint));
  return {
    value: front.before + front.length + neckAway(withNeck(front, 'front')).out,
    lines: [
      ...[front, back].map((s) => line(s.piece, from(s), s.shoulderPoint)),
      ...(front.before > 0 ? innerShoulders(on.pieces) : []),
    ],
  };
};

/** The part of a shoulder that lies on the panels with the neck. */
const innerShoulders = (pieces: readonly Piece[]) =>
  (['front', 'back'] as const).flatMap((part) => {
    const piece = partOf(pieces, part);
    return piece ? edgesWithRole(piece, 'shoulder').map((e) => line(piece, e.path.start, endOf(e.path))) : [];
  });

/** How far the shoulder falls, the mean of front and back over their own shoulders. */
export const shoulderDrop: Measure = (on) => {
  const pair = shoulderPair(on);
  if (!pair.ok) return null;
  const { front, back } = pair.value;
  const lines = [front, back].map((s) => line(s.piece, neckBaseOf(s.piece) ?? s.neckPoint, s.shoulderPoint));
  return { value: (dropOf(front) + dropOf(back)) / 2, lines };
};

/** How far a shoulder falls from neck to shoulder point. */
const dropOf = (on: ShoulderOn): number =>
  on.shut.shoulderPoint.y - on.shut.neckPoint.y + on.neckPoint.y - (neckBaseOf(on.piece) ?? on.neckPoint).y;
