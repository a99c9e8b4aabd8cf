import {
  cross,
  distance,
  flatten,
  insidePolygon,
  lerp,
  move,
  sub,
  type Path,
  type Point,
  type Rigid,
} from '../../geometry/index.ts';
import type { TapeStretch } from '../../pattern/index.ts';
import { TOL, nth, cyclic } from '../../units/index.ts';

/** A panel before the motion, and its motion. */
interface Panel {
  readonly outline: Path;
  readonly motion: Rigid;
}

/** Where a straight line crosses a ring, as shares of its length. */
function crossings(from: Point, to: Point, ring: readonly Point[]): readonly number[] {
  const way = sub(to, from);
  return ring.flatMap((a, i) => {
    const along = sub(cyclic(ring, i + 1), a);
    const across = cross(way, along);
    if (Math.abs(across) < TOL.same) return [];
    const t = cross(sub(a, from), along) / across;
    const u = cross(sub(a, from), way) / across;
    return t > 0 && t < 1 && u >= 0 && u <= 1 ? [t] : [];
  });
}

/**
 * The line a tape lies along, cut where the paper is cut; each part moves with its panel. The gap that opens between two
 * parts counts towards the measured length but is not part of the line.
 */
export function carryTape(line: readonly TapeStretch[], panels: readonly Panel[]): readonly TapeStretch[] {
  const rings = panels.map((p) => flatten(p.outline, TOL.meets));
  return line.flatMap(({ from, to }): readonly TapeStretch[] => {
    const size = distance(from, to);
    const places = [0, ...rings.flatMap((r) => crossings(from, to, r)), 1].sort((a, b) => a - b);
    const parts: { start: number; end: number; motion: Rigid }[] = [];
    for (const [i, start] of places.slice(0, -1).entries()) {
      const end = nth(places, i + 1);
      if ((end - start) * size < TOL.legs) continue;
      const middle = lerp(from, to, (start + end) / 2);
      const panel = panels[rings.findIndex((r) => insidePolygon(middle, r))];
      const before = parts.at(-1);
      const motion = panel?.motion ?? before?.motion ?? nth(panels, 0).motion;
      if (before && before.motion === motion) before.end = end;
      else parts.push({ start: before ? before.end : 0, end, motion });
    }
    const last = parts.at(-1);
    if (last) last.end = 1;
    return parts.map((p) => ({
      from: move(p.motion, lerp(from, to, p.start)),
      to: move(p.motion, lerp(from, to, p.end)),
    }));
  });
}
