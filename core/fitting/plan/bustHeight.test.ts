import { describe, expect, it } from 'vitest';
import { flatOf } from '../../alterations/index.ts';
import { causewayPattern } from '../../blocks/index.ts';
import { stepSchema } from '../../documents/index.ts';
import { bustPointOf, levelOf, widthAt, type MeasurementKey } from '../../pattern/index.ts';
import { wearerWith, type Readings } from '../../testing/wearers.ts';
import { expectOk } from '../../units/index.ts';
import { draft } from './index.ts';

const pattern = causewayPattern();
const row = pattern.chart.find((r) => r.size === '4')?.body ?? {};
const front = pattern.sizes['4']!.find((p) => p.part === 'front')!;
/** As drafted: how far the waist lies below the bust point. */
const upFromWaist = levelOf(front, 'waist')!.y - bustPointOf(front)!.y;
const drawn = (differs: Readings, without: readonly MeasurementKey[] = [], values = {}) =>
  draft({
    job: {
      size: '4',
      sizeMethod: 'highBust',
      steps: [stepSchema.parse({ id: 'a', alteration: 'full-bust-side-dart', revision: 1, values })],
    },
    wearer: wearerWith(
      Object.fromEntries(
        Object.entries({ ...row, ...differs }).filter(([k]) => !without.includes(k as MeasurementKey)),
      ),
    ),
    pattern,
  });
const markedAt = (d: ReturnType<typeof drawn>): number | undefined => {
  const { outcome } = d.steps[0]!;
  const points = outcome.ok ? outcome.value.frames[0]?.pieces.flatMap((p) => p.points) : [];
  return points?.find((p) => p.kind === 'bustPoint')?.at.y;
};

describe('where the bust point of the wearer lies', () => {
  it('is found from the waist up and the span where the neck is not measured', () => {
    const d = drawn({ bustPointToWaist: upFromWaist - 10 }, ['neckPointToBustPoint']);
    // 10 nearer to the waist than drafted: 10 lower on the front.
    expect((markedAt(d) ?? NaN) - bustPointOf(front)!.y).toBeCloseTo(10, 6);
    expect(d.steps[0]!.outcome.ok && d.steps[0]!.outcome.value.frames[0]!.messages[0]).toMatchObject({
      data: { source: 'waist' },
    });
  });

  it('is taken from the neck where both are measured, the disagreement told, and from the waist by choice', () => {
    const both = { bustPointToWaist: upFromWaist - 10 };
    const d = drawn(both);
    expect(markedAt(d)).toBeCloseTo(bustPointOf(front)!.y, 6);
    expect(d.worksheet.find((r) => r.key === 'neckPointToBustPoint')?.apart).toBeCloseTo(10, 6);
    expect(markedAt(drawn(both, [], { whose: 'waist' }))).toBeCloseTo(bustPointOf(front)!.y + 10, 6);
    expect(drawn({}).worksheet.find((r) => r.key === 'neckPointToBustPoint')?.apart).toBe(0);
  });
});

it('measures under the bust where the body has it: 75 below her own bust point, not the draft’s', () => {
  const d = draft({
    job: { size: '4', sizeMethod: 'highBust', steps: [] },
    // The same span, 20 longer from the neck.
    wearer: wearerWith({ ...row, neckPointToBustPoint: (row.neckPointToBustPoint ?? 0) + 20 }),
    pattern,
  });
  const her = d.original.find((p) => p.part === 'front')!.bustLine![0]!.to.y;
  const lower = her - levelOf(front, 'bust')!.y;
  expect(lower).toBeGreaterThan(15);
  const at = (part: 'front' | 'back'): number => {
    const piece = pattern.sizes['4']!.find((p) => p.part === part)!;
    return 2 * expectOk(widthAt(piece, levelOf(piece, 'bust')!.y + 75 + lower), part).width;
  };
  expect(flatOf({ pieces: d.original, seams: d.seams }, 'underbust')?.value).toBeCloseTo(at('front') + at('back'), 6);
});
