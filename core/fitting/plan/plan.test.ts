import { describe, expect, it } from 'vitest';
import { causewayPattern, samplePattern } from '../../blocks/index.ts';
import { pathLength } from '../../geometry/index.ts';
import { stepSchema, wearerSchema, type Step } from '../../documents/index.ts';
import {
  edgesWithRole,
  flatMeasure,
  requireEdge,
  unfoldPiece,
  validatePiece,
  type Piece,
} from '../../pattern/index.ts';
import { alike, draft, emptyCache, followFor, inOrder, insertAt, outOfOrder, type ResolvedJob } from './index.ts';

const pattern = causewayPattern();
const step = (id: string, alteration: string, fields: Partial<Step> = {}): Step =>
  stepSchema.parse({ id, alteration, revision: 1, ...fields });
const job = (steps: readonly Step[], readings: Record<string, number[]> = {}, of = pattern): ResolvedJob => ({
  job: { size: '4', sizeMethod: 'highBust', steps: [...steps] },
  wearer: wearerSchema.parse({
    format: 'ample-draft/wearer',
    version: 1,
    id: 'w',
    name: 'W',
    sets: [{ id: 's', date: '2026-10-01', readings: { highBust: [870], fullBust: [920], ...readings } }],
  }),
  pattern: of,
});
const pieceOf = (pieces: readonly Piece[], id: string): Piece => {
  const found = pieces.find((p) => p.id === id);
  if (!found) throw new Error(`expected ${id} among ${pieces.map((p) => p.id).join(', ')}`);
  return found;
};
const shoulder = (piece: Piece): number => edgesWithRole(piece, 'shoulder').reduce((n, e) => n + pathLength(e.path), 0);

describe('amounts from the measurements', () => {
  // Size 4: shoulder 122, centre back 404, side 196.
  it('takes the sum unless the amount was typed, on the pieces as the steps before left them', () => {
    const d = draft(
      job([step('a', 'length-line'), step('b', 'shoulder-slash'), step('c', 'swayback-waist-seam')], {
        shoulder: [115],
        sideWaist: [186],
        napeToWaist: [384],
      }),
    );
    expect(d.steps[0]?.values['by']).toBe(-10);
    expect(d.steps[1]?.values['by']).toBe(-7);
    // 404 − 10 taken out all round = 394; 394 − 384 leaves 10 for the centre back.
    expect(d.steps[2]?.values['by']).toBeCloseTo(10, 1);
    const typed = draft(job([step('b', 'shoulder-slash', { values: { by: -3 } })], { shoulder: [115] }));
    expect(typed.steps[0]?.values['by']).toBe(-3);
    expect(typed.steps[0]?.fit?.values['by']).toBe(-7);
  });

  it('does not give the bust again what an earlier step has given it', () => {
    const bust = step('c', 'full-bust-side-dart', { values: { whose: 'pattern' } });
    const alone = draft(job([bust], { fullBust: [968] })).steps[0]!;
    const d = draft(job([step('a', 'side-add', { values: { by: 16, level: 'underarm' } }), bust], { fullBust: [968] }));
    const flat = (pieces: readonly Piece[]): number => {
      const found = flatMeasure(pieces, 'bust');
      return found.ok ? found.value : NaN;
    };
    const after = d.steps[1]!;
    const given = flat(after.before) - flat(alone.before);
    expect(given).toBeGreaterThan(2);
    // 968 − 920 = 48, less what the side has given: by the garment and by the chart.
    expect(after.values['total']).toBeCloseTo(48 - given, 6);
    expect(after.amounts?.all.find((a) => a.method === 'chart')?.total).toBeCloseTo(48 - given, 6);
    // Cup against draft cup compares bodies, whatever the paper has become.
    expect(after.amounts?.all.find((a) => a.method === 'cup')?.total).toBe(968 - 870 - 50);
    expect(d.amounts).toEqual(draft(job([bust], { fullBust: [968] })).amounts);
  });

  it('keeps within what an alteration can do', () => {
    const d = draft(job([step('b', 'shoulder-slash')], { shoulder: [40] }));
    expect(d.steps[0]?.values['by']).toBe(-45);
  });

  it('asks for what is measured and not yet planned, and tells what is left', () => {
    const readings = { shoulder: [110], waist: [780], hip: [1030] };
    const before = draft(job([], readings));
    expect(before.asks.map((a) => a.alteration)).toEqual(['grade-between-sizes', 'shoulder-slash']);
    const after = draft(job([step('g', 'grade-between-sizes'), step('b', 'shoulder-slash')], readings));
    expect(after.asks).toEqual([]);
    const left = Object.fromEntries(after.worksheet.map((r) => [r.key, r.left]));
    expect(Math.abs(left['shoulder'] ?? 9)).toBeLessThan(0.1);
    // Size 5 is drafted for a waist of 780 with 30 of ease: nothing is left.
    expect(Math.abs(left['waist'] ?? 9)).toBeLessThan(0.5);
  });
});

