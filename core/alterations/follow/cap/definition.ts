import { ok, type Result } from '../../../units/index.ts';
import { fittedCap } from '../../../paper/truing/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { define, held } from '../../kit/define.ts';
import { followings, sideLengthOf, wantedLength } from '../../kit/follow.ts';
import { fitCap, mark, match, matchSeam } from '../../operations/index.ts';

/** The cap made to fit the armholes again, each half with the ease it was drafted with; the biceps line keeps its width. */
function plan(context: Context, _values: Values): Result<Program> {
  const found = followings(context, 'armhole', ['sleeve']);
  if (!found.ok) return found;
  const [{ follower }] = found.value;
  const goal: Record<string, number> = {};
  let by = 0;
  for (const f of found.value) {
    const edge = f.following.edges[0] ?? '';
    goal[edge] = wantedLength(f);
    by += wantedLength(f) - sideLengthOf(f.follower, f.following);
  }
  const fitted = fittedCap(follower, goal);
  if (!fitted.ok) return fitted;
  const data = { by, raised: fitted.value.raised };
  const say = (code: Under<'cap'>): Message => ({ code: `cap.${code}`, data });
  return ok({
    piece: follower.id,
    instructions: [
      mark({ message: say('mark') }),
      fitCap({ message: say(fitted.value.raised < 0 ? 'lower' : 'higher'), goal }),
      ...found.value.map((f) => matchSeam({ message: say('notches'), seam: f.seam.id })),
      match({ message: say('match'), kinds: ['armhole'] }),
    ],
  });
}

export const capFollows: AlterationDefinition = define({
  id: 'cap-follows',
  family: 'follow',
  amount: null,
  params: [],
  requires: [],
  refusals: ['nothing-to-follow', 'cap-cannot-follow'],
  examples: [
    {
      name: 'after a narrower shoulder',
      on: 'causeway',
      values: {},
      after: [{ alteration: 'shoulder-redraw', values: { by: -10 } }],
    },
  ],
  source: 'Cap height changed from the biceps line until each half of the cap fits its armhole with its own ease.',
  why: 'why.cap-follows',
  needs: (context) => followings(context, 'armhole', ['sleeve']),
  plan,
  holds: held({ part: ['sleeve'], role: 'underarm' }),
});
