import type { MeasurementKey, Pattern } from '../../pattern/index.ts';
import type { MeasurementDefinition } from './catalogue.ts';

/** Kinds of garment an ease is remembered for. */
export const GARMENTS = ['fittedWoven', 'looseWoven', 'knit'] as const;
export type Garment = (typeof GARMENTS)[number];

/** Ease at each measurement, whole body, mm. */
export type Ease = Readonly<Partial<Record<MeasurementKey, number>>>;
/** What a wearer prefers, garment by garment. */
export type OwnEases = Readonly<Partial<Record<Garment, Ease | undefined>>>;

export const garmentOf = ({ fabric, style }: Pick<Pattern, 'fabric' | 'style'>): Garment =>
  fabric.kind === 'knit' ? 'knit' : style === 'loose' ? 'looseWoven' : 'fittedWoven';

/** Ease goes on girths and widths, and on the few lengths that need room to move. */
export const takesEase = (d: MeasurementDefinition): boolean => d.kind !== 'length' || d.ease !== 0;

/** Where a loose garment hangs as wide as at the bust. */
const HANGS: readonly MeasurementKey[] = ['underbust', 'waist', 'highHip', 'hip'];
const LOOSE = 100;

/** The usual ease: the draft's own at the bust; a knit clings, a loose style hangs. */
export function usualEase(pattern: Pick<Pattern, 'fabric' | 'style' | 'bustEase'>, d: MeasurementDefinition): number {
  const garment = garmentOf(pattern);
  if (garment === 'knit') {
    if (d.key === 'fullBust' || HANGS.includes(d.key)) return pattern.bustEase ?? 0;
    return d.kind === 'length' ? d.ease : 0;
  }
  const bust = pattern.bustEase ?? (garment === 'looseWoven' ? LOOSE : null);
  if (d.key === 'fullBust') return bust ?? d.ease;
  return garment === 'looseWoven' && HANGS.includes(d.key) ? Math.max(d.ease, bust ?? LOOSE) : d.ease;
}

/**
 * What a body needs to breathe and move, whatever the style: the usual of a fitted woven; in a knit nothing, or less
 * where it is drafted to stretch.
 */
export function wearingEase(pattern: Pick<Pattern, 'fabric' | 'style' | 'bustEase'>, d: MeasurementDefinition): number {
  return garmentOf(pattern) === 'knit' ? Math.min(0, usualEase(pattern, d)) : d.ease;
}
