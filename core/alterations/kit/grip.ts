import type { Point } from '../../geometry/index.ts';
import type { Grip, Param } from '../contract.ts';

/** From the stage at which paper opens, or from the one at which a mark is made and drawn to. */
const STAGES = {
  opened: ['open', 'level', 'dart', 'true', 'match'],
  drawn: ['mark', 'true', 'match'],
} as const;

/** What one takes hold of to change an amount: it slides from `from` along `axis`, `per` value for each millimetre. */
export function amountGrip(grip: {
  readonly piece: string;
  readonly shown: keyof typeof STAGES;
  readonly from: Point;
  readonly axis: Point;
  readonly value: number;
  readonly limits: Param;
  readonly id?: string;
  readonly per?: number;
  /** Where it stands, when that is not simply along the axis. */
  readonly at?: Point;
}): Grip {
  const { piece, shown, from, axis, value, limits, id = 'gap', per = 1 } = grip;
  const far = value / per;
  if (limits.kind !== 'length') throw new Error(`amountGrip: expected a length, got ${limits.kind}`);
  return {
    kind: 'amount',
    id,
    key: limits.key,
    piece,
    stages: STAGES[shown],
    at: grip.at ?? { x: from.x + axis.x * far, y: from.y + axis.y * far },
    from,
    axis,
    per,
    min: limits.min,
    max: limits.max,
  };
}
