import { inspectPiece } from '../../paper/guard/index.ts';
import type { Piece } from '../../pattern/index.ts';
import type { Finding } from '../../paper/truing/index.ts';
import { CUT_AS } from './sides.ts';

/**
 * The pieces that nothing may print or write until their faults are mended, by their ids as they are cut: a fault of
 * a half piece is one of the whole, or of both sides, that is cut from it.
 */
export function unfitPieces(draft: {
  readonly pieces: readonly Piece[];
  readonly faults: readonly Finding[];
}): ReadonlySet<string> {
  const named = new Set(draft.faults.flatMap((f) => f.piece ?? []));
  const ends = ['', ...Object.values(CUT_AS)];
  return new Set(
    draft.pieces
      .map((p) => p.id)
      .filter((id) => ends.some((end) => id.endsWith(end) && named.has(id.slice(0, id.length - end.length)))),
  );
}

/** The pieces of a size. */
export interface SizePieces {
  readonly size: string;
  readonly pieces: readonly Piece[];
}

/** Sizes as drafted without the pieces that would be cut wrong, and which those are. A size left empty is left out. */
export function soundSizes(sizes: readonly SizePieces[]): {
  readonly sizes: readonly SizePieces[];
  readonly leftOut: readonly { readonly size: string; readonly name: string }[];
} {
  const unfit = (p: Piece): boolean => inspectPiece(p).length > 0;
  return {
    sizes: sizes
      .map(({ size, pieces }) => ({ size, pieces: pieces.filter((p) => !unfit(p)) }))
      .filter((s) => s.pieces.length > 0),
    leftOut: sizes.flatMap(({ size, pieces }) => pieces.filter(unfit).map(({ name }) => ({ size, name }))),
  };
}
