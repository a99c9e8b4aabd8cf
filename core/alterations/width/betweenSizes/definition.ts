import { hipOf, waistOf, type Piece } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Program, Values } from '../../contract.ts';
import { choice, define, held } from '../../kit/define.ts';
import { edgesOver, gradeSides, OVER, type Over } from '../../kit/grade.ts';
import { inSize, sidesOf } from '../../kit/sides.ts';
import { choiceOf } from '../../engine/values.ts';
import { fits, sizeOf } from './layout.ts';

/** The panel between a side panel and the centre. */
const BESIDE: Readonly<Partial<Record<Piece['part'], Piece['part']>>> = { sideFront: 'front', sideBack: 'back' };

function plan(context: Context, values: Values): Result<Program> {
  const waist = sizeOf(values, 'waistSize') ?? context.size ?? null;
  const hip = sizeOf(values, 'hipSize') ?? waist;
  if (!context.nest || context.size === undefined || context.size === null) return refuse('no-nest', {});
  for (const size of [waist, hip])
    if (size === null || !context.nest[size]) return refuse('size-not-in-nest', { size: size ?? '' });
  if (waist === context.size && hip === context.size) return refuse('same-size', { size: context.size });
  const nested = (size: string | null, of: (p: Piece) => number | null, piece: Piece): number | null => {
    const other = size === null ? null : inSize(context, size, piece.id);
    return other ? of(other) : null;
  };
  // Of a draft in panels the side takes what the panel beside it would have grown: the level is reached all the same.
  const width = (size: string | null, of: (p: Piece) => number | null) => (piece: Piece) => {
    const own = nested(size, of, piece);
    const beside = context.pieces.find((p) => p.part === BESIDE[piece.part]);
    const [wide, has] = beside ? [nested(size, of, beside), of(beside)] : [null, null];
    return own === null ? null : own + (wide === null || has === null ? 0 : wide - has);
  };
  const over = choiceOf(values, 'seams') as Over;
  const data = { from: context.size, waist: waist ?? '', hip: hip ?? '', edges: edgesOver(context, over) };
  return gradeSides(
    context,
    { waist: width(waist, waistOf), hip: width(hip, hipOf) },
    choiceOf(values, 'shape'),
    (code) => ({ code: `grade.${code}`, data }),
    over,
  );
}

export const gradeBetweenSizes: AlterationDefinition = define({
  id: 'grade-between-sizes',
  family: 'width',
  phase: 'grade',
  amount: null,
  params: [
    { kind: 'size', key: 'waistSize', initial: null },
    { kind: 'size', key: 'hipSize', initial: null },
    choice('shape', 'straight', 'curved'),
    choice('seams', ...OVER),
  ],
  requires: ['side'],
  refusals: ['side-missing', 'no-nest', 'size-not-in-nest', 'same-size', 'nothing-to-grade'],
  examples: [
    { name: 'waist and hip larger', on: 'causeway', values: { waistSize: '5', hipSize: '6' } },
    { name: 'top, hip larger', on: 'causeway-side', values: { waistSize: '4', hipSize: '6', shape: 'curved' } },
  ],
  source: 'The side seam drawn on the nest from one size at the bust to another at the waist and another at the hip.',
  why: 'why.grade-between-sizes',
  grade: 'best',
  needs: ({ pieces }) => (sidesOf(pieces).length > 0 ? ok(true) : refuse('side-missing', {})),
  reads: ['waist', 'hip'],
  fits,
  plan,
  holds: held({ part: ['front', 'sideFront', 'back', 'sideBack'], role: 'armhole', slack: 1 }),
});
