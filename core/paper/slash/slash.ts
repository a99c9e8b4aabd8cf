import {
  distance,
  endOf,
  insidePolygon,
  isRest,
  joinPaths,
  midpoint,
  move,
  movePath,
  nearestOnPath,
  pathLength,
  polyline,
  sub,
  type Path,
  type Point,
  type Rigid,
} from '../../geometry/index.ts';
import { bustLineOf, type Edge, type Mark, type Piece } from '../../pattern/index.ts';
import { ok, refuse, TOL, type Result, nth, cyclic } from '../../units/index.ts';
import { divide, type Cut, type GraphError, type SlashGraph } from './graph.ts';
import { carryBustLine } from './carryBustLine.ts';
import { DONE, motionOf, type PanelSpec, type Progress } from './motion.ts';
import { gapsOf, type Gap } from './gaps.ts';
import { across, joinPortions, rejoined } from './rejoin.ts';

export interface Hinge {
  readonly id: string;
  readonly at: Point;
  /** The panels whose paper stays attached here. */
  readonly panels: readonly [string, string];
}

export interface SlashSpec {
  readonly cuts: readonly Cut[];
  readonly hinges: readonly Hinge[];
  /** Panels that move; a panel not named rests. */
  readonly panels: readonly PanelSpec[];
}

export interface Panel {
  readonly id: string;
  /** Closed, before the motion. */
  readonly outline: Path;
  readonly motion: Rigid;
}

export interface LengthChange {
  readonly before: number;
  readonly after: number;
}

export interface SlashResult {
  readonly piece: Piece;
  readonly panels: readonly Panel[];
  readonly gaps: readonly Gap[];
  readonly lengths: Readonly<Record<string, LengthChange>>;
}

export type SlashError = GraphError | 'panel-not-found' | 'panels-not-separated' | 'hinge-torn' | 'overlap-too-large';

/** A graph once divided can be opened at many amounts: dividing costs more than moving. */
export interface Divided {
  readonly piece: Piece;
  readonly graph: SlashGraph;
  /** Panel id of each face. */
  readonly names: readonly string[];
  /** What every movement needs and none changes: panel outlines, lengths, and the face each mark lies in. */
  readonly outlines: readonly Path[];
  readonly edgeLengths: readonly number[];
  readonly portionLengths: readonly number[];
  readonly dartFaces: readonly number[];
  readonly markFaces: readonly number[];
  /** For a mark that lies on a cut, the face on the other side of it; else the same. */
  readonly markOthers: readonly number[];
}

/** Cuts the piece and gives each face the name of the panel whose seed it holds. */
export function cutPiece(piece: Piece, spec: Pick<SlashSpec, 'cuts' | 'panels'>): Result<Divided, SlashError> {
  const graph = divide(piece, spec.cuts);
  if (!graph.ok) return graph;
  const names = graph.value.faces.map((_, i) => `panel ${i + 1}`);
  for (const panel of spec.panels) {
    const face = graph.value.rings.findIndex((ring) => insidePolygon(panel.seed, ring));
    if (face < 0) return refuse('panel-not-found', { panel: panel.id });
    if (spec.panels.some((p) => p.id === names[face]))
      return refuse('panels-not-separated', { panel: panel.id, other: names[face] ?? '' });
    names[face] = panel.id;
  }
  const { faces, halfEdges, portions } = graph.value;
  const faceAt = (p: Point): number => faceHolding(graph.value, p);
  return ok({
    piece,
    graph: graph.value,
    names,
    outlines: faces.map((f) => joinPaths(f.map((h) => nth(halfEdges, h).path))),
    edgeLengths: piece.edges.map((e) => pathLength(e.path)),
    portionLengths: portions.map((p) => pathLength(p.path)),
    dartFaces: piece.darts.map((d) => faceAt(d.tip)),
    ...facesOfMarks(piece, graph.value, faceAt),
  });
}

