import { pathLength } from '../../../geometry/index.ts';
import type { PanelSpec } from '../../../paper/slash/index.ts';
import { nth, ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { aroundCuff, cuffOn } from '../../kit/cuff.ts';
import { choice, define, held, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { fair, gatherHead, mark, match, matchSeam, slash, smooth } from '../../operations/index.ts';
import { fullOn, gathersOf, parted, partedStrips, stripsOf, type Full } from './layout.ts';

const BY = length('by', -160, 900, 120, true);
/** No hem is made narrower than this, mm: no hand would pass. */
const LEAST = 120;
/** How far to either side of a pin the cap is drawn again, mm. */
const REACH = 30;

/** How the uprights open: the strips, what is drawn again at the cap, and what it is then sewn with. */
interface Opening {
  readonly strips: readonly PanelSpec[];
  readonly pinned: boolean;
  readonly cap: (say: Say) => readonly Instruction[];
  readonly data: Readonly<Record<string, number>>;
}
type Say = (code: Under<'fullness'>) => Message;

/** Pinned on the cap seam line: the cap stays as long as it was. */
const pinnedAt = (full: Full, gap: number): Opening => ({
  strips: stripsOf(full, gap),
  pinned: true,
  data: {},
  cap: (say) =>
    full.uprights.map((u) => smooth({ message: say('cap'), reach: REACH, at: { edge: u.cap.id, near: u.pin } })),
});

/** Cut apart from hem to cap: the head becomes longer too, and is gathered into the armhole. */
function gathered(context: Context, full: Full, by: number, higher: number): Result<Opening> {
  const gathers = gathersOf(full, by, higher);
  if (!gathers.ok) return gathers;
  const { head, halves } = gathers.value;
  const { piece } = full.on;
  const sum = (of: (half: (typeof halves)[number]) => number): number => halves.reduce((n, h) => n + of(h), 0);
  const sewn = context.seams.flatMap((seam) => {
    const side = [seam.first, seam.second].find((s) => s.piece === piece.id);
    if (seam.kind !== 'armhole' || !side) return [];
    const longer = halves.filter((h) => side.edges.includes(h.edge)).reduce((n, h) => n + h.longer, 0);
    return [{ seam: seam.id, ease: seam.ease + (side === seam.second ? longer : -longer), longer }];
  });
  const ease = sewn.reduce((n, s) => n + s.ease, 0);
  if (sewn.length > 0 && ease < 0) return refuse('cap-too-short', { piece: piece.name, by: -ease });
  const was = sum((h) => h.was);
  return ok({
    strips: partedStrips(full, by / full.uprights.length),
    pinned: false,
    data: { higher, longer: sum((h) => h.longer), gathers: was > 0 ? 1 + sum((h) => h.longer) / was : 1 },
    cap: (say) => [
      gatherHead({ message: say('head'), ...head }),
      ...sewn.map((s) => matchSeam({ piece: piece.id, message: say('gather'), seam: s.seam, ease: s.ease })),
    ],
  });
}

function plan(context: Context, values: Values): Result<Program> {
  const full = fullOn(context.pieces, Number(choiceOf(values, 'uprights')));
  if (!full.ok) return full;
  const by = numberOf(values, 'by');
  const { on, uprights } = full.value;
  const { piece, hem } = on;
  const was = pathLength(hem.path);
  if (was + by < LEAST) return refuse('hem-too-narrow', { piece: piece.name, most: Math.max(0, was - LEAST) });
  const gap = by / uprights.length;
  const opening =
    choiceOf(values, 'top') === 'gathered'
      ? gathered(context, full.value, by, numberOf(values, 'higher'))
      : ok(pinnedAt(full.value, gap));
  if (!opening.ok) return opening;
  const { strips, pinned } = opening.value;
  const cuff = cuffOn(context);
  const sewn = cuff ? aroundCuff(cuff) : 0;
  const data = {
    ...{ by: Math.abs(by), gap: Math.abs(gap), lines: uprights.length, was, now: was + by },
    ...{ ratio: sewn > 0 ? (was + by) / sewn : 0, ...opening.value.data },
  };
  const say: Say = (code) => ({ code: `fullness.${code}`, data });
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
      ...cutOpen({ full: full.value, gap, strips, pinned, say }),
      ...opening.value.cap(say),
      fair({ message: say('hem'), edge: hem.id, from: 0, toFromEnd: 0, length: was + by }),
      ...cuffed,
      match({ message: say(pinned ? 'match' : 'matchUnderarm'), kinds: ['armhole', 'other'] }),
    ],
    grips: [
      amountGrip({
        ...{ piece: piece.id, shown: 'opened', from: nth(uprights, uprights.length - 1).foot, axis: { x: 1, y: 0 } },
        ...{ value: by, per: uprights.length, limits: BY },
      }),
    ],
  });
}

/** The uprights drawn, cut, and opened or lapped. */
function cutOpen(by: {
  readonly full: Full;
  readonly gap: number;
  readonly strips: readonly PanelSpec[];
  readonly pinned: boolean;
  readonly say: Say;
}): readonly Instruction[] {
  const { gap, strips, pinned, say } = by;
  const { uprights } = by.full;
  const last = uprights.length - 1;
  const [from, to] = parted(strips, nth(uprights, last), last);
  const cuts = uprights.map((u, k) => ({ id: `upright ${k}`, points: [u.pin, u.foot] }));
  return [
    mark({
      message: say('mark'),
      lines: cuts.map((c, k) => ({ ...c, label: String(k + 1) })),
      points: pinned ? uprights.map((u, k) => ({ id: `pin ${k}`, kind: 'hinge', at: u.pin })) : [],
    }),
    slash({
      messages: {
        cut: say(pinned ? 'cut' : 'cutThrough'),
        open: say(pinned ? (gap < 0 ? 'lap' : 'open') : gap < 0 ? 'lapThrough' : 'openThrough'),
      },
      spec: {
        cuts,
        hinges: pinned
          ? uprights.map((u, k) => ({ id: `pin ${k}`, at: u.pin, panels: [`strip ${k}`, `strip ${k + 1}`] }))
          : [],
        panels: strips,
      },
      // All open alike: the outermost tells.
      dimensions: [{ id: 'gap', from, to, value: Math.abs(gap) }],
    }),
  ];
}

export const sleeveFullness: AlterationDefinition = define({
  id: 'sleeve-fullness',
  family: 'sleeve',
  params: [BY, choice('uprights', '4', '6', '8'), choice('top', 'pinned', 'gathered'), length('higher', 0, 60, 20)],
  amounts: ['by'],
  requires: ['cap', 'underarm'],
  refusals: [
    'sleeve-not-found',
    'sleeve-landmark-missing',
    'sleeve-has-dart',
    'hem-too-narrow',
    'cap-not-in-halves',
    'cap-too-short',
    'overlap-too-large',
  ],
  examples: [
    { name: 'flared', on: 'causeway', values: { by: 120 } },
    { name: 'gathered into its cuff', on: 'causeway-cuff', values: { by: 90, uprights: '6' } },
    { name: 'gathered at the head too', on: 'causeway', values: { by: 100, uprights: '6', top: 'gathered' } },
    { name: 'less flare', on: 'causeway', values: { by: -30 } },
  ],
  source:
    'Uprights evenly between the notches of the cap, pinned on the cap seam line and opened or lapped at the hem, or cut through and opened all the way for a gathered head, which is drawn higher; the hem is drawn again in one curve.',
  why: 'why.sleeve-fullness',
  needs: ({ pieces }) => fullOn(pieces, 4),
  plan,
  holds: held({ part: ['sleeve'], role: 'underarm' }),
});
