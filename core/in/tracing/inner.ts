import { flatten, insidePolygon, nearestOnPath } from '../../geometry/index.ts';
import type { Ring } from './chain.ts';
import { boxOf } from './lines.ts';

/** Allowances are no narrower and no wider than this, mm. */
const NARROWEST = 3;
const WIDEST = 60;
/** So much of a line keeps its distance, or lies on the other (a fold), for the two to be cutting and seam line. */
const MOSTLY = 0.8;
const EVEN = 0.8;

/** The seam line that runs inside a cutting line, and how far inside, mm. */
export interface InnerLine {
  readonly ring: Ring;
  readonly allowance: number;
}

/**
 * The outline among some that keeps an even distance inside another: its seam line. Sizes of a nest do not keep one:
 * they grow more at the side than at the neck. Hems may be wider, and a fold has nothing.
 */
export function lineInside(of: Ring, rings: readonly Ring[]): InnerLine | null {
  const box = boxOf(of.path);
  const polygon = flatten(of.path, 0.2);
  const found = rings.flatMap((ring): readonly InnerLine[] => {
    const b = boxOf(ring.path);
    const within = b.minX > box.minX - 1 && b.minY > box.minY - 1 && b.maxX < box.maxX + 1 && b.maxY < box.maxY + 1;
    if (ring === of || !within) return [];
    const points = flatten(ring.path, 0.2);
    const far = points.map((p) => nearestOnPath(of.path, p).distance);
    if (points.some((p, i) => (far[i] ?? 0) > 1 && !insidePolygon(p, polygon))) return [];
    const off = far.filter((d) => d > NARROWEST && d < WIDEST).sort((a, b) => a - b);
    const middle = off[Math.floor(off.length / 2)];
    if (middle === undefined) return [];
    const even = far.filter((d) => Math.abs(d - middle) < EVEN || d < 1).length;
    return even / far.length >= MOSTLY ? [{ ring, allowance: Math.round(middle * 10) / 10 }] : [];
  });
  return found.sort((a, b) => a.allowance - b.allowance)[0] ?? null;
}
