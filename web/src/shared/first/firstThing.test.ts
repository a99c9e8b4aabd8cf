import { expect, it } from 'vitest';
import { samplePattern } from '@ample/core/blocks';
import { draft } from '@ample/core/fitting/plan';
import type { Pattern } from '@ample/core/pattern';
import { wearerWith } from '../../../../core/testing/wearers.ts';
import { paperPattern } from '../../store/patterns.ts';
import { blankChart, firstThing, isOnlyMissing } from './firstThing.ts';

const first = (pattern: Pattern, readings: Record<string, number[]>, size: string | null = null) => {
  const wearer = wearerWith(readings);
  return firstThing(
    draft({ job: { size, sizeMethod: pattern.garment === 'bottom' ? 'hip' : 'highBust', steps: [] }, wearer, pattern }),
    pattern,
  );
};

it('asks a top for the two busts, trousers for waist and hip, and paper for the bust on its envelope', () => {
  const top = samplePattern('causeway-side');
  expect(first(top, {})).toEqual({ kind: 'measure', keys: ['highBust', 'fullBust'] });
  expect(first(samplePattern('landing'), {})).toEqual({ kind: 'measure', keys: ['waist', 'hip'] });
  expect(first(paperPattern('Mine'), { highBust: [880], fullBust: [960] })).toEqual({ kind: 'chart', size: '1' });
});

it('asks for nothing once there is a size, by the tape or by hand', () => {
  const top = samplePattern('causeway-side');
  expect(first(top, { highBust: [880], fullBust: [960] })).toBeNull();
  expect(first(top, {}, '4')).toBeNull();
});

it('what is wrong is not taken for what is missing', () => {
  expect(isOnlyMissing('size-needs-hip')).toBe(true);
  expect(isOnlyMissing('chart-has-no-bust')).toBe(true);
  expect(isOnlyMissing('size-has-no-pieces')).toBe(false);
  expect(isOnlyMissing('body-impossible')).toBe(false);
});

it('a chart nobody has begun asks for the envelope, one that was begun does not', () => {
  const mine = paperPattern('Mine');
  expect(blankChart(mine)).toEqual({ kind: 'chart', size: '1' });
  expect(blankChart({ chart: mine.chart.map((r) => ({ ...r, body: { fullBust: 920 } })) })).toBeNull();
  expect(blankChart(samplePattern('causeway'))).toBeNull();
});
