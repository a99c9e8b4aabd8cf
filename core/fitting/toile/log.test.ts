import { describe, expect, it } from 'vitest';
import { JOB_VERSION, jobSchema, wearerSchema, type Answer, type Fitting, type Job } from '../../documents/index.ts';
import { drafted, fittingOf, seenAs, stepOf } from '../../testing/fittings.ts';
import {
  againChecks,
  becameOf,
  compareFittings,
  differences,
  inOrderOfDate,
  makeAgain,
  nextAction,
  returnTo,
  stillAt,
  standsAs,
  toFollow,
  versionOf,
  withVersion,
} from './index.ts';

const answer: Answer = {
  did: 'add',
  cause: 'swayback',
  step: 's',
  alteration: 'swayback-waist-seam',
  from: null,
  to: 6,
  date: '2026-11-02',
};
const wearer = wearerSchema.parse({
  format: 'ample-draft/wearer',
  version: 1,
  id: 'w',
  name: 'W',
  sets: [{ id: 's', date: '2026-10-01', readings: { highBust: [870], fullBust: [920] } }],
});
const job = (fields: Partial<Job> = {}): Job =>
  jobSchema.parse({
    format: 'ample-draft/job',
    version: JOB_VERSION,
    id: 'j',
    wearer: { id: 'w' },
    pattern: { id: 'causeway' },
    ...fields,
  });

describe('from one fitting to the next', () => {
  const pool = seenAs('cloth-above-seat', { pinned: 6, answers: [answer] });
  const gape = seenAs('neck-gapes', { pinned: 8 });
  const first = fittingOf('2026-11-01', [pool, gape]);
  const second = fittingOf('2026-11-08', [], { followed: [{ observation: pool.id, result: 'gone' }] });
  const third = fittingOf('2026-11-15', []);

  it('asks about everything that was not gone, once', () => {
    expect(toFollow([second, first], second.id).map((t) => [t.observation.sign, t.result])).toEqual([
      ['cloth-above-seat', 'gone'],
      ['neck-gapes', null],
    ]);
    expect(toFollow([first, second, third], third.id).map((t) => t.observation.sign)).toEqual(['neck-gapes']);
    expect(toFollow([first, second], first.id)).toEqual([]);
    expect(toFollow([first], 'no such fitting')).toEqual([]);
  });
  it('links what became of it back to what had been done', () => {
    expect(becameOf([second, first], pool)).toEqual([{ fitting: second, result: 'gone', after: answer }]);
    const sameDay = fittingOf('2026-11-01', [], { id: 'f-x', followed: [{ observation: pool.id, result: 'same' }] });
    expect(becameOf([first, sameDay], pool)[0]).toMatchObject({ result: 'same', after: null });
  });
  it('asks once about what is seen again and again, and keeps to the first it came from', () => {
    const again = { ...pool, id: stillAt(pool.id, 'f2'), answers: [] };
    const f2 = fittingOf('2026-11-08', [again], { id: 'f2', followed: [{ observation: pool.id, result: 'less' }] });
    const f3 = fittingOf('2026-11-15', [], { id: 'f3', followed: [{ observation: again.id, result: 'gone' }] });
    const f4 = fittingOf('2026-11-22', [], { id: 'f4' });
    expect(stillAt(again.id, 'f3')).toBe(`${pool.id}@f3`);
    expect(toFollow([first, f2, f3], 'f3').map((t) => [t.observation.id, t.result])).toEqual([
      [again.id, 'gone'],
      [gape.id, null],
    ]);
    expect(toFollow([first, f2, f3, f4], 'f4').map((t) => t.observation.id)).toEqual([gape.id]);
    expect(becameOf([first, f2, f3], pool).map((b) => [b.fitting.id, b.result])).toEqual([
      ['f2', 'less'],
      ['f3', 'gone'],
    ]);
    expect(becameOf([first, f2, f3], again).map((b) => b.result)).toEqual(['gone']);
    expect(compareFittings(first, f2)[0]).toMatchObject({
      before: { id: pool.id },
      after: { id: again.id },
      result: 'less',
    });
  });
  it('keeps the order of the dates, and of noting on one day', () => {
    const twice: Fitting = { ...second, id: 'again' };
    expect(inOrderOfDate([second, twice, first]).map((f) => f.id)).toEqual([first.id, second.id, 'again']);
  });
  it('puts two fittings side by side', () => {
    const later = fittingOf('2026-11-08', [seenAs('neck-gapes', { pinned: 3, side: 'left' }), seenAs('waist-low')], {
      followed: [{ observation: pool.id, result: 'gone' }],
    });
    expect(compareFittings(first, later).map((p) => [p.before?.sign ?? p.after?.sign, p.result])).toEqual([
      ['cloth-above-seat', 'gone'],
      ['neck-gapes', 'less'],
      ['waist-low', 'new'],
    ]);
    expect(compareFittings(first, third).map((p) => p.result)).toEqual(['unsaid', 'unsaid']);
  });
});

