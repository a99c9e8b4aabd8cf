import { distance, endOf, intersectPaths, pathLength, polyline, splitPath, type Path } from '../geometry/index.ts';
import { ok, refuse, TOL, type Result, cyclic } from '../units/index.ts';
import { centreEdgeOf, middleX, uprightAt } from './access.ts';
import type { BeyondError } from './carryBeyond.ts';
import type { Edge, Mark, Piece } from './types.ts';

/** Where the centre of a piece lies inside its paper, and where it folds, as entered by hand: mm from the outer edge. */
export interface CentreInside {
  /** From the outer edge to the centre line. */
  readonly centre: number;
  /** From the outer edge to the fold of a cut-on facing; null for an extension alone. */
  readonly fold: number | null;
}

/**
 * A piece drawn with its extension or facing as part of the outline, its centre edge the outer edge of that: parted at
 * the centre line. Refused where the line would miss the piece or cut more than the neckline and the lower edge.
 */
export function partAtCentre(piece: Piece, { centre, fold }: CentreInside): Result<Piece, BeyondError> {
  const outer = centreEdgeOf(piece);
  if (!outer || centre <= 0) return refuse('centre-not-inside', { piece: piece.name });
  const x0 = outer.path.start.x;
  const inward = Math.sign(middleX(piece) - x0);
  const n = piece.edges.length;
  const c = piece.edges.indexOf(outer);
  const body = piece.edges.map((_, j) => cyclic(piece.edges, c + 1 + j)).slice(0, n - 1);
  const hitsAt = (x: number) =>
    body.flatMap((edge, i) => intersectPaths(edge.path, uprightAt(x)).map((h) => ({ edge, i, hit: h })));
  const at = hitsAt(x0 + inward * centre);
  // A line through a corner meets two edges there: what lies inward of it is kept.
  const there = (h: (typeof at)[number] | undefined) =>
    at.filter((o) => h && distance(o.hit.point, h.hit.point) < TOL.join);
  const [tops, bottoms] = [there(at[0]), there(at.at(-1))];
  const [top, bottom] = [tops.at(-1), bottoms[0]];
  if (at.length !== tops.length + bottoms.length || !top || !bottom || top.i >= bottom.i)
    return refuse('centre-not-inside', { piece: piece.name });
  if (piece.darts.some((d) => (d.tip.x - x0) * inward < centre))
    return refuse('centre-not-inside', { piece: piece.name });
  const [topOut, topIn] = splitPath(top.edge.path, top.hit.first);
  const [bottomIn, bottomOut] = splitPath(bottom.edge.path, bottom.hit.first);
  const keep: readonly Edge[] = [
    { ...top.edge, path: topIn },
    ...body.slice(top.i + 1, bottom.i),
    { ...bottom.edge, path: bottomIn },
  ];
  const other = (e: Edge, path: Path, id: string): Edge => ({ ...e, id, role: 'other', path });
  const strip = [
    other(bottom.edge, bottomOut, 'beyond lower'),
    ...body.slice(bottom.i + 1).map((e) => other(e, e.path, e.id)),
    other(outer, outer.path, 'beyond edge'),
    ...body.slice(0, top.i).map((e) => other(e, e.path, e.id)),
    other(top.edge, topOut, 'beyond upper'),
  ].filter((e) => e.path.segments.length > 0);
  const foldAt = fold === null ? null : x0 + inward * fold;
  const divided = foldAt === null ? strip : strip.flatMap((e) => dividedAt(e, uprightAt(foldAt)));
  const ends =
    foldAt === null ? [] : strip.flatMap((e) => intersectPaths(e.path, uprightAt(foldAt)).map((h) => h.point));
  const sorted = [...ends].sort((p, q) => p.y - q.y);
  const [from, to] = [sorted[0], sorted.at(-1)];
  const edges = [...keep, { ...outer, path: polyline([bottomOut.start, endOf(topOut)]) }];
  const kept = new Set(keep.map((e) => e.id));
  const cutOff = pathLength(topOut);
  const left = pathLength(bottomIn);
  return ok({
    ...piece,
    fold: null,
    edges,
    beyond: { edges: divided, folds: from && to && distance(from, to) > TOL.touches ? [{ from, to }] : [] },
    marks: piece.marks.flatMap((m): readonly Mark[] => {
      if (m.kind !== 'notch') return [m];
      if (!kept.has(m.edge)) return [];
      // What marked the centre or the fold at either end is on the strip, or the corner itself.
      if (m.edge === bottom.edge.id) return m.at < left - TOL.join ? [m] : [];
      if (m.edge !== top.edge.id) return [m];
      return m.at > cutOff + TOL.join ? [{ ...m, at: m.at - cutOff }] : [];
    }),
  });
}

function dividedAt(edge: Edge, line: Path): readonly Edge[] {
  const hit = intersectPaths(edge.path, line)[0];
  if (!hit) return [edge];
  const [one, two] = splitPath(edge.path, hit.first);
  if (one.segments.length === 0 || two.segments.length === 0) return [edge];
  return [
    { ...edge, path: one },
    { ...edge, id: `${edge.id} 2`, path: two },
  ];
}
