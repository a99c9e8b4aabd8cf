import { restoreLevels as levelsRestored } from '../../paper/truing/index.ts';
import { TOL } from '../../units/index.ts';
import { operation, type Said } from './operation.ts';
import { downToBustLine, lowerPart } from './restoreWidth.ts';
import { requireEdge } from '../../pattern/index.ts';
import { note } from './state.ts';

interface RestoreLevels extends Said {
  /** The side edge; the lower part where it has been split. */
  readonly side: string;
}

export const restoreLevels = operation<'restoreLevels', RestoreLevels>('restoreLevels', {
  stage: 'true',
  summary: 'gives a piece in one the widths back it had at waist, hip and hem, at the side below the bust',
  run: ({ table, state }, step) => {
    const side = lowerPart(state.piece, step.side, 'hem');
    const hem = state.piece.edges.find((e) => e.role === 'hem');
    const stays = hem ? downToBustLine(state.piece, side, hem) : 0;
    const done = levelsRestored(state.piece, state.original, requireEdge(state.piece, side).id, stays);
    state.piece = done.piece;
    if (done.left > TOL.legs)
      note(table, state, { code: 'waist-not-restored', grade: 'look', data: { by: done.left } });
  },
});
