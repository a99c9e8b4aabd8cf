import { bustPointOf, sideDirection } from '../../pattern/index.ts';
import { wearerBustPoint } from './bust/landmarks.ts';
import type { Context, Fit } from '../contract.ts';
import { tenth } from './define.ts';

/**
 * How much lower than the wearer's own height the bust point lies on the altered front, mm; higher is below nothing.
 * Null where she is not measured, or the front is as it was drafted.
 */
export function fallenBy({ pieces, original, wearer }: Pick<Context, 'pieces' | 'original' | 'wearer'>): number | null {
  const was = original.find((p) => p.part === 'front');
  const now = pieces.find((p) => p.id === was?.id);
  if (!was || !now || now === was) return null;
  const own = wearerBustPoint(was, sideDirection(was), wearer);
  const at = bustPointOf(now);
  return own && at ? at.y - own.y : null;
}

/** The dart, or the fullness of a panel seam, put back to the wearer's own height. */
export function fitsFallen(context: Context): Fit | null {
  const by = fallenBy(context);
  if (by === null) return null;
  return {
    values: { by: tenth(by) },
    sum: { code: 'fit.fallen', data: { key: 'neckPointToBustPoint', by: tenth(by), far: Math.abs(tenth(by)) } },
  };
}
