import { pathLength, type Path } from '../geometry/index.ts';
import { requireEdge, type Piece } from '../pattern/index.ts';
import { facingOn } from '../truing/index.ts';
import { edge, line } from './parts.ts';

/** How deep the neck facings of "Causeway" are, mm: to just before the shoulder dart of the back. */
export const FACING_DEPTH = 50;
const BAND_HEIGHT = 32;

/** The neck facing of a front or back, lying on it as it is drawn. */
export function draftFacing(piece: Piece): Piece {
  const front = piece.part === 'front';
  return {
    id: front ? 'frontFacing' : 'backFacing',
    name: front ? 'Front neck facing' : 'Back neck facing',
    part: front ? 'facingFront' : 'facingBack',
    cut: piece.cut,
    fold: piece.fold,
    half: true,
    notes: '',
    edges: facingOn(piece, FACING_DEPTH),
    darts: [],
    marks: piece.marks.flatMap((m) =>
      m.kind === 'grain'
        ? [{ ...m, from: { x: m.from.x, y: grainTop(piece) }, to: { x: m.from.x, y: grainTop(piece) + 30 } }]
        : [],
    ),
  };
}

/** A short grain line on the facing, in its depth below the neck at the centre. */
const grainTop = (piece: Piece): number => {
  const neck = requireEdge(piece, 'neck').path;
  const end = neck.segments.at(-1)?.to ?? neck.start;
  return Math.max(neck.start.y, end.y) + 8;
};

/** A straight band for the neckline of front and back: half of it, on the fold at the centre back. */
export function draftBand(front: Piece, back: Piece): Piece {
  const f = pathLength(requireEdge(front, 'neck').path);
  const b = pathLength(requireEdge(back, 'neck').path);
  const h = BAND_HEIGHT;
  const corner = (x: number, y: number) => ({ x, y });
  const seam = (x0: number, x1: number): Path => line(corner(x0, h), corner(x1, h));
  return {
    id: 'band',
    name: 'Neckband',
    part: 'band',
    cut: 2,
    fold: 'foldBack',
    half: true,
    notes: '',
    edges: [
      edge('edge', 'other', line(corner(0, 0), corner(f + b, 0)), 10),
      edge('foldBack', 'other', line(corner(f + b, 0), corner(f + b, h)), 0),
      edge('neckBack', 'neck', seam(f + b, f)),
      edge('neckFront', 'neck', seam(f, 0)),
      edge('endFront', 'other', line(corner(0, h), corner(0, 0)), 10),
    ],
    darts: [],
    marks: [{ kind: 'grain', id: 'grain', from: corner(20, h / 2), to: corner(f + b - 20, h / 2) }],
  };
}
