import { endOf, pathFromSpans, pathLength, type Path } from '../geometry/index.ts';
import { requireEdge, seamLine, type Piece, type SeamSide } from '../pattern/index.ts';
import { facingOn } from '../paper/truing/index.ts';
import { curve, edge, line } from './parts.ts';
import { POCKET } from './skirt.ts';

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

/** The part of the skirt's side seam the pocket is sewn into. */
export const POCKET_SIDE: SeamSide = {
  piece: 'skirtFront',
  edges: ['side'],
  reversed: false,
  between: [POCKET.top, POCKET.end],
};
const BAG = { across: 130, below: 90 } as const;

/** A pocket bag for the side seam, lying on the skirt front as it is drawn: opening, bag and top. */
export function draftPocket(skirt: Piece): Piece {
  const opening = seamLine(skirt, POCKET_SIDE);
  const [top, end] = [opening.start, endOf(opening)];
  const inner = { x: top.x - BAG.across, y: top.y };
  const low = end.y + BAG.below;
  return {
    id: 'pocket',
    name: 'Pocket bag',
    part: 'pocket',
    cut: 4,
    fold: null,
    half: false,
    notes: '',
    edges: [
      edge('opening', 'other', opening),
      edge('bag', 'other', pathFromSpans([curve(end, { x: end.x - 20, y: low }, { x: inner.x, y: low }, inner)]), 10),
      edge('top', 'other', line(inner, top), 10),
    ],
    darts: [],
    marks: [
      { kind: 'grain', id: 'grain', from: { x: inner.x + 50, y: top.y + 30 }, to: { x: inner.x + 50, y: end.y } },
    ],
  };
}

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
