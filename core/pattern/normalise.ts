import {
  distance,
  endOf,
  pathFromSpans,
  pathLength,
  polyline,
  reversePath,
  spansOf,
  type Path,
} from '../geometry/index.ts';
import { TOL } from '../units/index.ts';
import { edgeOf, pieceArea } from './access.ts';
import { mappedBeyond } from './beyond.ts';
import type { Edge, Mark, Pattern, Piece, SeamSide } from './types.ts';

/** A mouth drawn along both legs through the tip says the same as one drawn straight across. */
function straightMouth(piece: Piece): Piece {
  const edges = piece.edges.map((edge) => {
    const dart = piece.darts.find((d) => d.mouth === edge.id);
    if (!dart || !spansOf(edge.path).some((s) => distance(s.b, dart.tip) < TOL.join)) return edge;
    return { ...edge, path: polyline([edge.path.start, endOf(edge.path)]) };
  });
  return { ...piece, edges };
}

function reversePiece(piece: Piece): Piece {
  const edges = [...piece.edges].reverse().map((e) => ({ ...e, path: reversePath(e.path) }));
  return {
    ...piece,
    ...mappedBeyond(piece, (p) => p, true),
    edges,
    darts: piece.darts.map((d) => ({ ...d, foldToward: d.foldToward === 'start' ? 'end' : 'start' })),
    marks: piece.marks.map((m) => {
      const edge = m.kind === 'notch' ? edgeOf(piece, m.edge) : undefined;
      return m.kind === 'notch' && edge ? { ...m, at: Math.max(0, pathLength(edge.path) - m.at) } : m;
    }),
  };
}

/** Closes the thousandths that files lose at joins, so that the kernel may rely on shared points. */
function snapJoins(edges: readonly Edge[]): readonly Edge[] {
  return edges.map((edge, i) => {
    const before = edges[(i + edges.length - 1) % edges.length];
    const start = before ? endOf(before.path) : edge.path.start;
    const gap = distance(start, edge.path.start);
    if (gap < TOL.zero || gap > TOL.join) return edge;
    const path: Path = { start, segments: edge.path.segments };
    return { ...edge, path: pathFromSpans(spansOf(path)) };
  });
}

/** Of a dart without a mouth the upper tip is the higher one. */
const tipUp = (m: Mark): Mark =>
  m.kind === 'doubleDart' && m.upper.y > m.lower.y ? { ...m, upper: m.lower, lower: m.upper, widest: 1 - m.widest } : m;

/** Brings any valid piece to the model's convention: clockwise as seen, joins exact, dart mouths straight across. */
export function normalisePiece(piece: Piece): Piece {
  const snapped = { ...piece, edges: snapJoins(piece.edges), marks: piece.marks.map(tipUp) };
  return straightMouth(pieceArea(snapped) < 0 ? reversePiece(snapped) : snapped);
}

/**
 * A pattern with every piece in the model's convention. Where an outline is turned round, the seams that walk along it
 * are turned with it: "against the outline" means the other way from then on.
 */
export function normalisePattern(pattern: Pattern): Pattern {
  const turned = new Set<string>();
  const sizes = Object.fromEntries(
    Object.entries(pattern.sizes).map(([size, pieces]) => [
      size,
      pieces.map((piece) => {
        if (pieceArea(piece) < 0) turned.add(piece.id);
        return normalisePiece(piece);
      }),
    ]),
  );
  if (turned.size === 0) return { ...pattern, sizes };
  const part = <S extends Omit<SeamSide, 'then'>>(s: S): S =>
    turned.has(s.piece) ? { ...s, reversed: !s.reversed } : s;
  const side = (s: SeamSide): SeamSide => (s.then ? { ...part(s), then: part(s.then) } : part(s));
  return {
    ...pattern,
    sizes,
    seams: pattern.seams.map((s) => ({ ...s, first: side(s.first), second: side(s.second) })),
  };
}
