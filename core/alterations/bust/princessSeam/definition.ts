import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { findPanels } from '../../kit/bust/panels.ts';
import { BUST_PARAMS, pick } from '../../kit/bust/params.ts';
import { advice, seamsHold } from '../../kit/bust/promises.ts';
import { suits } from '../../kit/bust/suits.ts';
import { choice } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { mark, match, redraw, tell } from '../../operations/index.ts';
import { besideApex, drawnAlike, seamsOf } from './layout.ts';

/** No more than this over the whole front is put on at the seam itself, mm: beyond it the panels would bulge. */
const MOST = 30;

function plan(context: Context, values: Values): Result<Program> {
  const found = findPanels(context.pieces, 'any');
  if (!found.ok) return found;
  const total = numberOf(values, 'total');
  if (Math.abs(total) > MOST) return refuse('seam-gives-no-more', { wanted: Math.abs(total), most: MOST });
  const each = total / 4;
  const runsOn = choiceOf(values, 'atWaist') === 'same';
  const data = { total: Math.abs(total), each: Math.abs(each), waist: runsOn ? 'same' : 'nothing' };
  const say = (code: Under<'princessSeam'>): Message => ({ code: `princessSeam.${code}`, data });
  const seams = seamsOf(found.value);
  const panels = drawnAlike(seams, each, runsOn);
  const { side, dir } = found.value;
  const steps = seams.flatMap((m, i): readonly Instruction[] => {
    const as = panels[i];
    return [
      mark({
        piece: m.piece.id,
        message: say('mark'),
        points: [{ id: `apex ${m.piece.id}`, kind: 'target', at: besideApex(m, each) }],
      }),
      ...(as ? [redraw({ stage: 'true', piece: m.piece.id, message: say(total < 0 ? 'in' : 'out'), as })] : []),
    ];
  });
  return ok({
    piece: side.id,
    instructions: [
      ...steps,
      match({ message: say('match'), kinds: ['princess', 'side', 'shoulder', 'waist'] }),
      ...advice(side, total, false).map((finding) => tell({ what: { finding } })),
    ],
    grips: [
      amountGrip({
        piece: side.id,
        shown: 'drawn',
        from: found.value.apex,
        axis: { x: -dir, y: 0 },
        value: total,
        limits: BUST_PARAMS.total,
        per: 4,
      }),
    ],
  });
}

export const fullBustPrincessSeam: AlterationDefinition = {
  id: 'full-bust-princess-seam',
  revision: 1,
  family: 'bust',
  params: [...pick('total'), choice('atWaist', 'nothing', 'same')],
  amount: 'total',
  requires: ['princess', 'armhole', 'side'],
  refusals: [
    'front-not-found',
    'side-front-not-found',
    'princess-missing',
    'apex-notch-missing',
    'armhole-missing',
    'seam-gives-no-more',
  ],
  examples: [
    { name: 'full, from the armhole', on: 'skerry-armhole', values: { total: 24 } },
    { name: 'full, the waist wider as well', on: 'skerry-shoulder', values: { total: 20, atWaist: 'same' } },
    { name: 'small', on: 'skerry-armhole', values: { total: -16 } },
  ],
  source:
    'Up to 15 mm on a half put on at the princess seam itself, shared between both panels at the apex, to nothing at the top and by choice at the waist.',
  suggest: () => ({}),
  suits: (pieces) => suits(findPanels(pieces, 'any'), 'why.princess-seam', 'possible'),
  plan,
  holds: seamsHold,
};
