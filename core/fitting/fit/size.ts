import { flatOf } from '../../alterations/index.ts';
import type { ChartRow, Pattern } from '../../pattern/index.ts';
import { TOL, ok, refuse, type Coded, type Result } from '../../units/index.ts';
import type { Body } from './body.ts';

export type SizeMethod = 'highBust' | 'fullBust' | 'hip';
export type SizeReason =
  `size.${`${'highBust' | 'fullBust' | 'hip'}.nearest` | 'fullBust.cost' | 'cup' | `tie.${'smaller' | 'larger'}` | 'below-chart' | 'above-chart'}`;
export type SizeError = 'size-needs-high-bust' | 'size-needs-full-bust' | 'size-needs-hip' | 'chart-has-no-bust';
const NEEDS = {
  highBust: 'size-needs-high-bust',
  fullBust: 'size-needs-full-bust',
  hip: 'size-needs-hip',
} as const;

/** What hangs from the waist is chosen by the hip; everything else as the user wants it. */
export const methodFor = (pattern: Pattern, wanted: SizeMethod): SizeMethod =>
  pattern.garment === 'bottom' ? 'hip' : wanted === 'hip' ? 'highBust' : wanted;

/** High bust of a chart row: printed, or bust less the draft cup. */
export function chartHighBust(row: ChartRow, pattern: Pattern): number | undefined {
  const { highBust, fullBust } = row.body;
  return highBust ?? (fullBust === undefined ? undefined : fullBust - pattern.draftCup);
}

/**
 * The cup a row of the chart is drafted for, mm: full less high bust where it prints both, else the pattern's. Two
 * ranges of sizes with cups of their own are one chart.
 */
export function cupOf(row: ChartRow, pattern: Pick<Pattern, 'draftCup'>): number {
  const { highBust, fullBust } = row.body;
  return highBust === undefined || fullBust === undefined ? pattern.draftCup : fullBust - highBust;
}

/** Rows whose high bust is this near to the body's are as good as each other: their cups decide, mm. */
const SAME_FRAME = 10;

/** Among rows drafted for about this high bust, the one whose cup leaves least to alter; null where one alone is near. */
function byCup(body: Body, pattern: Pattern, near: readonly SizeOption[]): SizeOption | null {
  const { highBust, fullBust } = body;
  if (highBust === undefined || fullBust === undefined || near.length < 2) return null;
  const off = (o: SizeOption): number => {
    const row = pattern.chart.find((r) => r.size === o.size);
    return row ? Math.abs(fullBust - highBust - cupOf(row, pattern)) : Infinity;
  };
  const [best, next] = [...near].sort((a, b) => off(a) - off(b));
  return best && next && off(next) - off(best) > 0.5 ? best : null;
}

export interface SizeOption {
  readonly size: string;
  /** The chart measurement compared, and body − chart, mm. */
  readonly chart: number;
  readonly difference: number;
  /** Garment bust less the wearer's full bust with no alteration, mm; null when unknown. */
  readonly bustEase: number | null;
  /** Full bust still wanted over this size's chart bust, mm. */
  readonly bustOver: number | null;
}

export interface SizeChoice {
  readonly method: SizeMethod;
  readonly measured: number;
  readonly chosen: SizeOption;
  readonly smaller: SizeOption | null;
  readonly larger: SizeOption | null;
  readonly options: readonly SizeOption[];
  /** Codes of the reasons, in display order. */
  readonly reasons: readonly Coded<SizeReason>[];
}

export interface FinishedBust {
  readonly value: number;
  readonly from: 'pieces' | 'printed' | 'typed';
}
/** Patterns are immutable values, so what was measured once on a pattern holds. */
const measured = new WeakMap<Pattern, Map<string, FinishedBust | null>>();

/** The flat bust of a size: measured on the pieces, else the printed finished measurement. */
export function finishedBust(pattern: Pattern, size: string): FinishedBust | null {
  const known = measured.get(pattern) ?? new Map<string, FinishedBust | null>();
  measured.set(pattern, known);
  const kept = known.get(size);
  if (kept !== undefined) return kept;
  const flat = flatOf({ pieces: pattern.sizes[size] ?? [], seams: pattern.seams }, 'fullBust');
  const printed = pattern.flat[size]?.fullBust ?? pattern.finished[size]?.bust;
  const found: FinishedBust | null = flat
    ? { value: flat.value, from: 'pieces' }
    : printed === undefined
      ? null
      : { value: printed, from: pattern.flat[size]?.fullBust === undefined ? 'printed' : 'typed' };
  known.set(size, found);
  return found;
}

