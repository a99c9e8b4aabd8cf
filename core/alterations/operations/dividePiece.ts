import type { Point } from '../../geometry/index.ts';
import { divideAtDarts, seamsAfterDivision, type DivideNames } from '../../paper/truing/index.ts';
import { withBustLineAnew } from '../../pattern/index.ts';
import { operation, type Said } from './operation.ts';
import { bringIn, dartName } from './state.ts';

interface DividePiece extends Said {
  readonly upper: string;
  readonly lower: string;
  readonly meet: readonly Point[];
  readonly names: DivideNames;
}

export const dividePiece = operation<'dividePiece', DividePiece>('dividePiece', {
  stage: 'true',
  summary: 'divides a piece in two along a line through two darts',
  run: ({ table, state }, { upper, lower, meet, names }) => {
    const divided = divideAtDarts(state.piece, dartName(table, upper), dartName(table, lower), meet, names);
    const { centre, side } = divided;
    table.seams = seamsAfterDivision(table.seams, state.piece, centre, side);
    state.piece = withBustLineAnew(centre);
    // Two pieces lie where one lay: what was taped into the one belongs to neither drawing any more.
    state.gaps = [];
    state.panels = [];
    bringIn(table, withBustLineAnew(side));
  },
});
