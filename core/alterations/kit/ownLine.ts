import { edgesWithRole, type Piece } from '../../pattern/index.ts';
import type { Context } from '../contract.ts';
import { meetings } from './across.ts';
import { acrossSeam } from './acrossPanels.ts';
import { notchAlong, openings, sideLength, sidesOf, targetAt, wholeSide, type SideOn } from './sides.ts';

/** Corners and notches that front and back share at the side: a line is found again from any of them. */
export const SHARED = ['underarm', 'bottom', 'notch', 'skirtWaist'] as const;
export type SharedPlace = (typeof SHARED)[number];

/** Where the shared place lies along a side with its darts shut, from its upper end; null where this piece has none. */
function sharedAlong(context: Pick<Context, 'seams'>, side: SideOn, from: SharedPlace): number | null {
  if (side.skirt !== (from === 'skirtWaist')) return null;
  if (from === 'bottom') return sideLength(side);
  return from === 'notch' ? notchAlong(side, 0, sideLength(side), openings(context.seams)) : 0;
}

/** The height of a place so far down a side with its darts shut; beyond its ends straight up or down from there. */
function heightAlong(side: SideOn, along: number): number {
  const size = sideLength(side);
  const on = Math.min(size, Math.max(0, along));
  return targetAt(side, on, 0).y + along - on;
}

/**
 * The height of a line on every piece it crosses: `away` below (above nothing: above) a place that front and back share
 * at the side, measured along the side with its darts shut, and carried on from panel to panel where their seams bring
 * it. No level has to be marked.
 */
export function ownLine(
  context: Pick<Context, 'pieces' | 'seams'>,
  from: SharedPlace,
  away: number,
): ReadonlyMap<Piece, number> {
  const found = new Map<Piece, number>();
  const next: [Piece, number][] = sidesOf(context.pieces).flatMap((s): [Piece, number][] => {
    const side = wholeSide(s);
    const place = sharedAlong(context, side, from);
    return place === null ? [] : [[side.piece, heightAlong(side, place + away)]];
  });
  for (let at = next.shift(); at; at = next.shift()) {
    const [piece, y] = at;
    if (found.has(piece)) continue;
    found.set(piece, y);
    if (edgesWithRole(piece, 'princess').length === 0) continue;
    for (const m of meetings(piece, y)) {
      const beside = m.edge.role === 'princess' ? acrossSeam(context, piece, m) : null;
      if (beside) next.push([beside.piece, beside.at.at.y]);
    }
  }
  return found;
}
