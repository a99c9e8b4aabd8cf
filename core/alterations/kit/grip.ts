import type { Point } from '../../geometry/index.ts';
import type { Grip, Param } from '../contract.ts';

/** The stages at which a grip is offered: once paper has opened, while it moves, or where something is drawn. */
const STAGES = {
  opened: ['open', 'level', 'dart', 'true', 'match'],
  drawn: ['mark', 'true', 'match'],
  moving: ['open', 'level'],
  laidOut: ['mark', 'cut'],
  tip: ['mark', 'dart', 'true', 'match'],
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
  /** The least it can be dragged to, where that is more than the value's own least. */
  readonly min?: number;
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
    min: grip.min ?? limits.min,
    max: limits.max,
  };
}
