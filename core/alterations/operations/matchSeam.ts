import { notchesMatched } from '../../paper/truing/index.ts';
import { operation, type Said } from './operation.ts';
import { piecesNow } from './state.ts';

interface MatchSeam extends Said {
  readonly seam: string;
  /** Its ease set anew, mm: a band keeps its ratio, not its difference. Left out, the notches are matched. */
  readonly ease?: number;
}

export const matchSeam = operation<'matchSeam', MatchSeam>('matchSeam', {
  stage: 'match',
  summary: 'puts the notches of what follows where they meet, or sets a seam’s ease anew',
  run: ({ table, state }, { seam: id, ease }) => {
    if (ease !== undefined) {
      table.seams = table.seams.map((s) => (s.id === id ? { ...s, ease } : s));
      return;
    }
    const { original, originalSeams } = table.context;
    const seam = table.seams.find((s) => s.id === id);
    const then = originalSeams.find((s) => s.id === id);
    if (seam && then)
      state.piece = notchesMatched(state.piece, piecesNow(table), seam, { pieces: original, seam: then });
  },
});
