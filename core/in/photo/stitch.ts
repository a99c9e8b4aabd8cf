import { distance, type Point } from '../../geometry/index.ts';
import { ok, refuse, TOL, type Result } from '../../units/index.ts';
import { MOST_PIXELS, shadeAt, type Flat } from './image.ts';

/** One mark on the paper, where each of two pictures laid flat has it, mm. */
export interface SharedMark {
  readonly base: Point;
  readonly next: Point;
}
/** How a picture is turned and moved to lie on another: first turned about the origin, then moved. */
export interface Turn {
  readonly cos: number;
  readonly sin: number;
  readonly by: Point;
}
/** A turn, and how well the marks bear it out. */
export interface Joint extends Turn {
  /** How far the marks lie apart once the pictures are laid together: root of the mean square, and the worst, mm. */
  readonly mean: number;
  readonly worst: number;
  /** How much longer the next picture has what lies between the marks: 1.01 is one in a hundred. */
  readonly stretch: number;
}
export type StitchError = 'stitch-too-few' | 'stitch-too-close' | 'stitch-differs';

/** Marks nearer to each other than this, mm, say too little of how a picture is turned. */
const LEAST_SPREAD = 80;
/** Of no more than this in the overlap, every so manyth pixel is looked at to make the pictures equally light. */
const SAMPLES = 20_000;

export const turned = (t: Turn, p: Point): Point => ({
  x: t.cos * p.x - t.sin * p.y + t.by.x,
  y: t.sin * p.x + t.cos * p.y + t.by.y,
});

const middleOf = (points: readonly Point[]): Point => ({
  x: points.reduce((s, p) => s + p.x, 0) / points.length,
  y: points.reduce((s, p) => s + p.y, 0) / points.length,
});

/**
 * How the next picture lies on the one before, by two or more marks that both show (least squares, nothing stretched:
 * both are true to size already). Refuses fewer than two, marks that lie too close together, and marks that do not
 * agree by more than `TOL.stitch`.
 */
export function findJoint(marks: readonly SharedMark[]): Result<Joint, StitchError> {
  if (marks.length < 2) return refuse('stitch-too-few', { count: marks.length });
  const spread = Math.max(...marks.flatMap((a) => marks.map((b) => distance(a.base, b.base))));
  if (spread < LEAST_SPREAD) return refuse('stitch-too-close', { spread, least: LEAST_SPREAD });
  const [b, n] = [middleOf(marks.map((m) => m.base)), middleOf(marks.map((m) => m.next))];
  let [along, across, base, next] = [0, 0, 0, 0];
  for (const m of marks) {
    const [p, q] = [
      { x: m.next.x - n.x, y: m.next.y - n.y },
      { x: m.base.x - b.x, y: m.base.y - b.y },
    ];
    along += p.x * q.x + p.y * q.y;
    across += p.x * q.y - p.y * q.x;
    base += Math.hypot(q.x, q.y);
    next += Math.hypot(p.x, p.y);
  }
  const length = Math.hypot(along, across) || 1;
  const [cos, sin] = [along / length, across / length];
  const by = { x: b.x - cos * n.x + sin * n.y, y: b.y - sin * n.x - cos * n.y };
  const off = marks.map((m) => distance(turned({ cos, sin, by }, m.next), m.base));
  const worst = Math.max(...off);
  const mark = off.indexOf(worst) + 1;
  if (worst > TOL.stitch) return refuse('stitch-differs', { mark, worst, most: TOL.stitch });
  const mean = Math.sqrt(off.reduce((s, d) => s + d * d, 0) / off.length);
  return ok({ cos, sin, by, mean, worst, stretch: next / base });
}

/** What a picture laid flat leaves white shows nothing. */
const UNSEEN = 255;
const widthOf = (f: Flat): number => f.width / f.perMm;
const heightOf = (f: Flat): number => f.height / f.perMm;
/** The shade at a place; unseen where any of the four pixels about it shows nothing. */
const seenAt = (f: Flat, p: Point): number => {
  const [x, y] = [(p.x - f.origin.x) * f.perMm, (p.y - f.origin.y) * f.perMm];
  if (x < 0 || y < 0 || x > f.width - 1 || y > f.height - 1) return UNSEEN;
  const at = Math.min(f.height - 2, Math.floor(y)) * f.width + Math.min(f.width - 2, Math.floor(x));
  const about = [at, at + 1, at + f.width, at + f.width + 1];
  return about.some((k) => f.data[k] === UNSEEN) ? UNSEEN : Math.min(UNSEEN - 1, shadeAt(f, x, y));
};

/**
 * Two pictures laid flat as one, in the millimetres of the first: where the first shows nothing the next is drawn, made
 * as light as the first is where both show the table. As fine as the coarser of them, or as memory allows.
 */
export function joinFlat(base: Flat, next: Flat, turn: Turn): Flat {
  const corners = [0, 1].flatMap((i) =>
    [0, 1].map((j) => turned(turn, { x: next.origin.x + i * widthOf(next), y: next.origin.y + j * heightOf(next) })),
  );
  const xs = [base.origin.x, base.origin.x + widthOf(base), ...corners.map((p) => p.x)];
  const ys = [base.origin.y, base.origin.y + heightOf(base), ...corners.map((p) => p.y)];
  const origin = { x: Math.min(...xs), y: Math.min(...ys) };
  const [w, h] = [Math.max(...xs) - origin.x, Math.max(...ys) - origin.y];
  const perMm = Math.min(base.perMm, next.perMm, Math.sqrt(MOST_PIXELS / (w * h)));
  const [width, height] = [Math.round(w * perMm), Math.round(h * perMm)];
  const back = (p: Point): Point => {
    const [x, y] = [p.x - turn.by.x, p.y - turn.by.y];
    return { x: turn.cos * x + turn.sin * y, y: turn.cos * y - turn.sin * x };
  };
  const placeOf = (k: number): Point => ({
    x: origin.x + (k % width) / perMm,
    y: origin.y + Math.floor(k / width) / perMm,
  });
  const lighter = lightness(base, next, back, placeOf, width * height);
  const data = new Uint8ClampedArray(width * height);
  for (let k = 0; k < data.length; k++) {
    const p = placeOf(k);
    const here = seenAt(base, p);
    if (here < UNSEEN) data[k] = here;
    else {
      const there = seenAt(next, back(p));
      data[k] = there < UNSEEN ? Math.min(UNSEEN - 1, there * lighter) : UNSEEN;
    }
  }
  return { width, height, data, perMm, origin };
}

/** How much lighter the first picture is where both show the same place; 1 where they have none in common. */
function lightness(
  base: Flat,
  next: Flat,
  back: (p: Point) => Point,
  placeOf: (k: number) => Point,
  pixels: number,
): number {
  let [one, two] = [0, 0];
  const step = Math.max(1, Math.floor(pixels / SAMPLES));
  for (let k = 0; k < pixels; k += step) {
    const p = placeOf(k);
    const [a, b] = [seenAt(base, p), seenAt(next, back(p))];
    if (a >= UNSEEN || b >= UNSEEN) continue;
    one += a;
    two += b;
  }
  return two > 0 ? one / two : 1;
}
