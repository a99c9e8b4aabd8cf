import { blend, pathFromSpans, rotate, type Path, type Point } from '../geometry/index.ts';
import { type ChartRow, type Edge, type Mark, type Piece } from '../pattern/index.ts';
import { bodyOf, NAPE_DROP, neckDepth, neckWidth, underarmBelowNeck, type Body } from './body.ts';
import { QUARTER } from './parts.ts';

export const DART_BELOW = 55;
export const SETBACK = 25;
/** From the waist to the hem at the side. */
export const TAIL = 150;

/** Everything a half piece of a top shares, whatever its sleeve. */
export interface Frame {
  readonly b: Body;
  readonly neckPoint: Point;
  readonly centreNeck: Point;
  readonly underarm: Point;
  readonly bustLevel: number;
}

export function frameOf(row: ChartRow, part: 'front' | 'back', width: number): Frame {
  const b = bodyOf(row);
  const back = part === 'back';
  return {
    b,
    neckPoint: { x: neckWidth(b) + (back ? 3 : 0), y: 0 },
    centreNeck: { x: 0, y: back ? NAPE_DROP : neckDepth(b) },
    underarm: { x: width, y: underarmBelowNeck(b) },
    bustLevel: underarmBelowNeck(b) + DART_BELOW - 8,
  };
}

/** The hem: square to the side seam, level from there to the centre. */
export function hem(side: Point, alongSide: Point): Path {
  const lean = Math.atan2(-alongSide.x, alongSide.y);
  const level = side.y - side.x * Math.tan(lean / 2);
  const corner = { x: 0, y: level };
  return pathFromSpans([blend(side, rotate(alongSide, QUARTER), corner, { x: -1, y: 0 })]);
}

/** A shirt tail: level with its lowest at the centre, rising in one curve to the side, and square to it there. */
export const tailHem = (side: Point, alongSide: Point, below: number): Path =>
  pathFromSpans([blend(side, rotate(alongSide, QUARTER), { x: 0, y: side.y + below }, { x: -1, y: 0 }, TAIL_HANDLE)]);
/** How soft a shirt tail is, as a share of its length. */
const TAIL_HANDLE = 0.42;

/** Marks every half piece of a top carries. */
export function marksOf(f: Frame, bottom: number): readonly Mark[] {
  return [
    { kind: 'level', id: 'bust', name: 'bust', at: { x: 6, y: f.bustLevel } },
    { kind: 'level', id: 'waist', name: 'waist', at: { x: 6, y: bottom - TAIL } },
    { kind: 'level', id: 'lengthenShorten', name: 'lengthenShorten', at: { x: 6, y: bottom - TAIL - 50 } },
    { kind: 'grain', id: 'grain', from: { x: 20, y: f.centreNeck.y + 50 }, to: { x: 20, y: bottom - 50 } },
  ];
}

export const half = (part: 'front' | 'back', edges: readonly Edge[], marks: readonly Mark[]): Piece => ({
  id: part,
  name: part === 'front' ? 'Top front' : 'Top back',
  part,
  cut: 1,
  fold: part === 'front' ? 'centreFront' : 'centreBack',
  half: true,
  notes: '',
  edges,
  darts: [],
  marks,
});

export const bustPointOn = (b: Body): Point => {
  const across = b.bustSpan / 2 - neckWidth(b);
  return { x: b.bustSpan / 2, y: Math.sqrt(b.bustHeight ** 2 - across ** 2) };
};

/** How wide the front is at the underarm; the back takes the rest of the garment. */
export const frontWidth = (b: Body, ease: number): number => b.bust / 4 + ease / 4 + 6;
