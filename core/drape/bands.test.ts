import { describe, expect, it } from 'vitest';
import { samplePattern, type SampleId } from '../blocks/index.ts';
import { alongTube, armTube } from '../form/index.ts';
import { farthestThrough } from '../testing/through.ts';
import { expectOk } from '../units/index.ts';
import { formUnder, read, standFor, worn, type Worn } from './index.ts';
import { girthAround, placeAt } from './measure.ts';

const hung = (id: SampleId): Worn => {
  const pattern = samplePattern(id, ['4']);
  const { body } = pattern.chart.find((r) => r.size === '4')!;
  const garment = { pieces: pattern.sizes['4']!, seams: pattern.seams, sleeves: true };
  return expectOk(worn(garment, standFor(formUnder(garment, body).figure, garment), 'calico', 'coarse'), id);
};
/** The points of a band off its seam, and those on it. */
function bandOf(on: Worn, id: string) {
  const seam = new Set(on.toile.bands.find((b) => b.piece.id === id)!.line.map((p) => p.point));
  const { points } = on.toile.panels.find((p) => p.piece.id === id)!;
  const heights = (of: readonly number[]): readonly number[] => of.map((i) => placeAt(on, i).y);
  return { seam: heights([...seam]), rest: heights([...points].filter((i) => !seam.has(i))), points };
}
const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

describe('a shirt with stand, collar and cuffs, at rest', () => {
  const on = hung('quay');

  it('stands up around the neck, and its collar has fallen over the stand', () => {
    expect(on.settled).toBe(true);
    const [stand, collar] = [bandOf(on, 'stand'), bandOf(on, 'collar')];
    expect(mean(stand.rest)).toBeGreaterThan(mean(stand.seam));
    expect(mean(collar.rest)).toBeLessThan(mean(collar.seam) - 10);
    // Its points lie below the stand.
    expect(Math.min(...collar.rest)).toBeLessThan(Math.min(...stand.rest));
  });

  it('has no cloth in the body, and the collar on the stand and not in it', () => {
    const out = new Float64Array(4);
    for (const id of ['stand', 'collar', 'cuff'])
      for (const i of bandOf(on, id).points) {
        on.solid.at(on.x[3 * i]!, on.x[3 * i + 1]!, on.x[3 * i + 2]!, out);
        expect(1000 * out[0]!).toBeGreaterThan(-1);
      }
    // But for points next to its crease, where stand and collar are one fold.
    const crease = new Set(on.toile.bands.find((b) => b.falls)!.line.map((p) => p.point));
    const next = new Set<number>();
    for (let t = 0; t < on.sheet.triangles.length; t += 3) {
      const corners = on.sheet.triangles.subarray(t, t + 3);
      if (corners.some((i) => crease.has(i))) corners.forEach((i) => next.add(i));
    }
    expect(1000 * farthestThrough(on.sheet, on.layers, on.x, next)).toBeLessThan(3);
  });
});

describe('a sleeve gathered into a cuff, at rest', () => {
  const on = hung('causeway-cuff');

  it('goes around the wrist as far as the cuff was cut, and flares above it', () => {
    expect(on.settled).toBe(true);
    const { line } = on.toile.bands.find((b) => b.cuff)!;
    const places = line.map((p) => placeAt(on, p.point));
    const around = places.slice(1).reduce((sum, p, k) => {
      const q = places[k]!;
      return sum + Math.hypot(p.x - q.x, p.y - q.y, p.z - q.z);
    }, 0);
    const { body } = samplePattern('causeway-cuff', ['4']).chart.find((r) => r.size === '4')!;
    const cut = body.wrist! + 50;
    expect(Math.abs(around / cut - 1)).toBeLessThan(0.02);
    // 80 mm are gathered in: 3 cm above the cuff most of them are there.
    const tube = armTube(on.figure);
    const end = Math.min(...places.map((p) => alongTube(tube, p)));
    expect(girthAround(on, tube, end - 30) - cut).toBeGreaterThan(40);
    // Its sleeves hang below the waist, its body does not.
    const r = read(on);
    expect([r['ease-waist'], r['pull-waist']]).toEqual([null, null]);
    expect(r['ease-bust']).toBeGreaterThan(0);
  });
});

describe('trousers with their waistband, at rest', () => {
  it('hold it upright above the waist, along its whole length', () => {
    const on = hung('landing');
    expect(on.settled).toBe(true);
    const { seam, rest } = bandOf(on, 'waistband');
    expect(Math.max(...seam) - on.figure.waist).toBeLessThan(1);
    expect(Math.min(...rest)).toBeGreaterThan(on.figure.waist);
    expect(Math.max(...rest)).toBeGreaterThan(on.figure.waist + 30);
  });
});