describe('versions', () => {
  const bust = stepOf('bust', 'full-bust-side-dart', { values: { total: 40, whose: 'pattern' } });
  const sway = stepOf('sway', 'swayback-waist-seam', { values: { by: 10 } });

  it('say what changed between them, in the order of the work', () => {
    const before = drafted([bust]);
    const after = drafted([{ ...bust, values: { ...bust.values, total: 25 } }, sway]);
    expect(differences(before, after)).toMatchObject([
      { kind: 'amount', from: 40, to: 25 },
      { kind: 'added', step: { id: 'sway' }, amount: 10 },
    ]);
    expect(differences(after, before).map((d) => d.kind)).toEqual(['removed', 'amount']);
    expect(differences(before, before)).toEqual([]);
    expect(differences(after, drafted([sway, { ...bust, on: false }])).map((d) => d.kind)).toEqual(['off', 'order']);
    expect(differences(drafted([bust]), drafted([bust], { fullBust: [930] }))).toMatchObject([
      { kind: 'body', change: { key: 'fullBust', by: 10 } },
    ]);
    const straight = { ...bust, values: { ...bust.values, waistWidth: 'straight' } };
    expect(differences(drafted([bust]), drafted([straight])).map((d) => d.kind)).toEqual(['other']);
  });
  it('make room for one more: the oldest that nothing was sewn from goes', () => {
    let full = job({ fittings: [fittingOf('2026-11-01', [], { version: 'v0' })] });
    for (let i = 0; i < 70; i++)
      full = withVersion(full, versionOf(full, wearer, `v${i}`, `Kept ${i}`, '2026-11-01T10:00:00Z'));
    expect(full.versions).toHaveLength(60);
    expect(full.versions[0]?.id).toBe('v0');
    expect(full.versions[1]?.id).toBe('v11');
    expect(full.versions.at(-1)?.id).toBe('v69');
    expect(jobSchema.safeParse(full).success).toBe(true);
  });
  it('come back whole, and leave the others and the fittings where they are', () => {
    const was = job({ steps: [bust], size: '4' });
    const kept = versionOf(was, wearer, 'v1', 'Toile 1', '2026-11-01T10:00:00Z');
    const now: Job = {
      ...was,
      steps: [bust, sway],
      size: '5',
      versions: [kept],
      fittings: [fittingOf('2026-11-01', [])],
    };
    expect(standsAs(was, kept)).toBe(true);
    expect(standsAs(now, kept)).toBe(false);
    const back = returnTo(now, kept);
    expect(back.steps).toEqual([bust]);
    expect(back.size).toBe('4');
    expect(back.versions).toEqual([kept]);
    expect(back.fittings).toHaveLength(1);
    expect(back.wearer).toEqual(now.wearer);
  });
});

