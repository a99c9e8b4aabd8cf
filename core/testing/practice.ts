import { distance, move, type Point } from '../geometry/index.ts';
import { moveBy, restOf, rightLaid, type CutSheet, type Laid, type RightWay } from '../practice/index.ts';
import { nth } from '../units/index.ts';

/** Pulls every panel by two of its corners to where the alteration lays them, or as far beside as `off` says. */
export function laidByHand(way: RightWay, sheet: CutSheet, off: (p: Point) => Point = (p) => p): Laid {
  const right = rightLaid(way, sheet);
  let laid = restOf(sheet);
  sheet.rings.forEach((ring, panel) => {
    if (panel === sheet.root) return;
    // Far from its hinges, where a hand has a lever; then far from there.
    const pins = sheet.pins.filter((p) => p.panels.includes(panel)).map((p) => p.at);
    const first = farthest(ring, pins.length > 0 ? pins : [nth(ring, 0)]);
    for (const grip of [first, farthest(ring, [...pins, first])]) {
      const moved = moveBy(sheet, laid, { kind: 'pull', panel, grip, to: off(move(nth(right, panel), grip)) });
      // Paper taken at its own hinge does not move.
      if (moved.ok) laid = moved.value;
      else if (moved.error.code !== 'practice-held')
        throw new Error(`laidByHand: expected paper to move, got ${moved.error.code}`);
    }
  });
  return laid;
}

const farthest = (ring: readonly Point[], from: readonly Point[]): Point => {
  const off = (p: Point): number => Math.min(...from.map((q) => distance(p, q)));
  return ring.reduce((best, p) => (off(p) > off(best) ? p : best));
};