describe('what must follow', () => {
  it('is found, named and put right by one step each', () => {
    const steps = [step('a', 'shoulder-redraw', { values: { by: -9 } }), step('b', 'neckline', { values: { by: 12 } })];
    const d = draft(job(steps));
    expect(d.followers.map((f) => f.alteration)).toEqual(['cap-follows']);
    const done = draft(job([...steps, step('c', 'cap-follows')]));
    expect(done.followers).toEqual([]);
    const waist = draft(job([step('a', 'dart-waist-width', { values: { by: 20 } })]));
    expect(waist.followers.map((f) => f.alteration)).toEqual(['skirt-follows']);
    expect(waist.followers[0]?.pieces).toEqual(['skirtFront', 'skirtBack']);
    const hip = step('a', 'side-add', { values: { by: 32, level: 'hip' } });
    expect(draft(job([hip])).followers).toMatchObject([{ alteration: 'pocket-follows', pieces: ['pocket'] }]);
    expect(draft(job([hip, step('b', 'pocket-follows')])).followers).toEqual([]);
  });
  it('never does it unasked', () => {
    const d = draft(job([step('a', 'shoulder-redraw', { values: { by: -9 } })]));
    expect(pieceOf(d.pieces, 'sleeve')).toBe(pieceOf(d.original, 'sleeve'));
    const other = { code: 'outline-crosses', grade: 'fault', data: {} } as const;
    expect(followFor(other, d.pieces)).toBeNull();
  });
});

describe('one side only', () => {
  const left = step('a', 'shoulder-slash', { side: 'left', values: { by: -10 } });
  it('parts the two sides: the fold opened out to a whole, the rest cut once for each', () => {
    const d = draft(job([left]));
    expect(alike(d.sides)).toBe(false);
    expect(d.pieces.map((p) => p.name).slice(0, 4)).toEqual([
      'Bodice front, whole',
      'Bodice back, left',
      'Bodice back, right',
      'Sleeve',
    ]);
    const whole = pieceOf(d.pieces, 'front whole');
    expect(validatePiece(whole)).toEqual([]);
    const shoulders = edgesWithRole(whole, 'shoulder').map((e) => pathLength(e.path));
    expect(shoulders[0]).toBeCloseTo(112, 6);
    expect(shoulders[1]).toBeCloseTo(122, 6);
    expect(whole.fold).toBeNull();
    expect(shoulder(pieceOf(d.pieces, 'back left'))).toBeCloseTo(112, 1);
    expect(shoulder(pieceOf(d.pieces, 'back right'))).toBeCloseTo(122, 6);
    expect(d.checks.map((c) => c.side)).toEqual(['left', 'right']);
  });
  it('lets later steps go on for both, each side from where it is', () => {
    const d = draft(job([left, step('b', 'shoulder-slash', { values: { by: 4 } })]));
    expect(shoulder(pieceOf(d.sides.left.pieces, 'front'))).toBeCloseTo(116, 6);
    expect(shoulder(pieceOf(d.sides.right.pieces, 'front'))).toBeCloseTo(126, 6);
    expect(d.steps[1]?.other?.ok).toBe(true);
  });
  it('says where the halves no longer meet', () => {
    const full = step('a', 'full-bust-side-dart', {
      side: 'right',
      values: { total: 40, whose: 'pattern' },
    });
    const d = draft(job([full]));
    const found = d.check.findings.find((f) => f.code === 'halves-differ');
    const drop =
      pathLength(requireEdge(pieceOf(d.sides.right.pieces, 'front'), 'centreFront').path) -
      pathLength(requireEdge(pieceOf(d.sides.left.pieces, 'front'), 'centreFront').path);
    expect(found?.data['by']).toBeCloseTo(drop, 3);
    expect(draft(job([left])).check.findings.map((f) => f.code)).not.toContain('halves-differ');
  });
  it('opens a symmetric piece out to twice its area', () => {
    const front = pieceOf(pattern.sizes['4'] ?? [], 'front');
    const { piece, apart } = unfoldPiece(front, front);
    expect(apart).toBe(0);
    expect(piece.edges).toHaveLength(2 * (front.edges.length - 1));
    expect(piece.darts).toHaveLength(4);
    expect(validatePiece(piece)).toEqual([]);
  });
});

