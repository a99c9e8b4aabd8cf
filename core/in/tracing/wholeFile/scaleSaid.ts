import type { Lines } from '../lines.ts';
import { findSquares, type FoundSquare } from '../scale.ts';
import { TOL } from '../../../units/index.ts';

/** Words stand in a square or so near beside it, mm. */
const BESIDE = 15;
/** A printed length is believed when the square measures so much of it at least, and at most the inverse. */
const BELIEVED = 0.8;

const LENGTH = /(\d+(?:[.,]\d+)?)\s*(mm|cm|in\b|inch(?:es)?|["″])/gi;
const MM: Readonly<Record<string, number>> = { mm: 1, cm: 10 };

/** Lengths that words name, mm. */
const lengthsIn = (text: string): readonly number[] =>
  [...text.matchAll(LENGTH)].map(
    (m) => Number((m[1] ?? '').replace(',', '.')) * (MM[(m[2] ?? '').toLowerCase()] ?? 25.4),
  );

/**
 * What a test square says of the scale: true length over drawn length; null where no square has a length beside it. A
 * square on a page of its own, before the pages of the drawing, tells as well as one on the drawing.
 */
export const scaleOf = (raw: Lines, laid: Lines): number => (scaleSaid(laid) ?? scaleSaid(raw))?.scale ?? 1;

/** The same for one drawing: a drawing, or pages each for itself. */
export function scaleSaid(
  lines: Lines,
): { readonly scale: number; readonly square: FoundSquare; readonly said: number } | null {
  for (const square of findSquares(lines.strokes)) {
    const { at, side } = square;
    const beside = lines.letters.filter(
      (l) =>
        (lines.pages.length < 2 || l.page === square.page) &&
        l.at.x > at.x - BESIDE &&
        l.at.x < at.x + side + BESIDE &&
        l.at.y > at.y - BESIDE &&
        l.at.y < at.y + side + BESIDE,
    );
    const said = beside
      .flatMap((l) => lengthsIn(l.text))
      .filter((mm) => side / mm > BELIEVED && side / mm < 1 / BELIEVED)
      .sort((a, b) => Math.abs(a - side) - Math.abs(b - side));
    // Where both 10 cm and 4 in stand there, the one the square measures is meant; shrunk, the one named first.
    const exact = said.find((mm) => Math.abs(side / mm - 1) < TOL.scale);
    const first = beside.flatMap((l) => lengthsIn(l.text)).find((mm) => said.includes(mm));
    const meant = exact ?? first;
    if (meant === undefined) continue;
    const scale = Math.abs(meant / side - 1) < TOL.scale ? 1 : meant / side;
    return { scale, square, said: meant };
  }
  return null;
}
