import type { Sheet } from '../cloth/index.ts';
import type { Point } from '../geometry/index.ts';
import type { Piece } from '../pattern/index.ts';
import { layersOn } from './intake.ts';
import type { Panel, Sewn } from './toile.ts';

/** From a place on the paper, mm, to across and along the grain, m. */
export function grainTurn(piece: Piece): (p: Point) => readonly [number, number] {
  const grain = piece.marks.find((m) => m.kind === 'grain');
  const [dx, dy] = grain ? [grain.to.x - grain.from.x, grain.to.y - grain.from.y] : [0, 1];
  const size = Math.hypot(dx, dy) || 1;
  const [gx, gy] = [dx / size / 1000, dy / size / 1000];
  return (p) => [p.x * gy - p.y * gx, p.x * gx + p.y * gy];
}

/** A side of a seam this much longer than the other, as a share, is gathered: less is eased in. */
const GATHERED = 1.18;

/** Panels as one sheet of cloth: `lines` are the points along its seams. */
export function sheetOf(
  panels: readonly Panel[],
  points: number,
  lines: readonly Int32Array[],
  bands: readonly Sewn[],
): Sheet {
  const [triangles, flat, layers]: [number[], number[], number[]] = [[], [], []];
  for (const panel of panels) {
    const turned = grainTurn(panel.piece);
    const band = bands.find((b) => b.piece === panel.piece);
    const layersAt = band ? () => layersOfBand(band.piece) : layersOn(panel.piece);
    for (const k of panel.triangles) {
      triangles.push(panel.points[k]!);
      flat.push(...turned(panel.places[k]!));
    }
    for (let t = 0; t < panel.triangles.length; t += 3) {
      const corners = [0, 1, 2].map((k) => panel.places[panel.triangles[t + k]!]!);
      const mean = (d: 'x' | 'y'): number => corners.reduce((sum, c) => sum + c[d], 0) / 3;
      layers.push(layersAt({ x: mean('x'), y: mean('y') }));
    }
  }
  const keyOf = (a: number, b: number): number => Math.min(a, b) * points + Math.max(a, b);
  const along = (line: ArrayLike<number>): readonly number[] =>
    Array.from(line, (a, k) => (k === 0 ? -1 : keyOf(line[k - 1]!, a))).slice(1);
  gather(triangles, flat, new Set(lines.flatMap(along)), keyOf);
  const creased = bands.filter((b) => b.falls).flatMap((b) => along(b.line.map((p) => p.point)));
  return {
    points,
    triangles: Int32Array.from(triangles),
    flat: Float64Array.from(flat),
    layers: Float64Array.from(layers),
    pressed: new Set(creased),
  };
}

/** A band is cut for its outside and for its inside: so many of it lie on each other. With interfacing and what is turned in it counts twice that. */
const layersOfBand = ({ cut, half }: Piece): number => 2 * Math.max(1, half ? cut : cut / 2);

/** Draws gathers together: along a seam that is longer on one side its triangles there are as wide as those of the other. */
function gather(
  triangles: readonly number[],
  flat: number[],
  sewn: ReadonlySet<number>,
  keyOf: (a: number, b: number) => number,
): void {
  const shortest = new Map<number, number>();
  const size = (t: number, a: number, b: number): number =>
    Math.hypot(flat[6 * t + 2 * b]! - flat[6 * t + 2 * a]!, flat[6 * t + 2 * b + 1]! - flat[6 * t + 2 * a + 1]!);
  const onSeams = Array.from({ length: triangles.length }, (_, k) => {
    const [t, a] = [Math.floor(k / 3), k % 3];
    const b = (a + 1) % 3;
    return { t, a, b, key: keyOf(triangles[3 * t + a]!, triangles[3 * t + b]!), long: size(t, a, b) };
  }).filter((e) => sewn.has(e.key));
  for (const { key, long } of onSeams) shortest.set(key, Math.min(long, shortest.get(key) ?? long));
  for (const { t, a, b, key, long } of onSeams) {
    const short = shortest.get(key)!;
    if (long < GATHERED * short) continue;
    for (let d = 0; d < 2; d++) {
      const [p, q] = [flat[6 * t + 2 * a + d]!, flat[6 * t + 2 * b + d]!];
      const [middle, half] = [(p + q) / 2, ((q - p) / 2) * (short / long)];
      flat[6 * t + 2 * a + d] = middle - half;
      flat[6 * t + 2 * b + d] = middle + half;
    }
  }
}