/** The faces on both sides of every mark: one and the same but for a mark that lies on a cut. */
function facesOfMarks(
  piece: Piece,
  graph: SlashGraph,
  faceAt: (p: Point) => number,
): Pick<Divided, 'markFaces' | 'markOthers'> {
  const pairs = piece.marks.map((m): readonly [number, number] => {
    if (m.kind === 'notch') return [-1, -1];
    const at = m.kind === 'grain' ? midpoint(m.from, m.to) : m.at;
    const on = graph.halfEdges.findIndex((h) => h.cut !== null && nearestOnPath(h.path, at).distance < TOL.join);
    if (on < 0) {
      const face = faceAt(at);
      return [face, face];
    }
    return [nth(graph.faceOf, on), graph.faceOf[nth(graph.halfEdges, on).twin] as number];
  });
  return { markFaces: pairs.map((p) => p[0]), markOthers: pairs.map((p) => p[1]) };
}

/**
 * Moves the panels of a divided piece and walks the outline together again: continuous at hinges, bridged
 * straight where it opens, trimmed where it overlaps. Marks and dart tips go with their panel.
 * Panels never deform; area after = area before + Σ gap areas, exactly. Refuses torn hinges.
 */
export function movePanels(divided: Divided, spec: SlashSpec, at: Progress = DONE): Result<SlashResult, SlashError> {
  const { piece, graph, names, outlines, edgeLengths, portionLengths } = divided;
  const known = new Set(spec.panels.map((p) => p.id));
  const motions = names.map((name): Rigid =>
    known.has(name) ? motionOf(spec.panels, name, at) : { angle: 0, x: 0, y: 0 },
  );
  const motionNamed = (name: string): Rigid => motions[names.indexOf(name)] ?? { angle: 0, x: 0, y: 0 };
  for (const hinge of spec.hinges) {
    const apart = distance(move(motionNamed(hinge.panels[0]), hinge.at), move(motionNamed(hinge.panels[1]), hinge.at));
    if (apart > TOL.same) return refuse('hinge-torn', { hinge: hinge.id, apart });
  }
  const panels = names.map((id, f): Panel => ({
    id,
    outline: nth(outlines, f),
    motion: nth(motions, f),
  }));
  if (motions.every(isRest)) {
    const lengths = Object.fromEntries(
      piece.edges.map((e, i) => [e.id, { before: nth(edgeLengths, i), after: nth(edgeLengths, i) }]),
    );
    return ok({ piece, panels, gaps: [], lengths });
  }

  const folds = new Set(spec.panels.flatMap((p) => (p.fold ? [names.indexOf(p.id)] : [])));
  const faceOfPortion = new Map<number, number>();
  graph.halfEdges.forEach((h, i) => h.portions.forEach((p) => faceOfPortion.set(p, nth(graph.faceOf, i))));
  const moved = graph.portions.map((p, i) => movePath(p.path, nth(motions, faceOfPortion.get(i) ?? 0)));
  const cutFrom = graph.portions.map(() => 0);
  // A rigid motion keeps lengths: only what is trimmed is measured again.
  const keptLengths = [...portionLengths];
  const bridges: (Path | null)[] = graph.portions.map(() => null);
  const closings = new Map<number, Path | null>();
  const n = graph.portions.length;
  // On the way to a later stage paper may lap farther than it will in the end; that is shown as it lies.
  const between = at.close < 1 && spec.panels.some((p) => p.after);
  const folded = (i: number): boolean => folds.has(faceOfPortion.get(i) ?? -1);
  for (let i = 0; i < n; i++) {
    const node = nth(graph.portions, i).node;
    if (node < 0) continue;
    const j = (i + 1) % n;
    // A folded wedge leaves a straight line from neighbour to neighbour, drawn below.
    if (folded(i) || folded(j)) continue;
    const before = nth(moved, i);
    const after = nth(moved, j);
    const joint =
      joinPortions(before, after, cutDirection(graph, node, motions)) ?? (between ? across(before, after) : null);
    if (!joint || joint.before.segments.length === 0 || joint.after.segments.length === 0)
      return refuse('overlap-too-large', { edge: nth(graph.portions, i).edge });
    moved[i] = joint.before;
    moved[j] = joint.after;
    if (joint.before !== before) keptLengths[i] = pathLength(joint.before);
    if (joint.after !== after) {
      const kept = pathLength(joint.after);
      cutFrom[j] = (cutFrom[j] ?? 0) + nth(keptLengths, j) - kept;
      keptLengths[j] = kept;
    }
    bridges[i] = joint.bridge;
    closings.set(node, joint.closing);
  }

  for (let i = 0; i < n; i++) {
    if (!folded(i)) continue;
    const before = cyclic(moved, i - 1);
    const after = cyclic(moved, i + 1);
    if (folded((i + 1) % n)) return refuse('panels-not-separated', { panel: 'fold', other: piece.name });
    moved[i] = polyline([endOf(before), after.start]);
    keptLengths[i] = pathLength(nth(moved, i));
  }
  const edges = piece.edges.flatMap((edge): readonly Edge[] => {
    const parts = graph.portions.flatMap((p, i) => {
      const bridge = bridges[i];
      return p.edge === edge.id ? [nth(moved, i), ...(bridge ? [bridge] : [])] : [];
    });
    const path = joinPaths(parts);
    // A mouth that has closed is an edge no longer.
    return folds.size > 0 && pathLength(path) < TOL.join ? [] : [{ ...edge, path }];
  });
  const gone = (edge: string): boolean => !edges.some((e) => e.id === edge);
  const bridgeLengths = bridges.map((b) => (b ? pathLength(b) : 0));
  const onEdge = (edge: string, at_: number): number => {
    let before = 0;
    let after = 0;
    for (const [i, p] of graph.portions.entries()) {
      if (p.edge !== edge) continue;
      const size = nth(portionLengths, i);
      const kept = nth(keptLengths, i);
      const bridge = nth(bridgeLengths, i);
      // A notch right at the cut belongs to neither side of the gap: it goes to its middle.
      if (bridge > 0 && Math.abs(at_ - before - size) < TOL.join) return after + kept + bridge / 2;
      if (at_ <= before + size + TOL.zero) return after + Math.min(kept, Math.max(0, at_ - before - (cutFrom[i] ?? 0)));
      before += size;
      after += kept + nth(bridgeLengths, i);
    }
    return after;
  };
  const line = bustLineOf(piece);
  const result: Piece = {
    ...piece,
    ...(line.length > 0 ? { bustLine: carryBustLine(line, panels) } : {}),
    edges: folds.size > 0 ? rejoined(edges) : edges,
    darts: piece.darts.flatMap((d, i) =>
      gone(d.mouth) ? [] : [{ ...d, tip: move(motions[nth(divided.dartFaces, i)] as Rigid, d.tip) }],
    ),
    marks: piece.marks.flatMap((m, i): readonly Mark[] => {
      if (m.kind === 'notch') return gone(m.edge) ? [] : [{ ...m, at: onEdge(m.edge, m.at) }];
      const one = motions[nth(divided.markFaces, i)] as Rigid;
      const two = motions[nth(divided.markOthers, i)] as Rigid;
      // What lies on a cut lies in the middle of what has opened there, whichever way rounding would have it.
      const moved = (p: Point): Point => (one === two ? move(one, p) : midpoint(move(one, p), move(two, p)));
      return [m.kind === 'grain' ? { ...m, from: moved(m.from), to: moved(m.to) } : { ...m, at: moved(m.at) }];
    }),
  };
  const lengths = Object.fromEntries(
    piece.edges.map((e, i) => {
      const after = graph.portions.reduce(
        (sum, q, k) => (q.edge === e.id ? sum + nth(keptLengths, k) + nth(bridgeLengths, k) : sum),
        0,
      );
      return [e.id, { before: nth(edgeLengths, i), after }];
    }),
  );
  return ok({ piece: result, panels, gaps: gapsOf(graph, motions, closings, folds), lengths });
}

/** Cut and move in one go. */
export function slashPiece(piece: Piece, spec: SlashSpec, at: Progress = DONE): Result<SlashResult, SlashError> {
  const divided = cutPiece(piece, spec);
  return divided.ok ? movePanels(divided.value, spec, at) : divided;
}

function faceHolding(graph: SlashGraph, p: Point): number {
  const inside = graph.rings.findIndex((ring) => insidePolygon(p, ring));
  if (inside >= 0) return inside;
  const gaps = graph.rings.map((ring) => nearestOnPath(polyline(ring), p).distance);
  return gaps.indexOf(Math.min(...gaps));
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
