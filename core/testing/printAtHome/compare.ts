import { distance, endOf, pathLength } from '../../geometry/index.ts';
import type { Piece } from '../../pattern/index.ts';

/** Lengths by what edges are, mm; a dart by how far its legs are apart. Under a cut-on sleeve curve and side are one seam. */
export function roleLengths(piece: Piece): ReadonlyMap<string, number> {
  const out = new Map<string, number>();
  for (const e of piece.edges) {
    const role = e.role === 'underarm' && piece.part !== 'sleeve' ? 'side' : e.role;
    const long = role === 'dart' ? distance(e.path.start, endOf(e.path)) : pathLength(e.path);
    out.set(role, (out.get(role) ?? 0) + long);
  }
  return out;
}

/** How a piece that came in differs from the one that was drawn: roles and lengths beyond 0.3 mm, darts, fold. */
export function differences(drawn: Piece, got: Piece): readonly string[] {
  const [a, b] = [roleLengths(drawn), roleLengths(got)];
  const off = [...new Set([...a.keys(), ...b.keys()])].flatMap((role) => {
    const [wanted, found] = [a.get(role) ?? 0, b.get(role) ?? 0];
    return Math.abs(wanted - found) > 0.3 ? [`${role} ${wanted.toFixed(1)} → ${found.toFixed(1)}`] : [];
  });
  if (drawn.darts.length !== got.darts.length) off.push(`darts ${drawn.darts.length} → ${got.darts.length}`);
  if ((drawn.fold === null) !== (got.fold === null)) off.push('fold');
  return off;
}

/** Notches as their numbers of lines, sorted. */
export const notchesOf = (piece: Piece): string =>
  piece.marks
    .flatMap((m) => (m.kind === 'notch' ? [m.count] : []))
    .sort((a, b) => a - b)
    .join(' ');
