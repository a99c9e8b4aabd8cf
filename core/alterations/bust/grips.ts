import { add, scale } from '../../geometry/index.ts';
import { type Grip, type Values } from '../contract.ts';
import { numberOf } from '../values.ts';
import { hingePath } from './landmarks.ts';
import { type Layout } from './layout.ts';
import { BUST_PARAMS } from './params.ts';

/** What one may take hold of: hinge, bust point, the gap, and the tip once there is a dart. */
export function gripsOf(
  l: Layout,
  values: Values,
  bustPoint: Layout['p'],
  s: number,
  hinge: Layout['p'],
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
  if (l.front.sideDart || (l.bare && s > 0))
    grips.push({
      kind: 'amount',
      id: 'tip',
      key: 'setback',
      piece,
      stages: late,
      at: add(bustPoint, scale({ x: dir, y: 0 }, numberOf(values, 'setback'))),
      from: bustPoint,
      axis: { x: dir, y: 0 },
      per: 1,
      min: BUST_PARAMS.setback.min,
      max: BUST_PARAMS.setback.max,
    });
  return grips;
}
