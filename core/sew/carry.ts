import type { Point } from '../geometry/index.ts';
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

/** The triangle of a panel that a place on the paper lies in, or nearest to. */
function finder(panel: Panel): (p: Point) => Found {
  const local = panel.triangles;
  return (p) => {
    let best: Found | null = null;
    let least = Infinity;
    for (let t = 0; t < local.length; t += 3) {
      const [i, j, k] = [local[t]!, local[t + 1]!, local[t + 2]!];
      const [a, b, c] = [panel.places[i]!, panel.places[j]!, panel.places[k]!];
      const twice = (b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y);
      const s = ((p.x - a.x) * (c.y - a.y) - (c.x - a.x) * (p.y - a.y)) / twice;
      const r = ((b.x - a.x) * (p.y - a.y) - (p.x - a.x) * (b.y - a.y)) / twice;
      const outside = Math.max(0, -s, -r, s + r - 1);
      if (outside >= least) continue;
      least = outside;
      best = { corners: [panel.points[i]!, panel.points[j]!, panel.points[k]!], shares: [1 - s - r, s, r] };
      if (outside === 0) break;
    }
    return best!;
  };
}
