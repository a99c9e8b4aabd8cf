import type { Vec3 } from './shape.ts';

/** A place in the plane a tape is judged in; `y` where it rises out of it. */
interface Flat {
  readonly u: number;
  readonly v: number;
  readonly y: number;
}
const turn = (a: Flat, b: Flat, c: Flat): number => (b.u - a.u) * (c.v - a.v) - (b.v - a.v) * (c.u - a.u);

/** The chain of the hull of points sorted by `u`, above them (1) or below (−1). */
function chain(points: readonly Flat[], side: 1 | -1): readonly Flat[] {
  const out: Flat[] = [];
  for (const p of points) {
    for (;;) {
      const [a, b] = [out.at(-2), out.at(-1)];
      if (!a || !b || side * turn(a, b, p) < 0) break;
      out.pop();
    }
    out.push(p);
  }
  return out;
}
const lengthOf = (line: readonly Flat[]): number => {
  let sum = 0;
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1], line[i]];
    if (a && b) sum += Math.hypot(b.u - a.u, b.v - a.v, b.y - a.y);
  }
  return sum;
};

/** Around a section, mm: a tape bridges hollows, so it lies along the hull seen from above; it may slope. */
export function girthOf(section: readonly Vec3[]): number {
  const points = section.map((p) => ({ u: p.x, v: p.z, y: p.y })).sort((a, b) => a.u - b.u || a.v - b.v);
  return lengthOf(chain(points, 1)) + lengthOf(chain(points, -1));
}

/**
 * A tape laid over places of the surface from the first to the last, mm, pulled taut: it bridges what is hollow seen from
 * `outward`. It is taken to lie in the plane through both ends and that direction, which is within a millimetre on a torso.
 */
export function tautOver(places: readonly Vec3[], outward: Vec3): number {
  const [first, last] = [places[0], places.at(-1)];
  if (!first || !last) return 0;
  const way = { x: last.x - first.x, y: last.y - first.y, z: last.z - first.z };
  const long = Math.hypot(way.x, way.y, way.z);
  if (long === 0) return 0;
  const along = { x: way.x / long, y: way.y / long, z: way.z / long };
  const dot = (a: Vec3, b: Vec3): number => a.x * b.x + a.y * b.y + a.z * b.z;
  const lean = dot(outward, along);
  const out = { x: outward.x - lean * along.x, y: outward.y - lean * along.y, z: outward.z - lean * along.z };
  const size = Math.hypot(out.x, out.y, out.z) || 1;
  const flat = places.map((p): Flat => {
    const d = { x: p.x - first.x, y: p.y - first.y, z: p.z - first.z };
    return { u: dot(d, along), v: dot(d, out) / size, y: 0 };
  });
  const between = flat.slice(1, -1).filter((p) => p.u > 0 && p.u < long);
  const sorted = [...between].sort((a, b) => a.u - b.u);
  return lengthOf(chain([{ u: 0, v: 0, y: 0 }, ...sorted, { u: long, v: 0, y: 0 }], 1));
}
