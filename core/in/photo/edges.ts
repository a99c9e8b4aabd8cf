import {
  add,
  distance,
  fitCurve,
  joinPaths,
  left,
  lineMeet,
  nearestLength,
  pathLength,
  pointAt,
  polyline,
  scale,
  sub,
  tangentAt,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { last, TOL, nth, cyclic } from '../../units/index.ts';
import type { TypedPoint } from '../tracing/index.ts';
import { shadeAt, type Flat, type Grey } from './image.ts';

/** A shade must change this much across a line for it to be an edge, of 255. */
const LEAST_STEP = 14;
/** Samples along an edge, mm apart, and how far off the drawn line an edge is looked for, mm. */
const STEP = 4;
const REACH = 4;
/** What lies so near to a corner belongs to the other edge too, mm. */
const CORNER = 3;

const shade = (flat: Flat, p: Point): number =>
  shadeAt(flat, (p.x - flat.origin.x) * flat.perMm, (p.y - flat.origin.y) * flat.perMm);

/**
 * The strongest edge along a short line through `p` across direction `along`: where shade changes most, between
 * pixels; null where nothing changes enough. Shade is averaged along the edge, so that grain and noise count less.
 */
export function edgeAcross(flat: Flat, p: Point, along: Point, reach: number = REACH): Point | null {
  const across = left(along);
  const step = 1 / (2 * flat.perMm);
  const n = Math.ceil(reach / step);
  const average = (at: number): number => {
    let sum = 0;
    for (let k = -2; k <= 2; k++) sum += shade(flat, add(add(p, scale(across, at)), scale(along, k * 0.6)));
    return sum / 5;
  };
  const width = Math.max(0.5, 1.2 / flat.perMm);
  const change = (i: number): number => Math.abs(average(i * step + width) - average(i * step - width));
  let best = -1;
  let most = 0;
  const changes: number[] = [];
  for (let i = -n; i <= n; i++) {
    const c = change(i);
    changes.push(c);
    // What is nearer to where one pointed wins over what is a little stronger.
    const worth = c * (1 - 0.35 * (Math.abs(i) / n));
    if (worth > most) [most, best] = [worth, i + n];
  }
  if (best < 0 || nth(changes, best) < LEAST_STEP) return null;
  const [a, b, c] = [changes[best - 1] ?? 0, nth(changes, best), changes[best + 1] ?? 0];
  const bend = a - 2 * b + c;
  const fine = bend === 0 ? 0 : Math.max(-1, Math.min(1, (a - c) / (2 * bend)));
  return add(p, scale(across, (best - n + fine) * step));
}

/** The strongest edge near a place, whichever way it runs: for a point clicked roughly. */
export function edgeNear(flat: Flat, p: Point, reach: number = REACH): Point | null {
  const ways = [0, 1, 2, 3].map((k) => ({ x: Math.cos((k * Math.PI) / 4), y: Math.sin((k * Math.PI) / 4) }));
  const found = ways
    .map((w) => edgeAcross(flat, p, w, reach))
    .filter((q) => q !== null)
    .sort((a, b) => distance(a, p) - distance(b, p));
  return found[0] ?? null;
}

/** Points along a drawn line, each moved onto the edge it lies near; those where none is found are left out. */
function onEdge(flat: Flat, path: Path): readonly Point[] {
  const total = pathLength(path);
  const n = Math.max(2, Math.round(total / STEP));
  const out: Point[] = [];
  for (let i = 1; i < n; i++) {
    const s = (i * total) / n;
    if (s < CORNER || total - s < CORNER) continue;
    const found = edgeAcross(flat, pointAt(path, s), tangentAt(path, s));
    if (found) out.push(found);
  }
  return withoutStrays(path, out);
}

/** A point that lies off while both its neighbours agree has found a shadow or a crease. */
function withoutStrays(path: Path, points: readonly Point[]): readonly Point[] {
  const off = points.map((p) => {
    const near = pointOfNearest(path, p);
    return (p.x - near.at.x) * near.across.x + (p.y - near.at.y) * near.across.y;
  });
  return points.filter((_, i) => {
    const around = [off[i - 2], off[i - 1], off[i + 1], off[i + 2]]
      .filter((d) => d !== undefined)
      .sort((a, b) => a - b);
    const median = around[Math.floor(around.length / 2)] ?? nth(off, i);
    return Math.abs(nth(off, i) - median) < 1.2;
  });
}
function pointOfNearest(path: Path, p: Point): { readonly at: Point; readonly across: Point } {
  const s = nearestLength(path, p);
  return { at: pointAt(path, s), across: left(tangentAt(path, s)) };
}

/** A line fitted through points by least squares, as its ends nearest to two given ones. */
function straightThrough(points: readonly Point[], a: Point, b: Point): readonly [Point, Point] {
  const n = points.length;
  const c = { x: points.reduce((s, p) => s + p.x, 0) / n, y: points.reduce((s, p) => s + p.y, 0) / n };
  let [xx, xy, yy] = [0, 0, 0];
  for (const p of points) {
    xx += (p.x - c.x) ** 2;
    xy += (p.x - c.x) * (p.y - c.y);
    yy += (p.y - c.y) ** 2;
  }
  const angle = 0.5 * Math.atan2(2 * xy, xx - yy);
  const u = { x: Math.cos(angle), y: Math.sin(angle) };
  const foot = (p: Point): Point => add(c, scale(u, (p.x - c.x) * u.x + (p.y - c.y) * u.y));
  return [foot(a), foot(b)];
}

/** One edge between two corners, moved onto the edge in the picture: straight where it was drawn straight. */
interface Traced {
  readonly straight: boolean;
  readonly points: readonly Point[];
  readonly ends: readonly [Point, Point];
}

/**
 * An outline clicked roughly over a picture laid flat, moved onto the edges found in it: straight edges by a line of
 * least squares, curved ones by a curve through what was found, corners where neighbours meet. Where no edge shows,
 * the line stays as it was clicked. Closed, in the order of the clicks.
 */
export function traceOver(flat: Flat, clicks: readonly TypedPoint[]): Path {
  const first = Math.max(
    0,
    clicks.findIndex((p) => !p.curve),
  );
  const ring = [...clicks.slice(first), ...clicks.slice(0, first), nth(clicks, first)];
  const runs: Point[][] = [];
  let run: Point[] = [];
  ring.forEach((p, i) => {
    run.push({ x: p.x, y: p.y });
    if (i > 0 && !p.curve) {
      runs.push(run);
      run = [{ x: p.x, y: p.y }];
    }
  });
  const edges = runs.map((points): Traced => {
    const straight = points.length === 2;
    const drawn = straight ? polyline(points) : fitCurve(points);
    const found = onEdge(flat, drawn);
    const a = nth(points, 0);
    const b = last(points);
    if (found.length < 3) return { straight: true, points: [], ends: [a, b] };
    return { straight, points: found, ends: straight ? straightThrough(found, a, b) : [a, b] };
  });
  const corners = edges.map((e, i) => cornerOf(cyclic(edges, i - 1), e));
  return joinPaths(
    edges.map((e, i) => {
      const [a, b] = [nth(corners, i), cyclic(corners, i + 1)];
      return e.straight ? polyline([a, b]) : fitCurve([a, ...e.points, b], TOL.fitRough);
    }),
  );
}

/** Where two neighbouring edges meet: each drawn on straight by how it ends. */
function cornerOf(before: Traced, after: Traced): Point {
  const clicked =
    after.straight && after.points.length > 0
      ? after.ends[0]
      : before.straight && before.points.length > 0
        ? before.ends[1]
        : after.ends[0];
  const tail = before.straight ? before.ends : lastOf(before.points.slice(-3));
  const head = after.straight ? after.ends : lastOf(after.points.slice(0, 3));
  if (!tail || !head) return clicked;
  const meet = lineMeet(tail[0], sub(tail[1], tail[0]), head[0], sub(head[1], head[0]));
  if (!meet) return clicked;
  // Lines that run on into each other meet far off; then the click is the better guess.
  return distance(meet.point, clicked) < 3 * CORNER ? meet.point : clicked;
}
const lastOf = (points: readonly Point[]): readonly [Point, Point] | null =>
  points.length < 2 ? null : straightThrough(points, nth(points, 0), last(points));

/** A clicked corner of a mark or a sheet found between pixels: where all edges around it point (Förstner). */
export function cornerNear(picture: Grey, p: Point, reach = 9): Point {
  let at = p;
  for (let round = 0; round < 6; round++) {
    let [xx, xy, yy, bx, by] = [0, 0, 0, 0, 0];
    const [cx, cy] = [Math.round(at.x), Math.round(at.y)];
    for (let j = -reach; j <= reach; j++)
      for (let i = -reach; i <= reach; i++) {
        if (i * i + j * j > reach * reach) continue;
        const [x, y] = [cx + i, cy + j];
        if (x < 1 || y < 1 || x >= picture.width - 1 || y >= picture.height - 1) continue;
        const shadeOf = (u: number, v: number): number => picture.data[v * picture.width + u] ?? 0;
        const gx = (shadeOf(x + 1, y) - shadeOf(x - 1, y)) / 2;
        const gy = (shadeOf(x, y + 1) - shadeOf(x, y - 1)) / 2;
        xx += gx * gx;
        xy += gx * gy;
        yy += gy * gy;
        bx += gx * gx * x + gx * gy * y;
        by += gx * gy * x + gy * gy * y;
      }
    const d = xx * yy - xy * xy;
    // A corner needs edges of two directions.
    if (d < TOL.flatPatch * (xx + yy) ** 2) return round === 0 ? p : at;
    const next = { x: (yy * bx - xy * by) / d, y: (xx * by - xy * bx) / d };
    if (distance(next, p) > reach * 1.5) return p;
    const still = distance(next, at) < 0.02;
    at = next;
    if (still) break;
  }
  return at;
}
