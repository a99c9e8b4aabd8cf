import { spanLength } from './length.ts';
import { spansOf, type Path, type PathPlace } from './path.ts';
import { hullBox, pointOn, type Span } from './span.ts';
import { distance, dot, sub, type Point } from './vec.ts';
import { nth } from '../units/index.ts';

export interface Nearest extends PathPlace {
  readonly point: Point;
  readonly distance: number;
}

function nearestOnSpan(s: Span, p: Point): { readonly t: number; readonly d: number } {
  if (s.kind === 'line') {
    const u = sub(s.b, s.a);
    const n = dot(u, u);
    const t = n === 0 ? 0 : Math.min(1, Math.max(0, dot(sub(p, s.a), u) / n));
    return { t, d: distance(pointOn(s, t), p) };
  }
  const steps = 24;
  let best = { t: 0, d: distance(s.a, p) };
  for (let i = 1; i <= steps; i++) {
    const t = i / steps;
    const d = distance(pointOn(s, t), p);
    if (d < best.d) best = { t, d };
  }
  // Golden section inside the best cell and its neighbours: no derivative, so cusps do no harm.
  const g = (Math.sqrt(5) - 1) / 2;
  let lo = Math.max(0, best.t - 1 / steps);
  let hi = Math.min(1, best.t + 1 / steps);
  let a = hi - g * (hi - lo);
  let b = lo + g * (hi - lo);
  let da = distance(pointOn(s, a), p);
  let db = distance(pointOn(s, b), p);
  for (let i = 0; i < 40; i++) {
    if (da < db) {
      hi = b;
      b = a;
      db = da;
      a = hi - g * (hi - lo);
      da = distance(pointOn(s, a), p);
    } else {
      lo = a;
      a = b;
      da = db;
      b = lo + g * (hi - lo);
      db = distance(pointOn(s, b), p);
    }
  }
  const t = (lo + hi) / 2;
  const d = distance(pointOn(s, t), p);
  return d < best.d ? { t, d } : best;
}

/** True when not even the box of the control points comes as near as what is already found. */
function outOfReach(s: Span, p: Point, best: number): boolean {
  const b = hullBox(s);
  const dx = Math.max(b.minX - p.x, 0, p.x - b.maxX);
  const dy = Math.max(b.minY - p.y, 0, p.y - b.maxY);
  return dx * dx + dy * dy > best * best;
}

/** The point of a path nearest to p. For an empty path, its start. */
export function nearestOnPath(path: Path, p: Point): Nearest {
  let best: Nearest = { span: 0, t: 0, point: path.start, distance: distance(path.start, p) };
  spansOf(path).forEach((s, span) => {
    if (outOfReach(s, p, best.distance)) return;
    const { t, d } = nearestOnSpan(s, p);
    if (d < best.distance) best = { span, t, point: pointOn(s, t), distance: d };
  });
  return best;
}

/** Arc length along the path to the point nearest to p. */
export function nearestLength(path: Path, p: Point): number {
  const at = nearestOnPath(path, p);
  const spans = spansOf(path);
  let sum = 0;
  for (let i = 0; i < at.span; i++) sum += spanLength(nth(spans, i));
  const last = spans[at.span];
  return last ? sum + spanLength(last, at.t) : sum;
}
