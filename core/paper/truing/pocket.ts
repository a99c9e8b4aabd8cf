import { add, endOf, mapPath, midpoint, pathLength, sub, type Path, type Point } from '../../geometry/index.ts';
import { mapMark, requireEdge, type Piece } from '../../pattern/index.ts';
import { moveEnd, moveStart } from './moveEnd.ts';

/**
 * A pocket bag with its opening drawn anew along `line` (in the opening's own direction). The bag goes with the
 * opening without turning, so that its grainline stays the garment's, and its two neighbouring edges are redrawn to
 * the new ends. Throws where the piece has no such edge.
 */
export function openAlong(pocket: Piece, opening: string, line: Path): Piece {
  const old = requireEdge(pocket, opening).path;
  const shift = sub(midpoint(line.start, endOf(line)), midpoint(old.start, endOf(old)));
  const move = (p: Point): Point => add(p, shift);
  const n = pocket.edges.length;
  const i = pocket.edges.findIndex((e) => e.id === opening);
  return {
    ...pocket,
    edges: pocket.edges.map((edge, k) => {
      if (k === i) return { ...edge, path: line };
      let path = mapPath(edge.path, move);
      // A bag of one edge only meets the opening at both ends; the reach keeps the two redrawings apart.
      const reach = pathLength(path) / 2;
      if (k === (i + 1) % n) path = moveStart(path, endOf(line), reach);
      if (k === (i + n - 1) % n) path = moveEnd(path, line.start, reach);
      return { ...edge, path };
    }),
    marks: pocket.marks.map((m) => {
      if (m.kind === 'notch') return m.edge === opening ? { ...m, at: Math.min(m.at, pathLength(line)) } : m;
      return mapMark(m, move);
    }),
  };
}
