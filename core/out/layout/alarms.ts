import type { Pattern, Piece } from '../../pattern/index.ts';
import type { Laid } from './cloth.ts';
import type { CutHow } from './wish.ts';

/** Which way a cloth gives most: around the body is across the grain. */
export type Stretches = 'across' | 'along' | 'both' | 'not';

export interface ClothAlarm {
  readonly code: 'stretch-wrong-way' | 'stretch-missing' | 'grain-missing';
  readonly data: Readonly<Record<string, string | number>>;
}

/** What of pattern and pieces disagrees with the cloth: it gives the wrong way or not at all, or a piece has no grain. */
export function clothAlarms(
  pieces: readonly Piece[],
  fabric: Pattern['fabric'],
  stretches: Stretches,
): readonly ClothAlarm[] {
  const knit = fabric.kind === 'knit';
  const stretch: readonly ClothAlarm[] =
    knit && stretches === 'along'
      ? [{ code: 'stretch-wrong-way', data: {} }]
      : knit && stretches === 'not'
        ? [{ code: 'stretch-missing', data: { share: Math.round(fabric.stretch * 100) } }]
        : [];
  const bare = pieces.filter((p) => !p.marks.some((m) => m.kind === 'grain'));
  return [...stretch, ...bare.map((p): ClothAlarm => ({ code: 'grain-missing', data: { piece: p.name } }))];
}

/** How each piece is cut, in the order they are laid: how often, and whether only the upper of two layers. */
export interface CutLine {
  readonly piece: string;
  readonly name: string;
  readonly how: CutHow;
  readonly times: number;
  readonly oneLayer: boolean;
}
export function cutList(laid: readonly Laid[]): readonly CutLine[] {
  const lines = new Map<string, CutLine>();
  for (const { piece, name, how, oneLayer } of laid) {
    const key = `${piece} ${how} ${oneLayer}`;
    lines.set(key, { piece, name, how, oneLayer, times: (lines.get(key)?.times ?? 0) + 1 });
  }
  return [...lines.values()];
}
