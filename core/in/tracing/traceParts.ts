import {
  boundsOf,
  distance,
  endOf,
  endTangent,
  flatten,
  joinPaths,
  lineMeet,
  nearestOnPath,
  pathLength,
  pointAt,
  polyline,
  signedArea,
  spansOf,
  startTangent,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import type { EdgeRole } from '../../pattern/index.ts';
import { TOL, nth } from '../../units/index.ts';
import { bevels, cornersOf, type Corner } from './corners.ts';
import type { Stroke } from './lines.ts';
import { notchesOn, type FoundNotch } from './marks.ts';
import type { Part } from './roles.ts';
import { MEANT, type TraceChoices } from './traceTypes.ts';

export const near = (list: readonly Point[], p: Point, within: number): boolean =>
  list.some((q) => distance(p, q) <= within);
export const middle = (path: Path): Point => pointAt(path, pathLength(path) / 2);
/** A bend that the file itself calls a corner need not be sharp, degrees. */
const TOLD_CORNER = 4;

/** A real corner turns by this much at least where the allowances beside it make a kink, degrees. */
const REAL = 45;

/**
 * Corners but for the kinks that allowances make: where a hollow is tighter than its allowance, as in a neck, the line
 * of the corner beside it runs straight on into the curve and meets it at an angle. The seam line has no corner there.
 */
function withoutKinks(ring: Path, corners: readonly Corner[], allowance: number): readonly Corner[] {
  const spans = spansOf(ring);
  const n = spans.length;
  const round = Math.sign(signedArea(spans));
  const size = (i: number): number => {
    const s = spans[(i + n) % n];
    return s ? distance(s.a, s.b) : Infinity;
  };
  const real = (span: number): boolean =>
    corners.some((c) => (c.span + n) % n === (span + n) % n && c.turn * round >= REAL);
  return corners.filter((c) => {
    if (c.turn * round > 0) return true;
    const after = real(c.span - 1) && size(c.span - 1) <= 1.3 * allowance && size(c.span) < allowance;
    const before = real(c.span + 1) && size(c.span) <= 1.3 * allowance && size(c.span - 1) < allowance;
    return !after && !before;
  });
}

/**
 * Corners as found, with those the file names, and those added and removed by hand; on a cutting line without the
 * kinks its allowance makes.
 */
export function cornersWith(
  ring: Path,
  turned: TraceChoices['turned'],
  others: readonly Stroke[],
  allowance: number,
): readonly Point[] {
  const off = turned.filter((t) => !t.on).map((t) => t.at);
  const on = turned.filter((t) => t.on).map((t) => nearestOnPath(ring, t.at).point);
  const found = withoutKinks(ring, cornersOf(ring), allowance).map((c) => c.at);
  const turns = others.filter((s) => s.kind === 'turn').map((s) => s.path.start);
  const slight = cornersOf(ring, TOLD_CORNER).map((c) => c.at);
  const told = slight.filter((p) => near(turns, p, TOL.touches) && !near(found, p, TOL.touches));
  return [...[...found, ...told].filter((p) => !near(off, p, MEANT)), ...on];
}

/** The choices for each edge: those whose point lies nearest to it. */
export function saidOf(paths: readonly Path[], said: TraceChoices['said']): readonly TraceChoices['said'][number][][] {
  const out: TraceChoices['said'][number][][] = paths.map(() => []);
  for (const one of said) {
    const distances = paths.map((p) => nearestOnPath(p, one.at).distance);
    const i = distances.indexOf(Math.min(...distances));
    out[i]?.push(one);
  }
  return out;
}
export const last = <K extends 'role' | 'allowance' | 'fold'>(
  said: readonly TraceChoices['said'][number][],
  key: K,
): TraceChoices['said'][number][K] | undefined => said.findLast((s) => s[key] !== undefined)?.[key];

/** Bevelled corners drawn out to the point where their neighbours meet. */
export function mitre(
  paths: readonly Path[],
  most: number,
): { readonly paths: readonly Path[]; readonly count: number } {
  const gone = bevels(paths, most);
  if (gone.length === 0) return { paths, count: 0 };
  const n = paths.length;
  const out = [...paths];
  for (const i of gone) {
    const [b, a] = [(i + n - 1) % n, (i + 1) % n];
    const before = nth(out, b);
    const after = nth(out, a);
    const meet = lineMeet(endOf(before), endTangent(before), after.start, startTangent(after));
    const bevel = nth(paths, i);
    const p = meet && meet.s > 0 && meet.r < 0 && Math.max(meet.s, -meet.r) < 4 * most ? meet.point : middle(bevel);
    out[b] = joinPaths([before, polyline([endOf(before), p])]);
    out[a] = joinPaths([polyline([p, after.start]), after]);
  }
  return { paths: out.filter((_, i) => !gone.includes(i)), count: gone.length };
}

/** Ids that say what an edge is: its role, numbered where there are several. */
export function idsFor(roles: readonly EdgeRole[]): readonly string[] {
  const count = new Map<string, number>();
  return roles.map((role) => {
    const n = (count.get(role) ?? 0) + 1;
    count.set(role, n);
    return roles.filter((r) => r === role).length === 1 ? role : `${role}${n}`;
  });
}

/** Notches that reach the outline or, drawn in the allowance, the seam line; each once, where it lies on the seam line. */
export function notchesAlong(
  outline: Path,
  seam: Path,
  small: readonly Stroke[],
  cutIn: readonly Point[],
): readonly FoundNotch[] {
  const onSeam = (n: FoundNotch): FoundNotch => ({ ...n, at: nearestOnPath(seam, n.at).point });
  const outer = [...cutIn.map((at) => ({ at, count: 1 })), ...notchesOn(outline, small)].map(onSeam);
  const inner = notchesOn(seam, small).map(onSeam);
  const seen = outer.map((n) => n.at);
  return [...outer, ...inner.filter((n) => !near(seen, n.at, MEANT / 2))];
}

/**
 * Where a seam line comes nearer to its own cutting line than its allowance, worst first: the allowance was not taken off
 * there. Null where it holds everywhere.
 */
export function leavesAllowance(
  cutting: readonly Path[],
  seams: readonly Path[],
  allowances: readonly number[],
): { readonly x: number; readonly y: number; readonly off: number } | null {
  let worst: { readonly x: number; readonly y: number; readonly off: number } | null = null;
  seams.forEach((seam, i) => {
    const [own, allowance] = [cutting[i], allowances[i] ?? 0];
    if (!own || allowance === 0 || seam.segments.length === 0) return;
    for (const p of flatten(seam, TOL.straight)) {
      const off = allowance - nearestOnPath(own, p).distance;
      if (off > TOL.seam && off > (worst?.off ?? 0)) worst = { x: p.x, y: p.y, off };
    }
  });
  return worst;
}

/** Parts that are drawn as half of what they become; the others are drawn whole. */
export const HALVES: ReadonlySet<Part> = new Set<Part>([
  'front',
  'sideFront',
  'back',
  'sideBack',
  'skirtFront',
  'skirtBack',
  'trouserFront',
  'trouserBack',
  'facingFront',
  'facingBack',
]);

/** True when an outline is its own mirror image about the upright through its middle. */
export function sameOnBothSides(path: Path): boolean {
  const points = flatten(path, 0.2);
  const { minX, maxX } = boundsOf(points);
  return points.every((p) => nearestOnPath(path, { x: minX + maxX - p.x, y: p.y }).distance <= TOL.mirrored);
}

/** The path nearest to the middle of another; those in `not` are passed over. */
export function nearestOf(paths: readonly Path[], path: Path, not: ReadonlySet<number> = new Set()): number {
  const p = path.segments.length > 1 || pathLength(path) > 0 ? middle(path) : path.start;
  const distances = paths.map((q, i) => (not.has(i) ? Infinity : nearestOnPath(q, p).distance));
  return distances.indexOf(Math.min(...distances));
}
