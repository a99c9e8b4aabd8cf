import {
  endOf,
  joinPaths,
  move,
  movePath,
  pathLength,
  polyline,
  sub,
  type Path,
  type Point,
  type Rigid,
} from '../../geometry/index.ts';
import type { Edge } from '../../pattern/index.ts';
import { cyclic, nth, ok, refuse, TOL, type Result } from '../../units/index.ts';
import type { SlashGraph } from './graph.ts';
import type { Progress } from './motion.ts';
import { across, joinPortions } from './rejoin.ts';
import type { Divided, SlashError, SlashSpec } from './types.ts';

/** The portions of the outline after their panels have moved, in the order of the graph. */
export interface MovedOutline {
  /** Each portion as it lies, trimmed where it lapped its neighbour. */
  readonly paths: readonly Path[];
  readonly lengths: readonly number[];
  /** What was trimmed from a portion's start. */
  readonly cutFrom: readonly number[];
  /** The straight line from a portion's end to the next one's start, where the paper opens there. */
  readonly bridges: readonly (Path | null)[];
  readonly bridgeLengths: readonly number[];
  /** What closes a gap on the outline, by node of the graph. */
  readonly closings: ReadonlyMap<number, Path | null>;
  /** Faces that are folded away. */
  readonly folds: ReadonlySet<number>;
}

/** Moves every portion with its panel, joins them where the cuts meet the outline, and draws across folded wedges. */
export function moveOutline(
  divided: Divided,
  spec: SlashSpec,
  at: Progress,
  motions: readonly Rigid[],
): Result<MovedOutline, SlashError> {
  const { graph, names } = divided;
  const folds = new Set(spec.panels.flatMap((p) => (p.fold ? [names.indexOf(p.id)] : [])));
  const faceOf = facesOfPortions(graph);
  // Mid-motion, paper may overlap further than it finally will; it is drawn as it lies.
  const between = at.close < 1 && spec.panels.some((p) => p.after);
  const folded = graph.portions.map((_, i) => folds.has(faceOf.get(i) ?? -1));
  const moved = graph.portions.map((p, i) => movePath(p.path, nth(motions, faceOf.get(i) ?? 0)));
  const joined = joinAtCuts(divided, moved, folded, motions, between);
  if (!joined.ok) return joined;
  const drawn = drawAcrossFolds(divided, joined.value, folded);
  return drawn.ok ? ok({ ...drawn.value, folds }) : drawn;
}

function facesOfPortions(graph: SlashGraph): ReadonlyMap<number, number> {
  return new Map(graph.halfEdges.flatMap((h, i) => h.portions.map((p) => [p, nth(graph.faceOf, i)] as const)));
}

type Joined = Omit<MovedOutline, 'folds'>;

/** Portions that meet at a cut are bridged where it opens and trimmed where it laps. */
function joinAtCuts(
  { graph, portionLengths }: Divided,
  moved: readonly Path[],
  folded: readonly boolean[],
  motions: readonly Rigid[],
  between: boolean,
): Result<Joined, SlashError> {
  const paths = [...moved];
  // A rigid motion keeps lengths: only what is trimmed is measured again.
  const lengths = [...portionLengths];
  const cutFrom = paths.map(() => 0);
  const bridges: (Path | null)[] = paths.map(() => null);
  const closings = new Map<number, Path | null>();
  for (const [i, { node, edge }] of graph.portions.entries()) {
    const j = (i + 1) % paths.length;
    // A folded wedge leaves a straight line from neighbour to neighbour, drawn afterwards.
    if (node < 0 || nth(folded, i) || nth(folded, j)) continue;
    const before = nth(paths, i);
    const after = nth(paths, j);
    const joint =
      joinPortions(before, after, cutDirection(graph, node, motions)) ?? (between ? across(before, after) : null);
    if (!joint || joint.before.segments.length === 0 || joint.after.segments.length === 0)
      return refuse('overlap-too-large', { edge });
    paths[i] = joint.before;
    paths[j] = joint.after;
    if (joint.before !== before) lengths[i] = pathLength(joint.before);
    if (joint.after !== after) {
      const kept = pathLength(joint.after);
      cutFrom[j] = nth(cutFrom, j) + nth(lengths, j) - kept;
      lengths[j] = kept;
    }
    bridges[i] = joint.bridge;
    closings.set(node, joint.closing);
  }
  const bridgeLengths = bridges.map((b) => (b ? pathLength(b) : 0));
  return ok({ paths, lengths, cutFrom, bridges, bridgeLengths, closings });
}

