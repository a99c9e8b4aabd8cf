import type { Piece } from '../pattern/index.ts';
import type { Finding } from '../truing/index.ts';
import { CUT_AS } from './lanes.ts';

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
