import type { MeasurementKey } from '../../pattern/index.ts';
import type { Context, Fit, Values } from '../contract.ts';
import { difference } from './define.ts';
import { flatOf } from './flat.ts';

/** What the pattern measures there: as told with paper only, else on the pieces as they are by now. */
export const drafted = (context: Context, key: MeasurementKey): number | null =>
  context.flat ? (context.flat[key] ?? null) : (flatOf(context, key)?.value ?? null);

/** The ease this wearer wants there, else the usual. */
export const wantedEase = (context: Context, key: MeasurementKey, usual: number): number =>
  context.ease?.[key] ?? usual;

/** Body and ease less the pattern, at one measurement; null where either is not known. */
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
  return difference(key, body, wantedEase(context, key, usual), pattern, share, values);
}
