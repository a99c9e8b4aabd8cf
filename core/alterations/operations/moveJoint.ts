import { shiftJoint, trimEnd, type Trim } from '../../paper/truing/index.ts';
import { operation, type Said } from './operation.ts';

type MoveJoint = Said & { readonly edge: string } & (
    | {
        /** The edge cut shorter at this end by so much, mm; its neighbour is drawn to the new end from nothing at `reach`. */
        readonly trim: Trim;
        readonly longer?: never;
      }
    /** The edge made so much longer at its end, mm, at its neighbour's cost: no line is drawn again. */
    | { readonly longer: number; readonly trim?: never }
  );

export const moveJoint = operation<'moveJoint', MoveJoint>('moveJoint', {
  stage: 'true',
  summary: 'moves the joint between two edges along them, or along one of them',
  run: ({ state }, { edge, trim, longer }) => {
    state.piece = trim ? trimEnd(state.piece, edge, trim) : shiftJoint(state.piece, edge, longer);
  },
});
