import { levelOf, waistOf } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { define, held } from '../../kit/define.ts';
import { followings, sideLengthOf, wantedLength } from '../../kit/follow.ts';
import { alongAt, ROUND, sideLength, sideOn, solveKnot, widenStep } from '../../kit/sides.ts';
import { mark, match } from '../../operations/index.ts';

/** The skirt's waist made to fit the bodice at its side seams, from nothing at the hip. */
function plan(context: Context, _values: Values): Result<Program> {
  const found = followings(context, 'waist', ['skirtFront', 'skirtBack']);
  if (!found.ok) return found;
  const instructions: Instruction[] = [];
  let by = 0;
  const steps = found.value.map((f) => {
    const wanted = wantedLength(f);
    by += 2 * (wanted - sideLengthOf(f.follower, f.following));
    return { f, wanted };
  });
  const data = { by };
  const say = (code: Under<'skirt'>): Message => ({ code: `skirt.${code}`, data });
  for (const { f, wanted } of steps) {
    const side = sideOn(f.follower);
    if (!side) return refuse('side-missing', {});
    const hip = alongAt(side, levelOf(f.follower, 'hip')?.y ?? Infinity) ?? sideLength(side) / 3;
    const knots = (out: number) => [
      { at: 0, by: out },
      { at: hip, by: 0 },
    ];
    const out = solveKnot(side, wanted, waistOf, knots, ROUND.straight);
    instructions.push(
      mark({ piece: f.follower.id, message: say('mark') }),
      widenStep(side, knots(out), say(by < 0 ? 'narrower' : 'wider'), { round: ROUND.straight }),
    );
  }
  instructions.push(match({ message: say('match'), kinds: ['waist', 'side'] }));
  return ok({ piece: found.value[0].follower.id, instructions });
}

export const skirtFollows: AlterationDefinition = define({
  id: 'skirt-follows',
  family: 'follow',
  amount: null,
  params: [],
  requires: [],
  refusals: ['nothing-to-follow', 'side-missing'],
  examples: [
    {
      name: 'after a wider waist',
      on: 'causeway',
      values: {},
      after: [{ alteration: 'dart-waist-width', values: { by: 24 } }],
    },
  ],
  source: 'The skirt taken in or let out at its side seams, from nothing at the hip, until its waist fits the bodice.',
  why: 'why.skirt-follows',
  needs: (context) => followings(context, 'waist', ['skirtFront', 'skirtBack']),
  plan,
  holds: held({ part: ['skirtFront', 'skirtBack'], role: 'side', slack: 0.5 }),
});
