import {
  flatten,
  insidePolygon,
  isSimplePolygon,
  lerp,
  MITRE_LIMIT,
  sub,
  turnBetween,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { cuttingEdges, cuttingLine, type Piece } from '../../pattern/index.ts';
import { TOL, nth, cyclic, pairs } from '../../units/index.ts';
import type { Fault, FaultCode } from './fault.ts';
import { ringFrom, toChord, type Ring } from './ring.ts';

type Say = (code: FaultCode, data?: Fault['data'], at?: Fault['at']) => void;

/** Flatness of the cutting line's chords, and the spacing of the points checked along it, mm. */
const CHORD = 0.25;
const STRIDE = 12;
/**
 * How much closer to the seam line the cutting line may come where the allowance steps from one width to another, mm.
 */
const STEP = 1;

/**
 * Checks the cutting line without relying on the code that drew it: it must be simple, lie outside the seam line, and
 * at every place be as far from it as the allowance of the seam it lies beside; at a corner between two allowances no
 * nearer than the smaller and no farther than its mitre reaches.
 */
export function cuttingFaults(piece: Piece, say: Say, line: Path = cuttingLine(piece)): void {
  const cut = flatten(line, CHORD);
  if (!isSimplePolygon(cut)) {
    say('cutting-line-crosses');
    return;
  }
  const lines = cuttingEdges(piece);
  const seam = ringFrom(lines.map((l) => l.path));
  const allowances = lines.map((l) => l.allowance);
  const largest = Math.max(0, ...allowances);
  let worst: { readonly by: number; readonly at: Point } | null = null;
  for (const at of samples(cut)) {
    const by = offBy(at, seam, allowances, largest);
    if (by > TOL.allowance && (!worst || by > worst.by)) worst = { by, at };
  }
  if (worst) say('cutting-line-off', { by: worst.by }, worst.at);
}

function* samples(points: readonly Point[]): Generator<Point> {
  for (const [a, b] of pairs(points)) {
    const n = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / STRIDE));
    for (let k = 0; k < n; k++) yield lerp(a, b, k / n);
  }
}

/** By how much a point on the cutting line misses its allowance, mm; 0 where it is right. */
function offBy(p: Point, seam: Ring, allowances: readonly number[], largest: number): number {
  const { points } = seam;
  const near = nearestChord(p, points);
  const beside = around(seam, near.chord, near.t, largest).map((e) => nth(allowances, e));
  const least = Math.min(...beside);
  if (near.distance > TOL.allowance && insidePolygon(p, points)) return near.distance + least;
  const most = Math.max(...beside);
  // Where one allowance passes into another a step is drawn across the seam, which a bend there brings a little nearer.
  if (least > near.distance) return Math.max(0, least - near.distance - (most > least ? STEP : 0));
  if (near.distance <= most + TOL.allowance) return 0;
  // In a hollow the step to a wider allowance may lie farther along.
  const wider = around(seam, near.chord, near.t, 6 * largest).map((e) => nth(allowances, e));
  if (near.distance <= Math.max(...wider) + TOL.allowance) return 0;
  // Past a sharp corner the mitre runs on, beside its neighbours too; the limit is the one it is drawn with.
  if (points.some((q, i) => isSharp(seam, i) && Math.hypot(p.x - q.x, p.y - q.y) <= MITRE_LIMIT * largest)) return 0;
  // In a hollow between two allowances the wider one rules.
  return liesOnAnother(p, seam, allowances) ? 0 : near.distance - most;
}

/** The chord of a ring nearest to a point. Called for every point of a cutting line, so it allocates nothing. */
function nearestChord(p: Point, points: readonly Point[]) {
  let best = Infinity;
  let chord = 0;
  let at = 0;
  let a = nth(points, points.length - 1);
  for (let i = 0; i < points.length; i++) {
    const b = nth(points, i);
    const ux = b.x - a.x;
    const uy = b.y - a.y;
    const square = ux * ux + uy * uy;
    let t = square === 0 ? 0 : ((p.x - a.x) * ux + (p.y - a.y) * uy) / square;
    if (t < 0) t = 0;
    else if (t > 1) t = 1;
    const x = p.x - a.x - ux * t;
    const y = p.y - a.y - uy * t;
    const d = x * x + y * y;
    if (d < best) {
      best = d;
      chord = i === 0 ? points.length - 1 : i - 1;
      at = t;
    }
    a = b;
  }
  return { distance: Math.sqrt(best), chord, t: at };
}

/** The edges of the outline within `reach` of a place on it, along the seam line: theirs are the allowances that meet there. */
function around({ points, edge }: Ring, chord: number, t: number, reach: number): readonly number[] {
  const n = points.length;
  const size = (i: number): number => {
    const a = nth(points, i);
    const b = cyclic(points, i + 1);
    return Math.hypot(b.x - a.x, b.y - a.y);
  };
  const found = new Set([nth(edge, chord)]);
  for (const way of [1, -1]) {
    let rest = reach - size(chord) * (way > 0 ? 1 - t : t);
    for (let k = 1; k < n && rest >= 0; k++) {
      const i = (chord + way * k + n * k) % n;
      found.add(nth(edge, i));
      rest -= size(i);
    }
  }
  return [...found];
}

/** A corner that turns outward by more than this has a mitre, radians. */
const SHARP = 0.2;
function isSharp({ points }: Ring, i: number): boolean {
  const [a, b, c] = [cyclic(points, i - 1), nth(points, i), cyclic(points, i + 1)];
  return turnBetween(sub(b, a), sub(c, b)) > SHARP;
}

function liesOnAnother(p: Point, { points, edge }: Ring, allowances: readonly number[]): boolean {
  const nearest = allowances.map(() => Infinity);
  points.forEach((a, i) => {
    const e = nth(edge, i);
    const { distance } = toChord(p, a, cyclic(points, i + 1));
    nearest[e] = Math.min(nth(nearest, e), distance);
  });
  return nearest.some((d, e) => Math.abs(d - nth(allowances, e)) <= TOL.allowance);
}
