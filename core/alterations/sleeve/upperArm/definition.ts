import type { Point } from '../../../geometry/index.ts';
import { ok, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { choice, define, held, length, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { amountGrip } from '../../kit/grip.ts';
import { sleeveOn, type SleeveOn, type Spread } from '../../kit/sleeve.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { match } from '../../operations/index.ts';
import { capEase, gatheredMore, layOut, settleCap, spreadSleeve } from './layout.ts';

const BY = length('by', -60, 120, 20, true);
/** Usual ease around the upper arm, mm. */
const EASE = 50;

function plan(context: Context, values: Values): Result<Program> {
  const found = sleeveOn(context.pieces);
  if (!found.ok) return found;
  const by = numberOf(values, 'by');
  const wrist = numberOf(values, 'wrist');
  const laid = layOut(found.value, by, wrist);
  if (!laid.ok) return laid;
  const ease = capEase(context, laid.value);
  const { opened, lap, spread } = laid.value;
  const data = {
    by: Math.abs(by),
    opened,
    lap: Math.abs(lap),
    wrist,
    drop: Math.abs(spread.drop),
    was: ease.cap,
    now: ease.now,
    armhole: ease.armhole,
    easeWas: ease.cap - ease.armhole,
    easeNow: ease.now - ease.armhole,
  };
  const say = (code: Under<'upperArm'>): Message => ({ code: `upperArm.${code}`, data });
  const settled = settleCap(context, laid.value, ease, choiceOf(values, 'cap'), say);
  if (!settled.ok) return settled;
  const { piece, ends } = found.value;
  const outward = Math.sign(ends[1].x - ends[0].x);
  return ok({
    piece: piece.id,
    instructions: [
      ...spreadSleeve(laid.value, by, wrist, say),
      ...settled.value,
      ...gatheredMore(context, wrist, say),
      match({ message: say('match'), kinds: ['armhole', 'side', 'other'] }),
    ],
    grips: [
      amountGrip({
        piece: piece.id,
        shown: 'opened',
        from: ends[1],
        axis: { x: outward, y: 0 },
        value: by,
        limits: BY,
        per: widthPerReach(found.value, spread, by),
        at: spread.ends[1],
      }),
    ],
  });
}

/** How much wider the sleeve is for each millimetre its front underarm point goes out; at nothing, as it would begin. */
function widthPerReach({ top, ends }: SleeveOn, spread: Spread, by: number): number {
  const slope = (end: Point): number => (end.y - top.y) / Math.abs(end.x - top.x);
  return by === 0
    ? (slope(ends[0]) + slope(ends[1])) / slope(ends[1])
    : by / (Math.abs(spread.ends[1].x - top.x) - Math.abs(ends[1].x - top.x));
}

export const upperArm: AlterationDefinition = define({
  id: 'upper-arm',
  family: 'sleeve',
  params: [BY, length('wrist', 0, 120, 0), choice('cap', 'keep', 'lower', 'underarm')],
  amounts: ['by', 'wrist'],
  requires: ['cap', 'underarm'],
  refusals: [
    'sleeve-not-found',
    'sleeve-landmark-missing',
    'sleeve-too-wide',
    'cap-cannot-follow',
    'armhole-cannot-follow',
    'armhole-missing',
  ],
  examples: [
    { name: 'full', on: 'causeway', values: { by: 30 } },
    { name: 'full, the cap lower', on: 'causeway', values: { by: 24, cap: 'lower' } },
    { name: 'full, given to the armhole', on: 'causeway', values: { by: 20, cap: 'underarm' } },
    { name: 'full down to the hem', on: 'causeway', values: { by: 24, wrist: 24 } },
    { name: 'slim', on: 'causeway', values: { by: -16 } },
    { name: 'full down to a cuff', on: 'causeway-cuff', values: { by: 24, wrist: 24 } },
  ],
  source:
    'Slashed along the grain from the hem to the top of the cap and across the biceps line to both underarm points; the upper halves turn about the top, the lower halves about the hem, and the cap is drawn again at its old height.',
  why: 'why.upper-arm',
  grade: 'best',
  needs: ({ pieces }) => sleeveOn(pieces),
  reads: ['upperArm'],
  fits: (context) => fitBy(context, 'upperArm', 1, (by) => ({ by: tenth(by) }), EASE),
  plan,
  holds: held({ part: ['sleeve'], role: 'underarm' }),
});
