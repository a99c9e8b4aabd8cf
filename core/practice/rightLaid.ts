import { nearestOnPath, polyline, type Point } from '../geometry/index.ts';
import { nth } from '../units/index.ts';
import { besidePanel, panelAt, type CutSheet, type Laid } from './cutting/index.ts';
import { rightSheet } from './judge/index.ts';
import { rightMotion, type RightWay } from './task.ts';

/** Where the right way lays the panels of a sheet that was cut like it. */
export function rightLaid(way: RightWay, sheet: CutSheet): Laid {
  const { names, graph } = rightSheet(way).divided;
  const laid = sheet.rings.map((ring) => rightMotion(way, nth(names, panelAt(graph.rings, deepIn(ring)))));
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
