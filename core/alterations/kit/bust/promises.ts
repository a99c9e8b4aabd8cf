import { pathLength } from '../../../geometry/index.ts';
import { edgesWithRole, type EdgeRole, type Piece } from '../../../pattern/index.ts';
import type { Finding } from '../../../paper/truing/index.ts';
import { ADVICE, TOL } from '../../../units/index.ts';

export const roleLength = (pieces: readonly Piece[], role: EdgeRole): number =>
  pieces.reduce((sum, p) => sum + edgesWithRole(p, role).reduce((n, e) => n + pathLength(e.path), 0), 0);

const fronts = (pieces: readonly Piece[]): readonly Piece[] =>
  pieces.filter((p) => p.part === 'front' || p.part === 'sideFront');

/** Promises kept by every bust alteration: armhole (or raglan), shoulder and neck as long as they were. */
export function seamsHold(before: readonly Piece[], after: readonly Piece[]): readonly Finding[] {
  const out: Finding[] = [];
  for (const role of ['armhole', 'raglan', 'shoulder', 'neck'] as const) {
    const by = roleLength(fronts(after), role) - roleLength(fronts(before), role);
    const slack = role === 'armhole' || role === 'raglan' ? TOL.armhole : TOL.legs;
    if (Math.abs(by) > slack)
      out.push({
        code: 'armhole-changed',
        grade: 'fault',
        ...(after[0] ? { piece: after[0].id } : {}),
        data: { by, role },
      });
  }
  return out;
}

/** What a dressmaker would say before it is too late. `oneDart` says whether one dart takes the whole spread. */
export function advice(piece: Piece, total: number, oneDart = true): readonly Finding[] {
  const out: Finding[] = [];
  const at = { piece: piece.id, data: { total, s: total / 2 } };
  if (total === 0) return out;
  if (Math.abs(total) < ADVICE.smallBust) out.push({ code: 'small-amount', grade: 'note', ...at });
  if (oneDart && total / 2 > ADVICE.largeSpread) out.push({ code: 'large-spread', grade: 'look', ...at });
  out.push({ code: 'back-needs-look', grade: 'look', ...at });
  out.push({ code: 'facing-follows', grade: 'note', ...at });
  return out;
}
