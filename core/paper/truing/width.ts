import {
  joinPaths,
  add,
  blend,
  cross,
  distance,
  endOf,
  endTangent,
  left,
  mapPath,
  pathFromSpans,
  pathLength,
  placeAt,
  reversePath,
  rotate,
  rotateAbout,
  scale,
  spanLength,
  spansOf,
  splitPath,
  splitSpan,
  startTangent,
  sub,
  type Path,
  type Point,
  type Span,
} from '../../geometry/index.ts';
import { bisect } from '../../numeric/index.ts';
import { replaceEdge, requireEdge, type Piece } from '../../pattern/index.ts';
import { isStraightPath } from './stretch.ts';
import { mm, ok, refuse, TOL, type Mm, type Result } from '../../units/index.ts';

export interface RestoreSpec {
  /** The side edge whose upper end stays and whose lower end moves. */
  readonly side: string;
  /** The waist or hem edge that meets the lower end. */
  readonly waist: string;
  /** Length the waist edge should have afterwards. */
  readonly target: Mm;
  readonly shape: 'straight' | 'curved';
  /** How far down the side its paper stays as it is, mm along the seam: what was let out there is meant to be there. */
  readonly stays?: number;
}

/**
 * Gives a waist its width back at the side seam, from nothing at the upper end of `side`, or lower where it `stays`. Straight: the seam
 * turns about its upper end, so its length holds exactly. Curved: it leaves in its old direction and bends in,
 * length held. The waist is redrawn square to the new seam. Refuses when the turn would pass 30°.
 */
export function restoreWidth(
  piece: Piece,
  spec: RestoreSpec,
): Result<{ readonly piece: Piece; readonly moved: number }, 'width-not-restored'> {
  const sideEdge = requireEdge(piece, spec.side).path;
  const waistEdge = requireEdge(piece, spec.waist).path;
  // Works in the orientation where the side runs down into the waist; mirrored halves run the other way.
  const sideFirst = distance(endOf(sideEdge), waistEdge.start) < distance(sideEdge.start, endOf(waistEdge));
  const flip = (p: Path): Path => (sideFirst ? p : reversePath(p));
  const whole = flip(sideEdge);
  const stays = spec.stays !== undefined && spec.stays > TOL.touches ? spec.stays : 0;
  const [above, side] =
    stays > 0 && stays < pathLength(whole) / 2 ? splitPath(whole, placeAt(whole, stays)) : [null, whole];
  const waist = flip(waistEdge);
  const length = pathLength(side);
  const corner = endOf(side);
  const n = piece.edges.length;
  const at = piece.edges.findIndex((e) => e.id === spec.waist);
  const endsAtDart = piece.edges[(at + (sideFirst ? 1 : n - 1)) % n]?.role === 'dart';

  const drawSide = (angle: number): Path => {
    if (spec.shape === 'straight') return mapPath(side, (p) => rotateAbout(p, side.start, angle));
    if (!isStraightPath(side)) return bentIn(side, angle);
    const to = rotateAbout(corner, side.start, angle);
    const u = rotate(startTangent(side), angle * 0.4);
    const v = rotate(endTangent(side), angle * 1.5);
    const curve = (end: Point) => pathFromSpans([blend(side.start, u, end, v)]);
    let end = to;
    for (let i = 0; i < 6; i++) end = add(side.start, scale(sub(end, side.start), length / pathLength(curve(end))));
    return curve(end);
  };
  const drawWaist = (newSide: Path): Path => {
    // Up to a waist dart the whole seam is redrawn; a waist that runs on to the centre keeps the part next to it.
    const square = scale(left(endTangent(newSide)), sideFirst ? -1 : 1);
    if (endsAtDart) return pathFromSpans([blend(endOf(newSide), square, endOf(waist), endTangent(waist))]);
    const keep = splitPath(waist, placeAt(waist, pathLength(waist) * 0.6))[1];
    return pathFromSpans([blend(endOf(newSide), square, keep.start, startTangent(keep)), ...spansOf(keep)]);
  };
  const excess = (angle: number): number => pathLength(drawWaist(drawSide(angle))) - spec.target;
  if (Math.abs(pathLength(waist) - spec.target) < TOL.length) return ok({ piece, moved: mm(0) });
  // Outward first on either side of the body: a piece turned over is altered as its mirror image.
  const outward = cross(sub(corner, side.start), sub(endOf(waist), corner)) > 0 ? 1 : -1;
  const found = turnThatFits(excess, outward);
  if (found === null) return refuse('width-not-restored', { by: excess(0) });
  const turned = drawSide(found);
  const newSide = above ? joinPaths([above, turned]) : turned;
  const drawn = drawWaist(newSide);
  return ok({
    piece: replaceEdge(replaceEdge(piece, spec.side, flip(newSide)), spec.waist, flip(drawn)),
    moved: mm(distance(corner, endOf(newSide))),
  });
}

/** Longest part of a curve whose handles may be moved like points on it, mm. */
const PART = 40;

/**
 * A shaped seam bent about its upper end, more and more towards the lower one, which turns by the whole angle: its
 * own shape is kept, and its length.
 */
function bentIn(side: Path, angle: number): Path {
  const reach = distance(side.start, endOf(side));
  const bend = (p: Point): Point => rotateAbout(p, side.start, (angle * distance(p, side.start)) / reach);
  const goal = pathLength(side);
  const parts = spansOf(side).flatMap((span) => inParts(span, Math.ceil(spanLength(span) / PART)));
  const bent = mapPath(pathFromSpans(parts), bend);
  const drawn = (k: number): Path => mapPath(bent, (p) => add(side.start, scale(sub(p, side.start), k)));
  return drawn(goal / pathLength(bent));
}

function inParts(span: Span, n: number): readonly Span[] {
  if (n <= 1) return [span];
  const [head, rest] = splitSpan(span, 1 / n);
  return [head, ...inParts(rest, n - 1)];
}

/** The smallest turn either way, up to 30°, that makes the widths match; null when there is none. */
function turnThatFits(excess: (angle: number) => number, first: 1 | -1): number | null {
  const step = Math.PI / 180;
  const over = excess(0) > 0;
  for (let i = 1; i <= 30; i++)
    for (const way of [first, -first])
      if (excess(way * i * step) > 0 !== over) {
        const ends = [way * (i - 1) * step, way * i * step] as const;
        return bisect(excess, Math.min(...ends), Math.max(...ends), TOL.fine);
      }
  return null;
}
