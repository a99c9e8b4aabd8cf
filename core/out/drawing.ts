import {
  add,
  boundsOf,
  endOf,
  flatten,
  left,
  midpoint,
  pathFromSpans,
  pointAt,
  polyline,
  scale,
  sub,
  tangentAt,
  unit,
  type Box,
  type Path,
  type Point,
} from '../geometry/index.ts';
import type { Patch } from './patch/patches.ts';
import {
  aroundDoubleDart,
  asCut,
  buttonsOf,
  centreEdgeOf,
  cuttingLine,
  dartShape,
  doubleDartsOf,
  edgeOf,
  outlineOf,
  paperOutline,
  yokeLinesOf,
  type Piece,
} from '../pattern/index.ts';
import { nth } from '../units/index.ts';

/** A piece taken apart into what a printer, an SVG or a screen draws. Coordinates in piece space, mm. */
export interface PieceDrawing {
  readonly piece: Piece;
  readonly cutting: Path;
  readonly seam: Path;
  readonly darts: readonly {
    readonly id: string;
    readonly legs: Path;
    readonly centre: Path;
    readonly tips: readonly Point[];
  }[];
  readonly notches: readonly { readonly id: string; readonly lines: readonly (readonly [Point, Point])[] }[];
  readonly grain: readonly (readonly [Point, Point])[];
  readonly levels: readonly { readonly name: string; readonly line: readonly [Point, Point] }[];
  readonly bustPoint: Point | null;
  readonly foldLine: readonly [Point, Point] | null;
  /** The centre inside the paper, and where what lies beyond it is folded back. */
  readonly centreLine: readonly [Point, Point] | null;
  readonly folds: readonly (readonly [Point, Point])[];
  readonly buttons: readonly Point[];
  /** Where a yoke is pinned on, and cut apart again afterwards. */
  readonly yokeLines: readonly Path[];
  /** Where the neck of the body lies, when the neckline lies elsewhere. */
  readonly neck: readonly { readonly id: string; readonly at: Point }[];
  readonly bounds: Box;
  /** Only a part is printed: its edge, the untouched piece to lay it by, and which of how many it is. */
  readonly patch?: {
    readonly edge: Path;
    readonly untouched: PieceDrawing;
    readonly number: number;
    readonly of: number;
  };
}

/** Where the paper of a drawing ends: along the cutting line, or along the edge of a patch. */
export const paperEdge = (d: PieceDrawing): Path => d.patch?.edge ?? d.cutting;

const NOTCH = 6;

export function drawPiece(piece: Piece): PieceDrawing {
  const cutting = cuttingLine(piece);
  const seam = paperOutline(piece);
  const centre = piece.beyond ? centreEdgeOf(piece) : null;
  const bounds = boundsOf(flatten(cutting, 0.5));
  const seamBox = boundsOf(flatten(outlineOf(piece), 0.5));
  const fold = piece.fold === null ? undefined : edgeOf(piece, piece.fold);
  return {
    piece,
    cutting,
    seam,
    darts: dartsDrawn(piece),
    notches: asCut(piece).marks.flatMap((m) => {
      const edge = m.kind === 'notch' ? edgeOf(piece, m.edge) : undefined;
      if (m.kind !== 'notch' || !edge) return [];
      const out = left(tangentAt(edge.path, m.at));
      const lines = Array.from({ length: m.count }, (_, i): readonly [Point, Point] => {
        const at = pointAt(edge.path, m.at + (i - (m.count - 1) / 2) * 5);
        return [at, add(at, scale(out, Math.max(NOTCH, edge.allowance * 0.6)))];
      });
      return [{ id: m.id, lines }];
    }),
    grain: piece.marks.flatMap((m) => (m.kind === 'grain' ? [[m.from, m.to] as const] : [])),
    levels: piece.marks.flatMap((m) =>
      m.kind === 'level' && m.name !== 'waist'
        ? [
            {
              name: m.name,
              line: [
                { x: seamBox.minX, y: m.at.y },
                { x: seamBox.maxX, y: m.at.y },
              ] as const,
            },
          ]
        : [],
    ),
    bustPoint: piece.marks.find((m) => m.kind === 'bustPoint')?.at ?? null,
    foldLine: fold ? [fold.path.start, endOf(fold.path)] : null,
    centreLine: centre ? [centre.path.start, endOf(centre.path)] : null,
    folds: piece.beyond?.folds.map((f) => [f.from, f.to] as const) ?? [],
    buttons: buttonsOf(piece),
    yokeLines: yokeLinesOf(piece),
    neck: piece.marks.flatMap((m) =>
      m.kind === 'neckBase' || m.kind === 'neckCentre' ? [{ id: m.id, at: m.at }] : [],
    ),
    bounds,
  };
}

/** Darts with a mouth from leg end to tip to leg end, those without one all the way around. */
const dartsDrawn = (piece: Piece): PieceDrawing['darts'] => [
  ...piece.darts.map((d) => {
    const { start, tip, end } = dartShape(piece, d);
    return {
      id: d.id,
      legs: polyline([start, tip, end]),
      centre: polyline([tip, midpoint(start, end)]),
      tips: [tip],
    };
  }),
  ...doubleDartsOf(piece).map((d) => {
    const { upper, lower } = d;
    return {
      id: d.id,
      legs: pathFromSpans(aroundDoubleDart(d)),
      centre: polyline([upper, lower]),
      tips: [upper, lower],
    };
  }),
];

/** A part of a piece as a patch to tape on; its bounds are the patch's. */
export const drawPatch = ({ piece, untouched, ring, bounds, number, of }: Patch): PieceDrawing => ({
  ...drawPiece(piece),
  bounds,
  patch: { edge: polyline([...ring, nth(ring, 0)]), untouched: drawPiece(untouched), number, of },
});

/** The two strokes of an arrow head at each end of a grain line. */
export const arrowHeads = (a: Point, b: Point, size = 4): readonly (readonly [Point, Point])[] =>
  (
    [
      [a, b],
      [b, a],
    ] as const
  ).flatMap(([tip, other]) => {
    const u = unit(sub(other, tip));
    return [1, -1].map((side) => [tip, add(tip, add(scale(u, size), scale(left(u), (side * size) / 2)))] as const);
  });
