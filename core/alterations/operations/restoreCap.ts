import { replaceEdge, type Mark } from '../../pattern/index.ts';
import type { Point } from '../../geometry/index.ts';
import { capEdges, restoredCap } from '../../paper/truing/index.ts';
import { operation, type Said } from './operation.ts';

interface RestoreCap extends Said {
  /** Where the cap ends at the underarm now, in outline order. */
  readonly ends: readonly [Point, Point];
}

export const restoreCap = operation<'restoreCap', RestoreCap>('restoreCap', {
  stage: 'true',
  summary:
    'draws a cap and the grain line again as they were traced, at the old height, to where the underarm points have gone',
  run: ({ state }, { ends }) => {
    const drawn = restoredCap(state.original, ends);
    const caps = capEdges(drawn);
    const piece = caps.reduce((out, e) => replaceEdge(out, e.id, e.path), state.piece);
    const marks = piece.marks.map((m): Mark => {
      const traced = m.kind === 'grain' || (m.kind === 'notch' && caps.some((e) => e.id === m.edge));
      return traced ? (drawn.marks.find((d) => d.id === m.id) ?? m) : m;
    });
    state.piece = { ...piece, marks };
  },
});
