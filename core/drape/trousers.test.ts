import { describe, expect, it } from 'vitest';
import { samplePattern } from '../blocks/index.ts';
import type { Body } from '../form/index.ts';
import type { Garment } from '../sew/index.ts';
import { withOwnSteps } from '../testing/ownSteps.ts';
import { expectOk } from '../units/index.ts';
import { compared, formUnder, read, shows, standOf, worn, type Reading, type ReadingId, type Worn } from './index.ts';

const pattern = samplePattern('landing', ['1', '4', '8']);
const rowOf = (size: string): Body => pattern.chart.find((r) => r.size === size)!.body;
const garmentOf = (size: string): Garment => ({ pieces: pattern.sizes[size]!, seams: pattern.seams });
const on = (garment: Garment, body: Body): Worn =>
  expectOk(worn(garment, standOf(formUnder(garment, body).figure), 'calico', 'coarse'), 'worn');

describe('trousers on the body they were drafted for', () => {
  it.each(['1', '8'])('size %s: at rest, free at waist, hip and seat, the crotch below the body', (size) => {
    const w = on(garmentOf(size), rowOf(size));
    expect(w.settled).toBe(true);
    const r = read(w);
    for (const id of ['pull-waist', 'pull-hip', 'pull-seat', 'pull-crotch', 'pull-thigh'] as const)
      expect(r[id]).toBeLessThan(0.4);
    // The draft has 30 mm of ease at the waist, 50 at the hip, 62 around the knee and 15 below the crotch.
    expect(Math.abs(r['ease-waist']! - 30)).toBeLessThan(20);
    expect(Math.abs(r['ease-hip']! - 50)).toBeLessThan(25);
    expect(Math.abs(r['ease-knee']! - 62)).toBeLessThan(15);
    expect(r['crotch-drop']).toBeGreaterThan(5);
    expect(r['crotch-drop']).toBeLessThan(40);
    expect(Math.abs(r['side-seam-lean']!)).toBeLessThan(2);
    expect([r['pull-bust'], r['shoulder-end'], r['hem-front']]).toEqual([null, null, null]);
    // The halves meet in the plane between them at the crotch seam, and nowhere pass through it or into the body.
    for (const key of ['trouserFront crotch', 'trouserBack crotch'])
      for (const i of w.toile.edges.get(key)!) expect(Math.abs(w.x[3 * i]!)).toBe(0);
    const out = new Float64Array(4);
    for (let i = 0; i < w.sheet.points; i++) {
      w.solid.at(w.x[3 * i]!, w.x[3 * i + 1]!, w.x[3 * i + 2]!, out);
      expect(out[0]).toBeGreaterThan(-0.002);
      expect(w.x[3 * i]).toBeGreaterThan(-0.004);
    }
  });
});

/** What may be left of a reading once the step is done, as a share. */
const LEFT = 0.4;

describe('the truth table of Landing in size 4', () => {
  const garment = garmentOf('4');
  const row = rowOf('4');
  const control = read(on(garment, row));
  const of = (readings: readonly Reading[], id: ReadingId): Reading => readings.find((r) => r.id === id)!;

  it.each([
    ['a full seat makes the crotch cut in', { crotchLength: 701 }, 'pull-crotch', 1],
    ['a deep crotch sits high', { crotchDepth: 289, crotchLength: 701 }, 'crotch-drop', -1],
    ['a shallow one hangs', { crotchDepth: 244, crotchLength: 629 }, 'crotch-drop', 1],
    ['a full thigh takes the ease', { thigh: 621 }, 'ease-thigh', -1],
    ['a narrow hip leaves ease', { hip: 950, crotchLength: 648 }, 'ease-hip', 1],
  ] as const)('%s, and the steps take most of it away', (_what, differs, id, way) => {
    const body = { ...row, ...differs };
    const { sides } = withOwnSteps(pattern, '4', body);
    const before = of(compared(read(on(garment, body)), control), id);
    const after = of(compared(read(on(sides.left, body)), control), id);
    expect(shows(before)).toBe(true);
    expect(Math.sign(before.off)).toBe(way);
    expect(shows(after)).toBe(false);
    expect(Math.abs(after.off)).toBeLessThan(LEFT * Math.abs(before.off));
  });
});
