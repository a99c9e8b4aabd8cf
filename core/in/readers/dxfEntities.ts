import type { Point } from '../../geometry/index.ts';
import { drawSpline } from './dxfSpline.ts';
import type { Entity } from './dxfTypes.ts';
import type { Pen } from './pen.ts';
import { TOL } from '../../units/index.ts';

/** A line went to the pen; or there is a point, or words; or it is nothing that a pattern has. */
export type DrawnEntity = 'drawn' | 'unknown' | { readonly at: Point; readonly text: string | null };

const first = (e: Entity, code: number, other = 0): number => e.numbers.find(([c]) => c === code)?.[1] ?? other;

/** An arc about a centre as cubics, each of at most a quarter turn: within 3e-4 of its radius of the true arc. */
export function drawArc(pen: Pen, c: Point, rx: Point, ry: Point, from: number, to: number): void {
  const n = Math.max(1, Math.ceil(Math.abs(to - from) / (Math.PI / 4) - TOL.zero));
  const step = (to - from) / n;
  const k = (4 / 3) * Math.tan(step / 4);
  const at = (t: number): Point => ({
    x: c.x + rx.x * Math.cos(t) + ry.x * Math.sin(t),
    y: c.y + rx.y * Math.cos(t) + ry.y * Math.sin(t),
  });
  const along = (t: number): Point => ({
    x: -rx.x * Math.sin(t) + ry.x * Math.cos(t),
    y: -rx.y * Math.sin(t) + ry.y * Math.cos(t),
  });
  for (let i = 0; i < n; i++) {
    const [s, t] = [from + i * step, from + (i + 1) * step];
    const [p, q, u, v] = [at(s), at(t), along(s), along(t)];
    pen.curve(p.x + k * u.x, p.y + k * u.y, q.x - k * v.x, q.y - k * v.y, q.x, q.y);
  }
}

const LARGEST_RADIUS = 1e7;

/** A bit of a polyline bulged into an arc: the bulge is the tangent of a quarter of its angle, left-hand positive. */
function drawBulge(pen: Pen, a: Point, b: Point, bulge: number): void {
  const angle = 4 * Math.atan(bulge);
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const chord = Math.hypot(dx, dy);
  // An arc of more than ten kilometres is straight, and what has no radius at all is not an arc.
  const radius = (chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge));
  if (!(chord > 0) || !(radius < LARGEST_RADIUS)) return pen.line(b.x, b.y);
  const r = chord / (2 * Math.sin(angle / 2));
  const h = r * Math.cos(angle / 2);
  const c = { x: (a.x + b.x) / 2 - (dy / chord) * h, y: (a.y + b.y) / 2 + (dx / chord) * h };
  const from = Math.atan2(a.y - c.y, a.x - c.x);
  const size = Math.abs(r);
  drawArc(pen, c, { x: size, y: 0 }, { x: 0, y: size }, from, from + angle);
}

interface Vertex extends Point {
  readonly bulge: number;
}
function drawVertices(pen: Pen, vertices: readonly Vertex[], closed: boolean): void {
  const start = vertices[0];
  if (!start) return;
  pen.move(start.x, start.y);
  vertices.forEach((v, i) => {
    const next = vertices[i + 1] ?? (closed ? start : null);
    if (!next) return;
    if (v.bulge === 0) pen.line(next.x, next.y);
    else drawBulge(pen, v, next, v.bulge);
  });
  if (closed) pen.close();
}

/** The vertices of a light polyline: each begins with its x. */
function lightVertices(e: Entity): readonly Vertex[] {
  const out: { x: number; y: number; bulge: number }[] = [];
  for (const [code, value] of e.numbers) {
    const last = out.at(-1);
    if (code === 10) out.push({ x: value, y: 0, bulge: 0 });
    else if (code === 20 && last) last.y = value;
    else if (code === 42 && last) last.bulge = value;
  }
  return out;
}

const words = (e: Entity): string =>
  e.texts
    .filter(([c]) => c === 1 || c === 3)
    .map(([, t]) => t)
    .join('')
    .replace(/\\P/g, ' ')
    .replace(/[{}]|\\[A-Za-z][^;\\]{0,40};/g, '')
    .trim()
    .slice(0, 400);

/** Sends an entity's line to the pen, in the file's own axes. */
export function drawEntity(e: Entity, pen: Pen): DrawnEntity {
  const n = (code: number, other = 0): number => first(e, code, other);
  const at = { x: n(10), y: n(20) };
  switch (e.type) {
    case 'LINE':
      pen.move(at.x, at.y);
      pen.line(n(11), n(21));
      return 'drawn';
    case 'POLYLINE': {
      // Frames of splines (16) are not part of the line.
      const own = e.vertices.filter((v) => (first(v, 70) & 16) === 0);
      const vertices = own.map((v): Vertex => ({ x: first(v, 10), y: first(v, 20), bulge: first(v, 42) }));
      drawVertices(pen, vertices, (n(70) & 1) === 1);
      return 'drawn';
    }
    case 'LWPOLYLINE':
      drawVertices(pen, lightVertices(e), (n(70) & 1) === 1);
      return 'drawn';
    case 'CIRCLE':
    case 'ARC': {
      const r = n(40);
      const whole = e.type === 'CIRCLE';
      const from = whole ? 0 : (n(50) * Math.PI) / 180;
      let to = whole ? 2 * Math.PI : (n(51) * Math.PI) / 180;
      while (to <= from) to += 2 * Math.PI;
      if (!(r > 0) || !Number.isFinite(to) || to - from > 7) return 'unknown';
      pen.move(at.x + r * Math.cos(from), at.y + r * Math.sin(from));
      drawArc(pen, at, { x: r, y: 0 }, { x: 0, y: r }, from, to);
      if (whole) pen.close();
      return 'drawn';
    }
    case 'ELLIPSE': {
      const rx = { x: n(11), y: n(21) };
      const ry = { x: -rx.y * n(40, 1), y: rx.x * n(40, 1) };
      const from = n(41);
      let to = n(42, 2 * Math.PI);
      if (to <= from) to += 2 * Math.PI;
      if (!(to - from <= 7)) return 'unknown';
      pen.move(
        at.x + rx.x * Math.cos(from) + ry.x * Math.sin(from),
        at.y + rx.y * Math.cos(from) + ry.y * Math.sin(from),
      );
      drawArc(pen, at, rx, ry, from, to);
      return 'drawn';
    }
    case 'SPLINE':
      return drawSpline(e, pen) ? 'drawn' : 'unknown';
    case 'POINT':
      return { at, text: null };
    case 'TEXT':
    case 'MTEXT':
    case 'ATTRIB':
      return { at, text: words(e) };
    default:
      return 'unknown';
  }
}
