import { edgesWithRole, levelOf, waistHeight, type Piece } from '../../pattern/index.ts';
import { endOf, pathLength } from '../../geometry/index.ts';

/** Where a piece is cut across to make it longer or shorter. */
export const LINES = ['belowBust', 'aboveBust', 'both', 'belowWaist', 'hem'] as const;
export type LineName = Exclude<(typeof LINES)[number], 'both'>;

const BODICE: readonly Piece['part'][] = ['front', 'sideFront', 'back', 'sideBack'];
/** Panels share the space of the piece they were cut from. */
const PARTNER: Readonly<Partial<Record<Piece['part'], Piece['part']>>> = { sideFront: 'front', sideBack: 'back' };

/** How far up from the underarm the line through the armhole lies, as a share of the front's armhole depth. */
const THROUGH_ARMHOLE = 0.35;
/** How far above the highest place of a hem its line is drawn, and below the waist, mm. */
const ABOVE_HEM = 15;
const BELOW_WAIST = 60;

const armholeEnds = (piece: Piece): { readonly top: number; readonly bottom: number } | null => {
  const edges = [...edgesWithRole(piece, 'armhole'), ...edgesWithRole(piece, 'raglan')];
  if (edges.length === 0) return null;
  const ys = edges.flatMap((e) => [e.path.start.y, endOf(e.path).y]);
  return { top: Math.min(...ys), bottom: Math.max(...ys) };
};

/** The height at which the line crosses a piece, always as far from the landmark it shares with its neighbours; null where it does not. */
export function lineHeight(pieces: readonly Piece[], piece: Piece, line: LineName): number | null {
  const bodice = BODICE.includes(piece.part);
  const kin = pieces.find((p) => p.part === PARTNER[piece.part]);
  const level = (name: 'waist' | 'lengthenShorten' | 'hip'): number | null =>
    (levelOf(piece, name) ?? (kin ? levelOf(kin, name) : undefined))?.y ?? null;
  switch (line) {
    case 'belowBust':
      return bodice ? level('lengthenShorten') : null;
    case 'aboveBust': {
      if (!bodice) return null;
      const front = pieces.map((p) => (p.part === 'front' || p.part === 'sideFront' ? armholeEnds(p) : null));
      const depth = Math.max(...front.map((f) => (f ? f.bottom - f.top : 0)));
      const own = [armholeEnds(piece), kin ? armholeEnds(kin) : null].map((a) => a?.bottom ?? -Infinity);
      const bottom = Math.max(...own);
      return Number.isFinite(bottom) && depth > 0 ? bottom - THROUGH_ARMHOLE * depth : null;
    }
    case 'belowWaist': {
      if (edgesWithRole(piece, 'hem').length === 0) return null;
      const waist = level('waist');
      return waist === null ? null : waist + BELOW_WAIST;
    }
    case 'hem': {
      const hem = edgesWithRole(piece, 'hem');
      if (hem.length === 0) return null;
      return Math.min(...hem.flatMap((e) => [e.path.start.y, endOf(e.path).y])) - ABOVE_HEM;
    }
  }
}

/** Underarm to waist along the side of a back, as drafted; null where the pattern does not show it. */
export function draftedSide(piece: Piece): number | null {
  const side = edgesWithRole(piece, 'side');
  const top = Math.min(...side.flatMap((e) => [e.path.start.y, endOf(e.path).y]));
  const waist = edgesWithRole(piece, 'waist').length > 0 ? null : waistHeight(piece, 'side');
  if (side.length === 0) return null;
  return waist !== null ? waist - top : side.reduce((n, e) => n + pathLength(e.path), 0);
}
