import { distance } from '../../geometry/index.ts';
import { freshId, type DoubleDart } from '../../pattern/index.ts';
import { refuse, TOL } from '../../units/index.ts';
import { operation, type Said } from './operation.ts';

/** Where a dart without a mouth lies and what it takes in. */
export type DoubleDartDrawn = Pick<DoubleDart, 'upper' | 'lower' | 'widest' | 'width' | 'curve'>;

interface ShapeDart extends Said {
  readonly dart: string;
  /** What is drawn in its place: one dart, or several beside each other; or the dart as it then lies, so wide. */
  readonly as: readonly [DoubleDartDrawn, ...DoubleDartDrawn[]] | { readonly width: number };
}

const alike = (a: DoubleDartDrawn, b: DoubleDartDrawn): boolean =>
  distance(a.upper, b.upper) < TOL.same &&
  distance(a.lower, b.lower) < TOL.same &&
  Math.abs(a.width - b.width) < TOL.same &&
  Math.abs(a.widest - b.widest) < TOL.same &&
  Math.abs(a.curve - b.curve) < TOL.same;

export const shapeDart = operation<'shapeDart', ShapeDart>('shapeDart', {
  stage: 'dart',
  summary: 'draws a dart without a mouth anew: wider, longer, elsewhere, or as two',
  run: ({ state }, { dart: id, as }) => {
    const { piece } = state;
    const dart = piece.marks.find((m): m is DoubleDart => m.kind === 'doubleDart' && m.id === id);
    if (!dart) return refuse('no-double-dart', { piece: piece.name });
    const [first, ...others] = 'width' in as ? [{ ...dart, ...as }] : as;
    if (others.length === 0 && alike(dart, first)) return;
    const ids = piece.marks.map((m) => m.id);
    const drawn = others.map((d): DoubleDart => {
      const fresh = freshId(ids, id);
      ids.push(fresh);
      return { ...dart, ...d, id: fresh };
    });
    const marks = piece.marks.flatMap((m) => (m === dart ? [{ ...dart, ...first }, ...drawn] : [m]));
    state.piece = { ...piece, marks };
  },
});
