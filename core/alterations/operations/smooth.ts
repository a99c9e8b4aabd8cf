import { distance, type Point } from '../../geometry/index.ts';
import { smoothKinks, smoothNear } from '../../paper/truing/index.ts';
import { edgesWithRole, replaceEdge } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';
import { operation, type Said } from './operation.ts';
import { note } from './state.ts';

interface Smooth extends Said {
  /** A place on one edge, or every kink of a waist or hem. */
  readonly at: { readonly edge: string; readonly near: Point } | { readonly kinksOf: 'waist' | 'hem' };
  /** How far to either side the line is drawn again, mm. */
  readonly reach: number;
}

export const smooth = operation<'smooth', Smooth>('smooth', {
  stage: 'true',
  summary: 'takes the kink out of a line where paper has turned',
  run: ({ table, state }, { at, reach }) => {
    if ('kinksOf' in at) {
      for (const edge of edgesWithRole(state.piece, at.kinksOf))
        state.piece = replaceEdge(state.piece, edge.id, smoothKinks(edge.path, TOL.kink, reach));
      return;
    }
    // The paper may have carried the hinge elsewhere since it was marked.
    const pin = state.points.find((p) => p.marked && distance(p.marked, at.near) < TOL.same);
    const done = smoothNear(state.piece, at.edge, pin?.at ?? at.near, reach);
    state.piece = done.piece;
    if (Math.abs(done.change) > TOL.armhole)
      note(table, state, { code: 'armhole-changed', grade: 'look', at: at.near, data: { by: done.change } });
  },
});
