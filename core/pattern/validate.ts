import { distance, endOf, flatten, isSimplePolygon, pathLength } from '../geometry/index.ts';
import { TOL, once } from '../units/index.ts';
import { centreEdgeOf, edgeOf, isInside, pieceArea } from './access.ts';
import { paperOutline } from './beyond.ts';
import { partsOfSide } from './seamLine.ts';
import type { Pattern, Piece } from './types.ts';

export type ProblemCode =
  | 'edges-do-not-join'
  | 'outline-open'
  | 'beyond-off-centre'
  | 'outline-crosses'
  | 'outline-anticlockwise'
  | 'edge-repeated'
  | 'edge-without-length'
  | 'fold-edge-missing'
  | 'dart-mouth-missing'
  | 'dart-tip-outside'
  | 'notch-edge-missing'
  | 'notch-off-edge'
  | 'seam-piece-missing'
  | 'seam-edge-missing'
  | 'seam-edge-repeated'
  | 'seam-notch-missing'
  | 'size-without-pieces'
  | 'chart-size-repeated';

export interface Problem {
  readonly code: ProblemCode;
  readonly data: Readonly<Record<string, string | number>>;
}

/** Everything wrong with one piece, each exactly located. An empty list means the kernel can take it. */
export function validatePiece(piece: Piece): readonly Problem[] {
  const out: Problem[] = [];
  const say = (code: ProblemCode, data: Problem['data'] = {}) =>
    out.push({ code, data: { piece: piece.name, ...data } });
  const n = piece.edges.length;
  piece.edges.forEach((edge, i) => {
    const next = piece.edges[(i + 1) % n];
    if (piece.edges.findIndex((e) => e.id === edge.id) !== i) say('edge-repeated', { edge: edge.id });
    if (pathLength(edge.path) < TOL.join) say('edge-without-length', { edge: edge.id });
    if (!next) return;
    const gap = distance(endOf(edge.path), next.path.start);
    if (gap > TOL.join) say(i === n - 1 ? 'outline-open' : 'edges-do-not-join', { edge: edge.id, next: next.id, gap });
  });
  const strip = piece.beyond?.edges;
  const centre = strip ? centreEdgeOf(piece) : null;
  strip?.forEach((edge, i) => {
    const next = i + 1 < strip.length ? strip[i + 1]?.path.start : centre && endOf(centre.path);
    const start = i === 0 && centre ? distance(centre.path.start, edge.path.start) : 0;
    const gap = Math.max(start, next ? distance(endOf(edge.path), next) : Infinity);
    if (!(gap <= TOL.join)) say('beyond-off-centre', { edge: edge.id });
  });
  if (out.length > 0) return out;
  if (!isSimplePolygon(flatten(paperOutline(piece), 0.2))) say('outline-crosses');
  else if (pieceArea(piece) < 0) say('outline-anticlockwise');
  if (piece.fold !== null && !edgeOf(piece, piece.fold)) say('fold-edge-missing', { edge: piece.fold });
  for (const dart of piece.darts) {
    const mouth = edgeOf(piece, dart.mouth);
    if (!mouth) say('dart-mouth-missing', { dart: dart.id, edge: dart.mouth });
    else if (!isInside(piece, dart.tip)) say('dart-tip-outside', { dart: dart.id });
  }
  for (const mark of piece.marks) {
    if (mark.kind !== 'notch') continue;
    const edge = edgeOf(piece, mark.edge);
    if (!edge) say('notch-edge-missing', { notch: mark.id, edge: mark.edge });
    else if (mark.at > pathLength(edge.path) + TOL.join)
      say('notch-off-edge', { notch: mark.id, edge: mark.edge, length: pathLength(edge.path) });
  }
  return out;
}

/** Everything wrong with a pattern: its pieces, and seams that name what is not there. */
export function validatePattern(pattern: Pattern): readonly Problem[] {
  const out: Problem[] = [];
  pattern.chart.forEach((row, i) => {
    if (pattern.chart.findIndex((r) => r.size === row.size) !== i)
      out.push({ code: 'chart-size-repeated', data: { size: row.size } });
  });
  for (const [size, pieces] of Object.entries(pattern.sizes)) {
    if (pieces.length === 0) out.push({ code: 'size-without-pieces', data: { size } });
    for (const piece of pieces) out.push(...validatePiece(piece).map((p) => ({ ...p, data: { size, ...p.data } })));
    for (const seam of pattern.seams)
      for (const side of [seam.first, seam.second].flatMap(partsOfSide)) {
        const piece = pieces.find((p) => p.id === side.piece);
        if (!piece) out.push({ code: 'seam-piece-missing', data: { size, seam: seam.id, piece: side.piece } });
        else {
          for (const edge of side.edges)
            if (!edgeOf(piece, edge))
              out.push({ code: 'seam-edge-missing', data: { size, seam: seam.id, piece: piece.name, edge } });
            else if (side.edges.indexOf(edge) !== side.edges.lastIndexOf(edge))
              out.push({ code: 'seam-edge-repeated', data: { size, seam: seam.id, piece: piece.name, edge } });
          for (const notch of side.between ?? [])
            if (!piece.marks.some((m) => m.kind === 'notch' && m.id === notch && side.edges.includes(m.edge)))
              out.push({ code: 'seam-notch-missing', data: { size, seam: seam.id, piece: piece.name, notch } });
        }
      }
  }
  return out;
}

/** Defects that do not stop a draft from being altered: they are reported, and block printing where they must. */
const BEARABLE: ReadonlySet<ProblemCode> = new Set<ProblemCode>([
  'outline-crosses',
  'outline-anticlockwise',
  'dart-tip-outside',
  'size-without-pieces',
  'chart-size-repeated',
]);
/**
 * The first thing that makes a pattern no pattern: names of what is not there, edges that do not join. Whoever drafts
 * asks, since a job may carry its pattern with it.
 */
export const brokenIn = once(
  (pattern: Pattern): Problem | null => validatePattern(pattern).find((p) => !BEARABLE.has(p.code)) ?? null,
);
