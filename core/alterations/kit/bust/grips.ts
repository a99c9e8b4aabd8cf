import { add, midpoint, scale, sub, unit, type Point } from '../../../geometry/index.ts';
import { dartShape } from '../../../pattern/index.ts';
import { type Grip, type Values } from '../../contract.ts';
import { numberOf } from '../../engine/values.ts';
import { hingePath } from './landmarks.ts';
import { type Layout } from './layout.ts';
import { BUST_PARAMS } from './params.ts';

/** What one may take hold of: hinge, bust point, the gap, and the tip of the dart that took the opening, where one did. */
export function gripsOf(
  l: Layout,
  values: Values,
  bustPoint: Layout['p'],
  hinge: Layout['p'],
  dart: 'side' | 'goal' | null,
): readonly Grip[] {
  const piece = l.front.piece.id;
  const { dir } = l.front;
  const early = ['mark', 'cut'] as const;
  const late = ['dart', 'true', 'match'] as const;
  const { min, max } = BUST_PARAMS.total;
  const grips: Grip[] = [
    {
      kind: 'along',
      id: 'hinge',
      key: 'hinge',
      piece,
      stages: [...early, 'open', 'level', ...late],
      at: hinge,
      path: hingePath(l.front),
      min: BUST_PARAMS.hinge.min,
      max: BUST_PARAMS.hinge.max,
    },
    { kind: 'point', id: 'bustPoint', key: 'bustPoint', piece, stages: early, at: l.p },
    {
      kind: 'amount',
      id: 'gap',
      key: 'total',
      piece,
      stages: ['open', 'level'],
      at: l.moved,
      from: l.p,
      axis: { x: dir, y: 0 },
      per: 2,
      min,
      max,
    },
  ];
  const axis = tipAxis(l, bustPoint, dart);
  if (axis)
    grips.push({
      kind: 'amount',
      id: 'tip',
      key: 'setback',
      piece,
      stages: late,
      at: add(bustPoint, scale(axis, numberOf(values, 'setback'))),
      from: bustPoint,
      axis,
      per: 1,
      min: BUST_PARAMS.setback.min,
      max: BUST_PARAMS.setback.max,
    });
  return grips;
}

/** Which way a tip is drawn back from the bust point: square to the grain in the side seam, else along the dart. */
function tipAxis(l: Layout, bustPoint: Point, dart: 'side' | 'goal' | null): Point | null {
  if (dart === 'side') return { x: l.front.dir, y: 0 };
  if (dart !== 'goal' || !l.front.goal) return null;
  const { start, end } = dartShape(l.front.piece, l.front.goal);
  return unit(sub(midpoint(start, end), bustPoint));
}
