import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, StepCode, Values } from '../../contract.ts';
import { centreEdge, lowerEnd } from '../../kit/across.ts';
import { choice, define, held } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { SWAY, SWAY_COMMON, swayAdvice } from '../../kit/sway.ts';
import { waistRow, type OnWaist } from '../../kit/waistRow.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { mark, match, redraw } from '../../operations/index.ts';
import { raiseCentre } from '../../../paper/truing/index.ts';
import { heldAtSide, waistBack } from './layout.ts';

function plan(context: Context, values: Values): Result<Program> {
  const row = waistBack(context);
  if (!row.ok) return row;
  const { piece } = row.value[0];
  const by = numberOf(values, 'by');
  const gain = choiceOf(values, 'skirt') === 'gain';
  const skirtBack = context.pieces.find((p) => p.part === 'skirtBack' && centreEdge(p));
  const skirt = gain && skirtBack ? waistRow(context, skirtBack) : null;
  if (gain && !skirt) return refuse('skirt-not-found', {});
  const edge = centreEdge(piece);
  if (!edge) return refuse('back-not-found', {});
  const at = lowerEnd(edge);
  const say = (code: StepCode): Message => ({ code, data: { by, panels: row.value.length } });
  const to = { x: at.x, y: at.y - by };
  const raised = (on: readonly OnWaist[], stage: 'true' | 'match', code: StepCode): readonly Instruction[] =>
    on.map((o) => redraw({ stage, piece: o.piece.id, message: say(code), as: raiseCentre(o.piece, by, o.panel) }));
  return ok({
    piece: piece.id,
    instructions: [
      mark({ piece: piece.id, message: say('swayWaist.mark'), points: [{ id: 'new waist', kind: 'target', at: to }] }),
      ...raised(row.value, 'true', 'swayWaist.true'),
      ...heldAtSide(row.value, say('swayWaist.side')),
      ...raised(skirt ?? [], 'match', 'swayWaist.skirt'),
      ...swayAdvice(piece, by),
      match({ message: say('swayWaist.match'), kinds: ['waist', 'side', 'princess'] }),
    ],
    grips: [amountGrip({ piece: piece.id, shown: 'drawn', from: at, axis: { x: 0, y: -1 }, value: by, limits: SWAY })],
  });
}

export const swaybackWaistSeam: AlterationDefinition = define({
  ...SWAY_COMMON,
  id: 'swayback-waist-seam',
  params: [SWAY, choice('skirt', 'keep', 'gain')],
  requires: ['centreBack', 'waist'],
  refusals: ['back-not-found', 'no-waist-seam', 'skirt-not-found'],
  examples: [
    { name: 'bodice only', on: 'causeway', values: { by: 15 } },
    { name: 'the skirt gains it', on: 'causeway', values: { by: 12, skirt: 'gain' } },
    { name: 'across panels', on: 'skerry-armhole', values: { by: 15 } },
  ],
  source: 'The waist seam drawn again from the amount above it at the centre back to nothing at the side.',
  why: 'why.swayback-waist-seam',
  grade: 'best',
  needs: waistBack,
  plan,
  holds: held({ part: ['back', 'sideBack'], role: 'side' }, { part: ['back', 'sideBack'], role: 'armhole' }),
});
