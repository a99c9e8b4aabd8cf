import { distance, type Path, type Point } from '../../geometry/index.ts';
import {
  cutApart,
  middleX,
  mirrorPiece,
  placesOfMark,
  unfoldPiece,
  yokeLineOf,
  type Piece,
  type Seam,
} from '../../pattern/index.ts';
import { checkPieces, type CheckReport, type Finding } from '../../paper/truing/index.ts';
import { TOL, once } from '../../units/index.ts';

/** Pieces and seams as far as the steps have brought them. */
export interface SidePieces {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
}

export type Side = 'left' | 'right';
/** What the id of a cut piece ends on, where the sides differ. */
export const CUT_AS = { whole: ' whole', left: ' left', right: ' right' } as const;
export const SIDES = ['left', 'right'] as const;
/** One side while both sides of the body are alike; two once a step was for one side only. */
export type BothSides = { readonly left: SidePieces; readonly right: SidePieces };
export const alike = (sides: BothSides): boolean => sides.left.pieces === sides.right.pieces;

/**
 * What is cut when the sides differ: a piece on the fold opened out to a whole, any other one for each side; what
 * is alike on both sides stays as it was. The drawn half is the wearer's left.
 */
export const cutPieces = (sides: BothSides, start: Start): readonly Piece[] => cutOnce(sides)(start);
const cutOnce = once((sides: BothSides) => once((start: Start) => cut(sides, start)));

/** What a job starts from: on the table, and as it is cut. */
type Start = { readonly original: readonly Piece[]; readonly untouched: readonly Piece[] };

/** Pieces with every yoke cut from its back again; one that came out as it was drafted is the drafted one. */
function unpinned(pieces: readonly Piece[], { original, untouched }: Start): readonly Piece[] {
  if (!pieces.some(yokeLineOf)) return pieces;
  return pieces.flatMap((piece) => {
    const parts = cutApart(piece);
    if (parts.length < 2) return parts;
    const was = original.filter((o) => o.id === piece.id).flatMap(cutApart);
    return parts.map((part) => {
      const before = was.find((w) => w.id === part.id);
      return (before && sameCut(before, part) && untouched.find((d) => d.id === part.id)) || part;
    });
  });
}

/** Cut alike: the same lines to a thousandth of a hair, and the same marks on them. */
function sameCut(a: Piece, b: Piece): boolean {
  const paths = (p: Piece): readonly Path[] => p.edges.map((e) => e.path);
  const points = (path: Path): readonly Point[] => [
    path.start,
    ...path.segments.flatMap((s) => (s.kind === 'line' ? [s.to] : [s.c1, s.c2, s.to])),
  ];
  const [one, two] = [paths(a).flatMap(points), paths(b).flatMap(points)];
  if (one.length !== two.length || a.darts.length !== b.darts.length || a.marks.length !== b.marks.length) return false;
  const moved = one.some((p, i) => distance(p, two[i] ?? p) > TOL.same);
  const places = (p: Piece): readonly Point[] => [
    ...p.darts.map((d) => d.tip),
    ...p.marks.flatMap((m) => (m.kind === 'notch' ? [{ x: m.at, y: 0 }] : placesOfMark(m))),
  ];
  const marks = places(b);
  return !moved && places(a).every((p, i) => distance(p, marks[i] ?? p) <= TOL.same);
}

function cut(sides: BothSides, start: Start): readonly Piece[] {
  const left = { pieces: unpinned(sides.left.pieces, start) };
  if (alike(sides)) return left.pieces;
  const right = { pieces: unpinned(sides.right.pieces, start) };
  const ids = [...new Set([...left.pieces, ...right.pieces].map((p) => p.id))];
  return ids.flatMap((id): readonly Piece[] => {
    const l = left.pieces.find((p) => p.id === id);
    const r = right.pieces.find((p) => p.id === id);
    if (!l || !r) {
      const one = l ?? r;
      return one ? [{ ...one, cut: 1, name: `${one.name}, ${l ? 'left' : 'right'}` }] : [];
    }
    if (same(l, r)) return [l];
    if (l.fold !== null && r.fold !== null)
      return [{ ...unfoldPiece(l, r).piece, id: l.id + CUT_AS.whole, name: `${l.name}, whole` }];
    return [
      { ...l, id: l.id + CUT_AS.left, cut: 1, name: `${l.name}, left` },
      // The drawn half is the left; the right is its mirror image.
      { ...mirrorPiece(r, middleX(r)), id: r.id + CUT_AS.right, cut: 1, name: `${r.name}, right` },
    ];
  });
}

const same = (a: Piece, b: Piece): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/** One check for each side that differs, and where the halves of an opened piece miss each other. */
export interface SideCheck {
  readonly side: Side | 'both';
  readonly report: CheckReport;
}

export function checkSides(
  sides: BothSides,
  original: readonly Piece[],
  originalSeams: readonly Seam[],
): readonly SideCheck[] {
  const check = (side: SidePieces): CheckReport => checkPieces(side.pieces, side.seams, original, originalSeams);
  if (alike(sides)) return [{ side: 'both', report: check(sides.left) }];
  return [
    { side: 'left', report: check(sides.left) },
    { side: 'right', report: check(sides.right) },
  ];
}

/** Halves that no longer meet along the fold. */
export function halvesApart({ left, right }: BothSides): readonly Finding[] {
  if (left.pieces === right.pieces) return [];
  return left.pieces.flatMap((l): readonly Finding[] => {
    const r = right.pieces.find((p) => p.id === l.id);
    if (!r || l === r || l.fold === null || r.fold === null) return [];
    const { apart } = unfoldPiece(l, r);
    return apart > TOL.seam
      ? [{ code: 'halves-differ', grade: 'look', piece: l.id, data: { by: apart, name: l.name } }]
      : [];
  });
}
