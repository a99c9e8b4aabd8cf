import { pathLength, reversePath } from '../../geometry/index.ts';
import { facingOn, openAlong } from '../../paper/truing/index.ts';
import { edgesWithRole, seamLine, type Edge, type Mark, type Piece } from '../../pattern/index.ts';
import { operation, type Place, type Said } from './operation.ts';
import { piecesNow } from './state.ts';

interface DrawAlong extends Said {
  /** The piece it is sewn to. */
  readonly of: string;
  /** A facing as deep as this, mm, or an opening along a seam. */
  readonly as: { readonly facing: number } | { readonly seam: string };
}

export const drawAlong = operation<'drawAlong', DrawAlong>('drawAlong', {
  stage: 'true',
  summary: 'draws a facing or a pocket’s opening anew along the piece it is sewn to',
  run: (at, step) => {
    const leader = piecesNow(at.table).find((p) => p.id === step.of);
    if (!leader) return;
    if ('facing' in step.as) at.state.piece = facingAnew(at.state.piece, leader, step.as.facing);
    else openingAnew(at, leader, step.as.seam);
  },
});

/** The facing keeps its own names and allowances, whatever its edges are called; only its lines are drawn anew. */
function facingAnew(facing: Piece, faced: Piece, depth: number): Piece {
  const drawn = facingOn(faced, depth);
  const own = new Map(drawn.map((e) => [e.id, edgesWithRole(facing, e.role)[0]] as const));
  const edges = drawn.map((e): Edge => {
    const kept = own.get(e.id);
    return kept ? { ...e, id: kept.id, allowance: kept.allowance } : e;
  });
  const marks = facing.marks.flatMap((m): readonly Mark[] => {
    if (m.kind !== 'notch') return [m];
    const [was, now] = [facing, { edges }].map((p) => p.edges.find((e) => e.id === m.edge));
    if (was?.role !== 'neck' || !now) return [];
    return [{ ...m, at: (m.at * pathLength(now.path)) / pathLength(was.path) }];
  });
  return { ...facing, edges, marks };
}

function openingAnew({ table, state }: Place, leader: Piece, seamId: string): void {
  const seam = table.seams.find((s) => s.id === seamId);
  const sides = seam ? [seam.first, seam.second] : [];
  const leading = sides.find((s) => s.piece === leader.id);
  const following = sides.find((s) => s.piece === state.piece.id);
  const opening = following?.edges[0];
  if (!leading || !following || !opening) return;
  const line = seamLine(leader, leading);
  state.piece = openAlong(state.piece, opening, following.reversed ? reversePath(line) : line);
}
