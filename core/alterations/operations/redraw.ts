import { signedArea, spansOf, type Path } from '../../geometry/index.ts';
import type { Piece } from '../../pattern/index.ts';
import { operation, type Said } from './operation.ts';

interface Redraw extends Said {
  /** The piece as a kit function has drawn it, from how it lay when the program was planned. */
  readonly as: Piece;
  /** Paper taped on or cut off with it. */
  readonly paper?: { readonly outline: Path; readonly gained: boolean };
}

export const redraw = operation<'redraw', Redraw>('redraw', {
  stage: 'true',
  summary: 'puts a piece down as it was drawn anew when the program was planned; first on its piece',
  run: ({ state }, { as, paper }) => {
    if (state.piece !== state.original) throw new Error(`redraw: expected "${as.id}" as it was planned on`);
    state.piece = as;
    if (!paper) return;
    const area = Math.abs(signedArea(spansOf(paper.outline)));
    state.gaps = [...state.gaps, { cut: null, outline: paper.outline, area: paper.gained ? area : -area }];
  },
});
