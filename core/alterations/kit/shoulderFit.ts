import type { Context, Fit } from '../contract.ts';
import { held, tenth } from './define.ts';
import { fitBy } from './fitBy.ts';

/** Shoulder of the wearer less the front's seam. */
export const fitsShoulder = (context: Context): Fit | null =>
  fitBy(context, 'shoulder', 1, (by) => ({ by: tenth(by) }));

export const BODICE = ['front', 'sideFront', 'back', 'sideBack'] as const;
/** What a change at the shoulder leaves alone. */
export const neckHolds = held({ part: BODICE, role: 'neck' });
export const armholeHolds = held({ part: BODICE, role: 'armhole', slack: 1 });