/** That the cups of rows near this high bust decided, and what they are. */
function cupReason(chosen: SizeOption, near: readonly SizeOption[], pattern: Pattern): Coded<SizeReason> {
  const cup = (size: string): number => {
    const row = pattern.chart.find((r) => r.size === size);
    return row ? cupOf(row, pattern) : pattern.draftCup;
  };
  const others = near.filter((o) => o !== chosen).map((o) => o.size);
  return { code: 'size.cup', data: { size: chosen.size, cup: cup(chosen.size), others: others.join(', ') } };
}

/**
 * The size to start from. By high bust: the nearest; on a tie the smaller for knits and loose styles, the
 * larger for fitted wovens. By full bust the same with the full bust, with a warning of what it costs; by hip for
 * what hangs from the waist.
 */
export function startingSize(
  body: Body,
  pattern: Pattern,
  method: SizeMethod = 'highBust',
): Result<SizeChoice, SizeError> {
  const measured = body[method];
  if (measured === undefined) return refuse(NEEDS[method]);
  const options = pattern.chart.flatMap((row): SizeOption[] => {
    const chart = method === 'highBust' ? chartHighBust(row, pattern) : row.body[method];
    if (chart === undefined) return [];
    const finished = finishedBust(pattern, row.size);
    return [
      {
        size: row.size,
        chart,
        difference: measured - chart,
        bustEase: finished && body.fullBust !== undefined ? finished.value - body.fullBust : null,
        bustOver:
          row.body.fullBust !== undefined && body.fullBust !== undefined ? body.fullBust - row.body.fullBust : null,
      },
    ];
  });
  // At the hip the larger is taken: it is easier to take in than to let out.
  const loose = method !== 'hip' && (pattern.fabric.kind === 'knit' || pattern.style === 'loose');
  const sorted = [...options].sort((a, b) => {
    const gap = Math.abs(a.difference) - Math.abs(b.difference);
    return Math.abs(gap) > TOL.zero ? gap : loose ? a.chart - b.chart : b.chart - a.chart;
  });
  const near = method === 'highBust' ? sorted.filter((o) => Math.abs(o.difference) <= SAME_FRAME) : [];
  const cupped = byCup(body, pattern, near);
  const chosen = cupped ?? sorted[0];
  if (!chosen) return refuse('chart-has-no-bust');
  const i = options.indexOf(chosen);
  const tie =
    !cupped &&
    sorted[1] !== undefined &&
    Math.abs(Math.abs(sorted[1].difference) - Math.abs(chosen.difference)) < TOL.zero;
  const reasons: Coded<SizeReason>[] = [
    {
      code: `size.${method}.nearest` as const,
      data: { size: chosen.size, measured, chart: chosen.chart, difference: chosen.difference },
    },
    ...(cupped ? [cupReason(cupped, near, pattern)] : []),
    ...(tie ? [{ code: loose ? ('size.tie.smaller' as const) : ('size.tie.larger' as const), data: {} }] : []),
  ];
  const first = options[0];
  const last = options.at(-1);
  if (first && chosen === first && chosen.difference < -20)
    reasons.push({ code: 'size.below-chart', data: { by: -chosen.difference } });
  if (last && chosen === last && chosen.difference > 20)
    reasons.push({ code: 'size.above-chart', data: { by: chosen.difference } });
  if (method === 'fullBust' && body.highBust !== undefined) {
    const row = pattern.chart.find((r) => r.size === chosen.size);
    const high = row && chartHighBust(row, pattern);
    if (high !== undefined) reasons.push({ code: 'size.fullBust.cost', data: { excess: high - body.highBust } });
  }
  return ok({
    method,
    measured,
    chosen,
    smaller: options[i - 1] ?? null,
    larger: options[i + 1] ?? null,
    options,
    reasons,
  });
}
