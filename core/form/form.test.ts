import { describe, expect, it } from 'vitest';
import { SAMPLE_CHART } from '../blocks/chart.ts';
import { CHILD_CHART } from '../blocks/childChart.ts';
import {
  formOf,
  metWithin,
  pointOn,
  depthAt,
  sectionOf,
  shapeOf,
  girthOf,
  tautOver,
  type Body,
  type Vec3,
} from './index.ts';

const chart = (size: number): Body => SAMPLE_CHART[size - 1]!.body;
/** How far the tape is off on the form, at the worst measured row. */
const worst = (body: Body): readonly [string, number] => {
  const off = formOf(body).rows.flatMap((r) => (r.body === null ? [] : [[r.key, Math.abs(r.form - r.body)] as const]));
  return off.reduce((a, b) => (b[1] > a[1] ? b : a));
};

describe('a tape', () => {
  const circle = (count: number, radius: number): readonly Vec3[] =>
    Array.from({ length: count }, (_, i) => {
      const t = (2 * Math.PI * i) / count;
      return { x: radius * Math.sin(t), y: 0, z: radius * Math.cos(t) };
    });

  it('around a pillar of 100 reads 2 π 100, to the chords of its 72 sides', () => {
    expect(girthOf(circle(72, 100))).toBeCloseTo(144 * 100 * Math.sin(Math.PI / 72), 9);
  });

  it('bridges the hollow between two pillars: both halves and twice the way between', () => {
    const two = [-150, 150].flatMap((by) => circle(720, 100).map((p) => ({ ...p, x: p.x + by })));
    expect(girthOf(two)).toBeCloseTo(2 * Math.PI * 100 + 2 * 300, 1);
  });

  it('over a hump follows it, over a hollow goes straight', () => {
    const over = (sign: number): readonly Vec3[] =>
      Array.from({ length: 721 }, (_, i) => {
        const t = (Math.PI * i) / 720;
        return { x: 0, y: -100 * Math.cos(t), z: sign * 100 * Math.sin(t) };
      });
    const front = { x: 0, y: 0, z: 1 };
    expect(tautOver(over(1), front)).toBeCloseTo(Math.PI * 100, 2);
    expect(tautOver(over(-1), front)).toBeCloseTo(200, 9);
  });
});

describe('the surface', () => {
  const shape = shapeOf(formOf(chart(4)).figure);
  const at = sectionOf(shape);

  it('runs through its sections, and between two never swings beyond them', () => {
    shape.rings.forEach((ring, i) => {
      const here = at(ring.y);
      for (const f of ['half', 'front', 'back', 'z'] as const) expect(here[f]).toBeCloseTo(ring[f], 9);
      const next = shape.rings[i + 1];
      if (!next) return;
      for (const t of [0.1, 0.35, 0.5, 0.9]) {
        const half = at(ring.y + t * (next.y - ring.y)).half;
        expect(half).toBeGreaterThanOrEqual(Math.min(ring.half, next.half) - 1e-9);
        expect(half).toBeLessThanOrEqual(Math.max(ring.half, next.half) + 1e-9);
      }
    });
  });

  it('is the same asked by direction and asked from the front or the back', () => {
    for (const y of [850, 1040, 1220, 1340])
      for (const direction of [0, 0.4, 1.1, 2, 2.8]) {
        const p = pointOn(at(y), shape.mounds, direction);
        expect(depthAt(at(y), shape.mounds, Math.cos(direction) >= 0 ? 1 : -1, p.x).z).toBeCloseTo(p.z, 6);
      }
  });
});

describe('a form', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('of the chart’s size %s reads on the tape what the chart says', (size) => {
    const { figure, conflicts } = formOf(chart(size));
    expect(worst(chart(size))[1]).toBeLessThan(0.5);
    expect(conflicts).toEqual([]);
    // And it is a body: breasts stand out, the shoulder slopes, the nape lies near the height of the neck point.
    expect(figure.bustRise).toBeGreaterThan(25);
    expect(figure.bustRise).toBeLessThan(100);
    expect(figure.shoulderDrop).toBeGreaterThan(25);
    expect(figure.shoulderDrop).toBeLessThan(65);
    expect(Math.abs(figure.neckPoint - figure.nape)).toBeLessThan(30);
    expect(figure.bust).toBeGreaterThan(figure.waist + 120);
  });

  const CHANGES: readonly Body[] = [
    { fullBust: 980 },
    { fullBust: 890 },
    { waist: 800 },
    { waist: 690, hip: 1040 },
    { hip: 930 },
    { napeToWaist: 384 },
    { napeToWaist: 424 },
    { shoulder: 112 },
    { shoulder: 132 },
    { shoulderSlope: 30 },
    { shoulderSlope: 58 },
    { crossBack: 372 },
    { crossFront: 320 },
    { neckPointToBustPoint: 280, bustSpan: 200 },
    { neck: 385 },
    { height: 1560 },
    { height: 1780, napeToWaist: 430, neckPointToBustPoint: 272 },
    { underbust: 820, highHip: 900, hipDepth: 185, upperArm: 340 },
  ];
  it.each(CHANGES.map((c) => [JSON.stringify(c), c] as const))(
    'of a body that differs by %s meets every row',
    (_, change) => {
      const body = { ...chart(4), ...change };
      const { conflicts, rows } = formOf(body);
      expect(conflicts, JSON.stringify(worst(body))).toEqual([]);
      for (const r of rows)
        if (r.body !== null) expect(Math.abs(r.form - r.body)).toBeLessThanOrEqual(metWithin(r.key));
    },
  );

  it('of a child is a child’s', () => {
    for (const row of CHILD_CHART) expect(formOf({ ...row.body }).conflicts.map((c) => c.key)).toEqual([]);
  });

  it('marks what it filled in, and is there for a body of which nothing is known', () => {
    const { rows } = formOf({ fullBust: 920 });
    expect(rows.filter((r) => !r.filled).map((r) => r.key)).toEqual(['fullBust']);
    for (const { form } of formOf({}).rows) expect(form).toBeGreaterThan(0);
  });

  it('names the row that contradicts the others: nape to front waist far shorter than its parts', () => {
    const { rows } = formOf(chart(4));
    const read = (key: string): number => rows.find((r) => r.key === key)!.form;
    const body = {
      ...chart(4),
      napeToBustPoint: read('napeToBustPoint'),
      bustPointToWaist: read('bustPointToWaist'),
      napeToFrontWaist: read('napeToFrontWaist') - 40,
    };
    expect(formOf(body).conflicts.map((c) => c.key)).toContain('napeToFrontWaist');
  });

  it('is the same to the last bit every time', () => {
    expect(formOf(chart(5))).toEqual(formOf(chart(5)));
  });
});
