import { once } from '../units/index.ts';
import { partsOfSide } from './seamLine.ts';
import type { Pattern, Piece } from './types.ts';

/** The view of a pattern that a job makes: the one named, else the first; null where the pattern has no views. */
export const viewOf = (pattern: Pattern, name: string | null): Pattern['views'][number] | null =>
  pattern.views.find((v) => v.name === name) ?? pattern.views[0] ?? null;

/**
 * A pattern as one of its views: the pieces the view names, those that no view names, and the seams between them. The
 * same object each time, so that what was measured on it holds.
 */
export const inView = (pattern: Pattern, name: string | null): Pattern => {
  const view = viewOf(pattern, name);
  return view ? (viewsOf(pattern).get(view.name) ?? pattern) : pattern;
};

const viewsOf = once(
  (pattern: Pattern): ReadonlyMap<string, Pattern> =>
    new Map(pattern.views.map((v) => [v.name, only(pattern, v.pieces)])),
);

function only(pattern: Pattern, ids: readonly string[]): Pattern {
  const named = new Set(pattern.views.flatMap((v) => v.pieces));
  const has = (id: string): boolean => ids.includes(id) || !named.has(id);
  const kept = (pieces: readonly Piece[]): readonly Piece[] => pieces.filter((p) => has(p.id));
  return {
    ...pattern,
    sizes: Object.fromEntries(Object.entries(pattern.sizes).map(([size, pieces]) => [size, kept(pieces)])),
    seams: pattern.seams.filter((s) => [s.first, s.second].flatMap(partsOfSide).every((side) => has(side.piece))),
  };
}
