import { bustLineOf, edgesWithRole, levelOf, middleX, type Piece } from '../../pattern/index.ts';
import type { SideKnot } from '../../paper/truing/index.ts';
import type { Context } from '../contract.ts';
import { lowerEnd, upperEnd } from './across.ts';
import { acrossSeam, MOST_PANELS } from './acrossPanels.ts';
import { alongAt, sideLength, sideOn, type SideOn } from './sides.ts';
import { nth } from '../../units/index.ts';

/** The seams of a piece to the panels beside it, each seen as a side is: from the top down, and which way is out. */
export function panelSeams(piece: Piece): readonly SideOn[] {
  const middle = middleX(piece);
  const seams = edgesWithRole(piece, 'princess');
  return ([1, -1] as const).flatMap((out) => {
    const edges = seams
      .filter((e) => (lowerEnd(e).x > middle ? 1 : -1) === out)
      .sort((a, b) => upperEnd(a).y - upperEnd(b).y);
    const edge = edges.at(-1);
    return edge ? [{ piece, edge, edges: edges.map((e) => e.id), out, skirt: sideOn(piece)?.skirt ?? false }] : [];
  });
}

/** The panels between a side seam and the centre, the one with the side first. */
export function panelsFrom(context: Pick<Context, 'pieces' | 'seams'>, piece: Piece): readonly Piece[] {
  const row = [piece];
  for (let n = 1; n < MOST_PANELS; n++) {
    const last = nth(row, row.length - 1);
    const next = panelSeams(last)
      .map(({ edge }) => acrossSeam(context, last, { edge, at: edge.path.start, along: 0 })?.piece)
      .find((p) => p && !row.some((r) => r.id === p.id));
    if (!next) return row;
    row.push(next);
  }
  return row;
}

/** A seam between panels moved so far out at waist and hem: from nothing where the tape around the bust crosses it. */
export function panelKnots(seam: SideOn, waist: number, hip: number): readonly SideKnot[] {
  const size = sideLength(seam);
  const line = bustLineOf(seam.piece);
  const end = seam.out === 1 ? line.at(-1)?.to : line[0]?.from;
  const bust = end ? alongAt(seam, end.y) : null;
  const level = levelOf(seam.piece, 'waist');
  const cut = edgesWithRole(seam.piece, 'waist').length > 0;
  const at = cut ? (seam.skirt ? 0 : size) : level ? alongAt(seam, level.y) : null;
  const hem = seam.skirt || !cut ? [{ at: size, by: hip }] : [];
  return [
    ...(seam.skirt ? [] : [{ at: 0, by: 0 }]),
    ...(bust !== null && bust > 1 && bust < (at ?? size) - 1 ? [{ at: bust, by: 0 }] : []),
    ...(at === null ? [] : [{ at, by: waist }]),
    ...hem,
  ];
}
