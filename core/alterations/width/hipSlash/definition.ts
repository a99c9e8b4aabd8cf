import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { define, held, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { numberOf } from '../../engine/values.ts';
import { match } from '../../operations/index.ts';
import { fits, layOut, onOne, type Slashed } from './layout.ts';

const BY = length('by', -80, 160, 30, true);

function plan(context: Context, values: Values): Result<Program> {
  const by = numberOf(values, 'by');
  const each = by / 4;
  const data = { by: Math.abs(by), each: Math.abs(each) };
  const say = (code: Under<'hip'>): Message => ({ code: `hip.${code}`, data });
  const pieces = context.pieces.filter((p) => p.part === 'skirtFront' || p.part === 'skirtBack');
  const instructions: Instruction[] = [];
  let first: Slashed | null = null;
  for (const piece of pieces) {
    const found = layOut(piece);
    if (!found.ok) return found;
    first ??= found.value;
    instructions.push(...onOne(found.value, each, say));
  }
  if (!first) return refuse('skirt-not-found', {});
  instructions.push(match({ message: say('match'), kinds: ['side', 'waist'] }));
  const { side, crossing } = first;
  return ok({
    piece: side.piece.id,
    instructions,
    grips: [
      amountGrip({
        piece: side.piece.id,
        shown: 'opened',
        from: crossing,
        axis: { x: side.out, y: 0 },
        value: by,
        limits: BY,
        per: 4,
      }),
    ],
  });
}

export const hipSlash: AlterationDefinition = define({
  id: 'hip-slash',
  family: 'width',
  params: [BY],
  requires: ['waist', 'side', 'hem'],
  refusals: ['skirt-not-found', 'hip-missing', 'overlap-too-large'],
  examples: [
    { name: 'wider', on: 'causeway', values: { by: 40 } },
    { name: 'narrower', on: 'causeway', values: { by: -24 } },
  ],
  source:
    'Slashed from the hem to a hinge at the waist and across to a hinge at the side; spread evenly from hip to hem.',
  why: 'why.hip-slash',
  needs: ({ pieces }) => {
    const skirt = pieces.find((p) => p.part === 'skirtFront' || p.part === 'skirtBack');
    return skirt ? layOut(skirt) : refuse('skirt-not-found', {});
  },
  reads: ['hip'],
  fits,
  plan,
  holds: held(
    { part: ['skirtFront', 'skirtBack'], role: 'waist' },
    { part: ['skirtFront', 'skirtBack'], role: 'side', slack: 1 },
  ),
});
