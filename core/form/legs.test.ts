import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SAMPLE_CHART } from '../blocks/chart.ts';
import {
  around,
  crotchAt,
  depthAt,
  formMesh,
  formOf,
  girthOf,
  inLeg,
  LEGS_SHOWN,
  legMesh,
  legOf,
  metWithin,
  onLeg,
  sectionOf,
  shapeOf,
  tapesOn,
  thighLevel,
  type Body,
  type Figure,
} from './index.ts';

const chart = (size: number): Body => SAMPLE_CHART[size - 1]!.body;
const onLegs = (body: Body) => formOf(body, {}, true);
const legs = (figure: Figure) => legOf(figure, figure.legs!, shapeOf(figure));

describe('a form on its legs', () => {
  it.each([1, 4, 8])('of the chart’s size %s reads on the tape what the chart says', (size) => {
    const { rows, conflicts } = onLegs(chart(size));
    expect(conflicts).toEqual([]);
    for (const r of rows) if (r.body !== null) expect(Math.abs(r.form - r.body)).toBeLessThanOrEqual(metWithin(r.key));
    expect(rows.filter((r) => r.body !== null).map((r) => r.key)).toEqual(expect.arrayContaining([...LEGS_SHOWN]));
  });

  it('without legs shows nothing of them, and is what it was', () => {
    const { figure, rows } = formOf(chart(4));
    expect(figure.legs).toBeNull();
    expect(rows.map((r) => r.key)).not.toContain('thigh');
    expect(formOf({ ...chart(4), crotchLength: 760, thigh: 660 }).figure).toEqual(figure);
  });

  it.each([
    ['a full seat', { crotchLength: 701 }],
    ['a flat one', { crotchLength: 636 }],
    ['a deep crotch', { crotchDepth: 289, crotchLength: 705 }],
    ['a full thigh', { thigh: 630 }],
    ['long legs', { outsideLeg: 1040, waistToKnee: 620 }],
    ['a hip measured high', { hipDepth: 180 }],
  ] as const)('of a body with %s meets every row', (_, change) => {
    const { rows, conflicts } = onLegs({ ...chart(4), ...change });
    expect(conflicts).toEqual([]);
    for (const r of rows) if (r.body !== null) expect(Math.abs(r.form - r.body)).toBeLessThanOrEqual(metWithin(r.key));
  });

  it('reaches farther back at the seat the longer the crotch length is, its girths the same', () => {
    const seat = (crotchLength: number): number => {
      const { figure } = onLegs({ ...chart(4), crotchLength });
      return depthAt(sectionOf(shapeOf(figure))(figure.hip), shapeOf(figure).mounds, -1, 0).z;
    };
    expect(seat(691)).toBeLessThan(seat(661) - 15);
    expect(seat(641)).toBeGreaterThan(seat(661) + 10);
  });

  it('is as thick at thigh and knee as measured, its legs free of each other and within the hip', () => {
    const { figure } = onLegs(chart(4));
    const leg = legs(figure);
    const girth = (y: number): number => girthOf(around(leg.section(y), [], 360));
    expect(girth(thighLevel(figure, figure.legs!))).toBeCloseTo(chart(4).thigh!, 0);
    expect(girth(figure.waist - figure.legs!.knee)).toBeCloseTo(chart(4).knee!, 0);
    const hip = sectionOf(shapeOf(figure))(figure.hip).half;
    for (let y = leg.from; y < crotchAt(figure, figure.legs!); y += 10) {
      expect(leg.middle(y) - leg.section(y).half).toBeGreaterThan(10);
      expect(leg.middle(y) + leg.section(y).half).toBeLessThan(hip + 3);
    }
  });

  it('is closed in each of its parts, and has both legs in its mesh', () => {
    const { figure } = onLegs(chart(4));
    const mesh = legMesh(legs(figure));
    const edges = new Set<string>();
    for (let t = 0; t < mesh.triangles.length; t++)
      edges.add(`${mesh.triangles[t]} ${mesh.triangles[t - (t % 3) + ((t + 1) % 3)]}`);
    expect(edges.size).toBe(mesh.triangles.length);
    for (const e of edges) expect(edges.has(e.split(' ').reverse().join(' '))).toBe(true);
    const xs = formMesh(figure, false).positions.filter((_, i) => i % 3 === 0);
    const low = formMesh(figure, false).positions.filter((_, i) => i % 3 === 1);
    expect(Math.max(...xs)).toBeCloseTo(-Math.min(...xs), 3);
    // Down to the ankle and a little below.
    expect(Math.min(...low)).toBeLessThan(figure.waist - figure.legs!.ankle);
    expect(Math.min(...low)).toBeGreaterThan(0);
  });

  it('knows inside from outside of a leg', () => {
    const leg = legs(onLegs(chart(4)).figure);
    for (const y of [150, 430, 600, 740])
      for (const angle of [-2.5, -1, 0, 1.2, 3]) {
        const p = onLeg(leg, y, angle);
        const middle = { x: leg.middle(y), y, z: leg.section(y).z };
        const at = (share: number) => ({
          x: middle.x + share * (p.x - middle.x),
          y,
          z: middle.z + share * (p.z - middle.z),
        });
        expect([inLeg(leg, at(0.98)), inLeg(leg, at(1.02))]).toEqual([true, false]);
      }
  });

  it('is there for a body of which little is known, and for one whose tape cannot be right', () => {
    for (const body of [
      { hip: 990 },
      { waist: 740, hip: 990, crotchDepth: 420, crotchLength: 450, thigh: 1000 },
      { hip: 990, waistToKnee: 200, outsideLeg: 150 },
      {},
    ]) {
      const { figure, rows } = onLegs(body);
      for (const r of rows) expect(r.form).toBeGreaterThan(0);
      const leg = legs(figure);
      for (let y = leg.from; y <= leg.to; y += 20) expect(leg.section(y).half).toBeGreaterThan(10);
      expect(figure.hip).toBeGreaterThan(crotchAt(figure, figure.legs!));
    }
    // A crotch length shorter than down to the chair and up again.
    expect(onLegs({ ...chart(4), crotchLength: 500 }).conflicts.map((c) => c.key)).toContain('crotchLength');
  });

  it('meets the tape on bodies of all kinds', () => {
    const bodies = fc.record({
      size: fc.integer({ min: 1, max: 8 }),
      hip: fc.integer({ min: -30, max: 50 }),
      depth: fc.integer({ min: -15, max: 20 }),
      length: fc.integer({ min: -15, max: 30 }),
      thigh: fc.integer({ min: -30, max: 50 }),
    });
    fc.assert(
      fc.property(bodies, ({ size, hip, depth, length, thigh }) => {
        const row = chart(size);
        const body = {
          ...{ waist: row.waist!, hip: row.hip! + hip, crotchDepth: row.crotchDepth! + depth },
          ...{ crotchLength: row.crotchLength! + 1.6 * depth + length, thigh: row.thigh! + thigh },
        };
        const { figure, conflicts } = onLegs(body);
        expect(conflicts.map((c) => [c.key, c.body, c.form])).toEqual([]);
        expect(tapesOn(figure, ['thigh'])[0]).toBeCloseTo(body.thigh, 0);
      }),
      { numRuns: 20, seed: 21 },
    );
  });
});
