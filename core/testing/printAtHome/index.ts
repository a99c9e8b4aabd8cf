import { draftSample, type SampleId } from '../../blocks/index.ts';
import { unfoldPiece, type Piece } from '../../pattern/index.ts';
import { nested, withAllowance, type DrawnPiece } from './sheet.ts';

export * from './file.ts';
export { withAllowance } from './sheet.ts';

/** The sizes as the file calls them, and the drafts they stand for. */
export const NEST = [
  ['36', '3'],
  ['38', '4'],
  ['40', '5'],
] as const;
export const ALLOWANCE = 10;

/** One piece in all sizes of the nest, as drafted: what should come back. */
export const draftedNest = (sample: SampleId, piece: string): readonly (readonly [string, Piece])[] =>
  NEST.map(([size, drafted]) => {
    const found = draftSample(sample, drafted).find((p) => p.id === piece);
    if (!found) throw new Error(`draftedNest: expected "${piece}" in ${sample}`);
    return [size, withAllowance(found, ALLOWANCE)];
  });

/** Pieces of a sample side by side on one sheet, all sizes nested, with what a house prints on them; `whole`, unfolded. */
export function sheetOf(
  sample: SampleId,
  pieces: readonly (readonly [id: string, words: readonly string[]])[],
  whole = false,
): readonly DrawnPiece[] {
  let x = 0;
  return pieces.map(([id, words]) => {
    const half = draftedNest(sample, id);
    const bySize = whole ? half.map(([size, p]) => [size, p.fold ? unfoldPiece(p, p).piece : p] as const) : half;
    const drawn = nested(id, words, bySize, { x, y: 0 });
    const xs = drawn.sizes.flatMap((s) => s.cutting.segments.map((seg) => seg.to.x));
    const left = Math.min(...xs);
    x += Math.max(...xs) - left + 40;
    return drawn;
  });
}
export * from './compare.ts';
