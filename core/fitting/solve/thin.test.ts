import { describe, expect, it } from 'vitest';
import { causewayPattern } from '../../blocks/index.ts';
import { stepSchema, type Step } from '../../documents/index.ts';
import { wearerWith, type Readings } from '../../testing/wearers.ts';
import { thinned } from './thin.ts';

const pattern = causewayPattern();
const row = pattern.chart.find((r) => r.size === '4')?.body ?? {};
const step = (alteration: string, values: Step['values'] = {}): Step =>
  stepSchema.parse({ id: alteration, alteration, revision: 1, values });
const thin = (differs: Readings, steps: readonly Step[], right: Readings = {}) =>
  thinned({
    job: { size: '4', sizeMethod: 'highBust', steps: [...steps] },
    wearer: wearerWith({ ...row, ...differs }, right),
    pattern,
  });

describe('what leaving a step out would cost', () => {
  it('is the difference at the body that the step is there for', () => {
    const { worth, drop } = thin({ shoulder: 113, fullBust: 968 }, [
      step('shoulder-slash'),
      step('full-bust-side-dart'),
    ]);
    const [shoulder, bust] = worth;
    expect(shoulder).toMatchObject({ key: 'shoulder', within: false });
    expect(shoulder?.left).toBeCloseTo(-9, 1);
    expect(bust).toMatchObject({ key: 'fullBust', within: false });
    expect(bust?.left).toBeCloseTo(48, 0);
    expect(drop).toEqual([]);
  });

  it('is nothing a tape can tell for a step of 3 mm on the shoulder: the smallest plan does without it', () => {
    const { worth, drop } = thin({ shoulder: 119, fullBust: 968 }, [
      step('shoulder-slash'),
      step('full-bust-side-dart'),
    ]);
    expect(worth[0]).toMatchObject({ key: 'shoulder', within: true });
    expect(worth[0]?.cost).toBeCloseTo(3, 1);
    expect(drop).toEqual(['shoulder-slash']);
  });

  it('drops one of two steps that do the same, not both', () => {
    // 12 too long: a fold across settles it; a swayback of 12 besides would take it away once more.
    const { drop } = thin({ sideWaist: 184, napeToWaist: 392 }, [
      step('length-line'),
      step('swayback-waist-seam', { by: 2 }),
    ]);
    expect(drop).toEqual(['swayback-waist-seam']);
  });

  it('is told on the right, where a step for the right side answers to what was measured there', () => {
    const low = { ...step('shoulder-slope'), side: 'right' as const };
    const { worth, drop } = thin({ shoulderSlope: 39 }, [low], { shoulderSlope: 54 });
    expect(worth).toMatchObject([{ key: 'shoulderSlope', right: true, within: false }]);
    expect(worth[0]?.left).toBeCloseTo(15, 0);
    expect(drop).toEqual([]);
    // Within what a tape can tell it can be done without.
    expect(thin({ shoulderSlope: 39 }, [low], { shoulderSlope: 41 }).drop).toEqual(['shoulder-slope']);
  });

  it('leaves alone what the sewist set by herself: without a hip depth nothing tells what moving the hip is worth', () => {
    expect(thin({}, [step('hip-depth', { by: -10 })])).toEqual({ worth: [], drop: [] });
  });

  it('leaves alone what answers to no measurement, and what is switched off', () => {
    const dart = step('dart-setback');
    const off = { ...step('shoulder-slash'), on: false };
    expect(thin({ shoulder: 113 }, [dart, off])).toEqual({ worth: [], drop: [] });
  });
});
