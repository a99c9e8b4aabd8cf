import type { Context, Fit, Values } from '../../contract.ts';
import { fitBy, USUAL_EASE } from '../../kit/fitBy.ts';
import { sizeFor } from '../../kit/sizeFor.ts';

export const sizeOf = (values: Values, key: string): string | null => {
  const v = values[key];
  return typeof v === 'string' && v !== '' ? v : null;
};

/** The size a level asks for: the one in hand where the body differs by no more than a tape can tell, has room, or is not reached. */
function sizeAt(context: Context, key: 'waist' | 'hip'): string | null {
  const body = context.wearer[key];
  if (body === undefined || !context.chart) return null;
  const fit = fitBy(context, key, 1 / 4, () => ({}), USUAL_EASE[key]);
  if (!fit) return context.size ?? null;
  const by = fit.sum.data['by'];
  const fits = typeof by === 'number' && Math.abs(by) <= (context.within?.[key] ?? 0);
  return fits ? (context.size ?? null) : sizeFor(context.chart, key, body);
}

export function fits(context: Context): Fit | null {
  const { waist, hip } = context.wearer;
  if (!context.chart || waist === undefined) return null;
  const waistSize = sizeAt(context, 'waist');
  const hipSize = hip === undefined ? waistSize : sizeAt(context, 'hip');
  if (waistSize === null || (waistSize === context.size && hipSize === context.size)) return null;
  // Only sizes whose pieces are here can be followed; otherwise the chart's difference is added at the sides.
  if ([waistSize, hipSize].some((size) => (context.nest?.[size ?? ''] ?? []).length === 0)) return null;
  return {
    values: { waistSize, hipSize },
    sum: {
      code: 'fit.sizes',
      data: { body: waist, hip: hip ?? waist, size: context.size ?? '', waistSize, hipSize: hipSize ?? waistSize },
    },
  };
}
