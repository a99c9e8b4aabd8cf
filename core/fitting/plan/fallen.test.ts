import { describe, expect, it } from 'vitest';
import { samplePattern, type SampleId } from '../../blocks/index.ts';
import { stepSchema } from '../../documents/index.ts';
import { bustPointOf } from '../../pattern/index.ts';
import { wearerWith } from '../../testing/wearers.ts';
import { draft } from './index.ts';

const step = (alteration: string, values = {}) => stepSchema.parse({ id: alteration, alteration, revision: 1, values });
function drawn(sample: SampleId, steps: readonly ReturnType<typeof step>[]) {
  const pattern = samplePattern(sample, ['4']);
  const row = pattern.chart.find((r) => r.size === '4')?.body ?? {};
  return draft({
    job: { size: '4', sizeMethod: 'highBust', steps: [...steps] },
    wearer: wearerWith({ ...row, fullBust: 968 }),
    pattern,
  });
}
const height = (d: ReturnType<typeof drawn>) => d.worksheet.find((r) => r.key === 'neckPointToBustPoint');

describe('a bust point that falls with its paper', () => {
  it('is told and offered back, not asked for', () => {
    const d = drawn('causeway', [step('full-bust-side-dart')]);
    expect(height(d)?.fallen).toBeGreaterThan(5);
    expect(d.asks.map((a) => a.alteration)).not.toContain('dart-raise');
    expect(d.offers).toMatchObject([{ alteration: 'dart-raise' }]);
    expect(d.offers[0]?.fit.values['by']).toBeCloseTo(height(d)?.fallen ?? 0, 1);
  });

  it('is where the body has it once the dart is put back, and the other school’s stays as it fell', () => {
    const back = drawn('causeway', [step('full-bust-side-dart'), step('dart-raise')]);
    expect(Math.abs(height(back)?.fallen ?? NaN)).toBeLessThan(0.1);
    expect(back.offers).toEqual([]);
    const at = (d: ReturnType<typeof drawn>) => bustPointOf(d.sides.left.pieces.find((p) => p.part === 'front')!)!.y;
    const fell = drawn('causeway', [step('full-bust-side-dart')]);
    expect(at(fell) - at(back)).toBeCloseTo(height(fell)?.fallen ?? 0, 1);
    // The box slides along the slant of the side: 20 mm up, 2.1 in on each half, and told as left.
    const left = back.worksheet.find((r) => r.key === 'fullBust')?.left ?? NaN;
    expect(left).toBeGreaterThan(3);
    expect(left).toBeLessThan(6);
  });

  it('is nothing to offer where nothing was let out', () => {
    expect(drawn('causeway', []).offers).toEqual([]);
  });
});
