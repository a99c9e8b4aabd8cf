import { expect, it } from 'vitest';
import { samplePattern } from '../blocks/index.ts';
import { JOB_VERSION, jobSchema, wearerSchema, type Answer } from '../documents/index.ts';
import { drafted, fittingOf, seenAs, stepOf } from '../testing/fittings.ts';
import { recordOf } from './index.ts';

const inch = { unit: 'in', fraction: 8 } as const;
const cm = { unit: 'cm', fraction: 8 } as const;
const answer: Answer = {
  did: 'add',
  cause: 'swayback',
  step: 's',
  alteration: 'swayback-waist-seam',
  from: null,
  to: 12,
  date: '2026-11-01',
};

it('the record holds what was measured, altered and seen, in words a printer can set', () => {
  const pool = seenAs('cloth-above-seat', { pinned: 12, answers: [answer], note: 'Worst when standing.' });
  const job = jobSchema.parse({
    format: 'ample-draft/job',
    version: JOB_VERSION,
    id: 'j',
    title: 'Bodice',
    fabric: 'Linen',
    wearer: { id: 'w' },
    pattern: { id: 'causeway' },
    fittings: [
      fittingOf('2026-11-08', [], { id: 'f2', verdict: 'good', followed: [{ observation: pool.id, result: 'gone' }] }),
      fittingOf('2026-11-01', [pool], { verdict: 'alter', sitting: 'Easy.' }),
    ],
  });
  const wearer = wearerSchema.parse({
    format: 'ample-draft/wearer',
    version: 1,
    id: 'w',
    name: 'Ines',
    sets: [{ id: 's', date: '2026-10-01', readings: { fullBust: [920] } }],
  });
  const d = drafted([
    stepOf('s', 'swayback-waist-seam', { values: { by: 12 } }),
    stepOf('off', 'shoulder-slash', { on: false }),
  ]);
  const r = recordOf(job, wearer, samplePattern('causeway', ['4']), d, cm, '2026-11-24');
  expect(Object.fromEntries(r.facts)).toMatchObject({
    Wearer: 'Ines',
    Size: '4',
    Cloth: 'Linen',
    Measured: '2026-10-01',
  });
  expect(r.measurements).toContainEqual(['Full bust', '92.0 cm']);
  const uneven = { ...d, right: { ...d.body, fullBust: 930 } };
  const both = recordOf(job, wearer, samplePattern('causeway', ['4']), uneven, cm, '2026-11-24');
  expect(both.measurements).toContainEqual(['Full bust', '92.0 cm left, 93.0 cm right']);
  expect(r.steps).toEqual([{ name: 'Swayback, at the waist seam', amount: '1.2 cm at the centre back', note: '' }]);
  // Only what was changed is drawn: the back, here.
  expect(r.drawings.map((x) => x.name)).toEqual(['Bodice back']);
  expect(r.fittings.map((f) => f.heading)).toEqual([
    'Toile, 2026-11-01: to be altered',
    'Toile, 2026-11-08: right: cut the good cloth',
  ]);
  expect(r.fittings[0]?.lines).toEqual([
    'Cloth pools above the seat, 1.2 cm pinned: Swayback, at the waist seam +1.2 cm (2026-11-08 gone). Worst when standing.',
    'Sitting: Easy.',
  ]);
  const printed = JSON.stringify(recordOf(job, wearer, samplePattern('causeway', ['4']), d, inch, '2026-11-24'));
  expect(printed).not.toMatch(/[→″]/);
  expect(printed).toContain('1/2 in pinned');
});
