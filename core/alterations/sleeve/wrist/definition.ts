import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { choice, define, held, length, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { amountGrip } from '../../kit/grip.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { mark, match, moveCorner } from '../../operations/index.ts';
import { movedOut, wristOn } from './layout.ts';

const BY = length('by', -120, 160, -12, true);
/** No hem is made narrower than this, mm: no hand would pass. */
const LEAST = 120;
/** Usual ease around the wrist, mm. */
const EASE = 20;

function plan(context: Context, values: Values): Result<Program> {
  const wrist = wristOn(context, choiceOf(values, 'taper'));
  if (!wrist.ok) return wrist;
  const by = numberOf(values, 'by');
  const { on, width, taper, ends } = wrist.value;
  const { piece } = on;
  if (width + by < LEAST) return refuse('hem-too-narrow', { piece: piece.name, most: Math.max(0, width - LEAST) });
  const data = {
    by: Math.abs(by),
    each: Math.abs(by) / 2,
    was: width,
    now: width + by,
    taper,
    way: by < 0 ? 'in' : 'out',
  };
  const say = (code: Under<'wrist'>): Message => ({ code: `wrist.${code}`, data });
  const message = say(by < 0 ? 'in' : 'out');
  const [front] = ends;
  return ok({
    piece: piece.id,
    instructions: [
      mark({
        piece: piece.id,
        message: say('mark'),
        points: ends.map((e, i) => ({ id: `wrist ${i} ${piece.id}`, kind: 'target', at: movedOut(e, by) })),
      }),
      ...ends.map((e) =>
        moveCorner({
          piece: piece.id,
          message,
          between: [e.underarm.id, e.hem.id],
          to: movedOut(e, by),
          reach: [e.reach, undefined],
        }),
      ),
      match({ message: say('match'), kinds: ['other'] }),
    ],
    grips: [
      amountGrip({
        piece: piece.id,
        shown: 'drawn',
        from: front.corner,
        axis: front.out,
        value: by,
        per: 2,
        limits: BY,
      }),
    ],
  });
}

export const wristWidth: AlterationDefinition = define({
  id: 'wrist-width',
  family: 'sleeve',
  params: [BY, choice('taper', 'elbow', 'underarm')],
  amounts: ['by'],
  requires: ['cap', 'underarm'],
  refusals: ['sleeve-not-found', 'sleeve-landmark-missing', 'sleeve-has-cuff', 'hem-too-narrow'],
  examples: [
    { name: 'narrower', on: 'causeway-long-sleeve', values: { by: -16 } },
    { name: 'wider', on: 'causeway-long-sleeve', values: { by: 20 } },
    { name: 'a short sleeve, from the underarm', on: 'causeway', values: { by: -20, taper: 'underarm' } },
  ],
  source:
    'Half of the difference taken off or put on at each underarm seam at the hem, to nothing at the elbow or the underarm.',
  why: 'why.wrist-width',
  needs: (context) => wristOn(context, 'elbow'),
  reads: ['wrist'],
  fits: (context) =>
    wristOn(context, 'elbow').ok ? fitBy(context, 'wrist', 1, (by) => ({ by: tenth(by) }), EASE) : null,
  plan,
  holds: held({ part: ['sleeve'], role: 'cap' }),
});
