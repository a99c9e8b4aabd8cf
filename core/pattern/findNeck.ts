import { endOf } from '../geometry/index.ts';
import { ADVICE } from '../units/index.ts';
import { centreEdgeOf } from './access.ts';
import { neckAway, neckPointOf, withNeckAway, type NeckAway } from './neckBase.ts';
import type { ChartRow, Pattern, Piece } from './types.ts';

/** How a neck lies for its girth: half its width and the depth of its pit as shares of it, and the nape below its base, mm. */
export const NECK = { halfWidth: 1 / 5.4, pit: 1 / 5.1, nape: 22 } as const;

/** Girth of the neck a size is drafted for: the chart's, else the usual for its bust. Undefined where neither is known. */
export function neckGirth(row: ChartRow): number | undefined {
  const { neck, fullBust, highBust } = row.body;
  if (neck !== undefined) return neck;
  const bust = fullBust ?? (highBust === undefined ? undefined : highBust + 50);
  return bust === undefined ? undefined : 180 + bust / 5;
}

/**
 * How far the neckline of a front or back lies from a neck of this girth: out to where the shoulder seam, run on at its
 * slope, comes to half the neck's width from the centre, and down from nape or pit. What is within the difference of one draft's
 * neck from another's counts as lying on the neck. Null where the piece has no shoulder or no centre to tell by.
 */
export function neckAwayFor(piece: Piece, girth: number): NeckAway | null {
  const [neck, centre] = [neckPointOf(piece), centreEdgeOf(piece)];
  if (!neck || !centre || (piece.part !== 'front' && piece.part !== 'back')) return null;
  const towards = Math.sign(centre.path.start.x - neck.at.x);
  if (neck.on.x * towards <= 0) return null;
  const half = girth * NECK.halfWidth;
  const out = (Math.abs(neck.at.x - centre.path.start.x) - half) / Math.abs(neck.on.x);
  const base = neck.at.y + neck.on.y * Math.max(0, out);
  const top = Math.min(centre.path.start.y, endOf(centre.path).y);
  const below = top - (base + (piece.part === 'back' ? NECK.nape : girth * NECK.pit));
  const told = (v: number): number => (v < ADVICE.neckAway ? 0 : v);
  return { out: told(out), below: told(below) };
}

/** A piece with the neck of its size's body found and marked; one that is marked already, or does not tell, as it is. */
export function withNeckFound(piece: Piece, row: ChartRow | undefined): Piece {
  const girth = row && neckGirth(row);
  const marked = piece.marks.some((m) => m.kind === 'neckBase' || m.kind === 'neckCentre');
  const away = girth === undefined || marked ? null : neckAwayFor(piece, girth);
  return away && (away.out > 0 || away.below > 0) ? withNeckAway(piece, away) : piece;
}

/** The same for all pieces of a pattern; `anew` looks at those too that were marked before. */
export const withNecksFound = (pattern: Pattern, anew = false): Pattern => ({
  ...pattern,
  sizes: Object.fromEntries(
    Object.entries(pattern.sizes).map(([size, pieces]) => [
      size,
      pieces.map((p) =>
        withNeckFound(
          anew ? withNeckAway(p, { out: 0, below: 0 }) : p,
          pattern.chart.find((r) => r.size === size),
        ),
      ),
    ]),
  ),
});

/** The neck of the body put right by hand on the fronts, or the backs, of every size. */
export const withNeckOn = (pattern: Pattern, part: 'front' | 'back', away: Partial<NeckAway>): Pattern => ({
  ...pattern,
  sizes: Object.fromEntries(
    Object.entries(pattern.sizes).map(([size, pieces]) => [
      size,
      pieces.map((p) => (p.part === part ? withNeckAway(p, { ...neckAway(p), ...away }) : p)),
    ]),
  ),
});
