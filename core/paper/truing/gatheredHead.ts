import {
  add,
  blend,
  endOf,
  endTangent,
  joinPaths,
  pathFromSpans,
  pathLength,
  splitAtLength,
  startTangent,
  type CubicSpan,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { replaceEdge, type Edge, type Piece } from '../../pattern/index.ts';
import { capEdges } from './restoreCap.ts';

/** Where the head of a sleeve is gathered: along the cap from its first end and from its last, mm; how much higher its top is drawn, mm. */
export interface Head {
  readonly fromStart: number;
  readonly fromEnd: number;
  readonly higher: number;
}

/** Handles of the two curves of a head, as a share of the way: full, as gathers want it. */
const FULL = 0.42;

/** One half of a head from the place where its gathers begin, along the cap there, to its level top. */
export const headSpan = (from: Point, along: Point, top: Point, higher: number): CubicSpan =>
  blend(from, along, add(top, { x: 0, y: -higher }), { x: Math.sign(top.x - from.x) || 1, y: 0 }, FULL);

/**
 * A cap in two halves drawn again between two places of it, over its top, which lies higher: each half in one curve that goes on
 * from what is kept and runs level at the top. Notches on what is drawn keep their share of it. The piece as it was where
 * its cap is not in two halves, or the places lie beyond its top.
 */
export function gatheredHead(sleeve: Piece, { fromStart, fromEnd, higher }: Head): Piece {
  const [first, last, ...others] = capEdges(sleeve);
  if (!first || !last || others.length > 0) return sleeve;
  const sizes = [pathLength(first.path), pathLength(last.path)] as const;
  if (fromStart >= sizes[0] || fromEnd >= sizes[1]) return sleeve;
  const top = endOf(first.path);
  const [kept] = splitAtLength(first.path, fromStart);
  const [, rest] = splitAtLength(last.path, sizes[1] - fromEnd);
  const up = headSpan(endOf(kept), endTangent(kept), top, higher);
  const back = startTangent(rest);
  const down = headSpan(rest.start, { x: -back.x, y: -back.y }, top, higher);
  const falling: CubicSpan = { kind: 'cubic', a: down.b, c1: down.c2, c2: down.c1, b: down.a };
  const one = withHalf(sleeve, first, joinPaths([kept, pathFromSpans([up])]), (at, now) =>
    at <= fromStart ? at : fromStart + ((at - fromStart) * (now - fromStart)) / (sizes[0] - fromStart),
  );
  return withHalf(one, last, joinPaths([pathFromSpans([falling]), rest]), (at, now) => {
    const drawn = sizes[1] - fromEnd;
    return at >= drawn ? at + now - sizes[1] : (at * (now - fromEnd)) / drawn;
  });
}

/** One half drawn anew, its notches put where they belong along it. */
function withHalf(sleeve: Piece, { id }: Edge, path: Path, placed: (at: number, now: number) => number): Piece {
  const now = pathLength(path);
  const marks = sleeve.marks.map((m) => (m.kind === 'notch' && m.edge === id ? { ...m, at: placed(m.at, now) } : m));
  return { ...replaceEdge(sleeve, id, path), marks };
}
