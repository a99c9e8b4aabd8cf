import { fitCurve, type Point } from '../../geometry/index.ts';
import type { Entity } from './dxfTypes.ts';
import type { Pen } from './pen.ts';
import { nth } from '../../units/index.ts';

const MOST_POINTS = 4000;
/** Points taken between two knots where a spline is not a chain of cubics. */
const SAMPLES = 48;

interface Net {
  readonly degree: number;
  readonly knots: readonly number[];
  readonly control: readonly Point[];
  readonly weights: readonly number[];
}

/**
 * The blossom of a spline between knots k and k + 1 at one parameter for each degree (de Boor's scheme): all alike, it
 * is the point of the spline; a mixture of the two knots, a control point of the Bézier curve between them.
 */
function blossom({ degree, knots, control, weights }: Net, k: number, at: readonly number[]): Point {
  const d = Array.from({ length: degree + 1 }, (_, j) => {
    const i = k - degree + j;
    const w = weights[i] ?? 1;
    const p = nth(control, i);
    return [p.x * w, p.y * w, w] as [number, number, number];
  });
  for (let r = 1; r <= degree; r++)
    for (let j = degree; j >= r; j--) {
      const i = k - degree + j;
      const span = nth(knots, i + degree - r + 1) - nth(knots, i);
      const a = span === 0 ? 0 : (nth(at, r - 1) - nth(knots, i)) / span;
      const [p, q] = [nth(d, j - 1), nth(d, j)];
      d[j] = [p[0] + a * (q[0] - p[0]), p[1] + a * (q[1] - p[1]), p[2] + a * (q[2] - p[2])];
    }
  const [x, y, w] = nth(d, degree);
  return { x: x / w, y: y / w };
}

/**
 * Sends a spline to the pen: exactly where it is a chain of Bézier curves of degree three or less, else as cubics
 * fitted to points between the knots, within 0.004 of them. One that gives only the points it runs through is drawn as a smooth line through them. False where
 * it says too little.
 */
export function drawSpline(e: Entity, pen: Pen): boolean {
  const of = (code: number): number[] => e.numbers.filter(([c]) => c === code).map(([, v]) => v);
  const points = (x: number, y: number): Point[] => {
    const ys = of(y);
    return of(x).map((v, i) => ({ x: v, y: ys[i] ?? NaN }));
  };
  const degree = of(71)[0] ?? 3;
  const control = points(10, 20);
  const through = points(11, 21);
  const knots = of(40);
  const weights = of(41);
  if ([...control, ...through].some((p) => !Number.isFinite(p.x) || !Number.isFinite(p.y))) return false;
  if (control.length > MOST_POINTS || through.length > MOST_POINTS) return false;
  const send = (list: readonly Point[]): void => {
    for (const g of fitCurve(list).segments)
      if (g.kind === 'line') pen.line(g.to.x, g.to.y);
      else pen.curve(g.c1.x, g.c1.y, g.c2.x, g.c2.y, g.to.x, g.to.y);
  };
  const enough = control.length > degree && degree >= 1 && degree <= 8 && knots.length >= control.length + degree + 1;
  if (!enough) {
    const only = through.length > 1 ? through : control;
    const start = only[0];
    if (!start || only.length < 2) return false;
    pen.move(start.x, start.y);
    send(only);
    return true;
  }
  const net: Net = { degree, knots, control, weights };
  const plain = weights.every((w) => w === weights[0]);
  let begun = false;
  for (let k = degree; k < control.length; k++) {
    const [a, b] = [nth(knots, k), nth(knots, k + 1)];
    if (!(b > a)) continue;
    const of = (...at: readonly number[]): Point => blossom(net, k, at);
    const all = (u: number): Point => of(...Array.from({ length: degree }, () => u));
    const start = all(a);
    if (!begun) pen.move(start.x, start.y);
    begun = true;
    const end = all(b);
    if (degree === 1) pen.line(end.x, end.y);
    else if (plain && degree === 2) {
      const c = of(a, b);
      pen.bend(c.x, c.y, end.x, end.y);
    } else if (plain && degree === 3) {
      const [c, d] = [of(a, a, b), of(a, b, b)];
      pen.curve(c.x, c.y, d.x, d.y, end.x, end.y);
    } else send(Array.from({ length: SAMPLES + 1 }, (_, i) => all(a + ((b - a) * i) / SAMPLES)));
  }
  return begun;
}
