import { ADVICE } from '../../units/index.ts';
import type { MeasurementKey } from '../../pattern/index.ts';
import type { Context, Fit } from '../contract.ts';
import { tenth } from './define.ts';
import { fitBy } from './fitBy.ts';

/** What each part of an arm or a leg takes; one that would take too little to be cut for leaves it to the other. */
export function inTwoParts(by: number, upper: number): { readonly above: number; readonly below: number } {
  if (Math.abs(by - upper) < ADVICE.notCut) return { above: by, below: 0 };
  if (Math.abs(upper) < ADVICE.notCut) return { above: 0, below: by };
  return { above: upper, below: by - upper };
}

/** How a part is worked: spread, lapped, or left alone. */
export const turnOf = (by: number): 'spread' | 'lap' | 'none' => (by > 0 ? 'spread' : by < 0 ? 'lap' : 'none');

/**
 * The whole arm or leg by its own difference, and the upper part by its own, where that was measured; a part that
 * differs by too little to be worth a step is left alone.
 */
export function fitTwoParts(context: Context, whole: MeasurementKey, upper: MeasurementKey): Fit | null {
  const all = fitBy(context, whole, 1, (by) => ({ by: tenth(by) }));
  if (!all) return null;
  const part = fitBy(context, upper, 1, (by) => ({ by: tenth(by) }));
  const by = Number(all.values['by']);
  const asked = part ? Number(part.values['by']) : tenth(by / 2);
  const share = Math.abs(asked) < ADVICE.worthAsking ? 0 : Math.abs(by - asked) < ADVICE.worthAsking ? by : asked;
  const sum = part && Math.abs(asked) > Math.abs(by) ? part.sum : all.sum;
  return { values: { by, upper: share }, sum };
}
