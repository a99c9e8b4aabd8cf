import type { Piece } from '../../../pattern/index.ts';
import { ok, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { define } from '../../kit/define.ts';
import { followings, sideLengthOf, wantedLength } from '../../kit/follow.ts';
import { drawAlong, mark, match } from '../../operations/index.ts';

/** What is set into part of a seam. */
const PARTS: readonly Piece['part'][] = ['pocket', 'flyFacing'];

/** The opening of every pocket drawn anew along the seam it is sewn into; the bag goes with it, its grain unturned. */
function plan(context: Context, _values: Values): Result<Program> {
  const found = followings(context, 'pocket', PARTS);
  if (!found.ok) return found;
  const instructions = found.value.flatMap((f): readonly Instruction[] => {
    const data = { by: wantedLength(f) - sideLengthOf(f.follower, f.following) };
    const say = (code: Under<'pocket'>): Message => ({ code: `pocket.${code}`, data });
    return [
      mark({ piece: f.follower.id, message: say('mark') }),
      drawAlong({ piece: f.follower.id, message: say('draw'), of: f.leader.id, as: { seam: f.seam.id } }),
    ];
  });
  const matched: Message = { code: 'pocket.match', data: {} };
  return ok({
    piece: found.value[0].follower.id,
    instructions: [...instructions, match({ message: matched, kinds: ['pocket'] })],
  });
}

export const pocketFollows: AlterationDefinition = define({
  id: 'pocket-follows',
  family: 'follow',
  amount: null,
  params: [],
  requires: [],
  refusals: ['nothing-to-follow'],
  examples: [
    {
      name: 'after a wider hip',
      on: 'causeway',
      values: {},
      after: [{ alteration: 'side-add', values: { by: 32, level: 'hip' } }],
    },
  ],
  source: 'The opening traced from the altered seam between its two notches; the bag redrawn to its ends, grain kept.',
  why: 'why.pocket-follows',
  needs: (context) => followings(context, 'pocket', PARTS),
  plan,
});
