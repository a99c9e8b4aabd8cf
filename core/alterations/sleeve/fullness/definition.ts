import { pathLength } from '../../../geometry/index.ts';
import { nth, ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { aroundCuff, cuffOn } from '../../kit/cuff.ts';
import { choice, define, held, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { fair, mark, match, matchSeam, slash, smooth } from '../../operations/index.ts';
import { fullOn, parted, stripsOf } from './layout.ts';

const BY = length('by', -160, 900, 120, true);
/** No hem is made narrower than this, mm: no hand would pass. */
const LEAST = 120;
/** How far to either side of a pin the cap is drawn again, mm. */
const REACH = 30;

function plan(context: Context, values: Values): Result<Program> {
  const full = fullOn(context.pieces, Number(choiceOf(values, 'uprights')));
  if (!full.ok) return full;
  const by = numberOf(values, 'by');
  const { on, uprights } = full.value;
  const { piece, hem } = on;
  const was = pathLength(hem.path);
  if (was + by < LEAST) return refuse('hem-too-narrow', { piece: piece.name, most: Math.max(0, was - LEAST) });
  const gap = by / uprights.length;
  const strips = stripsOf(full.value, gap);
  const cuff = cuffOn(context);
  const sewn = cuff ? aroundCuff(cuff) : 0;
  const data = {
    ...{ by: Math.abs(by), gap: Math.abs(gap), lines: uprights.length, was, now: was + by },
    ratio: sewn > 0 ? (was + by) / sewn : 0,
  };
  const say = (code: Under<'fullness'>): Message => ({ code: `fullness.${code}`, data });
  const last = uprights.length - 1;
  const [from, to] = parted(strips, nth(uprights, last), last);
  const cuffed: readonly Instruction[] = cuff
    ? [
        matchSeam({
          piece: piece.id,
          message: say('cuff'),
          seam: cuff.seam.id,
          ease: cuff.seam.ease + (cuff.side === cuff.seam.second ? -by : by),
        }),
      ]
    : [];
  return ok({
    piece: piece.id,
    instructions: [
      mark({
        message: say('mark'),
        lines: uprights.map((u, k) => ({ id: `upright ${k}`, label: String(k + 1), points: [u.pin, u.foot] })),
        points: uprights.map((u, k) => ({ id: `pin ${k}`, kind: 'hinge', at: u.pin })),
      }),
      slash({
        messages: { cut: say('cut'), open: say(by < 0 ? 'lap' : 'open') },
        spec: {
          cuts: uprights.map((u, k) => ({ id: `upright ${k}`, points: [u.pin, u.foot] })),
          hinges: uprights.map((u, k) => ({ id: `pin ${k}`, at: u.pin, panels: [`strip ${k}`, `strip ${k + 1}`] })),
          panels: strips,
        },
        // All open alike: the outermost tells.
        dimensions: [{ id: 'gap', from, to, value: Math.abs(gap) }],
      }),
      ...uprights.map((u) => smooth({ message: say('cap'), reach: REACH, at: { edge: u.cap.id, near: u.pin } })),
      fair({ message: say('hem'), edge: hem.id, from: 0, toFromEnd: 0, length: was + by }),
      ...cuffed,
      match({ message: say('match'), kinds: ['armhole', 'other'] }),
    ],
    grips: [
      amountGrip({
        piece: piece.id,
        shown: 'opened',
        from: nth(uprights, last).foot,
        axis: { x: 1, y: 0 },
        value: by,
        per: uprights.length,
        limits: BY,
      }),
    ],
  });
}

export const sleeveFullness: AlterationDefinition = define({
  id: 'sleeve-fullness',
  family: 'sleeve',
  params: [BY, choice('uprights', '4', '6', '8')],
  amounts: ['by'],
  requires: ['cap', 'underarm'],
  refusals: ['sleeve-not-found', 'sleeve-landmark-missing', 'sleeve-has-dart', 'hem-too-narrow'],
  examples: [
    { name: 'flared', on: 'causeway', values: { by: 120 } },
    { name: 'gathered into its cuff', on: 'causeway-cuff', values: { by: 90, uprights: '6' } },
    { name: 'less flare', on: 'causeway', values: { by: -30 } },
  ],
  source:
    'Uprights evenly between the notches of the cap, pinned on the cap seam line and opened or lapped at the hem; the hem is drawn again in one curve.',
  why: 'why.sleeve-fullness',
  needs: ({ pieces }) => fullOn(pieces, 4),
  plan,
  holds: held({ part: ['sleeve'], role: 'underarm' }, { part: ['sleeve'], role: 'cap', slack: 0.5 }),
});
