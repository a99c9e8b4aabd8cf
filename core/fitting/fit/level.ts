import { sizeFor } from '../../alterations/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import type { Amounts } from './amounts.ts';
import type { Body } from './body.ts';
import { finishedBust } from './size.ts';

/** The size an underbust, a waist or a hip asks for by itself, and its neighbours. */
export interface LevelSize {
  readonly key: 'underbust' | 'waist' | 'hip';
  readonly body: number;
  readonly size: string;
  readonly chart: number;
  /** The smaller size, where the body lies between two: it would have to be let out by so much. */
  readonly smaller: { readonly size: string; readonly by: number } | null;
  readonly beyond: number | null;
}

/**
 * Waist and hip chosen separately: the pattern is graded between the sizes. Where it has ready-made cup pieces, the band
 * under the bust goes by the underbust.
 */
export function levelSizes(body: Body, pattern: Pattern): readonly LevelSize[] {
  const band = pattern.cups.some((c) => c.sizesUp !== null) ? (['underbust'] as const) : [];
  // What hangs from the waist starts from the hip: it is the size itself.
  const hip = pattern.garment === 'bottom' ? [] : (['hip'] as const);
  return [...band, 'waist' as const, ...hip].flatMap((key): readonly LevelSize[] => {
    const value = body[key];
    const size = value === undefined ? null : sizeFor(pattern.chart, key, value);
    const rows = pattern.chart.filter((r) => r.body[key] !== undefined);
    const at = rows.findIndex((r) => r.size === size);
    const chart = rows[at]?.body[key];
    if (value === undefined || size === null || chart === undefined) return [];
    const below = rows[at - 1];
    const under = below?.body[key];
    return [
      {
        key,
        body: value,
        size,
        chart,
        smaller: below && under !== undefined && under < value ? { size: below.size, by: value - under } : null,
        beyond: value > chart ? value - chart : null,
      },
    ];
  });
}

export type LeaveReason = `bust.${'optional.loose' | 'none.chart' | 'none.ease'}`;

/** Why the bust may be left alone; null where it is worth altering. */
export function mayLeaveBust(
  amounts: Amounts | null,
  body: Body,
  pattern: Pattern,
): { readonly code: LeaveReason; readonly data: Readonly<Record<string, number>> } | null {
  const total = amounts?.chosen?.total;
  if (pattern.garment === 'bottom') return null;
  if (!amounts || total === undefined || amounts.verdict === 'yes' || body.fullBust === undefined) return null;
  const finished = finishedBust(pattern, amounts.size);
  if (amounts.verdict === 'optional')
    return pattern.style === 'loose' || pattern.fabric.kind === 'knit'
      ? { code: 'bust.optional.loose', data: { total } }
      : null;
  if (!finished) return { code: 'bust.none.chart', data: { total } };
  return {
    code: 'bust.none.ease',
    data: { total, finished: finished.value, body: body.fullBust, ease: finished.value - body.fullBust },
  };
}
