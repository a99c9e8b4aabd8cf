import {
  endOf,
  flatten,
  intersectPaths,
  joinPaths,
  mapPath,
  nearestOnPath,
  pointAt,
  pathFromSpans,
  pathLength,
  polyline,
  reversePath,
  spansOf,
  splitPath,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { ok, refuse, TOL, type Result, nth, cyclic } from '../units/index.ts';
import { centreEdgeOf, levelOf, uprightAt } from './access.ts';
import { LEVELS } from './schema.ts';
import type { Edge, Piece } from './types.ts';

/** A level mark this close to the centre shows how the paper there has moved, mm. */
const NEAR_CENTRE = 60;

export type BeyondError = 'beyond-centre-changed' | 'centre-not-inside';

/**
 * Extension and facing of a piece whose centre edge has moved or become longer: each height goes where the centre at
 * that height has gone, and what mirrored the neckline or the hem across its fold does so again. Refused where the
 * centre is no longer one straight edge: nothing could be folded back along it.
 */
export function carryBeyond(before: Piece, after: Piece): Result<Piece, BeyondError> {
  const { beyond } = before;
  // What a step has drawn there itself stays as it was drawn.
  if (!beyond || (after.beyond && after.beyond !== beyond)) return ok(after);
  const [was, now] = [centreEdgeOf(before), centreEdgeOf(after)];
  if (!now) {
    // A side panel has no centre.
    const { beyond: _none, ...rest } = after;
    return ok(rest);
  }
  if (!was || !isStraight(now.path) || centresOf(after) > 1)
    return refuse('beyond-centre-changed', { piece: after.name });
  const to = carrier(before, was, after, now);
  const first = beyond.edges.length - 1;
  const edges = beyond.edges.map((e, i): Edge => {
    const path = mapPath(e.path, to);
    // The end points are the centre's own, bit for bit.
    return {
      ...e,
      path: withEnds(path, i === 0 ? now.path.start : path.start, i === first ? endOf(now.path) : endOf(path)),
    };
  });
  const moved: Piece = {
    ...after,
    beyond: { edges, folds: beyond.folds.map((f) => ({ from: to(f.from), to: to(f.to) })) },
  };
  return ok((['start', 'end'] as const).reduce((piece, at) => mirroredAgain(before, piece, at), moved));
}

const centresOf = (piece: Piece): number =>
  piece.edges.filter((e) => e.role === 'centreFront' || e.role === 'centreBack').length;

const isStraight = (path: Path): boolean => {
  const chord = polyline([path.start, endOf(path)]);
  return flatten(path, TOL.flat).every((p) => nearestOnPath(chord, p).distance < TOL.straight);
};

/** Where the paper beside the centre has gone, height by height: at its ends, and at the levels marked on it. */
function carrier(before: Piece, was: Edge, after: Piece, now: Edge): (p: Point) => Point {
  const x = was.path.start.x;
  const ends = [
    [was.path.start, now.path.start],
    [endOf(was.path), endOf(now.path)],
  ] as const;
  const [low, high] = [Math.min(...ends.map(([p]) => p.y)), Math.max(...ends.map(([p]) => p.y))];
  const levels = LEVELS.flatMap((name) => {
    const [a, b] = [levelOf(before, name), levelOf(after, name)];
    const inside = a && a.y > low + 1 && a.y < high - 1 && Math.abs(a.x - x) < NEAR_CENTRE;
    return a && b && inside ? [[a, b] as const] : [];
  });
  const all = [...ends, ...levels].sort(([p], [q]) => p.y - q.y);
  // Levels that swapped places say nothing about the centre.
  const known = all.every(([, q], i) => i === 0 || q.y >= (all[i - 1]?.[1].y ?? q.y))
    ? all
    : [...ends].sort(([p], [q]) => p.y - q.y);
  const stops = known.map(([p, q]) => ({ y: p.y, by: q.y - p.y }));
  const down = (y: number): number => {
    const next = stops.findIndex((s) => s.y >= y);
    const [a, b] = next < 0 ? [stops.at(-1), undefined] : [stops[next - 1], stops[next]];
    if (!a || !b || b.y === a.y) return (a ?? b)?.by ?? 0;
    return a.by + ((b.by - a.by) * (y - a.y)) / (b.y - a.y);
  };
  // A level mark lies slightly inside the piece, so sideways only the ends of the centre count.
  const across = (y: number): number => {
    const [a, b] = [...ends].sort(([p], [q]) => p.y - q.y) as [(typeof ends)[number], (typeof ends)[number]];
    const t = high === low ? 0 : Math.min(1, Math.max(0, (y - low) / (high - low)));
    return a[1].x - a[0].x + (b[1].x - b[0].x - a[1].x + a[0].x) * t;
  };
  return (p) => ({ x: p.x + across(p.y), y: p.y + down(p.y) });
}

/** A path with its ends put exactly where they belong; a handle beside an end goes with it. */
function withEnds(path: Path, start: Point, end: Point): Path {
  const spans = spansOf(path);
  return pathFromSpans(
    spans.map((s, i) => {
      const a = i === 0 ? start : s.a;
      const b = i === spans.length - 1 ? end : s.b;
      if (s.kind === 'line') return { ...s, a, b };
      const c1 = { x: s.c1.x + a.x - s.a.x, y: s.c1.y + a.y - s.a.y };
      return { ...s, a, b, c1, c2: { x: s.c2.x + b.x - s.b.x, y: s.c2.y + b.y - s.b.y } };
    }),
  );
}

/** The edges of a chain as seen walking away from the fold: those of the facing, and those it is folded back onto. */
interface AtFold {
  readonly fold: number;
  /** Facing edges from the fold outward, and the outline from the fold inward, each path leading away from the fold. */
  readonly outward: readonly number[];
  readonly inward: readonly Path[];
}

function atFold(piece: Piece, at: 'start' | 'end'): AtFold | null {
  const { beyond } = piece;
  const centre = centreEdgeOf(piece);
  const fold = beyond?.folds[0];
  if (!beyond || !centre || !fold) return null;
  const x = (fold.from.x + fold.to.x) / 2;
  const order = beyond.edges.map((_, i) => i);
  // From the centre outward: as the outline runs at its start, against it at its end.
  const away = at === 'start' ? order : order.reverse();
  const end = (i: number): Point => {
    const path = nth(beyond.edges, i).path;
    return at === 'start' ? endOf(path) : path.start;
  };
  const k = away.findIndex((i) => Math.abs(end(i).x - x) < TOL.meets);
  const n = piece.edges.length;
  const c = piece.edges.indexOf(centre);
  const lead = (path: Path): Path => (at === 'start' ? reversePath(path) : path);
  // Without an extension of its own the facing folds at the centre itself.
  const own = away.slice(0, k + 1).map((i) => lead(nth(beyond.edges, i).path));
  const body = piece.edges.map((_, j) => cyclic(piece.edges, c + (at === 'start' ? -1 - j : 1 + j)));
  const inward = [...own.reverse(), ...body.slice(0, n - 1).map((e) => lead(e.path))];
  return { fold: x, outward: away.slice(k + 1), inward };
}

/** The ends of a facing that were mirror images of what lies under them, drawn anew from what lies there now. */
function mirroredAgain(before: Piece, after: Piece, at: 'start' | 'end'): Piece {
  const [was, now] = [atFold(before, at), atFold(after, at)];
  if (!was || !now || !before.beyond || !after.beyond) return after;
  const under = joinPaths(was.inward);
  const flip = (x: number) => (p: Point) => ({ x: 2 * x - p.x, y: p.y });
  const mirrors = (i: number): boolean => {
    const { path } = before.beyond?.edges[i] as Edge;
    const size = pathLength(path);
    return [0, 0.25, 0.5, 0.75, 1].every(
      (t) => nearestOnPath(under, flip(was.fold)(pointAt(path, t * size))).distance < TOL.mirrored,
    );
  };
  const first = was.outward.findIndex((i) => !mirrors(i));
  const count = first < 0 ? was.outward.length : first;
  if (count !== 1) return after;
  const index = nth(now.outward, 0);
  const edge = nth(after.beyond.edges, index);
  const corner = at === 'start' ? endOf(edge.path) : edge.path.start;
  const reach = 2 * now.fold - corner.x;
  const chain = joinPaths(now.inward);
  const hit = intersectPaths(chain, uprightAt(reach))[0];
  if (!hit) return after;
  const [part] = splitPath(chain, hit.first);
  if (part.segments.length === 0) return after;
  const mirrored = mapPath(part, flip(now.fold));
  const path = at === 'start' ? mirrored : reversePath(mirrored);
  const next = index + (at === 'start' ? 1 : -1);
  const edges = after.beyond.edges.map((e, i): Edge => {
    if (i === index) return { ...e, path };
    if (i !== next) return e;
    return {
      ...e,
      path: at === 'start' ? withEnds(e.path, endOf(path), endOf(e.path)) : withEnds(e.path, e.path.start, path.start),
    };
  });
  return { ...after, beyond: { ...after.beyond, edges } };
}
