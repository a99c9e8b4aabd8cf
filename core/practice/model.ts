import { distance, nearestOnPath, polyline, type Point } from '../geometry/index.ts';
import { cutPiece } from '../paper/slash/index.ts';
import { nth, ok, type Result } from '../units/index.ts';
import { besidePanel, cutAlong, panelAt, tapeDown, type CutSheet, type Laid, type Line } from './cutting/index.ts';
import { rightMotion, type RightWay } from './task.ts';
import type { Attempt } from './judge/index.ts';

/** The lines of the right way as somebody would draw them: each with hinges at those of its ends where the alteration has some. */
export const rightLines = ({ spec }: RightWay): readonly Line[] =>
  spec.cuts.map(({ id, points }) => {
    const held = (p: Point): boolean => spec.hinges.some((h) => distance(h.at, p) < 0.01 && endsHere(spec.cuts, id, p));
    return { id, points, hinge: { start: held(nth(points, 0)), end: held(nth(points, points.length - 1)) } };
  });

/** Where several lines end at one hinge, the last of them keeps the paper. */
const endsHere = (cuts: RightWay['spec']['cuts'], id: string, p: Point): boolean =>
  cuts.findLast((c) => [c.points[0], c.points.at(-1)].some((q) => q && distance(q, p) < 0.01))?.id === id;

/** Where the right way lays the panels of a sheet that was cut like it. */
export function rightLaid(way: RightWay, sheet: CutSheet): Laid {
  const cut = cutPiece(way.from, way.spec);
  const rings = cut.ok ? cut.value.graph.rings : [];
  const names = cut.ok ? cut.value.names : [];
  const laid = sheet.rings.map((ring) => rightMotion(way, names[panelAt(rings, deepIn(ring))] ?? ''));
  return besidePanel(laid, sheet.root);
}

/** A place well inside a ring. */
function deepIn(ring: readonly Point[]): Point {
  const border = polyline([...ring, nth(ring, 0)]);
  const inside = ring.map((p, i) => {
    const q = nth(ring, (i + Math.floor(ring.length / 2)) % ring.length);
    return { x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 };
  });
  const depth = (p: Point): number => (panelAt([ring], p) === 0 ? nearestOnPath(border, p).distance : 0);
  return inside.reduce((best, p) => (depth(p) > depth(best) ? p : best), nth(inside, 0));
}

/** The right way carried out by hand: as a careful person would do it. */
export function rightAttempt(way: RightWay, tip: Point | null): Result<Attempt> {
  const sheet = cutAlong(way.from, rightLines(way));
  if (!sheet.ok) return sheet;
  const laid = rightLaid(way, sheet.value);
  const taped = tapeDown(sheet.value, laid);
  return taped.ok ? ok({ sheet: sheet.value, laid, taped: taped.value, tip }) : taped;
}
