import type { Context, Fit } from '../contract.ts';
import { difference, held, tenth } from './define.ts';
import { shoulderPair } from './shoulder.ts';

/** Shoulder of the wearer less the front's seam; ease or a dart of the back is not counted. */
export function fitsShoulder(context: Context): Fit | null {
  const body = context.wearer.shoulder;
  const pair = shoulderPair(context);
  if (body === undefined || !pair.ok) return null;
  return difference('shoulder', body, 0, pair.value.front.length, 1, (by) => ({ by: tenth(by) }));
}

export const BODICE = ['front', 'sideFront', 'back', 'sideBack'] as const;
/** What a change at the shoulder leaves alone. */
export const neckHolds = held({ part: BODICE, role: 'neck' });
export const armholeHolds = held({ part: BODICE, role: 'armhole', slack: 1 });
