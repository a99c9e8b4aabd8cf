import { edgesWithRole, type Piece } from '../../pattern/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Values } from '../contract.ts';
import { centreEdge, lowerEnd } from '../kit/across.ts';
import { choice, define, held } from '../kit/define.ts';
import { amountGrip } from '../kit/grip.ts';
import { SWAY, SWAY_COMMON, swayAdvice } from '../kit/sway.ts';
import { backOf } from '../kit/wedge.ts';
import { choiceOf, numberOf } from '../values.ts';

/** A back that is cut at the waist. */
function waistBack(context: Pick<Context, 'pieces'>): Result<Piece> {
  const back = backOf(context.pieces, ['back']);
  if (!back.ok) return back;
  const meets = edgesWithRole(back.value, 'waist').length > 0 && edgesWithRole(back.value, 'side').length > 0;
  return meets ? back : refuse('no-waist-seam', { piece: back.value.name });
}

function plan(context: Context, values: Values): Result<Program> {
  const back = waistBack(context);
  if (!back.ok) return back;
  const piece = back.value;
  const by = numberOf(values, 'by');
  const gain = choiceOf(values, 'skirt') === 'gain';
  const skirt = context.pieces.find((p) => p.part === 'skirtBack');
  if (gain && !skirt) return refuse('skirt-not-found', {});
  const edge = centreEdge(piece);
  if (!edge) return refuse('back-not-found', {});
  const at = lowerEnd(edge);
  const data = { by };
  const say = (code: string): Message => ({ code, data });
  const to = { x: at.x, y: at.y - by };
  const instructions: Instruction[] = [
    {
      op: 'mark',
      stage: 'mark',
      piece: piece.id,
      message: say('swayWaist.mark'),
      lines: [],
      points: [{ id: 'new waist', kind: 'target', at: to }],
    },
    { op: 'raiseCentre', stage: 'true', piece: piece.id, message: say('swayWaist.true'), by },
    ...(gain && skirt
      ? [{ op: 'raiseCentre' as const, stage: 'match' as const, piece: skirt.id, message: say('swayWaist.skirt'), by }]
      : []),
    ...swayAdvice(piece, by),
    { op: 'match', stage: 'match', message: say('swayWaist.match'), kinds: ['waist', 'side'] },
  ];
  return ok({
    piece: piece.id,
    instructions,
    grips: [amountGrip({ piece: piece.id, shown: 'drawn', from: at, axis: { x: 0, y: -1 }, value: by, limits: SWAY })],
  });
}

export const swaybackWaistSeam: AlterationDefinition = define({
  ...SWAY_COMMON,
  id: 'swayback-waist-seam',
  params: [SWAY, choice('skirt', 'keep', 'gain')],
  requires: ['centreBack', 'side', 'waist'],
  refusals: ['back-not-found', 'no-waist-seam', 'skirt-not-found'],
  examples: [
    { name: 'bodice only', on: 'causeway', values: { by: 15 } },
    { name: 'the skirt gains it', on: 'causeway', values: { by: 12, skirt: 'gain' } },
  ],
  source: 'The waist seam drawn again from the amount above it at the centre back to nothing at the side.',
  why: 'why.swayback-waist-seam',
  grade: 'best',
  needs: waistBack,
  plan,
  holds: held({ part: ['back'], role: 'side' }, { part: ['back'], role: 'armhole' }),
});
