import { boundsOf, flatten, polyline, type Box, type Path, type Point } from '../geometry/index.ts';
import type { Piece } from '../pattern/index.ts';
import { drawPiece } from './drawing.ts';
import { nth } from '../units/index.ts';

/** How a line of a diagram is drawn; each renderer has one pen for each. */
export type Pen = 'paper' | 'insert' | 'overlap' | 'ghost' | 'cutting' | 'seam' | 'dart' | 'notch' | 'grain' | 'slash';

export type Shape =
  | { readonly kind: 'line'; readonly pen: Pen; readonly path: Path; readonly closed: boolean }
  | { readonly kind: 'pin'; readonly at: Point }
  | { readonly kind: 'cross'; readonly at: Point }
  | { readonly kind: 'label'; readonly at: Point; readonly text: string }
  | { readonly kind: 'dimension'; readonly from: Point; readonly to: Point; readonly text: string };

/** A small drawing of one piece: shapes in drawing order, mm, and the box around them. */
export interface Diagram {
  readonly name: string;
  readonly shapes: readonly Shape[];
  readonly box: Box;
}

/** What a diagram may show beside the piece itself. */
export interface DiagramInput {
  readonly piece: Piece;
  readonly ghost?: Piece | undefined;
  readonly lines?: readonly { readonly label: string; readonly points: readonly Point[] }[];
  readonly points?: readonly { readonly kind: 'hinge' | 'bustPoint' | 'newBustPoint' | 'target'; readonly at: Point }[];
  readonly gaps?: readonly { readonly outline: Path; readonly area: number; readonly fold?: boolean }[];
  readonly dimensions?: readonly { readonly from: Point; readonly to: Point; readonly text: string }[];
  readonly panels?: readonly Path[];
}

/** Takes a piece and what is done on it apart into shapes; every renderer draws the same list. */
export function diagramOf(input: DiagramInput): Diagram {
  const { piece, ghost, lines = [], points = [], gaps = [], dimensions = [], panels = [] } = input;
  const d = drawPiece(piece);
  const stroke = (pen: Pen, path: Path, closed = false): Shape => ({ kind: 'line', pen, path, closed });
  const segment = (pen: Pen, ends: readonly Point[]): Shape => stroke(pen, polyline(ends));
  const before = ghost ? drawPiece(ghost) : null;
  const shapes: Shape[] = [
    stroke('paper', d.cutting, true),
    ...gaps.filter((g) => !g.fold).map((g) => stroke(g.area > 0 ? 'insert' : 'overlap', g.outline, true)),
    ...(before ? [stroke('ghost', before.seam, true)] : []),
    stroke('seam', d.seam, true),
    ...d.darts.map((t) => stroke('dart', t.legs)),
    ...d.notches.flatMap((n) => n.lines.map((l) => segment('notch', l))),
    ...d.grain.map((g) => segment('grain', g)),
    ...d.yokeLines.map((l) => stroke('seam', l)),
    ...panels.map((p) => stroke('slash', p, true)),
    ...lines.map((l) => segment('slash', l.points)),
    ...lines.map((l): Shape => ({ kind: 'label', at: labelPlace(l.points), text: l.label })),
    ...dimensions.map((m): Shape => ({ kind: 'dimension', ...m })),
    ...points.map((p): Shape => ({ kind: p.kind === 'hinge' ? 'pin' : 'cross', at: p.at })),
  ];
  const corners = [d, ...(before ? [before] : [])].flatMap((x) => flatten(x.cutting, 0.5));
  return { name: piece.name, shapes, box: boundsOf(corners) };
}

/** On the middle of the longest part of a drawn line, so that labels keep apart. */
export function labelPlace(points: readonly Point[]): Point {
  let best = points[0] ?? { x: 0, y: 0 };
  let longest = -1;
  points.slice(1).forEach((b, i) => {
    const a = nth(points, i);
    const size = Math.hypot(b.x - a.x, b.y - a.y);
    if (size <= longest) return;
    longest = size;
    best = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  });
  return best;
}
