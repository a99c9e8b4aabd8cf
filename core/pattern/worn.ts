import type { Piece } from './types.ts';

/** What is worn: it hangs from the shoulder, from the waist, or has legs. */
export type Worn = 'bodice' | 'skirt' | 'trousers';

export const TROUSERS: readonly Piece['part'][] = ['trouserFront', 'trouserBack'];
const SKIRT: readonly Piece['part'][] = ['skirtFront', 'skirtBack'];
const BODICE: readonly Piece['part'][] = ['front', 'sideFront', 'back', 'sideBack'];

/** What these pieces are worn as; where nothing tells, a bodice. */
export function wornAs(pieces: readonly Piece[]): Worn {
  const has = (parts: readonly Piece['part'][]): boolean => pieces.some((p) => parts.includes(p.part));
  if (has(TROUSERS)) return 'trousers';
  return has(SKIRT) && !has(BODICE) ? 'skirt' : 'bodice';
}
