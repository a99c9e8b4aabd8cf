import { bisect } from '../numeric/index.ts';
import {
  add,
  blend,
  endOf,
  endTangent,
  pathFromSpans,
  pathLength,
  rotate,
  scale,
  splitAtLength,
  unit,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { requireEdge, type Piece } from '../pattern/index.ts';
import { TOL } from '../units/index.ts';
import { edge, line, QUARTER } from './parts.ts';

/** The stand: its height behind and in front, how far it rises to the front, and what it runs on to be buttoned, mm. */
const STAND = { behind: 32, front: 27, rise: 14, extension: 18 } as const;
/** The collar: its height behind, how far its point lies before and below the front of its seam, mm. */
const COLLAR = { behind: 46, ahead: 16, point: 62, rise: 9 } as const;

/** A line of a length that lies level at the centre back, x = 0, and rises to the left, its front end. */
function risingLine(length: number, rise: number): Path {
  const drawn = (across: number): Path =>
    pathFromSpans([blend({ x: 0, y: 0 }, { x: -1, y: 0 }, { x: -across, y: -rise }, unit({ x: -1, y: -0.2 }), 0.4)]);
  return drawn(bisect((x) => pathLength(drawn(x)) - length, length / 2, length * 1.2, TOL.fine));
}

const grain = (from: Point, to: Point) => ({ kind: 'grain' as const, id: 'grain', from, to });

/** The stand of a collar, half of it, on the fold at the centre back: its lower edge as long as the neckline. */
export function draftStand(front: Piece, yoke: Piece): Piece {
  const [ahead, behind] = [front, yoke].map((p) => pathLength(requireEdge(p, 'neck').path)) as [number, number];
  const lower = risingLine(ahead + behind, STAND.rise);
  const [neckBack, neckFront] = splitAtLength(lower, behind);
  const corner = endOf(lower);
  const on = endTangent(lower);
  const up = rotate(on, QUARTER);
  const end = add(corner, scale(on, STAND.extension));
  const top = add(corner, scale(up, STAND.front));
  const fold = { x: 0, y: -STAND.behind };
  const collarSeam = pathFromSpans([blend(top, scale(on, -1), fold, { x: 1, y: 0 }, 0.4)]);
  return {
    ...{ id: 'stand', name: 'Collar stand', part: 'band', cut: 2, fold: 'foldBack', half: true, darts: [] },
    notes: 'Cut twice: outside and inside.',
    edges: [
      edge('collarSeam', 'other', collarSeam, 10),
      edge('foldBack', 'other', line(fold, { x: 0, y: 0 }), 0),
      edge('neckBack', 'neck', neckBack, 10),
      edge('neckFront', 'neck', neckFront, 10),
      edge('extension', 'other', line(corner, end), 10),
      edge('end', 'other', pathFromSpans([blend(end, up, top, scale(on, -1), 0.5)]), 10),
    ],
    marks: [grain({ x: -20, y: -STAND.behind / 2 }, { x: -20 - behind, y: -STAND.behind / 2 })],
  };
}

/** The collar, half of it, on the fold at the centre back: its lower edge as long as the upper edge of the stand. */
export function draftCollar(stand: Piece): Piece {
  const length = pathLength(requireEdge(stand, 'collarSeam').path);
  const seam = risingLine(length, COLLAR.rise);
  const front = endOf(seam);
  const fold = { x: 0, y: -COLLAR.behind };
  const point = { x: front.x - COLLAR.ahead, y: front.y - COLLAR.point };
  const outer = pathFromSpans([blend(point, unit({ x: 1, y: 0.16 }), fold, { x: 1, y: 0 }, 0.36)]);
  return {
    ...{ id: 'collar', name: 'Collar', part: 'collar', cut: 2, fold: 'foldBack', half: true, darts: [] },
    notes: 'Cut twice: upper and under collar.',
    edges: [
      edge('outer', 'other', outer, 10),
      edge('foldBack', 'other', line(fold, { x: 0, y: 0 }), 0),
      edge('seam', 'other', seam, 10),
      edge('front', 'other', line(front, point), 10),
    ],
    marks: [grain({ x: -20, y: -COLLAR.behind / 2 }, { x: -length / 2, y: -COLLAR.behind / 2 })],
  };
}