describe('made again', () => {
  const bust = stepOf('bust', 'full-bust-side-dart', { values: { whose: 'pattern' } });
  const off = stepOf('off', 'shoulder-slash', { on: false });
  const source = job({
    steps: [bust, off],
    fabric: 'linen',
    fittings: [fittingOf('2026-11-01', [], { verdict: 'good' })],
  });
  const d = drafted(source.steps, { fullBust: [960] });
  const again = makeAgain(source, d, { id: 'j2', fabric: 'wool', today: '2026-12-01' });

  it('keeps size and amounts as they were carried out, whatever the sums say later', () => {
    expect(again.size).toBe('4');
    expect(again.steps.map((s) => s.id)).toEqual(['bust']);
    expect(again.steps[0]).toMatchObject({ values: { total: d.steps[0]?.values['total'] } });
    const later = drafted(again.steps, { fullBust: [1000] });
    expect(later.steps[0]?.values['total']).toBe(d.steps[0]?.values['total']);
    expect(again.fittings).toEqual([]);
  });
  it('asks to look at cloth and body again, and at nothing that is settled', () => {
    const codes = (sets: typeof wearer.sets, of: Job | null, today: string) =>
      againChecks(again, { sets }, of, false, today).map((c) => c.code);
    const body = [{ ...wearer.sets[0]!, readings: { highBust: [870], fullBust: [960] } }];
    expect(codes(body, source, '2026-12-01')).toEqual(['again.cloth']);
    expect(codes([{ ...body[0]!, readings: { highBust: [870], fullBust: [985] } }], source, '2026-12-01')).toEqual([
      'again.cloth',
      'again.moved',
    ]);
    expect(codes(body, source, '2027-04-01')).toEqual(['again.cloth', 'again.old']);
    expect(codes(body, null, '2026-12-01')).toContain('again.never');
    const open = { ...source, fittings: [fittingOf('2026-11-01', [seenAs('waist-low')], { verdict: 'alter' })] };
    expect(codes(body, open, '2026-12-01')).toEqual(['again.cloth', 'again.never', 'again.left']);
    expect(againChecks(source, { sets: [] }, null, true, '2026-12-01')).toEqual([]);
  });
});

describe('what comes next', () => {
  const plan = [stepOf('bust', 'full-bust-side-dart')];
  const fitted = (fields: Partial<Fitting>, seen = [seenAs('waist-low')]) => [fittingOf('2026-11-01', seen, fields)];
  it.each([
    ['nothing measured', job(), { sets: [] }, 'next.measure'],
    ['measured', job(), wearer, 'next.size'],
    ['planned', job({ steps: plan }), wearer, 'next.table'],
    ['a fitting begun', job({ steps: plan, fittings: fitted({}, []) }), wearer, 'next.note'],
    ['something seen', job({ steps: plan, fittings: fitted({ verdict: 'alter' }) }), wearer, 'next.decide'],
    [
      'all of it answered',
      job({ steps: plan, fittings: fitted({ verdict: 'alter' }, [seenAs('waist-low', { answers: [answer] })]) }),
      wearer,
      'next.toile',
    ],
    ['the form shows something', job({ steps: plan, fittings: fitted({ kind: 'form' }) }), wearer, 'next.decide'],
    [
      'the form calls nothing right',
      job({ steps: plan, fittings: fitted({ kind: 'form', verdict: 'good' }) }),
      wearer,
      'next.decide',
    ],
    ['nothing shows on the form', job({ steps: plan, fittings: fitted({ kind: 'form' }, []) }), wearer, 'next.table'],
    ['found right', job({ steps: plan, fittings: fitted({ verdict: 'good' }) }), wearer, 'next.cut'],
    ['finished', job({ finished: '2026-11-20' }), { sets: [] }, 'next.again'],
  ] as const)('%s', (_, of, who, code) => {
    expect(nextAction(of, who).code).toBe(code);
  });
});
