import { cutOnFacing, withFacingWidth } from '../../../paper/truing/index.ts';
import type { Piece } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { numberOf } from '../../engine/values.ts';
import { define, held, length } from '../../kit/define.ts';
import { facingDepth } from '../../kit/facing.ts';
import { followings } from '../../kit/follow.ts';
import { drawAlong, mark, match, redraw } from '../../operations/index.ts';

const BY = length('by', -60, 80, 15, true);
/** A facing narrower than this will not stay inside, mm. */
const LEAST = 20;
const FACINGS: readonly Piece['part'][] = ['facingFront', 'facingBack'];

type Say = (code: Under<'facingWidth'>, width: number) => Message;

/** Facings that are pieces of their own: drawn again on what they face, deeper or less deep. */
function sewnOn(context: Pick<Context, 'pieces' | 'seams'>, by: number, say: Say): Result<readonly Instruction[]> {
  const found = followings(context, 'neck', FACINGS);
  if (!found.ok) return ok([]);
  const out: Instruction[] = [];
  for (const { follower, leader } of found.value) {
    const width = facingDepth(follower) + by;
    if (width < LEAST) return refuse('facing-too-narrow', { piece: follower.name, least: LEAST });
    out.push(
      mark({ piece: follower.id, message: say('mark', width) }),
      ...(by === 0
        ? []
        : [drawAlong({ piece: follower.id, message: say('draw', width), of: leader.id, as: { facing: width } })]),
    );
  }
  return ok(out);
}

/** Facings cut on to a front: their edge moved, the ends beside it as neckline and hem mirror across the fold. */
function cutOn({ pieces }: Pick<Context, 'pieces'>, by: number, say: Say): Result<readonly Instruction[]> {
  const out: Instruction[] = [];
  for (const piece of pieces) {
    const facing = cutOnFacing(piece);
    if (!facing) continue;
    const width = facing.width + by;
    if (width < LEAST) return refuse('facing-too-narrow', { piece: piece.name, least: LEAST });
    const as = by === 0 ? piece : withFacingWidth(piece, facing, width);
    if (!as) return refuse('facing-too-wide', { piece: piece.name });
    out.push(
      mark({ piece: piece.id, message: say('mark', width) }),
      redraw({ piece: piece.id, message: say('edge', width), as }),
    );
  }
  return ok(out);
}

function steps(context: Pick<Context, 'pieces' | 'seams'>, by: number): Result<readonly Instruction[]> {
  const say: Say = (code, width) => ({ code: `facingWidth.${code}`, data: { by: Math.abs(by), width } });
  const [sewn, on] = [sewnOn(context, by, say), cutOn(context, by, say)];
  if (!sewn.ok) return sewn;
  if (!on.ok) return on;
  const all = [...sewn.value, ...on.value];
  return all.length > 0
    ? ok([...all, match({ message: say('match', 0), kinds: ['neck'] })])
    : refuse('facing-not-found');
}

function plan(context: Context, values: Values): Result<Program> {
  const instructions = steps(context, numberOf(values, 'by'));
  if (!instructions.ok) return instructions;
  const first = instructions.value.find((i) => i.piece !== undefined)?.piece;
  return first === undefined ? refuse('facing-not-found') : ok({ piece: first, instructions: instructions.value });
}

export const facingWidth: AlterationDefinition = define({
  id: 'facing-width',
  family: 'neck',
  params: [BY],
  requires: [],
  refusals: ['facing-not-found', 'facing-too-narrow', 'facing-too-wide'],
  examples: [
    { name: 'wider, cut on', on: 'causeway-buttons', values: { by: 20 } },
    { name: 'narrower, cut on', on: 'causeway-buttons', values: { by: -15 } },
    { name: 'deeper', on: 'causeway', values: { by: 12 } },
  ],
  source: 'The free edge of a facing moved; its ends go on along what it lies under.',
  why: 'why.facing-width',
  needs: (context) => steps(context, 0),
  plan,
  holds: held({ part: FACINGS, role: 'neck' }),
});
