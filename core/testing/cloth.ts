import { prepare, type Prepared } from '../cloth/index.ts';

type Flat = readonly [number, number];

/**
 * A rectangle of cloth in rows of equal triangles: its width across the grain, its length along it, m; `round`, its two long edges
 * are one, as on a tube.
 */
export function rectangle(
  width: number,
  length: number,
  edge: number,
  round = false,
): { readonly sheet: Prepared; readonly places: readonly Flat[] } {
  const rows = Math.max(1, Math.round(length / (edge * Math.sqrt(0.75))));
  const columns = Math.max(2, Math.round(width / edge));
  const places: Flat[] = [];
  const starts: number[] = [];
  for (let r = 0; r <= rows; r++) {
    starts.push(places.length);
    const shift = r % 2 === 0 ? 0 : 0.5;
    const at = (c: number): Flat => [(c * width) / columns, (r * length) / rows];
    if (!round) places.push(at(0));
    for (let c = round ? shift : shift || 1; c < columns; c++) places.push(at(c));
    if (!round) places.push(at(columns));
  }
  starts.push(places.length);
  const [triangles, flat]: [number[], number[]] = [[], []];
  for (let r = 0; r < rows; r++) {
    const [low, high] = [starts[r]!, starts[r + 1]!];
    const [lows, highs] = [high - low, starts[r + 2]! - high];
    const point = (from: number, n: number, i: number) => ({ i: from + (i % n), turn: Math.floor(i / n) });
    const u = (p: { i: number; turn: number }): number => places[p.i]![0] + p.turn * width;
    let [a, b] = [0, 0];
    const [lastA, lastB] = round ? [lows, highs] : [lows - 1, highs - 1];
    // Two rows are joined like a zip, on the side that is behind.
    while (a < lastA || b < lastB) {
      const onLow = b >= lastB || (a < lastA && u(point(low, lows, a + 1)) <= u(point(high, highs, b + 1)));
      const next = onLow ? point(low, lows, a + 1) : point(high, highs, b + 1);
      for (const c of [point(low, lows, a), next, point(high, highs, b)]) {
        triangles.push(c.i);
        flat.push(u(c), places[c.i]![1]);
      }
      if (onLow) a++;
      else b++;
    }
  }
  const sheet = prepare({
    points: places.length,
    triangles: Int32Array.from(triangles),
    flat: Float64Array.from(flat),
    layers: new Float64Array(triangles.length / 3).fill(1),
  });
  return { sheet, places };
}

/** All three coordinates held of the points that are chosen. */
export const rimOf = (places: readonly Flat[], chosen: (p: Flat) => boolean): Uint8Array => {
  const held = new Uint8Array(3 * places.length);
  places.forEach((p, i) => chosen(p) && held.fill(1, 3 * i, 3 * i + 3));
  return held;
};
