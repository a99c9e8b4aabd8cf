import { insidePolygon, joinPaths, nearestOnPath, pathLength, polyline, type Point } from '../../geometry/index.ts';
import { anchorsOfMark, type Piece } from '../../pattern/index.ts';
import { nth, ok, refuse, TOL, type Result } from '../../units/index.ts';
import { divide, type SlashGraph } from './graph.ts';
import type { Divided, SlashError, SlashSpec } from './types.ts';

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
    markFaces: facesOfMarks(piece, graph.value, faceAt),
  });
}

/** The faces on both sides of every anchor of every mark; the same face twice unless it lies on a cut. */
function facesOfMarks(piece: Piece, graph: SlashGraph, faceAt: (p: Point) => number): Divided['markFaces'] {
  return piece.marks.map((m) => (m.kind === 'notch' ? [] : anchorsOfMark(m).map(facesAt)));
  function facesAt(at: Point): readonly [number, number] {
    const on = graph.halfEdges.findIndex((h) => h.cut !== null && nearestOnPath(h.path, at).distance < TOL.join);
    if (on >= 0) return [nth(graph.faceOf, on), graph.faceOf[nth(graph.halfEdges, on).twin] as number];
    const face = faceAt(at);
    return [face, face];
  }
}

function faceHolding(graph: SlashGraph, p: Point): number {
  const inside = graph.rings.findIndex((ring) => insidePolygon(p, ring));
  if (inside >= 0) return inside;
  const gaps = graph.rings.map((ring) => nearestOnPath(polyline(ring), p).distance);
  return gaps.indexOf(Math.min(...gaps));
}
