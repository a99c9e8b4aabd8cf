import { endOf, pathFromSpans, pathLength, type Path } from '../geometry/index.ts';
import { requireEdge, seamLine, type EdgeRole, type Piece, type SeamSide } from '../pattern/index.ts';
import { facingOn } from '../paper/truing/index.ts';
import { curve, edge, line } from './parts.ts';
import { POCKET, sewnWaist } from './skirt.ts';
import { FLY } from './trousers.ts';

/** How deep the neck facings of "Causeway" are, mm: to just before the shoulder dart of the back. */
export const FACING_DEPTH = 50;
const BAND_HEIGHT = 32;
const WAISTBAND_HEIGHT = 38;

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

/** The part of a front's side seam the pocket is sewn into. */
export const pocketSideOf = ({ id }: Pick<Piece, 'id'>): SeamSide => ({
  piece: id,
  edges: ['side'],
  reversed: false,
  between: [POCKET.top, POCKET.end],
});
const BAG = { across: 130, below: 90 } as const;

/** A pocket bag for the side seam, lying on the front of a skirt or of trousers as it is drawn: opening, bag and top. */
export function draftPocket(front: Piece): Piece {
  const opening = seamLine(front, pocketSideOf(front));
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

/** A straight band, half of it, on the fold at the centre back; it lies level, its seam below. */
interface BandShape {
  readonly id: string;
  readonly name: string;
  readonly part: Piece['part'];
  readonly role: EdgeRole;
  /** Its seam edges at front and back. */
  readonly seams: readonly [front: string, back: string];
  readonly front: number;
  readonly back: number;
  readonly height: number;
  /** How far it runs on beyond the centre front, to be buttoned, mm. */
  readonly overlap?: number;
  readonly notes?: string;
}

function bandOf({ id, name, part, role, seams, front, back, height: h, overlap = 0, notes = '' }: BandShape): Piece {
  const corner = (x: number, y: number) => ({ x, y });
  const seam = (x0: number, x1: number): Path => line(corner(x0, h), corner(x1, h));
  const end = front + back;
  return {
    ...{ id, name, part },
    cut: 2,
    fold: 'foldBack',
    half: true,
    notes,
    edges: [
      edge('edge', 'other', line(corner(-overlap, 0), corner(end, 0)), 10),
      edge('foldBack', 'other', line(corner(end, 0), corner(end, h)), 0),
      edge(seams[1], role, seam(end, front)),
      edge(seams[0], role, seam(front, 0)),
      ...(overlap > 0 ? [edge('overlap', 'other', seam(0, -overlap))] : []),
      edge('endFront', 'other', line(corner(-overlap, h), corner(-overlap, 0)), 10),
    ],
    darts: [],
    marks: [{ kind: 'grain', id: 'grain', from: corner(20, h / 2), to: corner(end - 20, h / 2) }],
  };
}

/** The band of a shirt's neckline. */
export const draftBand = (front: Piece, back: Piece): Piece =>
  bandOf({
    ...{ id: 'band', name: 'Neckband', part: 'band', role: 'neck', seams: ['neckFront', 'neckBack'] },
    front: pathLength(requireEdge(front, 'neck').path),
    back: pathLength(requireEdge(back, 'neck').path),
    height: BAND_HEIGHT,
  });

/** How far the waistband runs on beyond the centre front, mm. */
const OVERLAP = 35;

/** The waistband of trousers, cut twice: outside and inside. */
export const draftWaistband = (front: Piece, back: Piece): Piece =>
  bandOf({
    ...{ id: 'waistband', name: 'Waistband', part: 'waistband', role: 'other', seams: ['waistFront', 'waistBack'] },
    front: sewnWaist(front),
    back: sewnWaist(back),
    height: WAISTBAND_HEIGHT,
    overlap: OVERLAP,
    notes: 'The overlap is for one end only: cut it off the other.',
  });

/** The part of the front's crotch seam that opens. */
export const FLY_SIDE: SeamSide = {
  piece: 'trouserFront',
  edges: ['crotch'],
  reversed: false,
  between: [FLY.end, FLY.top],
};
/** How wide the fly facing is, mm. */
const FLY_WIDTH = 40;

/** The facing of the fly, lying on the front as it is drawn: the opening, the waist and the stitched curve. */
export function draftFly(front: Piece): Piece {
  const opening = seamLine(front, FLY_SIDE);
  const [low, top] = [opening.start, endOf(opening)];
  const outer = { x: top.x + FLY_WIDTH, y: top.y };
  return {
    id: 'flyFacing',
    name: 'Fly facing',
    part: 'flyFacing',
    cut: 2,
    fold: null,
    half: false,
    notes: '',
    edges: [
      edge('opening', 'other', opening),
      edge('top', 'other', line(top, outer)),
      edge(
        'outer',
        'other',
        pathFromSpans([
          { kind: 'line', a: outer, b: { x: outer.x, y: low.y - FLY_WIDTH } },
          curve({ x: outer.x, y: low.y - FLY_WIDTH }, { x: outer.x, y: low.y - 12 }, { x: low.x + 16, y: low.y }, low),
        ]),
        0,
      ),
    ],
    darts: [],
    marks: [
      { kind: 'grain', id: 'grain', from: { x: top.x + 20, y: top.y + 25 }, to: { x: top.x + 20, y: low.y - 45 } },
    ],
  };
}
