import { describe, expect, it } from 'vitest';
import type { Values } from '../alterations/index.ts';
import { samplePattern } from '../blocks/index.ts';
import type { Body } from '../form/index.ts';
import type { Garment } from '../sew/index.ts';
import { onBody } from '../testing/onBody.ts';
import { withOwnSteps } from '../testing/ownSteps.ts';
import { compared, read, shows, type ReadingId } from './index.ts';

/** What may be left of a reading once the step is done, as a share. */
const LEFT = 0.4;

describe.each(['causeway-shirt', 'jetty'] as const)('the back of %s, which hangs without slack at the waist', (id) => {
  const pattern = samplePattern(id, ['4']);
  const garment = { pieces: pattern.sizes['4']!, seams: pattern.seams };
  const row = pattern.chart.find((r) => r.size === '4')!.body;
  const control = read(onBody(garment, row));
  /** How far a reading is off on a body, as drafted and with the app’s own steps. */
  function off(body: Body, reading: ReadingId, first?: readonly [string, Values]) {
    const planned = withOwnSteps(pattern, '4', body, first).sides.left;
    const of = (g: Garment) => compared(read(onBody(g, body)), control).find((r) => r.id === reading)!;
    return [of(garment), of(planned)] as const;
  }

  it('lies below the waist of a hollow back, and the step takes most of it away', () => {
    const [before, after] = off({ ...row, napeToWaist: 384 }, 'waist-seam-back');
    expect([shows(before), shows(after)]).toEqual([true, false]);
    expect(before.off).toBeLessThan(-12);
    expect(Math.abs(after.off)).toBeLessThan(LEFT * Math.abs(before.off));
  });

  if (id === 'causeway-shirt')
    it('lies above the waist of a round one, and the step takes most of it away', () => {
      const [before, after] = off({ ...row, napeToWaist: 424 }, 'waist-seam-back', ['round-back', { by: 20 }]);
      expect([shows(before), shows(after)]).toEqual([true, false]);
      expect(before.off).toBeGreaterThan(12);
      expect(Math.abs(after.off)).toBeLessThan(LEFT * Math.abs(before.off));
    });
});
