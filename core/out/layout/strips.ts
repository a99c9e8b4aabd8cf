import type { ClothWish } from './wish.ts';

/** A strip along the cloth as it lies: one layer, or two where it is folded. Across from the first edge of what is laid, mm. */
export interface Strip {
  readonly from: number;
  readonly to: number;
  readonly layers: 1 | 2;
  /** Which of its two edges is the fold. */
  readonly fold: 'from' | 'to' | null;
}

/**
 * How the cloth lies: open, folded in half with both selvedges together, or with one or both edges folded over only so
 * deep and the rest single.
 */
export function stripsOf({ width, fold, folds }: ClothWish): readonly Strip[] {
  if (!fold) return [{ from: 0, to: width, layers: 1, fold: null }];
  if (!folds) return [{ from: 0, to: width / 2, layers: 2, fold: 'from' }];
  const { count } = folds;
  const depth = Math.min(folds.depth, width / (2 * count));
  const across = width - count * depth;
  const first: Strip = { from: 0, to: depth, layers: 2, fold: 'from' };
  const last: Strip = { from: across - depth, to: across, layers: 2, fold: 'to' };
  const single: Strip = { from: depth, to: count === 2 ? across - depth : across, layers: 1, fold: null };
  return [first, ...(single.to > single.from ? [single] : []), ...(count === 2 ? [last] : [])];
}

/** Across what is laid, mm. */
export const acrossOf = (strips: readonly Strip[]): number => Math.max(...strips.map((s) => s.to));
