import { grouped } from '../grouped.ts';
import type { Lines } from '../lines.ts';
import { partOfWords } from '../printedWords.ts';
import { proposeSeams } from '../seams.ts';
import { toldPieces } from '../told.ts';
import { traceSafely } from '../trace.ts';
import { asksOf, sureness, type Question, type Why } from './doubts.ts';
import { inEverySize } from './inEverySize.ts';
import type { ReadFile, ReadPiece, Wanted } from './readTypes.ts';

/** The pieces of a file whose layers or own data say what they are; null where none do. */
export function readTold(lines: Lines, wanted: Wanted): ReadFile | null {
  const told = toldPieces(lines).flatMap((t) => {
    const traced = traceSafely(t.ring, t.others, t.choices);
    if (!traced.ok) return [];
    const size = t.size ?? '1';
    const exact = lines.pieces.find((p) => p.id === traced.value.piece.id);
    if (!exact) return [{ ...t, size, traced: traced.value }];
    return [{ ...t, choices: { ...t.choices, part: exact.part }, size, traced: { ...traced.value, piece: exact } }];
  });
  if (told.length === 0) return null;
  const sizes = [...new Set(told.map((t) => t.size))].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  const asked = sizes.find((s) => s.toLowerCase() === wanted.size?.trim().toLowerCase());
  const size = asked ?? sizes[Math.floor((sizes.length - 1) / 2)] ?? '1';
  const pieces = [...grouped(told, (t) => t.traced.piece.id).values()].flatMap((list): readonly ReadPiece[] => {
    const one = list.find((t) => t.size === size);
    if (!one) return [];
    // Where neither the file's own data nor a name gives the part, “front” is no more than the first in the list.
    const named =
      lines.pieces.some((p) => p.id === one.traced.piece.id) ||
      one.choices.part !== 'front' ||
      partOfWords(one.choices.name) === 'front';
    const alike = list.filter((t) => t !== one).map(({ size, ring, others }) => ({ size, ring, others }));
    const base = { ring: one.ring, choices: one.choices, traced: one.traced, size, alike, forAll: null };
    // Traced like the one at hand, every size carries the same names, and one may grade between them.
    const graded = inEverySize(base);
    const asks: readonly Question[] = [
      ...(named ? [] : [{ code: 'which-part', data: {} } as const]),
      ...asksOf(one.traced.piece, one.traced.notes),
      ...graded.asks,
    ];
    const why: readonly Why[] = ['told-by-file'];
    return [{ ...base, look: '', others: one.others, sizes: graded.sizes, sure: sureness(asks, why), why, asks }];
  });
  return {
    scale: 1,
    sizes,
    sizesBy: 'layers',
    size,
    pieces: [...pieces].sort((a, b) => a.sure - b.sure),
    seams: proposeSeams(pieces.map((p) => p.traced.piece)),
    allowanceOpen: false,
  };
}
