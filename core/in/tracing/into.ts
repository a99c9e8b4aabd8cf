import {
  edgeOf,
  normalisePiece,
  partsOfSide,
  withNeckFound,
  wornAs,
  type Pattern,
  type Piece,
  type Seam,
} from '../../pattern/index.ts';
import { withBustLevels } from './bustLevel.ts';
import { proposeSeams } from './seams.ts';

const holds = (pieces: readonly Piece[], seam: Seam): boolean =>
  [seam.first, seam.second].flatMap(partsOfSide).every((side) => {
    const piece = pieces.find((p) => p.id === side.piece);
    return (
      piece !== undefined &&
      side.edges.every((e) => edgeOf(piece, e)) &&
      (side.between ?? []).every((id) => piece.marks.some((m) => m.kind === 'notch' && m.id === id))
    );
  });

/** Seams that every size with pieces can be sewn by; those that some size lacks the pieces for are left out. */
function seamsOf(pattern: Pattern): readonly Seam[] {
  const sizes = Object.values(pattern.sizes).filter((p) => p.length > 0);
  const everywhere = (seam: Seam): boolean => sizes.every((pieces) => holds(pieces, seam));
  const kept = pattern.seams.filter(everywhere);
  const proposed = sizes[0] ? proposeSeams(sizes[0]).map((s) => s.seam) : [];
  return [...kept, ...proposed.filter((s) => !kept.some((k) => k.id === s.id) && everywhere(s))];
}

/**
 * A pattern with one more piece in a size; one of the same id there is replaced. A size it did not know gets a row in
 * the chart, in the order of numbers. Seams between what is there now are proposed; those whose edges went are taken out.
 */
export function withPiece(pattern: Pattern, piece: Piece, size: string): Pattern {
  const there = pattern.sizes[size] ?? [];
  const made = withNeckFound(
    normalisePiece(piece),
    pattern.chart.find((r) => r.size === size),
  );
  const pieces = there.some((p) => p.id === made.id)
    ? there.map((p) => (p.id === made.id ? made : p))
    : [...there, made];
  const known = pattern.chart.some((r) => r.size === size);
  // The unnamed first row of a paper pattern belongs to this size unless it has been named.
  const blank = !known && pattern.chart.length === 1 && Object.keys(pattern.chart[0]?.body ?? {}).length === 0;
  const empty = blank && (pattern.sizes[pattern.chart[0]?.size ?? ''] ?? []).length === 0;
  const chart = known
    ? pattern.chart
    : empty
      ? [{ size, body: {} }]
      : [...pattern.chart, { size, body: {} }].sort((a, b) => a.size.localeCompare(b.size, 'en', { numeric: true }));
  // A pattern that begins below the waist hangs from there.
  const begins = Object.values(pattern.sizes).every((all) => all.length === 0);
  const garment = begins && wornAs([made]) !== 'bodice' ? 'bottom' : pattern.garment;
  const next: Pattern = { ...pattern, garment, chart, sizes: { ...pattern.sizes, [size]: withBustLevels(pieces) } };
  return { ...next, seams: seamsOf(next) };
}

/** The same pattern without a piece in a size. */
export function withoutPiece(pattern: Pattern, id: string, size: string): Pattern {
  const pieces = (pattern.sizes[size] ?? []).filter((p) => p.id !== id);
  const next: Pattern = { ...pattern, sizes: { ...pattern.sizes, [size]: pieces } };
  return { ...next, seams: seamsOf(next) };
}
