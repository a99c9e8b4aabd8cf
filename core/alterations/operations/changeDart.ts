import { narrowDart } from '../../paper/truing/index.ts';
import { replaceDart } from '../../pattern/index.ts';
import { operation, type Said } from './operation.ts';
import { findDart } from './state.ts';

interface ChangeDart extends Said {
  readonly dart: string;
  readonly change:
    /** The intake narrowed by so much at the seam, mm; below nothing: widened. */
    | { readonly narrower: number }
    /** The allowance that is left inside when it is cut open, mm. */
    | { readonly cutAway: number };
}

export const changeDart = operation<'changeDart', ChangeDart>('changeDart', {
  stage: 'dart',
  summary: 'narrows a dart, or has it cut open once sewn',
  run: ({ table, state }, { dart: id, change }) => {
    const dart = findDart(table, state.piece, id);
    if (!dart) return;
    state.piece =
      'narrower' in change
        ? narrowDart(state.piece, dart, change.narrower)
        : replaceDart(state.piece, { ...dart, cutAway: change.cutAway });
  },
});
