import { spansOf, type Path } from './path.ts';
import { pointOn, type Box, type Span } from './span.ts';
import { cross, distance, norm, sub, type Point } from './vec.ts';
import { cyclic, nth, pairs, TOL } from '../units/index.ts';

/** Steps that keep the chord within `flat` of a cubic, from the bound on its second derivative. */
function stepsFor(s: Span, flat: number): number {
  if (s.kind === 'line') return 1;
  const bend = Math.max(
    norm({ x: s.a.x - 2 * s.c1.x + s.c2.x, y: s.a.y - 2 * s.c1.y + s.c2.y }),
    norm({ x: s.c1.x - 2 * s.c2.x + s.b.x, y: s.c1.y - 2 * s.c2.y + s.b.y }),
  );
  return Math.min(400, Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / flat))));
}

/** Points along a path, chords within `flat` of the curve. For area tests, never for the model. */
export function flatten(path: Path, flat: number = TOL.flat): readonly Point[] {
  const out: Point[] = [path.start];
  for (const s of spansOf(path)) {
    const n = stepsFor(s, flat);
    for (let i = 1; i <= n; i++) out.push(pointOn(s, i / n));
  }
  return out;
}

/** ½∮(x dy − y dx) over spans taken as a closed ring, exact for lines and cubics. Positive: clockwise as seen. */
export function signedArea(spans: readonly Span[]): number {
  let sum = 0;
  let at = spans[0]?.a;
  for (const s of spans) {
    if (at) sum += cross(at, s.a) * 10;
    sum +=
      s.kind === 'line'
        ? cross(s.a, s.b) * 10
        : 6 * cross(s.a, s.c1) +
          3 * cross(s.a, s.c2) +
          cross(s.a, s.b) +
          3 * cross(s.c1, s.c2) +
          3 * cross(s.c1, s.b) +
          6 * cross(s.c2, s.b);
    at = s.b;
  }
  const first = spans[0];
  if (at && first) sum += cross(at, first.a) * 10;
  return sum / 20;
}

/** Even–odd test; points on the boundary may fall either way. */
export function insidePolygon(p: Point, ring: readonly Point[]): boolean {
  let inside = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const a = nth(ring, i);
    const b = nth(ring, j);
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}

export function boundsOf(points: readonly Point[]): Box {
  let minX = Infinity;
  let minY = Infinity;
  let maxX = -Infinity;
  let maxY = -Infinity;
  for (const p of points) {
    minX = Math.min(minX, p.x);
    minY = Math.min(minY, p.y);
    maxX = Math.max(maxX, p.x);
    maxY = Math.max(maxY, p.y);
  }
  return { minX, minY, maxX, maxY };
}

/** The box around boxes; an empty box for none. A loop, not a spread: there may be a million. */
export function boxAround(boxes: readonly Box[]): Box {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const b of boxes) {
    minX = Math.min(minX, b.minX);
    minY = Math.min(minY, b.minY);
    maxX = Math.max(maxX, b.maxX);
    maxY = Math.max(maxY, b.maxY);
  }
  return { minX, minY, maxX, maxY };
}

/** Signed area of a closed ring of points: positive where it runs clockwise as seen, y down. */
export const ringArea = (ring: readonly Point[]): number =>
  pairs(ring, true).reduce((sum, [a, b]) => sum + a.x * b.y - b.x * a.y, 0) / 2;

/**
 * True when a closed ring of points does not cross itself (shared neighbours aside). Every pair of sides is looked at,
 * so sides whose boxes lie apart are passed over before anything is worked out.
 */
export function isSimplePolygon(points: readonly Point[]): boolean {
  const ring = points.filter((p, i) => distance(p, cyclic(points, i + 1)) > TOL.same);
  const n = ring.length;
  for (let i = 0; i < n; i++) {
    const a = nth(ring, i);
    const b = cyclic(ring, i + 1);
    const [left, right] = a.x < b.x ? [a.x, b.x] : [b.x, a.x];
    const [top, bottom] = a.y < b.y ? [a.y, b.y] : [b.y, a.y];
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      const c = nth(ring, j);
      const d = nth(ring, j + 1 === n ? 0 : j + 1);
      if ((c.x > right && d.x > right) || (c.x < left && d.x < left)) continue;
      if ((c.y > bottom && d.y > bottom) || (c.y < top && d.y < top)) continue;
      if (sidesCross(a, b, c, d)) return false;
    }
  }
  return true;
}

function sidesCross(a: Point, b: Point, c: Point, d: Point): boolean {
  const ab = sub(b, a);
  const cd = sub(d, c);
  return cross(ab, sub(c, a)) * cross(ab, sub(d, a)) < 0 && cross(cd, sub(a, c)) * cross(cd, sub(b, c)) < 0;
}
