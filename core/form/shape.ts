/**
 * The surface of a body from the thigh to the neck: level sections between which it runs in smooth curves, and mounds that stand
 * out from it. Millimetres. x to the wearer's left, y up from the floor, z to the front; directions count from the front (0) by
 * the left side (a quarter turn) to the back (half a turn).
 */

/** A section: half its width, how far it reaches before and behind its middle, how square it is, where its middle lies. */
export interface Ring {
  readonly y: number;
  readonly half: number;
  readonly front: number;
  readonly back: number;
  /** 2 is an ellipse, more is squarer. */
  readonly square: number;
  /** The middle of the section, to the front. */
  readonly z: number;
}

/** A rounded rise on the surface: a breast or a buttock. */
export interface Mound {
  readonly x: number;
  readonly y: number;
  /** Out from the surface it stands on, at its top. */
  readonly rise: number;
  /** On which side of the body: 1 the front, −1 the back. */
  readonly side: 1 | -1;
  /** How far it spreads: across, and down and up from its top. */
  readonly across: number;
  readonly below: number;
  readonly above: number;
}

/** An arm as an upright tube at the side: where a tape laid across chest or back ends, in the crease before or behind it. */
export interface Arm {
  readonly x: number;
  readonly z: number;
  readonly radius: number;
}

export interface Shape {
  /** At least two, from the lowest up. */
  readonly rings: readonly Ring[];
  readonly mounds: readonly Mound[];
  readonly arm: Arm;
}

export interface Vec3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

type Field = Exclude<keyof Ring, 'y'>;
const FIELDS: readonly Field[] = ['half', 'front', 'back', 'square', 'z'];

/** Slopes of a curve through values at heights that never swings beyond them (Fritsch and Carlson). */
function slopesOf(at: readonly number[], values: readonly number[]): readonly number[] {
  const steps = at.slice(1).map((y, i) => {
    const size = y - (at[i] ?? 0);
    return { size, slope: ((values[i + 1] ?? 0) - (values[i] ?? 0)) / size };
  });
  return at.map((_, i) => {
    const [below, above] = [steps[i - 1], steps[i]];
    if (!below || !above) return (below ?? above)?.slope ?? 0;
    if (below.slope * above.slope <= 0) return 0;
    const [w1, w2] = [2 * above.size + below.size, above.size + 2 * below.size];
    return (w1 + w2) / (w1 / below.slope + w2 / above.slope);
  });
}

/** The section of a shape at a height; beyond its ends the last one. */
export type Section = (y: number) => Ring;

export function sectionOf({ rings }: Pick<Shape, 'rings'>): Section {
  const at = rings.map((r) => r.y);
  const slopes = FIELDS.map((f) =>
    slopesOf(
      at,
      rings.map((r) => r[f]),
    ),
  );
  return (y) => {
    let k = 0;
    while (k < rings.length - 2 && (at[k + 1] ?? Infinity) <= y) k++;
    const [low, high] = [rings[k], rings[k + 1]];
    if (!low || !high) throw new Error('sectionOf: expected at least two rings');
    const size = high.y - low.y;
    const t = Math.min(1, Math.max(0, (y - low.y) / size));
    const [h00, h10] = [(1 + 2 * t) * (1 - t) ** 2, t * (1 - t) ** 2];
    const [h01, h11] = [t * t * (3 - 2 * t), t * t * (t - 1)];
    const value = (f: Field, m: readonly number[] = []): number =>
      h00 * low[f] + h10 * size * (m[k] ?? 0) + h01 * high[f] + h11 * size * (m[k + 1] ?? 0);
    const [half, front, back, square, z] = FIELDS.map((f, i) => value(f, slopes[i]));
    return { y, half: half ?? 0, front: front ?? 0, back: back ?? 0, square: square ?? 2, z: z ?? 0 };
  };
}

/** How much of a mound's rise is there at a place beside its top: all at the top, nothing at its edge, smooth throughout. */
function share(m: Mound, x: number, y: number): number {
  const [u, v] = [(x - m.x) / m.across, (y - m.y) / (y < m.y ? m.below : m.above)];
  const d = u * u + v * v;
  return d >= 1 ? 0 : (1 - d) ** 2;
}

/** How far the mounds of one side stand out at a place of it. */
const riseAt = (mounds: readonly Mound[], side: 1 | -1, x: number, y: number): number =>
  mounds.reduce((sum, m) => (m.side === side ? sum + m.rise * share(m, x, y) : sum), 0);

/** How deep the surface lies at a place seen from the front (1) or from the back (−1); beside the body at its flank. */
export function depthAt(ring: Ring, mounds: readonly Mound[], side: 1 | -1, x: number): Vec3 {
  const within = Math.max(0, 1 - (Math.abs(x) / ring.half) ** ring.square);
  const depth = (side === 1 ? ring.front : ring.back) * within ** (1 / ring.square);
  return { x, y: ring.y, z: ring.z + side * (depth + riseAt(mounds, side, x, ring.y) * Math.min(1, 4 * within)) };
}

/** A point of the surface in a direction, at the height of a section. */
export function pointOn(ring: Ring, mounds: readonly Mound[], direction: number): Vec3 {
  const [sin, cos] = [Math.sin(direction), Math.cos(direction)];
  const side = cos >= 0 ? 1 : -1;
  const p = ring.square;
  const radius =
    ((Math.abs(sin) / ring.half) ** p + (Math.abs(cos) / (side === 1 ? ring.front : ring.back)) ** p) ** (-1 / p);
  const x = radius * sin;
  const within = Math.max(0, 1 - (Math.abs(x) / ring.half) ** p);
  const rise = riseAt(mounds, side, x, ring.y) * Math.min(1, 4 * within);
  return { x, y: ring.y, z: ring.z + radius * cos + side * rise };
}

/** From the middle, in front or behind, a half has become all its own by this direction, radians. */
const OWN_FROM = Math.PI / 4;

/** How much a half beside another is its own in a direction: nothing in the middle, where both are one, all of it at the side. */
function ownShare(direction: number): number {
  const t = Math.min(1, Math.abs(Math.asin(Math.sin(direction))) / OWN_FROM);
  return t * t * (3 - 2 * t);
}

const mix = (a: Vec3, b: Vec3, share: number): Vec3 => ({
  x: a.x + share * (b.x - a.x),
  y: a.y,
  z: a.z + share * (b.z - a.z),
});

/** The surface of a body by height and direction; of a half `beside` another it runs into that at the middle. */
export function surfaceOf(own: Shape, beside: Shape | null): (y: number, direction: number) => Vec3 {
  const at = sectionOf(own);
  const one = (y: number, direction: number): Vec3 => pointOn(at(y), own.mounds, direction);
  if (!beside) return one;
  const other = sectionOf(beside);
  return (y, direction) => mix(pointOn(other(y), beside.mounds, direction), one(y, direction), ownShare(direction));
}

/** Points of a level all round as `around` gives them, of a body whose right half is of a shape of its own. */
export function levelsOf(left: Shape, right: Shape): (y: number, count: number) => readonly Vec3[] {
  const [one, two] = [surfaceOf(left, null), surfaceOf(right, left)];
  return (y, count) =>
    Array.from({ length: count }, (_, i) => {
      const direction = (2 * Math.PI * i) / count;
      return left === right || i <= count / 2 ? one(y, direction) : two(y, direction);
    });
}

/** Points of a section all round, from the front by the left, `count` of them. */
export const around = (ring: Ring, mounds: readonly Mound[], count: number): readonly Vec3[] =>
  Array.from({ length: count }, (_, i) => pointOn(ring, mounds, (2 * Math.PI * i) / count));
