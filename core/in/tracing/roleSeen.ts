import {
  distance,
  endOf,
  endTangent,
  midpoint,
  pathLength,
  startTangent,
  sub,
  turnBetween,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';
import { bowOf } from './corners.ts';

/** An edge whose role is asked. */
export interface Seen {
  readonly path: Path;
  readonly index: number;
  readonly dart: boolean;
}

/** Upright: leans no more than this from the vertical, degrees. */
export const UPRIGHT = 12;
/** The corner between armhole and side is at least so sharp, degrees. */
export const UNDERARM = 45;
/** A curve bows at least so much for its length. */
export const CURVED = 0.02;

export const leanOf = (path: Path): number => {
  const d = sub(endOf(path), path.start);
  return degrees(Math.atan2(Math.abs(d.x), Math.abs(d.y)));
};
export const isCurved = (path: Path): boolean => bowOf(path) > CURVED * pathLength(path);
export const middleOf = (path: Path): Point => midpoint(path.start, endOf(path));

/** Direction the outside of an edge of a clockwise outline looks, degrees: 0 right, 90 down, −90 up, 180 left. */
export const looks = (path: Path): number => {
  const d = sub(endOf(path), path.start);
  return degrees(Math.atan2(-d.x, d.y));
};
export const within = (angle: number, of: number, by: number): boolean => {
  const d = Math.abs(((angle - of + 540) % 360) - 180);
  return d <= by;
};

/** How sharply two edges that share an end turn there, degrees, whichever way each is drawn. */
export function cornerBetween(p: Path, q: Path): number {
  const on = distance(endOf(p), q.start) <= distance(p.start, endOf(q));
  return Math.abs(
    degrees(on ? turnBetween(endTangent(p), startTangent(q)) : turnBetween(endTangent(q), startTangent(p))),
  );
}

/** How long edges are when they are sewn, mm: the mouths of darts between them are shut. */
export const sewnLength = (list: readonly Seen[]): number =>
  list.reduce((sum, e) => sum + (e.dart ? 0 : pathLength(e.path)), 0);
export const sharp = (before: Seen | undefined, e: Seen): boolean =>
  before !== undefined && !before.dart && cornerBetween(before.path, e.path) >= UNDERARM;

/** A bodice whose side is sewn longer than this ends in a hem, mm: the longest side to a waist, and something over. */
export const SIDE_LONGEST = 265;
