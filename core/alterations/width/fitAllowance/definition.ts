import { edgesWithRole, type Edge, type Piece } from '../../../pattern/index.ts';
import { ok, refuse, type Result, cyclic } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Program, Values } from '../../contract.ts';
import { choice, define, length } from '../../kit/define.ts';
import { SIDED } from '../../kit/sides.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { mark, match, redraw } from '../../operations/index.ts';

/** The edges, and the mouths of the darts between them: the cutting line runs on past a dart. */
function withMouths(piece: Piece, edges: readonly Edge[]): readonly Edge[] {
  const n = piece.edges.length;
  const mouths = piece.edges.filter(
    (e, i) => e.role === 'dart' && [i + 1, i + n - 1].every((k) => edges.includes(cyclic(piece.edges, k))),
  );
  return [...edges, ...mouths];
}

/** So much more allowance along some edges, never less than none. */
const withAllowance = (piece: Piece, on: readonly Edge[], by: number): Piece => ({
  ...piece,
  edges: piece.edges.map((e) => (on.includes(e) ? { ...e, allowance: Math.max(0, e.allowance + by) } : e)),
});

/** Paper and cloth left beyond the seam where an amount is not yet sure. The seam line does not move. */
function plan(context: Context, values: Values): Result<Program> {
  const by = numberOf(values, 'by');
  const where = choiceOf(values, 'edge') as 'side' | 'hem' | 'centreBack';
  const found = context.pieces
    .filter((p) => SIDED.includes(p.part))
    .map((p) => ({
      piece: p,
      edges: withMouths(
        p,
        edgesWithRole(p, where).filter((e) => e.id !== p.fold),
      ),
    }))
    .filter((x) => x.edges.length > 0);
  const [first] = found;
  if (!first) return refuse('edge-not-found', { where });
  const data = { by, where, pieces: found.length };
  return ok({
    piece: first.piece.id,
    instructions: [
      mark({ message: { code: 'spare.mark', data } }),
      ...found.map(({ piece, edges }) =>
        redraw({ piece: piece.id, message: { code: 'spare.true', data }, as: withAllowance(piece, edges, by) }),
      ),
      match({ message: { code: 'spare.match', data }, kinds: [] }),
    ],
  });
}

export const fitAllowance: AlterationDefinition = define({
  id: 'fit-allowance',
  family: 'width',
  phase: 'allowance',
  params: [length('by', 0, 60, 10), choice('edge', 'side', 'hem', 'centreBack')],
  requires: [],
  refusals: ['edge-not-found'],
  examples: [
    { name: 'side seams', on: 'causeway', values: { by: 10 } },
    { name: 'hem', on: 'causeway-shirt', values: { by: 30, edge: 'hem' } },
  ],
  source: 'Seam allowance left for later where an amount is uncertain, marked as such.',
  why: 'why.fit-allowance',
  needs: ({ pieces }) =>
    pieces.some((p) => edgesWithRole(p, 'side').length > 0) ? ok(true) : refuse('edge-not-found', { where: 'side' }),
  plan,
});
