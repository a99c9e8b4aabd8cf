import type { Point } from '../../geometry/index.ts';
import { ok, type Result } from '../../units/index.ts';
import type { Context, Instruction, Message, Param, Program, Values } from '../contract.ts';
import { numberOf } from '../engine/values.ts';
import { amountGrip } from './grip.ts';
import { cutPlace, type ShoulderOn, type ShoulderPair } from './shoulder.ts';
import { drafted } from './fitBy.ts';
import { match } from '../operations/index.ts';

/** A shoulder made longer or shorter at a cut from its middle: the same on front and back, then both walked. */
export function bothShoulders(
  context: Context,
  values: Values,
  how: {
    readonly limits: Param;
    readonly find: (context: Context) => Result<ShoulderPair>;
    readonly onOne: (on: ShoulderOn, by: number, data: Message['data']) => Result<readonly Instruction[]>;
    /** The way the outer part goes for a longer shoulder. */
    readonly outward: (on: ShoulderOn) => Point;
  },
): Result<Program> {
  const pair = how.find(context);
  if (!pair.ok) return pair;
  const { front, back } = pair.value;
  const by = numberOf(values, 'by');
  const data = {
    by: Math.abs(by),
    length: front.length,
    wanted: (drafted(context, 'shoulder') ?? front.before + front.length) + by,
  };
  const instructions: Instruction[] = [];
  for (const on of [front, back]) {
    const done = how.onOne(on, by, data);
    if (!done.ok) return done;
    instructions.push(...done.value);
  }
  const message: Message = { code: 'shoulder.match', data };
  const grip = { piece: front.piece.id, from: cutPlace(front), axis: how.outward(front), value: by };
  return ok({
    piece: front.piece.id,
    instructions: [...instructions, match({ message, kinds: ['shoulder', 'armhole', 'side'] })],
    grips: [amountGrip({ ...grip, shown: 'opened', limits: how.limits })],
  });
}
