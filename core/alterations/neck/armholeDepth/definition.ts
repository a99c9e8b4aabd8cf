import { scale, type Point } from '../../../geometry/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { define, held, length, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { amountGrip } from '../../kit/grip.ts';
import { numberOf } from '../../engine/values.ts';
import { fitCap, mark, match, moveCorner } from '../../operations/index.ts';
import { reachOf, targetOf, type Underarm, underarms } from '../../kit/underarms.ts';
import { capGoal } from './layout.ts';

const BY = length('by', -40, 40, 8, true);

function plan(context: Context, values: Values): Result<Program> {
  const found = underarms(context.pieces);
  const [first] = found;
  if (!first) return refuse('armhole-missing', { piece: context.pieces[0]?.name ?? '' });
  const by = numberOf(values, 'by');
  const out = numberOf(values, 'out');
  const data = { by: Math.abs(by), out: Math.abs(out) };
  const say = (code: Under<'underarm'>): Message => ({ code: `underarm.${code}`, data });
  const target = (u: Underarm): Point => targetOf(u, by, out);
  const instructions = found.flatMap((u): readonly Instruction[] => {
    const sleeve = u.curve.role === 'cap';
    return [
      mark({
        piece: u.piece.id,
        message: say('mark'),
        points: [{ id: `underarm ${u.piece.id} ${u.curve.id}`, kind: 'target', at: target(u) }],
      }),
      moveCorner({
        stage: sleeve ? 'match' : 'true',
        piece: u.piece.id,
        message: say(sleeve ? 'sleeve' : by > 0 ? 'raise' : by < 0 ? 'lower' : 'out'),
        between: [u.curve.id, u.seam.id],
        to: target(u),
        reach: [reachOf(u), undefined],
      }),
    ];
  });
  const cap = capGoal(context, found, target);
  return ok({
    piece: first.piece.id,
    instructions: [
      ...instructions,
      ...(cap ? [fitCap({ stage: 'match', piece: cap.sleeve, message: say('cap'), goal: cap.goal })] : []),
      match({ message: say('match'), kinds: ['side', 'armhole', 'other'] }),
    ],
    grips: [
      amountGrip({
        piece: first.piece.id,
        shown: 'drawn',
        from: first.at,
        axis: scale(first.down, -1),
        value: by,
        limits: BY,
        id: 'underarm',
        at: target(first),
      }),
    ],
  });
}

/** Ease below the arm, mm. */
const EASE = 12;

export const armholeDepth: AlterationDefinition = define({
  id: 'armhole-depth',
  family: 'neck',
  params: [BY, length('out', -20, 30, 0, true)],
  amounts: ['by', 'out'],
  requires: ['armhole', 'side'],
  refusals: ['armhole-missing'],
  examples: [
    { name: 'raised', on: 'causeway', values: { by: 8 } },
    { name: 'lowered and built out', on: 'causeway', values: { by: -10, out: 6 } },
  ],
  source:
    'The underarm moved up, down or out and blended into the curve at the notch, alike on front, back and sleeve.',
  why: 'why.armhole-depth',
  needs: ({ pieces }) =>
    underarms(pieces).length > 0 ? ok(true) : refuse('armhole-missing', { piece: pieces[0]?.name ?? '' }),
  reads: ['napeToUnderarm'],
  // A deeper body asks for a lower underarm.
  fits: (context) => fitBy(context, 'napeToUnderarm', -1, (by) => ({ by: tenth(-by) }), EASE),
  plan,
  holds: held({ part: ['front', 'back'], role: 'neck' }, { part: ['front', 'back'], role: 'shoulder' }),
});
