/**
 * Cloth as triangles, sewn already: points that lie on each other are one. SI units throughout. Each triangle knows its three
 * corners as they were cut, flat: u across the grain, v along it.
 */
export interface Sheet {
  readonly points: number;
  /** Three points of every triangle. */
  readonly triangles: Int32Array;
  /** u, v of every triangle’s three corners, m. */
  readonly flat: Float64Array;
  /**
   * How many layers of cloth lie at every triangle. More of them are heavier and stiffer to bend; to stretch they are not, as the
   * others are sewn down along one edge only.
   */
  readonly layers: Float64Array;
  /** Edges pressed to a crease, which lie folded of themselves, each as its lower point · `points` + its higher one. */
  readonly pressed?: ReadonlySet<number>;
}

/** A sheet with what the computation asks of it again and again. */
export interface Prepared extends Sheet {
  /** Of every triangle as cut, m². */
  readonly area: Float64Array;
  /** How the corners make up the two directions: wu = b1·(x1 − x0) + b2·(x2 − x0), wv the same; b1, b2, c1, c2 of every triangle. */
  readonly slopes: Float64Array;
  /** Area that hangs on every point, all layers of it, m². */
  readonly share: Float64Array;
  /** Four points of every fold: the two of its edge, and the two across from it. */
  readonly folds: Int32Array;
  /** By how much each of the four counts in a fold’s bend, and the area it stands for: the less the more layers are bent there. */
  readonly weights: Float64Array;
  readonly foldArea: Float64Array;
}

/** Throws on a triangle without area: the one who makes the mesh sees to that. */
export function prepare(sheet: Sheet): Prepared {
  const count = sheet.triangles.length / 3;
  const area = new Float64Array(count);
  const slopes = new Float64Array(4 * count);
  const share = new Float64Array(sheet.points);
  for (let t = 0; t < count; t++) {
    const [u0, v0, u1, v1, u2, v2] = sheet.flat.subarray(6 * t, 6 * t + 6);
    const [au, av, bu, bv] = [u1! - u0!, v1! - v0!, u2! - u0!, v2! - v0!];
    const twice = au * bv - bu * av;
    if (!(Math.abs(twice) > 0)) throw new Error(`prepare: expected an area, got none at triangle ${t}`);
    area[t] = Math.abs(twice) / 2;
    slopes.set([bv / twice, -av / twice, -bu / twice, au / twice], 4 * t);
    for (let k = 0; k < 3; k++) share[sheet.triangles[3 * t + k]!]! += (area[t]! * sheet.layers[t]!) / 3;
  }
  return { ...sheet, area, slopes, share, ...foldsOf(sheet, area) };
}

/** Every edge that two triangles share. A third triangle on it, as where a pleat is caught in a seam, makes no fold of its own. */
function foldsOf(sheet: Sheet, area: Float64Array): Pick<Prepared, 'folds' | 'weights' | 'foldArea'> {
  const open = new Map<number, { readonly t: number; readonly k: number }>();
  const [folds, weights, foldArea]: [number[], number[], number[]] = [[], [], []];
  for (let t = 0; t < area.length; t++)
    for (let k = 0; k < 3; k++) {
      const [a, b] = [sheet.triangles[3 * t + ((k + 1) % 3)]!, sheet.triangles[3 * t + ((k + 2) % 3)]!];
      const key = Math.min(a, b) * sheet.points + Math.max(a, b);
      const other = open.get(key);
      if (!other) {
        open.set(key, { t, k });
        continue;
      }
      open.delete(key);
      if (sheet.pressed?.has(key)) continue;
      const across = [sheet.triangles[3 * other.t + other.k]!, sheet.triangles[3 * t + k]!];
      const [one, two] = [cotangents(sheet, other, a), cotangents(sheet, { t, k }, a)];
      folds.push(a, b, ...across);
      weights.push(one.atB + two.atB, one.atA + two.atA, -(one.atA + one.atB), -(two.atA + two.atB));
      const layers = (sheet.layers[other.t]! + sheet.layers[t]!) / 2;
      foldArea.push((area[other.t]! + area[t]!) / layers);
    }
  return { folds: Int32Array.from(folds), weights: Float64Array.from(weights), foldArea: Float64Array.from(foldArea) };
}

/** Of a triangle’s angles at both ends of the edge across from its corner k, where one end is the point a. */
function cotangents({ triangles, flat }: Sheet, { t, k }: { t: number; k: number }, a: number) {
  const corner = (i: number) => ({ u: flat[6 * t + 2 * i]!, v: flat[6 * t + 2 * i + 1]! });
  const [one, two] = [(k + 1) % 3, (k + 2) % 3];
  const cotangent = (at: number, from: number, to: number): number => {
    const [p, q, r] = [corner(at), corner(from), corner(to)];
    const [xu, xv, yu, yv] = [q.u - p.u, q.v - p.v, r.u - p.u, r.v - p.v];
    return (xu * yu + xv * yv) / Math.abs(xu * yv - xv * yu);
  };
  const [first, second] = [cotangent(one, k, two), cotangent(two, k, one)];
  return triangles[3 * t + one] === a ? { atA: first, atB: second } : { atA: second, atB: first };
}
