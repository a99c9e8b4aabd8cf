import type { Piece } from '../../../pattern/index.ts';
import { ok, type Result } from '../../../units/index.ts';
import { traceLike } from '../nest.ts';
import { traceSafely } from '../trace.ts';
import type { TraceChoices, Traced } from '../traceTypes.ts';
import { asksOf, sureness, type Question } from './doubts.ts';
import type { Alike, ReadPiece } from './readTypes.ts';

/**
 * A piece in every size: each traced just as the one at hand, so that edges, darts and marks carry the same names. A
 * size that cannot be is left out; one that shows other darts is asked about.
 */
export function inEverySize(base: Pick<ReadPiece, 'ring' | 'choices' | 'traced' | 'size' | 'alike' | 'forAll'>): {
  readonly sizes: readonly { readonly size: string; readonly piece: Piece }[];
  readonly asks: readonly Question[];
} {
  const { piece } = base.traced;
  if (base.forAll) return { sizes: base.forAll.map((size) => ({ size, piece })), asks: [] };
  const graded = base.alike.map((a) => ({ size: a.size, like: likeSafely(base, a) }));
  const darts = graded.flatMap(({ like }) =>
    !like.ok && like.error.code === 'nest-darts-differ' ? [like.error] : [],
  )[0];
  return {
    sizes: [
      { size: base.size, piece },
      ...graded.flatMap(({ size, like }) => (like.ok ? [{ size, piece: like.value.piece }] : [])),
    ],
    asks: darts
      ? [{ code: 'which-darts', data: { counts: [piece.darts.length, Number(darts.data['other'] ?? 0)] } }]
      : [],
  };
}

/** As `traceLike`; an outline nothing can be made of is a size left out, not the end of the file. */
function likeSafely(base: Parameters<typeof traceLike>[0], a: Alike): ReturnType<typeof traceLike> {
  try {
    return traceLike(base, a.ring, a.others);
  } catch {
    return { ok: false, error: { code: 'nest-corners-differ', data: { base: 0, other: 0 } } };
  }
}

/**
 * A piece with other choices, in all its sizes; `answered` are the questions they settle. What it can tell of itself is
 * asked anew, everything else stays asked. Refuses choices nothing can be made of.
 */
export function corrected(
  read: ReadPiece,
  choices: TraceChoices,
  answered: readonly Question['code'][] = [],
): Result<ReadPiece, 'piece-not-traced'> {
  const traced: Result<Traced, 'piece-not-traced'> = traceSafely(read.ring, read.others, choices);
  if (!traced.ok) return traced;
  const graded = inEverySize({ ...read, choices, traced: traced.value });
  const own = new Set<Question['code']>(['allowance-off', 'which-edges', 'no-outline', 'which-darts']);
  const asks = [
    ...read.asks.filter((a) => !own.has(a.code) && !answered.includes(a.code)),
    ...asksOf(traced.value.piece, traced.value.notes),
    ...graded.asks,
  ].filter((a) => !answered.includes(a.code));
  return ok({ ...read, choices, traced: traced.value, sizes: graded.sizes, asks, sure: sureness(asks, read.why) });
}
