import { describe, expect, it } from 'vitest';
import { samplePattern, type SampleId } from '../blocks/index.ts';
import { farthestThrough } from '../testing/through.ts';
import { expectOk } from '../units/index.ts';
import { isBand } from '../sew/index.ts';
import { formUnder, standFor, worn } from './index.ts';

function sleeved(id: SampleId) {
  const pattern = samplePattern(id, ['4']);
  const { body } = pattern.chart.find((r) => r.size === '4')!;
  const garment = { pieces: pattern.sizes['4']!, seams: pattern.seams, sleeves: true };
  const stand = standFor(formUnder(garment, body).figure, garment);
  return expectOk(worn(garment, stand, 'calico', 'coarse'), id);
}

describe('a sleeve beside the body of its garment', () => {
  // Without layers the sleeve of Quay lay 9 mm inside its body, that of Ebb, which is drawn tight there, 17.
  it.each([
    ['causeway', 1],
    ['quay', 2],
    ['skiff', 1],
    ['ebb', 5],
  ] as const)('%s: lies on it and not more than %d mm inside it, at rest', (id, most) => {
    const on = sleeved(id);
    expect(on.settled).toBe(true);
    // What lies on the stand of a collar is looked at with the bands.
    const bands = new Set(on.toile.panels.filter(isBand).flatMap((p) => [...p.points]));
    expect(farthestThrough(on.sheet, on.layers, on.x, bands)).toBeLessThan(most / 1000);
  });
});
