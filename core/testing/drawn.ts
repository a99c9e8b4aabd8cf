import { arrowHeads, drawPiece } from '../out/drawing.ts';
import { add, flatten, nearestOnPath, polyline, sub, type Path } from '../geometry/index.ts';
import { outlineOf, type Piece } from '../pattern/index.ts';
import type { Stroke } from '../in/tracing/index.ts';

export const strokeFrom = (path: Path, more: Partial<Stroke> = {}): Stroke => ({
  path,
  closed: false,
  layer: '',
  style: '',
  page: 0,
  kind: null,
  block: '',
  ...more,
});
export const closedStroke = (path: Path, more: Partial<Stroke> = {}): Stroke =>
  strokeFrom(
    { start: path.start, segments: [...path.segments, { kind: 'line', to: path.start }] },
    { closed: true, ...more },
  );

/** A piece as the lines one finds on printed tissue: the cutting line first, then darts, notches and grain with its heads. */
export function linesOf(piece: Piece): readonly Stroke[] {
  const d = drawPiece(piece);
  return [
    closedStroke(d.cutting),
    ...d.darts.flatMap((t) => [strokeFrom(t.legs), strokeFrom(t.centre)]),
    ...d.notches.flatMap((n) => n.lines.map((l) => strokeFrom(polyline([...l])))),
    ...d.grain.flatMap(([a, b]) => [[a, b] as const, ...arrowHeads(a, b)].map((l) => strokeFrom(polyline([...l])))),
  ];
}

/** A rectangle from the origin, left open at its last side as outlines are. */
export const rect = (w: number, h: number): Path =>
  polyline([
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: h },
    { x: 0, y: h },
  ]);

/** How far two lines lie from each other at the worst, both ways, after their boxes are laid on one another, mm. */
export function farApart(a: Path, b: Path): number {
  const [p, q] = [flatten(a, 0.02), flatten(b, 0.02)];
  const corner = (list: typeof p) => ({ x: Math.min(...list.map((v) => v.x)), y: Math.min(...list.map((v) => v.y)) });
  const [c, d] = [corner(p), corner(q)];
  const by = { x: c.x - d.x, y: c.y - d.y };
  return Math.max(
    ...q.map((v) => nearestOnPath(a, add(v, by)).distance),
    ...p.map((v) => nearestOnPath(b, sub(v, by)).distance),
  );
}
export const outlinesApart = (a: Piece, b: Piece): number => farApart(outlineOf(a), outlineOf(b));