/** A folded wedge becomes a straight line from neighbour to neighbour. */
function drawAcrossFolds({ piece }: Divided, joined: Joined, folded: readonly boolean[]): Result<Joined, SlashError> {
  const paths = [...joined.paths];
  const lengths = [...joined.lengths];
  for (const [i, away] of folded.entries()) {
    if (!away) continue;
    if (cyclic(folded, i + 1)) return refuse('panels-not-separated', { panel: 'fold', other: piece.name });
    const line = polyline([endOf(cyclic(paths, i - 1)), cyclic(paths, i + 1).start]);
    paths[i] = line;
    lengths[i] = pathLength(line);
  }
  return ok({ ...joined, paths, lengths });
}

/** The edges of the piece, rebuilt from their moved portions. */
export function edgesOf({ piece, graph }: Divided, { paths, bridges, folds }: MovedOutline): readonly Edge[] {
  return piece.edges.flatMap((edge): readonly Edge[] => {
    const parts = graph.portions.flatMap((p, i) => {
      const bridge = bridges[i];
      return p.edge === edge.id ? [nth(paths, i), ...(bridge ? [bridge] : [])] : [];
    });
    const path = joinPaths(parts);
    // A mouth that has closed is an edge no longer.
    return folds.size > 0 && pathLength(path) < TOL.join ? [] : [{ ...edge, path }];
  });
}

/** Where a place on an edge, by its length from the edge's start, lies on the edge as it is now. */
export function placeOnEdge({ graph, portionLengths }: Divided, moved: MovedOutline, edge: string, at: number): number {
  let before = 0;
  let after = 0;
  for (const [i, p] of graph.portions.entries()) {
    if (p.edge !== edge) continue;
    const size = nth(portionLengths, i);
    const kept = nth(moved.lengths, i);
    const bridge = nth(moved.bridgeLengths, i);
    // A notch right at the cut belongs to neither side of the gap: it goes to its middle.
    if (bridge > 0 && Math.abs(at - before - size) < TOL.join) return after + kept + bridge / 2;
    if (at <= before + size + TOL.zero) return after + Math.min(kept, Math.max(0, at - before - nth(moved.cutFrom, i)));
    before += size;
    after += kept + bridge;
  }
  return after;
}

/** Each edge's length before and after, by id. */
export function lengthsOf(
  { piece, graph, edgeLengths }: Divided,
  { lengths, bridgeLengths }: MovedOutline,
): Readonly<Record<string, { readonly before: number; readonly after: number }>> {
  const after = (edge: string): number =>
    graph.portions.reduce((sum, p, i) => (p.edge === edge ? sum + nth(lengths, i) + nth(bridgeLengths, i) : sum), 0);
  return Object.fromEntries(piece.edges.map((e, i) => [e.id, { before: nth(edgeLengths, i), after: after(e.id) }]));
}

/** The mean direction of the cut at an outline node after both of its sides have moved. */
function cutDirection(graph: SlashGraph, node: number, motions: readonly Rigid[]): Point {
  let x = 0;
  let y = 0;
  graph.halfEdges.forEach((h, i) => {
    if (h.from !== node || h.cut === null) return;
    for (const side of [i, h.twin]) {
      const m = motions[nth(graph.faceOf, side)] as Rigid;
      const d = sub(move(m, endOf(h.path)), move(m, h.path.start));
      const size = Math.hypot(d.x, d.y) || 1;
      x += d.x / size;
      y += d.y / size;
    }
  });
  return { x, y };
}
