import { describe, expect, it } from 'vitest';
import type { Values } from '../alterations/index.ts';
import { samplePattern } from '../blocks/index.ts';
import type { Body } from '../form/index.ts';
import type { Garment } from '../sew/index.ts';
import { withOwnSteps } from '../testing/ownSteps.ts';
import { expectOk } from '../units/index.ts';
import { compared, formUnder, read, shows, standFor, worn, type ReadingId } from './index.ts';

/** What may be left of a reading once the step is done, as a share. */
const LEFT = 0.4;

const on = (garment: Garment, body: Body) =>
  read(expectOk(worn(garment, standFor(formUnder(garment, body).figure, garment), 'calico', 'coarse'), 'worn'));

describe.each(['causeway-shirt', 'jetty'] as const)('the back of %s, which hangs without slack at the waist', (id) => {
  const pattern = samplePattern(id, ['4']);
  const garment = { pieces: pattern.sizes['4']!, seams: pattern.seams };
  const row = pattern.chart.find((r) => r.size === '4')!.body;
  const control = on(garment, row);
  /** How far a reading is off on a body, as drafted and with the app’s own steps. */
  function off(body: Body, reading: ReadingId, first?: readonly [string, Values]) {
    const planned = withOwnSteps(pattern, '4', body, first).sides.left;
    const of = (g: Garment) => compared(on(g, body), control).find((r) => r.id === reading)!;
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

describe('a front with a wide, low neckline', () => {
  const pattern = samplePattern('causeway-wide-neck', ['4']);
  const garment = { pieces: pattern.sizes['4']!, seams: pattern.seams };
  const row = pattern.chart.find((r) => r.size === '4')!.body;

  it('is read across below the neckline: a bust point a little higher changes nothing there', () => {
    const control = on(garment, row);
    const higher = on(garment, { ...row, neckPointToBustPoint: row.neckPointToBustPoint! - 12, bustPointToWaist: 170 });
    expect(control['ease-cross-front']!).toBeGreaterThan(0);
    expect(Math.abs(higher['ease-cross-front']! - control['ease-cross-front']!)).toBeLessThan(8);
  });
});
