import {
  add,
  blend,
  endOf,
  endTangent,
  fairAt,
  joinPaths,
  kinkAt,
  nearestLength,
  pathFromSpans,
  pathLength,
  spansOf,
  spanLength,
  splitAtLength,
  startTangent,
  subPath,
  unit,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { requireEdge, replaceEdge, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';

/** Smooths one edge where it is nearest to a point (a hinge), length held. Says how much the length changed. */
export function smoothNear(
  piece: Piece,
  edge: string,
  near: Point,
  reach: number,
): { readonly piece: Piece; readonly change: number; readonly kink: number } {
  const path = requireEdge(piece, edge).path;
  const at = jointNear(path, near);
  const faired = fairAt(path, at, reach);
  return {
    piece: replaceEdge(piece, edge, faired),
    change: pathLength(faired) - pathLength(path),
    kink: kinkAt(path, at),
  };
}

/** Arc length of the joint between spans nearest to a point; kinks only sit at joints. */
function jointNear(path: Path, near: Point): number {
  const wanted = nearestLength(path, near);
  let at = 0;
  let best = wanted;
  let gap = Infinity;
  for (const s of spansOf(path)) {
    at += spanLength(s);
    if (Math.abs(at - wanted) < gap) {
      gap = Math.abs(at - wanted);
      best = at;
    }
  }
  return gap < 1 ? best : wanted;
}

/**
 * Draws the part of a path between two arc lengths again as one curve that leaves and arrives in the old
 * directions, as near to the old length as such a curve comes without a bulge (with `hold` false: a plain fair curve;
 * with a number: until the whole path is that long). The ends never move.
 */
export function fairRun(path: Path, from: number, to: number, hold: boolean | number = true): Path {
  const total = pathLength(path);
  const a = Math.max(0, from);
  const b = Math.min(total, to);
  if (b - a < 2) return path;
  const [head] = splitAtLength(path, a);
  const [, tail] = splitAtLength(path, b);
  const run = subPath(path, a, b);
  const drawn = (handle: number): Path =>
    pathFromSpans([blend(run.start, startTangent(run), endOf(run), endTangent(run), handle)]);
  const swap = (middle: Path): Path => joinPaths([head, middle, tail].filter((p) => p.segments.length > 0));
  if (hold === false) return swap(drawn(1 / 3));
  const goal = hold === true ? pathLength(run) : hold - (total - pathLength(run));
  // Longer handles make a longer curve; beyond these it would bulge or fold back.
  let low = 0.2;
  let high = 0.62;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (pathLength(drawn(middle)) < goal) low = middle;
    else high = middle;
  }
  return swap(drawn((low + high) / 2));
}

/**
 * Smooths every kink inside an edge sharper than `least` radians: kinks that lie near each other are drawn over
 * with one curve, from `reach` before the first to `reach` after the last. Used on waists and hems.
 */
export function smoothKinks(path: Path, least: number, reach: number): Path {
  const joints = spansOf(path)
    .slice(0, -1)
    .reduce<number[]>((sum, s) => [...sum, (sum.at(-1) ?? 0) + spanLength(s)], []);
  const kinks = joints.filter((at) => Math.abs(kinkAt(path, at)) > least);
  const runs: { from: number; to: number }[] = [];
  for (const at of kinks) {
    const last = runs.at(-1);
    if (last && at - reach <= last.to) last.to = at + reach;
    else runs.push({ from: at - reach, to: at + reach });
  }
  // Works from the far end, so that redrawing one kink does not shift those still to come.
  return runs.reduceRight((out, run) => fairRun(out, run.from, run.to), path);
}

/**
 * Rounds every kink inside an edge with two curves that meet in it, along the mean of its two directions, within
 * `reach` to either side: the edge still runs through the place where it was bent.
 */
export function roundKinks(path: Path, reach: number): Path {
  const total = pathLength(path);
  const joints = spansOf(path)
    .slice(0, -1)
    .reduce<number[]>((sum, s) => [...sum, (sum.at(-1) ?? 0) + spanLength(s)], [])
    .filter((at) => Math.abs(kinkAt(path, at)) > TOL.visibleKink);
  return joints.reduceRight((out, at, i) => {
    // Neighbouring kinks share what lies between them.
    const room = (other: number | undefined, end: number): number =>
      other === undefined ? Math.abs(end - at) * 0.9 : Math.abs(other - at) * 0.48;
    const before = Math.min(reach, room(joints[i - 1], 0));
    const after = Math.min(reach, room(joints[i + 1], total));
    if (before < 0.5 || after < 0.5) return out;
    const [head, rest] = splitAtLength(out, at - before);
    const [one, more] = splitAtLength(rest, before);
    const [two, tail] = splitAtLength(more, after);
    const along = unit(add(endTangent(one), startTangent(two)));
    const drawn = pathFromSpans([
      blend(one.start, startTangent(one), endOf(one), along),
      blend(two.start, along, endOf(two), endTangent(two)),
    ]);
    return joinPaths([head, drawn, tail].filter((p) => p.segments.length > 0));
  }, path);
}
