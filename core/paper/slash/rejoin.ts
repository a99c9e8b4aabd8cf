import {
  add,
  distance,
  dot,
  endOf,
  endTangent,
  intersectPaths,
  joinPaths,
  lengthTo,
  midpoint,
  pathLength,
  polyline,
  reversePath,
  scale,
  splitPath,
  startTangent,
  sub,
  unit,
  type Path,
  type PathHit,
  type Point,
} from '../../geometry/index.ts';
import type { Edge } from '../../pattern/index.ts';
import { TOL, cyclic } from '../../units/index.ts';

/** How two moved portions of the outline meet again at a cut node. */
export interface Joint {
  /** The first portion, trimmed where paper doubles. */
  readonly before: Path;
  readonly after: Path;
  /** Straight piece of new outline between them; empty where they touch. */
  readonly bridge: Path | null;
  /** From the moved end of the first to the moved start of the second, along what was trimmed and the bridge. */
  readonly closing: Path | null;
}

/**
 * Joins the moved portion that ended at a cut node with the one that began there. Apart: a straight bridge.
 * Overlapping: both are trimmed where they cross, or, when they run over each other without crossing, at the
 * middle of the overlap along the direction `across` of the cut. Nothing is lost from the area sum: what is
 * trimmed stays in `closing`. Null when the overlap is longer than the paper beside it.
 */
export function joinPortions(before: Path, after: Path, across: Point): Joint | null {
  const a = endOf(before);
  const b = after.start;
  if (distance(a, b) <= TOL.same) return { before, after, bridge: null, closing: null };
  const along = unit(add(endTangent(before), startTangent(after)));
  if (dot(sub(b, a), along) >= 0) return { before, after, bridge: polyline([a, b]), closing: polyline([a, b]) };

  const near = 4 * distance(a, b) + 1;
  const cost = (h: PathHit): number => pathLength(before) - lengthTo(before, h.first) + lengthTo(after, h.second);
  const crossing = intersectPaths(before, after)
    .filter((h) => cost(h) < near)
    .sort((p, q) => cost(p) - cost(q))[0];
  if (crossing) return trimmed(before, after, crossing.first, crossing.second);

  const m = midpoint(a, b);
  const reach = scale(unit(across), near);
  const line = polyline([sub(m, reach), add(m, reach)]);
  const p = [...intersectPaths(before, line)].sort((x, y) => distance(x.point, a) - distance(y.point, a))[0];
  const q = [...intersectPaths(after, line)].sort((x, y) => distance(x.point, b) - distance(y.point, b))[0];
  return p && q ? trimmed(before, after, p.first, q.first) : null;
}

/** Both portions whole, joined straight across: for paper on its way, where a lap is not yet what it will be. */
export function across(before: Path, after: Path): Joint {
  const straight = polyline([endOf(before), after.start]);
  return { before, after, bridge: straight, closing: straight };
}

function trimmed(before: Path, after: Path, p: PathHit['first'], q: PathHit['first']): Joint {
  const [kept, tail] = splitPath(before, p);
  const [head, rest] = splitPath(after, q);
  const x = endOf(kept);
  const y = rest.start;
  const bridge = distance(x, y) <= TOL.same ? null : polyline([x, y]);
  const closing = joinPaths(
    [reversePath(tail), ...(bridge ? [bridge] : []), reversePath(head)].filter((s) => s.segments.length > 0),
  );
  return { before: kept, after: rest, bridge, closing };
}

/** Closes the rounding left where a vanished mouth let two edges meet. */
export function rejoined(edges: readonly Edge[]): readonly Edge[] {
  return edges.map((edge, i) => {
    const before = cyclic(edges, i - 1);
    const start = endOf(before.path);
    return distance(start, edge.path.start) === 0 || distance(start, edge.path.start) > TOL.join
      ? edge
      : { ...edge, path: { start, segments: edge.path.segments } };
  });
}
