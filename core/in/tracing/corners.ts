import {
  distance,
  endTangent,
  fitCurve,
  pathFromSpans,
  pathLength,
  spansOf,
  startTangent,
  turnBetween,
  pointOn,
  polyline,
  nearestOnPath,
  splitPath,
  tangentOn,
  type Path,
  type Point,
  type Span,
} from '../../geometry/index.ts';
import { last, degrees, TOL, nth, cyclic } from '../../units/index.ts';

/** A bend sharper than this is a corner, degrees; curves drawn in short straight bits bend less from bit to bit. */
export const CORNER = 20;
/** A bit of a flattened curve is seldom longer than this, mm, and not several times longer than most others. */
const BIT = 40;
/** More spans than this on one edge and a rougher fit is tried. */
const MANY = 60;

/** Where a closed outline turns: index of the span that begins there, and the turn in degrees. */
export interface Corner {
  readonly span: number;
  readonly at: Point;
  readonly turn: number;
}

/**
 * Corners of a closed path. A bend counts by the directions a few millimetres before and after it, so that a
 * corner drawn with a tiny bevel is one corner, and the bits of a flattened curve are none.
 */
export function cornersOf(ring: Path, least: number = CORNER): readonly Corner[] {
  const spans = spansOf(ring);
  const out: Corner[] = [];
  spans.forEach((s, i) => {
    const before = cyclic(spans, i - 1);
    const turn = degrees(turnBetween(tangentOn(before, 1), tangentOn(s, 0)));
    if (Math.abs(turn) >= least) out.push({ span: i, at: s.a, turn });
  });
  return out;
}

/** Straight bits in a row that bend little, drawn again as a curve; runs along one straight become one line. */
export function smoothRun(path: Path): Path {
  const spans = spansOf(path);
  const out: Span[] = [];
  let run: Point[] = [];
  const flush = (): void => {
    if (run.length > 1) out.push(...drawnAgain(run));
    run = [];
  };
  spans.forEach((s) => {
    if (s.kind === 'line') {
      if (run.length === 0) run.push(s.a);
      run.push(s.b);
      return;
    }
    flush();
    out.push(s);
  });
  flush();
  return out.length === 0 ? path : pathFromSpans(out);
}

/** How far a run of points strays from the line between its ends, mm. */
function bow(points: readonly Point[]): number {
  const line = polyline([nth(points, 0), last(points)]);
  return Math.max(...points.map((p) => nearestOnPath(line, p).distance));
}

function drawnAgain(points: readonly Point[]): readonly Span[] {
  const first = nth(points, 0);
  const last = nth(points, points.length - 1);
  if (distance(first, last) > TOL.meets && bow(points) < TOL.fit) return [{ kind: 'line', a: first, b: last }];
  const sizes = points
    .slice(1)
    .map((p, i) => distance(p, nth(points, i)))
    .sort((a, b) => a - b);
  const longest = Math.min(BIT, Math.max(BIT / 5, 4 * (sizes[Math.floor(sizes.length / 2)] ?? BIT)));
  // Long bits are straights that someone drew so; only what lies between them is a curve.
  const out: Span[] = [];
  let bits: Point[] = [first];
  const flush = (): void => {
    const as = polyline(bits);
    if (bits.length > 3) {
      const fine = fitCurve(bits, TOL.fit, true);
      // As many curves as there were bits say no more than the bits did.
      const fewer = fine.segments.length < bits.length - 1;
      out.push(...spansOf(fine.segments.length > MANY ? fitCurve(bits, TOL.fitRough, true) : fewer ? fine : as));
    } else if (bits.length > 1) out.push(...spansOf(as));
    bits = [];
  };
  for (let i = 1; i < points.length; i++) {
    const a = nth(points, i - 1);
    const b = nth(points, i);
    if (distance(a, b) > longest) {
      flush();
      out.push({ kind: 'line', a, b });
      bits = [b];
    } else bits.push(b);
  }
  flush();
  return out;
}

/** An outline divided at its corners, in order; curves drawn in bits are curves again. */
export function edgesAt(ring: Path, corners: readonly Point[]): readonly Path[] {
  const places = corners
    .map((p) => nearestOnPath(ring, p))
    .sort((a, b) => a.span - b.span || a.t - b.t)
    .filter((p, i, all) => i === 0 || distance(p.point, nth(all, i - 1).point) > TOL.meets);
  const first = places[0];
  if (!first) return [smoothRun(ring)];
  // Begun anew at the first corner, the ring has no corner inside a join of its own ends.
  const [head, tail] = splitPath(ring, first);
  const spans = [...spansOf(tail), ...spansOf(head)];
  let rest = pathFromSpans(spans);
  const out: Path[] = [];
  for (const p of places.slice(1)) {
    const at = nearestOnPath(rest, p.point);
    const [one, two] = splitPath(rest, at);
    if (one.segments.length === 0 || two.segments.length === 0) continue;
    out.push(one);
    rest = two;
  }
  out.push(rest);
  return out.map(smoothRun);
}

/** How far an edge bows from the straight between its ends, mm. */
export function bowOf(path: Path): number {
  const spans = spansOf(path);
  return bow(
    spans.flatMap((s) => [s.a, ...(s.kind === 'cubic' ? [0.25, 0.5, 0.75].map((t) => pointOn(s, t)) : []), s.b]),
  );
}

export const isStraight = (path: Path): boolean => bowOf(path) <= TOL.straight;

/** Edges that are a mere bevel or rounding of a corner: shorter than `most` mm between two longer ones. */
export function bevels(edges: readonly Path[], most: number): readonly number[] {
  const lengths = edges.map((e) => pathLength(e));
  const n = edges.length;
  return edges.flatMap((edge, i) => {
    const before = cyclic(edges, i - 1);
    const after = cyclic(edges, i + 1);
    if (nth(lengths, i) > most || n < 4) return [];
    const longer = [(i + n - 1) % n, (i + 1) % n].every((k) => nth(lengths, k) > 2 * nth(lengths, i));
    const turns = [
      turnBetween(endTangent(before), startTangent(edge)),
      turnBetween(endTangent(edge), startTangent(after)),
    ];
    return longer && turns.every((t) => t > 0) ? [i] : [];
  });
}
