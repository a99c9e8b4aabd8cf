import { describe, expect, it } from 'vitest';
import {
  boundsOf,
  flatten,
  nearestOnPath,
  pathFromSpans,
  pathLength,
  pointAt,
  spansOf,
  type Path,
  type Point,
  type Span,
} from '../../geometry/index.ts';
import { cuttingLine } from '../../pattern/index.ts';
import { closedStroke } from '../../testing/drawn.ts';
import { sampleIn } from '../../testing/samples.ts';
import { cornersOf, ringThrough, type TypedPoint } from '../tracing/index.ts';
import { expectOk } from '../../units/index.ts';
import {
  cornerNear,
  edgeNear,
  findHomography,
  layFlat,
  residualOf,
  SCANNER,
  takePhoto,
  through,
  traceOver,
  USUAL_CAMERA,
  type Homography,
} from './index.ts';

const exact: Homography = [1.1, 0.2, 30, -0.1, 0.9, 12, 0.0003, -0.0002, 1];
const square: readonly Point[] = [
  { x: 100, y: 100 },
  { x: 900, y: 120 },
  { x: 880, y: 700 },
  { x: 90, y: 720 },
];

describe('findHomography', () => {
  it('finds a perspective again from four points, and from more', () => {
    const known = square.map((seen) => ({ seen, true: through(exact, seen) }));
    const found = expectOk(findHomography(known), 'four');
    const more = [...known, { seen: { x: 400, y: 333 }, true: through(exact, { x: 400, y: 333 }) }];
    for (const h of [found, expectOk(findHomography(more), 'five')])
      for (const p of [
        { x: 500, y: 400 },
        { x: 10, y: 1000 },
      ]) {
        expect(through(h, p).x).toBeCloseTo(through(exact, p).x, 6);
        expect(through(h, p).y).toBeCloseTo(through(exact, p).y, 6);
      }
    expect(residualOf(found, known).worst).toBeLessThan(1e-6);
  });

  it('tells by the residual that a fifth point was marked wrong', () => {
    const known = [...square, { x: 480, y: 400 }].map((seen) => ({ seen, true: through(exact, seen) }));
    const wrong = known.map((k, i) => (i === 4 ? { ...k, true: { x: k.true.x + 4, y: k.true.y } } : k));
    const found = expectOk(findHomography(wrong), 'wrong');
    expect(residualOf(found, wrong).worst).toBeGreaterThan(1);
    // By hand: the derivative of x in x near the middle is about 0.9 mm to the pixel.
    expect(residualOf(found, wrong).perPixel).toBeGreaterThan(0.5);
    expect(residualOf(found, wrong).perPixel).toBeLessThan(1.5);
  });

  it.each([
    [square.slice(0, 3), 'photo-too-few-points'],
    [[square[0], square[1], { x: 500, y: 110 }, square[2]] as Point[], 'photo-points-in-line'],
  ])('refuses too few points, and three in a line', (points, code) => {
    const result = findHomography(points.map((p) => ({ seen: p, true: p })));
    expect(result.ok ? '' : result.error.code).toBe(code);
  });
});

/** The truth of a piece, and how a hand clicks it: every corner and a place each 45 mm of curve, off by up to `by` mm. */
function clicksOn(id: string, by: number): { readonly truth: Path; readonly clicks: readonly TypedPoint[] } {
  const piece = sampleIn('causeway', '5').pieces.find((p) => p.id === id);
  if (!piece) throw new Error(`no ${id}`);
  const truth = expectOk(ringThrough([closedStroke(cuttingLine(piece))], 0), id).path;
  const spans = spansOf(truth);
  const corners = cornersOf(truth, 4);
  const clicks: TypedPoint[] = [];
  const click = (p: Point, curve: boolean): void => {
    const n = clicks.length + 1;
    clicks.push({ x: p.x + by * Math.sin(n * 2.4), y: p.y + by * Math.cos(n * 1.7), curve });
  };
  corners.forEach((c, i) => {
    click(c.at, false);
    const next = corners[(i + 1) % corners.length]?.span ?? 0;
    const run: Span[] = [];
    for (let k = c.span; k !== next; k = (k + 1) % spans.length) run.push(spans[k] as Span);
    if (run.every((s) => s.kind === 'line')) return;
    const path = pathFromSpans(run);
    const n = Math.ceil(pathLength(path) / 45);
    for (let k = 1; k < n; k++) click(pointAt(path, (pathLength(path) * k) / n), true);
  });
  return { truth, clicks };
}

describe('from a picture to an outline', () => {
  it.each([
    ['front', USUAL_CAMERA],
    ['back', USUAL_CAMERA],
    ['sleeve', USUAL_CAMERA],
    ['skirtFront', SCANNER],
  ] as const)('traces the %s within 1.5 mm of the truth, clicked and marked roughly', (id, camera) => {
    const { truth, clicks } = clicksOn(id, 1.5);
    const photo = takePhoto(truth, camera);
    // Marks clicked up to two pixels off are found between pixels.
    const marks = photo.marks.map((m, i) => ({
      seen: cornerNear(photo.picture, { x: m.seen.x + 2 * Math.sin(i * 3), y: m.seen.y - 2 * Math.cos(i) }),
      true: m.true,
    }));
    marks.forEach((m, i) => {
      const was = photo.marks[i]?.seen ?? m.seen;
      expect(Math.hypot(m.seen.x - was.x, m.seen.y - was.y)).toBeLessThan(1);
    });
    const h = expectOk(findHomography(marks), 'marks');
    const flat = layFlat(
      photo.picture,
      h,
      marks.map((m) => m.true),
      3,
    );
    // The picture's millimetres begin at the sheet's corner, the piece's at its own.
    const box = boundsOf(flatten(truth, 0.1));
    const by = { x: box.maxX + 25, y: box.minY };
    const traced = traceOver(
      flat,
      clicks.map((c) => ({ ...c, x: c.x - by.x, y: c.y - by.y })),
    );
    const off = flatten(traced, 0.2).map((p) => nearestOnPath(truth, { x: p.x + by.x, y: p.y + by.y }).distance);
    const missed = flatten(truth, 0.2).map((p) => nearestOnPath(traced, { x: p.x - by.x, y: p.y - by.y }).distance);
    expect(Math.max(...off, ...missed)).toBeLessThan(1.5);
    // The clicks themselves were worse: the edges in the picture made them better.
    expect(off.reduce((s, d) => s + d, 0) / off.length).toBeLessThan(0.4);
  });

  it('leaves a line as it was clicked where no edge shows', () => {
    const blank = {
      width: 400,
      height: 400,
      data: new Uint8ClampedArray(160_000).fill(180),
      perMm: 2,
      origin: { x: 0, y: 0 },
    };
    const clicks = [
      { x: 20, y: 20, curve: false },
      { x: 150, y: 25, curve: false },
      { x: 140, y: 160, curve: false },
    ];
    expect(edgeNear(blank, { x: 50, y: 50 })).toBeNull();
    expect(flatten(traceOver(blank, clicks)).map((p) => ({ ...p }))).toEqual(
      [...clicks, clicks[0]].map((c) => ({ x: c?.x, y: c?.y })),
    );
  });

  it('takes the same picture again for the same seed, and another for another', () => {
    const { truth } = clicksOn('front', 0);
    const small = { ...USUAL_CAMERA, width: 160, height: 120 };
    expect(takePhoto(truth, small).picture.data).toEqual(takePhoto(truth, small).picture.data);
    expect(takePhoto(truth, { ...small, seed: 8 }).picture.data).not.toEqual(takePhoto(truth, small).picture.data);
  });
});
