import { ok, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { define } from '../../kit/define.ts';
import { facingDepth } from '../../kit/facing.ts';
import { followings } from '../../kit/follow.ts';
import { drawAlong, mark, match } from '../../operations/index.ts';

/** Every neck facing drawn anew on the piece it faces, as deep as it was. */
function plan(context: Context, _values: Values): Result<Program> {
  const found = followings(context, 'neck', ['facingFront', 'facingBack']);
  if (!found.ok) return found;
  const say = (code: Under<'facing'>, depth: number): Message => ({ code: `facing.${code}`, data: { depth } });
  const instructions = found.value.flatMap((f): readonly Instruction[] => {
    const depth = facingDepth(f.follower);
    return [
      mark({ piece: f.follower.id, message: say('mark', depth) }),
      drawAlong({ piece: f.follower.id, message: say('draw', depth), of: f.leader.id, as: { facing: depth } }),
    ];
  });
  return ok({
    piece: found.value[0].follower.id,
    instructions: [
      ...instructions,
      match({ message: say('match', facingDepth(found.value[0].follower)), kinds: ['neck', 'shoulder'] }),
    ],
  });
}

export const facingFollows: AlterationDefinition = define({
  id: 'facing-follows',
  family: 'follow',
  amount: null,
  params: [],
  requires: [],
  refusals: ['nothing-to-follow'],
  examples: [
    {
      name: 'after a forward shoulder',
      on: 'causeway',
      values: {},
      after: [{ alteration: 'forward-shoulder', values: { by: 10, neck: 4 } }],
    },
  ],
  source:
    'The facing drawn again on the altered piece: neckline, its depth along shoulder and centre, and a line between.',
  why: 'why.facing-follows',
  needs: (context) => followings(context, 'neck', ['facingFront', 'facingBack']),
  plan,
});
