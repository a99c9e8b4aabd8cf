import { widenSquarely, type SideKnot } from '../../paper/truing/index.ts';
import { operation, type Said } from './operation.ts';

interface Widen extends Said {
  /** The parts of the side that move, from the top down; darts may lie between them. */
  readonly edges: readonly string[];
  readonly knots: readonly SideKnot[];
  readonly out: 1 | -1;
  /** The seam keeps its length, or becomes so long, mm; what is lost or gained is put right at its lower end. */
  readonly hold: boolean | number;
  /** Where it bends at a knot it is drawn as one curve, this far to either side, mm. */
  readonly round?: number;
}

export const widen = operation<'widen', Widen>('widen', {
  stage: 'true',
  summary: 'moves a side out or in, level by level, square to it',
  run: ({ state }, { edges, knots, out, hold, round }) => {
    state.piece = widenSquarely(state.piece, edges, knots, { out, hold, ...(round === undefined ? {} : { round }) });
  },
});
