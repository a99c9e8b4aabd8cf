import {
  distance,
  pathFromSpans,
  spansOf,
  cross,
  sub,
  type Path,
  type Point,
  type Span,
} from '../../geometry/index.ts';
import { TOL } from '../../units/index.ts';

/** An outline of more bits than this is thinned before it is traced: more tells a pattern nothing. */
export const MOST_BITS = 6_000;
/** And one that still has more is none. */
export const MOST_THINNED = 20_000;
/** No bit becomes longer than this, mm: what is left out between its ends stays near to it. */
const LONGEST = 2 * TOL.straight;

/**
 * An outline drawn in very many straight bits, drawn in fewer: points go that lie within `TOL.fit` of the line from the
 * point kept before to the next, which corners and notches do not. Curves stay. Outlines of a usual number of bits are
 * handed back as they are.
 */
export function thinned(path: Path): Path {
  if (path.segments.length <= MOST_BITS) return path;
  const spans = spansOf(path);
  const out: Span[] = [];
  // Where the bit under way began, and the points left out since: none may come to lie aside of it.
  let from: Point | null = null;
  let left: Point[] = [];
  spans.forEach((s, i) => {
    if (s.kind !== 'line') {
      out.push(s);
      return;
    }
    const a: Point = from ?? s.a;
    const next = spans[i + 1];
    const passed = [...left, s.b];
    if (next?.kind === 'line' && distance(a, next.b) < LONGEST && passed.every((p) => aside(p, a, next.b) < TOL.fit)) {
      from = a;
      left = passed;
      return;
    }
    out.push({ kind: 'line', a, b: s.b });
    from = null;
    left = [];
  });
  return out.length === 0 ? path : pathFromSpans(out);
}

/** How far a point lies from the line through two others, mm; from the first where they are one. */
function aside(p: Point, a: Point, b: Point): number {
  const size = distance(a, b);
  return size === 0 ? distance(p, a) : Math.abs(cross(sub(b, a), sub(p, a))) / size;
}
