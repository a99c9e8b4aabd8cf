import type { MeasurementKey } from '../../pattern/index.ts';
import type { Context, Fit, Values } from '../contract.ts';
import { difference } from './define.ts';
import { flatOf } from './flat.ts';

/** What the pattern measures there: as entered with paper only, otherwise on the pieces as they are now. */
export function drafted(context: Context, key: MeasurementKey): number | null {
  if (context.flat) return context.flat[key] ?? null;
  return context.untold?.includes(key) ? null : (flatOf(context, key)?.value ?? null);
}

/** Default ease at waist and hip, whole body, mm. */
export const USUAL_EASE = { waist: 30, hip: 50 } as const;

/** The ease this wearer wants there, else the usual. */
export const wantedEase = (context: Context, key: MeasurementKey, usual: number): number =>
  context.ease?.[key] ?? usual;

/** The room a loose design leaves a body at a measurement, where that is enough; null where something must be done. */
export function roomAt(context: Context, key: MeasurementKey): number | null {
  const [body, enough, pattern] = [context.wearer[key], context.enough?.[key], drafted(context, key)];
  if (body === undefined || enough === undefined || pattern === null || body + enough > pattern) return null;
  return pattern - body;
}

/**
 * Body and ease less the pattern, at one measurement; nothing where a loose design leaves room enough; null where body
 * or pattern is not known.
 */
export function fitBy(
  context: Context,
  key: MeasurementKey,
  share: number,
  values: (by: number) => Values,
  usual = 0,
): Fit | null {
  const body = context.wearer[key];
  const pattern = drafted(context, key);
  if (body === undefined || pattern === null) return null;
  const room = roomAt(context, key);
  if (room !== null)
    return {
      values: values(0),
      sum: { code: 'fit.room', data: { key, body, pattern, room, enough: context.enough?.[key] ?? 0, by: 0 } },
    };
  return difference(key, body, wantedEase(context, key, usual), pattern, share, values);
}
