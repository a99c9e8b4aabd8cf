import {
  endOf,
  joinPaths,
  move,
  movePath,
  polyline,
  reversePath,
  signedArea,
  spansOf,
  type Path,
  type Rigid,
} from '../../geometry/index.ts';
import { type SlashGraph } from './graph.ts';
import { TOL, nth } from '../../units/index.ts';

/** Paper between (positive area) or doubled under (negative area) two panels after the motion. */
export interface Gap {
  readonly cut: string | null;
  readonly outline: Path;
  /** mm², positive for paper to add, negative for paper that doubles. */
  readonly area: number;
  /** True for a dart's folded wedge: no paper is added or overlapped there. */
  readonly fold?: boolean;
}

/**
 * The strips between panels. Runs of one cut between the same two panels become one strip; where three or
 * more panels meet, the little polygon between their images of the node is a gap of its own. At the outline
 * the strip ends along the closing of the joint, so that the areas add up exactly.
 */
export function gapsOf(
  graph: SlashGraph,
  motions: readonly Rigid[],
  closings: ReadonlyMap<number, Path | null>,
  folds: ReadonlySet<number>,
): readonly Gap[] {
  const gaps: Gap[] = [];
  const push = (cut: string | null, parts: readonly Path[]) => {
    const outline = joinPaths(parts.filter((p) => p.segments.length > 0));
    const area = outline.segments.length < 2 ? 0 : signedArea(spansOf(outline));
    if (Math.abs(area) > TOL.zero) gaps.push({ cut, outline, area });
  };
  graph.halfEdges.forEach((h, i) => {
    if (h.cut === null || h.twin < i) return;
    if (folds.has(nth(graph.faceOf, i)) || folds.has(nth(graph.faceOf, h.twin))) return;
    const right = motions[nth(graph.faceOf, i)] as Rigid;
    const leftSide = motions[nth(graph.faceOf, h.twin)] as Rigid;
    // Two panels that did not move apart have nothing between them.
    if (right.angle === leftSide.angle && right.x === leftSide.x && right.y === leftSide.y) return;
    const a = h.path.start;
    const b = endOf(h.path);
    const ring = [move(leftSide, a), move(leftSide, b), move(right, b), move(right, a)];
    push(h.cut, [polyline([...ring, nth(ring, 0)])]);
  });
  graph.nodes.forEach((p, node) => {
    const out = graph.halfEdges.map((h, i) => ({ h, i })).filter(({ h }) => h.from === node);
    const ring = turnAround(
      graph,
      out.map(({ i }) => i),
    )
      .filter((f) => !folds.has(f))
      .map((f) => move(nth(motions, f), p));
    if (ring.length === 0) return;
    const closing = closings.get(node);
    push(null, closing ? [closing, polyline([endOf(closing), ...ring])] : [polyline([...ring, nth(ring, 0)])]);
  });
  // A folded wedge disappears; its remaining gap lies between its legs as the neighbouring panels move them.
  for (const f of folds) {
    const face = nth(graph.faces, f).map((i) => nth(graph.halfEdges, i));
    const was = joinPaths(face.map((h) => h.path));
    gaps.push({ cut: null, outline: was, area: -signedArea(spansOf(was)), fold: true });
    const legs = face.filter((h) => h.cut !== null);
    const now = joinPaths(
      legs.map((h) => {
        const twin = nth(graph.halfEdges, h.twin).path;
        return reversePath(movePath(twin, motions[nth(graph.faceOf, h.twin)] as Rigid));
      }),
    );
    const closed = joinPaths([now, polyline([endOf(now), now.start])]);
    gaps.push({ cut: null, outline: closed, area: signedArea(spansOf(closed)), fold: true });
  }
  return gaps;
}

/** Faces around a node in clockwise order, beginning after the outline where there is one. */
function turnAround(graph: SlashGraph, leaving: readonly number[]): readonly number[] {
  const angle = (i: number): number => {
    const path = nth(graph.halfEdges, i).path;
    const s = spansOf(path)[0];
    return s ? Math.atan2((s.kind === 'line' ? s.b : s.c1).y - s.a.y, (s.kind === 'line' ? s.b : s.c1).x - s.a.x) : 0;
  };
  const sorted = [...leaving].sort((p, q) => angle(p) - angle(q));
  const first = sorted.findIndex((i) => nth(graph.halfEdges, i).cut === null);
  const order = first < 0 ? sorted : [...sorted.slice(first), ...sorted.slice(0, first)];
  return order.map((i) => nth(graph.faceOf, i));
}
