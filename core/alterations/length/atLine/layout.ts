import type { Piece } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { Context, Fit } from '../../contract.ts';
import { difference, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { flatOf } from '../../kit/flat.ts';
import { heightShare, ONE_LINE } from '../../kit/height.ts';
import { lineAcross, type LengthLine } from '../../kit/lengthLines.ts';
import { lineHeight, type LineName } from '../../kit/levels.ts';

export function crossings(
  pieces: readonly Piece[],
  line: LineName,
  moved: number,
  by: number,
): Result<readonly LengthLine[]> {
  const out: LengthLine[] = [];
  for (const piece of pieces) {
    const drawn = lineHeight(pieces, piece, line);
    const met = drawn === null ? null : lineAcross(piece, line, drawn + moved, by);
    if (met && !met.ok) return met;
    if (met?.value) out.push(met.value);
  }
  return out.length > 0 ? ok(out) : refuse('no-line-here', { where: line });
}

/**
 * Lengths by another size than widths, where the chart gives each size its height and the pattern is drawn in all of
 * them: the back waist of the size of that height, less that of the size in hand. Null where the nest does not tell.
 */
function lengthsOfSize(context: Context, height: number): Fit | null {
  const { nest, size, seams } = context;
  const rows = (context.chart ?? []).filter((r) => r.body.height !== undefined && nest?.[r.size]);
  const off = (r: (typeof rows)[number]): number => Math.abs((r.body.height ?? 0) - height);
  const best = [...rows].sort((a, b) => off(a) - off(b))[0];
  if (!best || !nest || !size || rows.length < 2) return null;
  const back = (of: string): number | null => flatOf({ pieces: nest[of] ?? [], seams }, 'napeToWaist')?.value ?? null;
  const [own, other] = [back(size), back(best.size)];
  if (own === null || other === null) return null;
  const by = tenth(other - own);
  return {
    values: { by, where: Math.abs(by) > ONE_LINE ? 'both' : 'belowBust' },
    sum: { code: 'fit.lengths', data: { key: 'height', body: height, size, lengths: best.size, own, other, by } },
  };
}

/** Nothing of the body tells: what a skirt pulls down alone. */
function hung({ hung: drop = 0 }: Context): Fit | null {
  if (drop === 0) return null;
  return { values: { by: tenth(-drop), where: 'belowBust' }, sum: { code: 'fit.hung', data: { by: -drop } } };
}

/** The side of the body beats the back, the back beats a share of the height. What a skirt pulls down is taken off each. */
export function fits(context: Context): Fit | null {
  const { napeToWaist, height } = context.wearer;
  const side = fitBy(context, 'sideWaist', 1, (by) => ({ by: tenth(by), where: 'belowBust' }));
  if (side) return side;
  const back = fitBy(context, 'napeToWaist', 1, (by) => ({ by: tenth(by), where: 'belowBust' }));
  if (back) return back;
  const chart = context.chart?.find((r) => r.size === context.size)?.body.napeToWaist;
  if (napeToWaist !== undefined && chart !== undefined)
    return difference('napeToWaist', napeToWaist, -(context.hung ?? 0), chart, 1, (by) => ({
      by: tenth(by),
      where: 'belowBust',
    }));
  const drafted = context.chart?.find((r) => r.size === context.size)?.body.height ?? context.draftedHeight;
  if (height === undefined || !drafted) return hung(context);
  const lies = context.heightLies ?? 'allOver';
  const nested = lies === 'allOver' ? lengthsOfSize(context, height) : null;
  if (nested && !context.hung) return nested;
  const share = heightShare(height, drafted, lies);
  const pulled = context.hung ?? 0;
  return {
    values: { by: tenth(share.proposed - pulled), where: share.twoLines ? 'both' : 'belowBust' },
    sum: {
      code: 'fit.height',
      data: {
        body: height,
        pattern: drafted,
        by: share.difference,
        least: share.least,
        most: share.most,
        each: share.proposed,
        lies,
        hung: pulled,
      },
    },
  };
}