describe('the order of work', () => {
  const steps = [
    'side-add',
    'full-bust-side-dart',
    'shoulder-slash',
    'length-line',
    'cap-follows',
    'swayback-fold',
  ].map((a, i) => step(`s${i}`, a));
  it('leaves steps of one kind as they stand', () => {
    const alike = ['x', 'y', 'z'].map((id) => step(id, 'side-add'));
    expect(inOrder(alike, 'topDown').map((s) => s.id)).toEqual(['x', 'y', 'z']);
  });
  it('goes top down, or begins with the bust', () => {
    expect(inOrder(steps, 'topDown').map((s) => s.alteration)).toEqual([
      'length-line',
      'shoulder-slash',
      'full-bust-side-dart',
      'swayback-fold',
      'side-add',
      'cap-follows',
    ]);
    expect(inOrder(steps, 'bustFirst')[0]?.alteration).toBe('full-bust-side-dart');
    expect(outOfOrder(inOrder(steps, 'topDown'), 'topDown')).toEqual([]);
    expect(outOfOrder(steps, 'topDown').map((o) => o.step)).toEqual(['s1', 's2', 's3', 's5']);
  });
  it('puts a new step where it belongs, after those of its kind', () => {
    const sorted = inOrder(steps, 'topDown');
    expect(insertAt(sorted, 'shoulder-slope', 'topDown')).toBe(2);
    expect(insertAt(sorted, 'grade-between-sizes', 'topDown')).toBe(0);
    expect(insertAt(sorted, 'fit-allowance', 'topDown')).toBe(6);
    expect(insertAt(sorted, 'bust-point', 'bustFirst')).toBe(0);
  });
  it('tells which steps change the same seam', () => {
    const d = draft(
      job([
        step('a', 'shoulder-redraw', { values: { by: -8 } }),
        step('b', 'armhole-depth', { values: { by: 6 } }),
        step('c', 'hem-sweep', { values: { by: 60 } }),
      ]),
    );
    const met = d.meetings.filter((m) => m.piece === 'front');
    expect(met).toEqual([{ first: 'a', second: 'b', piece: 'front', roles: ['armhole'] }]);
  });
  it('replays from the first changed step only', () => {
    const cache = emptyCache();
    const plan = (by: number) => [
      step('a', 'length-line', { values: { by: -8 } }),
      step('b', 'shoulder-slash', { values: { by: -5 } }),
      step('c', 'side-add', { values: { by } }),
    ];
    const one = draft(job(plan(10)), cache);
    const two = draft(job(plan(20)), cache);
    expect(two.steps[0]).toBe(one.steps[0]);
    expect(two.steps[1]).toBe(one.steps[1]);
    expect(two.steps[2]).not.toBe(one.steps[2]);
    expect(two.pieces).toEqual(draft(job(plan(20))).pieces);
  });
});

describe('a page of what is cut', () => {
  it('keeps a knit without sleeves or skirts free of questions about them', () => {
    const d = draft(job([], { waist: [700] }, samplePattern('ebb', ['4', '5'])));
    expect(d.followers).toEqual([]);
    expect(d.asks.map((a) => a.alteration)).not.toContain('shoulder-slash');
  });
});

describe('a step for both sides that one side cannot take', () => {
  it('is refused and leaves both as they were', () => {
    // On the right the front is cut into panels: no single front has a side dart any more.
    const d = draft(
      job([
        step('a', 'princess-line', { side: 'right' }),
        step('b', 'full-bust-side-dart', { values: { total: 30, whose: 'pattern' } }),
      ]),
    );
    expect(d.steps[0]?.outcome.ok).toBe(true);
    expect(d.steps[1]?.other?.ok).toBe(false);
    expect(d.steps[1]?.outcome).toEqual(d.steps[1]?.other);
    expect(pieceOf(d.sides.left.pieces, 'front')).toBe(pieceOf(d.original, 'front'));
  });
});
