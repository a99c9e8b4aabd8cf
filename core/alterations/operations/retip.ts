import type { Point } from '../../geometry/index.ts';
import { drawToTip, retipDart } from '../../paper/truing/index.ts';
import { TOL } from '../../units/index.ts';
import { operation, type Said } from './operation.ts';
import { findDart, note } from './state.ts';

interface Retip extends Said {
  readonly dart: string;
  /** Set back from the bust point along the dart, or straight to another tip. */
  readonly to: { readonly bustPoint: Point; readonly setback: number } | { readonly tip: Point };
}

export const retip = operation<'retip', Retip>('retip', {
  stage: 'dart',
  summary: 'draws a dart again to another tip, its legs made equal',
  run: ({ table, state }, { dart: id, to }) => {
    const dart = findDart(table, state.piece, id);
    if (!dart) return;
    if ('tip' in to) {
      state.piece = drawToTip(state.piece, dart, to.tip);
      return;
    }
    const done = retipDart(state.piece, dart, to.bustPoint, to.setback);
    state.piece = done.piece;
    if (done.moved > TOL.tipMoved)
      note(table, state, {
        code: 'tip-moved',
        grade: 'note',
        at: done.dart.tip,
        data: { dart: dart.kind, by: done.moved },
      });
  },
});
