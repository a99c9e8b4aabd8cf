import { flatOf } from '../../alterations/index.ts';
import { chartOf, isSample, SAMPLE_SIZES, samplePattern, type SampleId } from '../../blocks/index.ts';
import type { ToldFlat } from '../compare/index.ts';
import { inView, pinYokes, type ChartRow, type MeasurementKey, type Pattern, type Piece } from '../../pattern/index.ts';
import type { SidePieces } from './sides.ts';

/** A sample draft that stands in for paper pieces: plans are drawn on it, sizes are never read from it. */
export interface StandIn extends SidePieces {
  readonly sample: SampleId;
  readonly size: string;
}

/** The sample most like a pattern: as chosen, else by its cloth and style. */
export const likeOf = ({ like, fabric, style }: Pick<Pattern, 'like' | 'fabric' | 'style'>): SampleId =>
  like !== null && isSample(like)
    ? like
    : fabric.kind === 'knit'
      ? 'ebb'
      : style === 'loose'
        ? 'causeway-shirt'
        : 'causeway';

/** The sample size drafted for about the same body; the middle one where the chart does not say. */
function nearestSize(pattern: Pattern, size: string, sample: SampleId): string {
  const body = pattern.chart.find((r) => r.size === size)?.body ?? {};
  const off = (row: ChartRow): number => {
    for (const key of ['fullBust', 'highBust', 'hip', 'waist'] as const) {
      const [a, b] = [body[key], row.body[key]];
      if (a !== undefined && b !== undefined) return Math.abs(a - b);
    }
    return row.size === '4' ? 0 : 1;
  };
  return [...chartOf(sample)].sort((a, b) => off(a) - off(b))[0]?.size ?? SAMPLE_SIZES[3] ?? '4';
}

const drafted = new Map<string, { readonly pieces: readonly Piece[]; readonly seams: Pattern['seams'] }>();

/** The stand-in for a pattern that has no pieces at all; null for one that only lacks this size. */
export function standInFor(pattern: Pattern, size: string): StandIn | null {
  if (Object.values(pattern.sizes).some((pieces) => pieces.length > 0)) return null;
  if (!pattern.chart.some((r) => r.size === size)) return null;
  const sample = likeOf(pattern);
  const as = nearestSize(pattern, size, sample);
  const key = `${sample} ${as}`;
  let made = drafted.get(key);
  if (!made) {
    const full = inView(samplePattern(sample, [as]), null);
    made = pinYokes(full.sizes[as] ?? [], full.seams);
    drafted.set(key, made);
  }
  return { sample, size: as, pieces: made.pieces, seams: made.seams };
}

/** What the paper measures now: as entered, plus what the steps so far changed on the stand-in. */
export function toldNow(
  told: ToldFlat,
  before: SidePieces,
  now: SidePieces,
): Readonly<Partial<Record<MeasurementKey, number>>> {
  return Object.fromEntries(
    (Object.entries(told) as [MeasurementKey, { value: number }][]).map(([key, { value }]) => {
      const [a, b] = now.pieces === before.pieces ? [null, null] : [flatOf(before, key), flatOf(now, key)];
      return [key, value + (a && b ? b.value - a.value : 0)];
    }),
  );
}
