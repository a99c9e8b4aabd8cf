import type { Point } from '../geometry/index.ts';
import { TOL } from '../units/index.ts';
import type { Panel, Toile } from './toile.ts';

/**
 * Where the points of one toile lie, taken over from another of the same pieces that has come to rest: of a coarser mesh, or
 * sewn before a piece was changed. Pieces that are new are left to `otherwise`. Metres.
 */
export function carryOver(from: Toile, x: Float64Array, to: Toile, otherwise: Float64Array): Float64Array {
  const out = new Float64Array(otherwise.length);
  const times = new Int32Array(to.sheet.points);
  for (const panel of to.panels) {
    const old = from.panels.find((p) => p.piece.id === panel.piece.id);
    if (!old) continue;
    const find = finder(old);
    panel.places.forEach((place, k) => {
      const { corners, shares } = find(place);
      const i = panel.points[k]!;
      times[i]!++;
      for (let d = 0; d < 3; d++) for (let c = 0; c < 3; c++) out[3 * i + d]! += shares[c]! * x[3 * corners[c]! + d]!;
    });
  }
  for (let i = 0; i < times.length; i++)
    for (let d = 0; d < 3; d++) out[3 * i + d] = times[i] ? out[3 * i + d]! / times[i]! : otherwise[3 * i + d]!;
  return out;
}

interface Found {
  readonly corners: readonly [number, number, number];
  /** How much each corner counts; together 1. */
  readonly shares: readonly [number, number, number];
}

/** The triangle of a panel that a place on the paper lies in, or nearest to. Places asked for one after another lie close by. */
function finder({ triangles, places, points }: Panel): (p: Point) => Found {
  const count = triangles.length / 3;
  let last = 0;
  return (p) => {
    let best: Found | null = null;
    let [least, at] = [Infinity, last];
    // From the triangle found last to both sides of it: n and count − n away are looked at in turn.
    for (let n = 0; n < count && least > TOL.zero; n++) {
      const t = (last + (n % 2 === 0 ? n / 2 : count - (n + 1) / 2)) % count;
      const [i, j, k] = [triangles[3 * t]!, triangles[3 * t + 1]!, triangles[3 * t + 2]!];
      const [a, b, c] = [places[i]!, places[j]!, places[k]!];
      const twice = (b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y);
      const s = ((p.x - a.x) * (c.y - a.y) - (c.x - a.x) * (p.y - a.y)) / twice;
      const r = ((b.x - a.x) * (p.y - a.y) - (p.x - a.x) * (b.y - a.y)) / twice;
      const outside = Math.max(0, -s, -r, s + r - 1);
      if (outside >= least) continue;
      [least, at] = [outside, t];
      best = { corners: [points[i]!, points[j]!, points[k]!], shares: [1 - s - r, s, r] };
    }
    last = at;
    return best!;
  };
}
