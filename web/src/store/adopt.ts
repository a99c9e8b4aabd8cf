import { alike, asSold, startingPieces, type Draft, type SidePieces, type BothSides } from '@ample/core/fitting/plan';
import { inView, pinYokes, type Pattern, type Piece } from '@ample/core/pattern';
import { nth } from '@ample/core/units';

/**
 * A draft from the worker is a copy through and through. Pieces it left alone are put back as the pattern's own,
 * so that views that compare by identity do not draw them again at every step of a drag.
 */
export function adopt(draft: Draft, whole: Pattern): Draft {
  const pattern = inView(whole, draft.view);
  const sold = draft.size === null ? undefined : pattern.sizes[draft.size];
  const pinned = sold && pinYokes(sold, pattern.seams).pieces;
  if (!pinned || pinned.length !== draft.original.length) return draft;
  const own = startingPieces(pinned, draft.body);
  const untouched = asSold(own, pinned, sold);
  const known = new Map([
    ...draft.original.map((copy, i) => [copy, nth(own, i)] as const),
    ...draft.untouched.map((copy, i) => [copy, nth(untouched, i)] as const),
  ]);
  const back = (pieces: readonly Piece[]): readonly Piece[] => pieces.map((p) => known.get(p) ?? p);
  const sideBack = (side: SidePieces): SidePieces => ({ ...side, pieces: back(side.pieces) });
  // One side for both sides stays one.
  const sidesBack = (sides: BothSides): BothSides => {
    const left = sideBack(sides.left);
    return { left, right: alike(sides) ? left : sideBack(sides.right) };
  };
  return {
    ...draft,
    original: own,
    untouched,
    pieces: back(draft.pieces),
    sides: sidesBack(draft.sides),
    steps: draft.steps.map((s) => ({
      ...s,
      before: back(s.before),
      outcome: s.outcome.ok
        ? { ok: true, value: { ...s.outcome.value, pieces: back(s.outcome.value.pieces) } }
        : s.outcome,
    })),
  };
}
