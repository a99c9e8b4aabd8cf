import { pathLength, type Point } from '../../geometry/index.ts';
import { openDart as openedDart } from '../../paper/truing/index.ts';
import { requireEdge, seamsAfterSplit } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';
import { operation, type Said } from './operation.ts';

interface OpenDart extends Said {
  readonly edge: string;
  readonly at: number;
  readonly tip: Point;
}

export const openDart = operation<'openDart', OpenDart>('openDart', {
  stage: 'dart',
  summary: 'makes a dart of the opening a slash left in an edge',
  run: ({ table, state }, { edge, at, tip }) => {
    const before = pathLength(requireEdge(state.original, edge).path);
    const width = pathLength(requireEdge(state.piece, edge).path) - before;
    if (width < TOL.join) return;
    const done = openedDart(state.piece, edge, at, width, tip);
    state.piece = done.piece;
    table.newDart = done.dart.id;
    table.seams = seamsAfterSplit(table.seams, state.piece.id, done.split);
  },
});
