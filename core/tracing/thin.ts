import {
  distance,
  pathFromSpans,
  spansOf,
  turnBetween,
  sub,
  type Path,
  type Point,
  type Span,
} from '../geometry/index.ts';
import { TOL } from '../units/index.ts';

/** An outline of more bits than this is thinned before it is traced: more tells a pattern nothing. */
export const MOST_BITS = 6_000;
/** And one that still has more is none. */
export const MOST_THINNED = 20_000;
/** A bit that turns the line by less may go, degrees: corners and small notches stay. */
const BEND = 6;

/**
 * An outline drawn in very many straight bits, drawn in fewer: points go that stand nearer than a stitch's thickness to
 * the one kept before and do not turn the line, so that it strays by less than `TOL.fit`. Curves stay. Outlines of a
 * usual number of bits are handed back as they are.
 */
export function thinned(path: Path): Path {
  if (path.segments.length <= MOST_BITS) return path;
  const spans = spansOf(path);
  const out: Span[] = [];
  let from: Point | null = null;
  spans.forEach((s, i) => {
    if (s.kind !== 'line') {
      if (from && distance(from, s.a) > 0) out.push({ kind: 'line', a: from, b: s.a });
      out.push(s);
      from = null;
      return;
    }
    const a: Point = from ?? s.a;
    const next = spans[i + 1];
    const straight =
      next?.kind === 'line' &&
      distance(a, s.b) < 2 * TOL.straight &&
      (Math.abs(turnBetween(sub(s.b, a), sub(next.b, s.b))) * 180) / Math.PI < BEND;
    if (straight) from = a;
    else {
      out.push({ kind: 'line', a, b: s.b });
      from = null;
    }
  });
  return out.length === 0 ? path : pathFromSpans(out);
}
