import { checkPieces } from '../../paper/truing/index.ts';
import type { Seam } from '../../pattern/index.ts';
import { operation, type Said } from './operation.ts';
import { piecesNow } from './state.ts';

interface Match extends Said {
  readonly kinds: readonly Seam['kind'][];
}

export const match = operation<'match', Match>('match', {
  stage: 'match',
  summary: 'walks the seams that changed and tells where they no longer meet',
  run: ({ table }, { kinds }) => {
    const seams = table.seams.filter((s) => kinds.includes(s.kind));
    const { original, originalSeams } = table.context;
    table.findings.push(...checkPieces(piecesNow(table), seams, original, originalSeams).findings);
  },
});
