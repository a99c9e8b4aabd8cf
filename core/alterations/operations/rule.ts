import { nearestLength, pointAt } from '../../geometry/index.ts';
import { ruleSeam, straightPath } from '../../paper/truing/index.ts';
import { replaceEdge, requireEdge, type Piece } from '../../pattern/index.ts';
import { operation, type Said } from './operation.ts';

interface Rule extends Said {
  readonly edges: readonly string[];
  /** Each edge by itself; left out, all as one seam with the darts between them folded shut. */
  readonly each?: true;
}

export const rule = operation<'rule', Rule>('rule', {
  stage: 'true',
  summary: 'rules a seam straight with its darts shut, or edges one by one',
  run: ({ state }, { edges, each }) => {
    state.piece = each ? edges.reduce(straightened, state.piece) : ruleSeam(state.piece, edges);
  },
});

/** An edge ruled straight from end to end; its notches go straight across to the line. */
function straightened(piece: Piece, id: string): Piece {
  const was = requireEdge(piece, id).path;
  const now = straightPath(was);
  const marks = piece.marks.map((m) =>
    m.kind === 'notch' && m.edge === id ? { ...m, at: nearestLength(now, pointAt(was, m.at)) } : m,
  );
  return { ...replaceEdge(piece, id, now), marks };
}
