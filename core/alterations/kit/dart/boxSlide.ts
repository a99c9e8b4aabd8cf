import { add, distance, endOf, intersectPaths, polyline, type Point } from '../../../geometry/index.ts';
import { bisect } from '../../../numeric/index.ts';
import { dartShape, sideDirection, type Dart, type Edge, type Piece } from '../../../pattern/index.ts';
import type { SlashSpec } from '../../../paper/slash/index.ts';
import { TOL, ok, refuse, type Result } from '../../../units/index.ts';
import { neighbours } from './place.ts';

/** Paper left around the dart in the box, mm. */
const ROUND = 15;

export interface BoxSlide {
  readonly spec: SlashSpec;
  readonly corners: readonly Point[];
  readonly shift: Point;
  readonly edges: readonly [string, string];
}

/**
 * A box cut out around a dart in the side seam and slid up (`by` positive) or down. The box goes a little in or
 * out as well, so that the two straight seams above and below it, drawn again, are together as long as before.
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
  const whole = distance(far, start) + distance(end, near);
  const excess = (h: number): number => {
    const shift = { x: h, y: -by };
    return distance(far, add(start, shift)) + distance(add(end, shift), near) - whole;
  };
  // The nearest sideways shift that does it; farther out the seams grow again on both sides.
  const reach = [0.5, 1, 2, 4, 8, 16].find((r) => excess(-r) > 0 !== excess(r) > 0);
  const h = reach === undefined ? 0 : bisect(excess, -reach, reach, TOL.zero);
  const shift = { x: h, y: -by };
  const corners = [a, { x: inner, y: top }, { x: inner, y: bottom }, b];
  return ok({
    corners,
    shift,
    edges: [before.id, after.id],
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
