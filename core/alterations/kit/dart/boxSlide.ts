import {
  add,
  distance,
  endOf,
  intersectPaths,
  nearestLength,
  pathLength,
  pointAt,
  polyline,
  type Point,
} from '../../../geometry/index.ts';
import { isStraightPath } from '../../../paper/truing/index.ts';
import { bisect } from '../../../numeric/index.ts';
import { dartShape, sideDirection, type Dart, type Edge, type Piece } from '../../../pattern/index.ts';
import type { SlashSpec } from '../../../paper/slash/index.ts';
import { nth, TOL, ok, refuse, type Result } from '../../../units/index.ts';
import { neighbours } from './place.ts';

/** Paper left around the dart in the box, mm. */
const ROUND = 15;

export interface BoxSlide {
  readonly spec: SlashSpec;
  readonly corners: readonly Point[];
  readonly shift: Point;
  /** How each of the two seams is drawn again. */
  readonly trued: readonly Redrawn[];
}

/** A seam ruled from end to end, or, where it is shaped, drawn again in a curve between two places along it, mm. */
interface Redrawn {
  readonly edge: string;
  readonly curve: { readonly from: number; readonly toFromEnd: number; readonly length: number } | null;
}

/** Beyond the box a shaped seam is drawn again over so much of its length, mm: below that it is left alone. */
const BEYOND = 60;

/** A seam beside the dart: its leg end, and how far along the seam from there it is drawn again. */
interface Beside {
  readonly edge: Edge;
  readonly leg: Point;
  /** Where what is drawn again ends: the far end of a straight seam. */
  readonly until: Point;
  readonly run: number;
  readonly size: number;
  readonly atStart: boolean;
}

function beside(edge: Edge, leg: Point, corner: Point): Beside {
  const size = pathLength(edge.path);
  const atStart = distance(edge.path.start, leg) < TOL.join;
  const along = nearestLength(edge.path, corner);
  const wanted = (atStart ? along : size - along) + BEYOND;
  const run = isStraightPath(edge.path) ? size : Math.min(size, wanted);
  const until = pointAt(edge.path, atStart ? run : size - run);
  return { edge, leg, until, run, size, atStart };
}

/** How a seam is drawn after the slide: straight, or in a curve that takes up what the other one gives. */
function redrawn(s: Beside, length: number): Redrawn {
  const rest = s.size - s.run;
  const [from, toFromEnd] = s.atStart ? [0, rest] : [rest, 0];
  return { edge: s.edge.id, curve: isStraightPath(s.edge.path) ? null : { from, toFromEnd, length } };
}

/**
 * A box cut out around a dart in the side seam and slid up (`by` positive) or down. The box goes a little in or
 * out as well, so that the two seams above and below it, drawn again, are together as long as before: straight ones
 * from end to end, shaped ones only about the box.
 */
export function boxSlide(piece: Piece, dart: Dart, by: number): Result<BoxSlide> {
  const [before, after] = neighbours(piece, dart) as [Edge, Edge];
  if (before.role !== 'side' || after.role !== 'side') return refuse('box-needs-side-dart', { dart: dart.kind });
  const dir = sideDirection(piece);
  const { start, end, tip } = dartShape(piece, dart);
  const ys = [start.y, end.y, tip.y];
  const top = Math.min(...ys) - ROUND;
  const bottom = Math.max(...ys) + ROUND;
  const far = before.path.start;
  const near = endOf(after.path);
  const [high, low] = far.y < near.y ? [far.y, near.y] : [near.y, far.y];
  const room = by > 0 ? top - high - 5 : low - bottom - 5;
  if (Math.abs(by) > room) return refuse('no-room-to-slide', { wanted: Math.abs(by), most: Math.max(0, room) });
  const inner = tip.x - dir * ROUND;
  const at = (y: number): Point | undefined =>
    [before, after].flatMap((e) =>
      intersectPaths(
        polyline([
          { x: inner, y },
          { x: inner + dir * 2000, y },
        ]),
        e.path,
      ),
    )[0]?.point;
  const a = at(top);
  const b = at(bottom);
  if (!a || !b) return refuse('no-room-to-slide', { wanted: Math.abs(by), most: 0 });
  const [over, under] = start.y < end.y ? [a, b] : [b, a];
  const sides = [beside(before, start, over), beside(after, end, under)] as const;
  const chord = (s: Beside, by: Point): number => distance(s.until, add(s.leg, by));
  const apart = (by: Point): number => chord(sides[0], by) + chord(sides[1], by);
  const whole = apart({ x: 0, y: 0 });
  const excess = (h: number): number => apart({ x: h, y: -by }) - whole;
  // The nearest sideways shift that does it; farther out the seams grow again on both sides.
  const reach = [0.5, 1, 2, 4, 8, 16].find((r) => excess(-r) > 0 !== excess(r) > 0);
  const h = reach === undefined ? 0 : bisect(excess, -reach, reach, TOL.zero);
  const shift = { x: h, y: -by };
  const grown = sides.map((s) => chord(s, shift) - chord(s, { x: 0, y: 0 }));
  const corners = [a, { x: inner, y: top }, { x: inner, y: bottom }, b];
  return ok({
    corners,
    shift,
    trued: sides.map((s, i) => redrawn(s, s.size + nth(grown, i))),
    spec: {
      cuts: [{ id: 'box', points: corners }],
      hinges: [],
      panels: [
        {
          id: 'box',
          seed: { x: inner + dir * 3, y: (top + bottom) / 2 },
          motion: { kind: 'shift', by: shift },
          stage: 'open',
        },
      ],
    },
  });
}
