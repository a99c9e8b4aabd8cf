import { ok, refuse, type Result } from '../../units/index.ts';
import type { Estimate } from './protocol.ts';

/** What the stand-in asks, cents. Invented. */
const HANDLING = 250;
const METRE = 420;
const SHEET = 30;
/** The widest roll on its machine, and the largest ordinary sheet, mm. A page's own rounding is let pass. */
const ROLL = 914.4;
const SHEET_WIDE = 300;
const SHEET_LONG = 432;
const ROUNDING = 1;

interface Page {
  readonly width: number;
  readonly height: number;
}
const isSheet = (p: Page): boolean =>
  Math.min(p.width, p.height) <= SHEET_WIDE + ROUNDING && Math.max(p.width, p.height) <= SHEET_LONG + ROUNDING;

/**
 * Size and price of a file by its pages: those as large as an ordinary sheet are counted, the others run through the
 * roll, lengthwise where they fit either way. Refuses pages wider than the roll both ways.
 */
export function priceOf(
  pages: readonly Page[],
  copies = 1,
): Result<Pick<Estimate, 'roll' | 'sheets' | 'cents'>, 'bureau-too-wide'> {
  let roll = 0;
  let sheets = 0;
  for (const [i, p] of pages.entries()) {
    if (isSheet(p)) {
      sheets++;
      continue;
    }
    const short = Math.min(p.width, p.height);
    if (short > ROLL + ROUNDING) return refuse('bureau-too-wide', { page: i + 1, width: short, most: ROLL });
    // A page that fits across both ways is laid so that less of the roll runs through.
    roll += Math.max(p.width, p.height) <= ROLL + ROUNDING ? short : Math.max(p.width, p.height);
  }
  return ok({
    roll,
    sheets,
    cents: HANDLING + copies * (Math.ceil((Math.round(roll) * METRE) / 1000) + sheets * SHEET),
  });
}
