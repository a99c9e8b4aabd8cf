import { dot, endOf, pathLength, rotateAbout, scale, sub, type Point } from '../../../geometry/index.ts';
import { solveBetween } from '../../../numeric/index.ts';
import { requireEdge, type Piece } from '../../../pattern/index.ts';
import { carryEdge, type Swing } from '../../../paper/truing/index.ts';
import { downSide } from '../../kit/underarm.ts';
import { type ShoulderOn, type ShoulderPair } from '../../kit/shoulder.ts';
import { TOL } from '../../../units/index.ts';

/** The shoulder turned about the neck point until its end has dropped by so much, darts folded; its length is kept. */
export function dropped(on: ShoulderOn, by: number): Point | null {
  const { neckPoint, shoulderPoint } = on.shut;
  const drop = shoulderPoint.y - neckPoint.y + by;
  if (Math.abs(drop) > on.length * 0.9) return null;
  const now = Math.asin((shoulderPoint.y - neckPoint.y) / on.length);
  return on.open(rotateAbout(shoulderPoint, neckPoint, Math.asin(drop / on.length) - now));
}

/**
 * How an armhole follows its shoulder end: that goes down with it, and sideways by what runs out at the notch, so that the
 * width across there stays; the underarm goes down the side.
 */
export function followed(
  on: ShoulderOn,
  to: Point,
  side: Point,
  lowered: number,
): { readonly start: Point; readonly end: Point; readonly swing: Swing } {
  const shift = sub(to, on.shoulderPoint);
  const [down, under] = [{ x: 0, y: shift.y }, scale(side, lowered)];
  const { path } = requireEdge(on.piece, on.armhole);
  const [top, bottom] = on.neckFirst ? [path.start, endOf(path)] : [endOf(path), path.start];
  const chord = sub(bottom, top);
  const over = dot(sub(on.hinge.at, top), chord) / dot(chord, chord);
  return {
    ...(on.neckFirst ? { start: down, end: under } : { start: under, end: down }),
    swing: { end: on.neckFirst ? 'start' : 'end', by: { x: shift.x, y: 0 }, over },
  };
}

/**
 * How far both underarms go down the side so that front and back armhole together keep their size: the drop itself,
 * but for the little by which the shoulder end also swings sideways.
 */
export function underarmFor({ front, back }: ShoulderPair, by: number): number {
  const grown = (lowered: number): number =>
    [front, back].reduce((sum, on) => {
      const to = dropped(on, by);
      const side = downSide(on.piece, on.armhole);
      if (!to || !side) return sum;
      const { start, end, swing } = followed(on, to, side, lowered);
      const length = (piece: Piece): number => pathLength(requireEdge(piece, on.armhole).path);
      return sum + length(carryEdge(on.piece, on.armhole, start, end, swing)) - length(on.piece);
    }, 0);
  const [low, high] = [by * 0.5, by * 1.5];
  return by === 0 || grown(low) > 0 === grown(high) > 0 ? by : solveBetween(grown, low, high, TOL.solve);
}
