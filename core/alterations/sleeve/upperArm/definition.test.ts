import { describe, expect, it } from 'vitest';
import { distance, flatten, joinPaths, move, nearestOnPath, pathLength, type Point } from '../../../geometry/index.ts';
import { edgesWithRole, requireEdge, type Piece } from '../../../pattern/index.ts';
import { motionOf } from '../../../paper/slash/index.ts';
import { walkSeam } from '../../../paper/truing/index.ts';
import { SAMPLE_CHART, SAMPLE_SIZES } from '../../../blocks/index.ts';
import { straightSleeve } from '../../../testing/shapes.ts';
import { contextOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { flatOf } from '../../kit/flat.ts';
import { sleeveOn, spreadBy } from '../../kit/sleeve.ts';
import { runAlteration, type Context, type Run } from '../../index.ts';
import { upperArm } from './definition.ts';
import { layOut } from './layout.ts';

/** A sleeve of straight lines: cap 140 high, 320 across the biceps line, 580 long from the top of the cap. */
const sleeve = straightSleeve({ cap: 140, under: 160, hem: 120, long: 580 }, [
  { kind: 'grain', id: 'grain', from: { x: 0, y: 60 }, to: { x: 0, y: 500 } },
]);
const alone: Context = { pieces: [sleeve], seams: [], original: [sleeve], originalSeams: [], wearer: {} };
/** What 30 at the inner corners comes to across the biceps line: 2 (160 cos α + 140 sin α) less 320, sin α = 30 / 280. */
const WORKED = 320 * Math.sqrt(1 - (30 / 280) ** 2) + 30 - 320;

describe('a sleeve of straight lines, opened by 30 at the biceps line', () => {
  const on = expectOk(sleeveOn([sleeve]), 'sleeve');
  const laid = expectOk(layOut(on, WORKED, 0), 'laid out');
  const run = expectOk(runAlteration(upperArm, alone, { by: WORKED }), 'run');
  const open = run.frames.find((f) => f.stage === 'open')?.pieces[0];

  it('turns the upper halves by asin(s / 2h), and the lower ones until they meet at the hem', () => {
    const degrees = (radians: number): number => (radians * 180) / Math.PI;
    expect(degrees(laid.spread.angles[0])).toBeCloseTo(6.151, 3);
    expect(degrees(laid.spread.angles[1])).toBeCloseTo(-6.151, 3);
    expect(laid.opened).toBeCloseTo(30, 3);
    expect(laid.lap).toBeCloseTo(22.293, 3);
    expect(laid.spread.drop).toBeCloseTo(17.949, 3);
    const end = laid.spread.ends[1];
    expect([end.x, end.y]).toEqual([expect.closeTo(174.079, 3), expect.closeTo(122.051, 3)]);
  });

  it('moves the paper so: the foot of the grain rises to 556.674', () => {
    const at = (panel: string, p: Point): Point =>
      move(open?.panels.find((q) => q.id === panel)?.motion ?? { angle: 0, x: 0, y: 0 }, p);
    for (const panel of ['lower 0', 'lower 1']) expect(at(panel, { x: 0, y: 580 }).y).toBeCloseTo(556.674, 3);
    const turned = open?.panels.find((q) => q.id === 'lower 1')?.motion.angle ?? 0;
    expect((Math.abs(turned) * 180) / Math.PI).toBeCloseTo(1.844, 3);
  });

  it('is as wide as asked, at its old height, its underarm seams as long as before', () => {
    const made = expectOk(sleeveOn(run.pieces), 'made');
    expect(distance(...made.ends)).toBeCloseTo(320 + WORKED, 6);
    expect(made.ends[0].y).toBeCloseTo(made.ends[1].y, 6);
    expect(made.ends[1].y - made.top.y).toBeCloseTo(140, 6);
    for (const e of edgesWithRole(run.pieces[0] as Piece, 'underarm'))
      expect(pathLength(e.path)).toBeCloseTo(Math.hypot(40, 440), 6);
  });

  it('holds its pins at every moment of the spread', () => {
    const spec = open?.moves?.spec;
    for (const progress of [0, 0.2, 0.5, 0.8, 1])
      for (const { at, panels } of spec?.hinges ?? []) {
        const [one, two] = panels.map((p) =>
          move(motionOf(spec?.panels ?? [], p, { open: progress, level: 0, close: 0 }), at),
        );
        expect(distance(one as Point, two as Point)).toBeLessThan(1e-9);
      }
    expect(spec?.hinges).toHaveLength(4);
  });
});

const ease = (run: Pick<Run, 'pieces' | 'seams'>) =>
  run.seams.filter((s) => s.kind === 'armhole').map((s) => walkSeam(run.pieces, s));

describe.each(SAMPLE_SIZES)('the set-in sleeve in size %s', (size) => {
  const drafted = sampleIn('causeway', size);
  const width = (pieces: readonly Piece[]): number => flatOf({ pieces, seams: drafted.seams }, 'upperArm')?.value ?? 0;

  it.each([-30, -10, 8, 20, 40])('by %i: as wide as asked, cap and armhole settled in each of the three ways', (by) => {
    for (const cap of ['keep', 'lower', 'underarm'])
      for (const wrist of [0, 20]) {
        const done = runOn(upperArm, 'causeway', size, { by, cap, wrist });
        if (cap === 'underarm' && by === -30) {
          expect(done).toMatchObject({ ok: false, error: { code: 'armhole-cannot-follow' } });
          continue;
        }
        const run = expectOk(done, `${cap} ${wrist}`);
        expect(width(run.pieces) - width(drafted.pieces), cap).toBeCloseTo(by, 4);
        for (const walk of ease(run)) expect(walk.difference, `${cap} ${walk.seam.id}`).toBeCloseTo(0, 1);
        expect(
          run.findings.filter((f) => f.grade === 'fault'),
          cap,
        ).toEqual([]);
        const [one, other] = edgesWithRole(run.pieces.find((p) => p.part === 'sleeve') as Piece, 'underarm');
        expect(pathLength(one!.path)).toBeCloseTo(pathLength(other!.path), 4);
        const was = edgesWithRole(drafted.pieces.find((p) => p.part === 'sleeve') as Piece, 'underarm')[0];
        expect(pathLength(one!.path)).toBeCloseTo(pathLength(was!.path), 4);
        const eases = run.seams.filter((s) => s.kind === 'armhole').map((s) => s.ease);
        const before = drafted.seams.filter((s) => s.kind === 'armhole').map((s) => s.ease);
        if (cap === 'keep') eases.forEach((e, i) => expect(Math.sign(e - before[i]!)).toBe(Math.sign(by)));
        else expect(eases).toEqual(before);
      }
  });

  it('opens the hem by what is asked, and not at all when it is pinned', () => {
    const hem = (r: Run) =>
      pathLength(requireEdge(r.pieces.find((p) => p.part === 'sleeve') as Piece, 'sleeveHem').path);
    const [pinned, opened] = [0, 24].map((wrist) =>
      expectOk(runOn(upperArm, 'causeway', size, { by: 24, wrist }), 'run'),
    );
    const was = pathLength(requireEdge(drafted.pieces.find((p) => p.part === 'sleeve') as Piece, 'sleeveHem').path);
    expect(hem(pinned!)).toBeGreaterThan(was - 0.6);
    expect(hem(pinned!)).toBeLessThanOrEqual(was + 1e-6);
    expect(hem(opened!) - was).toBeCloseTo(24, 0);
  });
});

describe('the cap against the armholes', () => {
  const ran = (values: object) => expectOk(runOn(upperArm, 'causeway', '4', { ...values }), JSON.stringify(values));
  const told = (r: Run) => r.findings.map((f) => f.code);
  it('is told where it has more ease than cloth takes up, or is too short, and only where that is left so', () => {
    expect(told(ran({ by: 8 }))).toEqual([]);
    expect(told(ran({ by: 40 }))).toEqual(['cap-ease-large']);
    expect(told(ran({ by: -40 }))).toContain('cap-ease-missing');
    expect(told(ran({ by: 40, cap: 'lower' }))).toEqual([]);
  });
  it('is told in lengths that add up', () => {
    const data =
      ran({ by: 30 })
        .frames.flatMap((f) => f.messages)
        .find((m) => m.code === 'upperArm.keep')?.data ?? {};
    const [was, now, armhole] = ['was', 'now', 'armhole'].map((k) => Number(data[k]));
    expect(Number(data['easeNow']) - Number(data['easeWas'])).toBeCloseTo(now! - was!, 9);
    // Eased in as drafted: 8 in front and 10 behind.
    expect(was! - armhole!).toBeCloseTo(18, 1);
  });
  it('lies on the grain as before, straight down', () => {
    const sleeveNow = ran({ by: 30 }).pieces.find((p) => p.part === 'sleeve');
    const grain = sleeveNow?.marks.find((m) => m.kind === 'grain');
    expect(grain?.kind === 'grain' && grain.from.x - grain.to.x).toBe(0);
  });
});

describe('there and back', () => {
  it('the width comes back, and the cap to within a millimetre', () => {
    const there = expectOk(runOn(upperArm, 'causeway', '4', { by: 20 }), 'there');
    const back = expectOk(runOn(upperArm, 'causeway', '4', { by: -20 }, there), 'back');
    const of = (pieces: readonly Piece[]) => expectOk(sleeveOn(pieces), 'sleeve');
    const drafted = sampleIn('causeway', '4').pieces;
    expect(distance(...of(back.pieces).ends)).toBeCloseTo(distance(...of(drafted).ends), 4);
    for (const [i, e] of of(back.pieces).caps.entries())
      expect(Math.abs(pathLength(e.path) - pathLength(of(drafted).caps[i]!.path))).toBeLessThan(1);
  });
});

describe('a sleeve of another hand', () => {
  const drafted = sampleIn('causeway', '4').pieces.find((p) => p.part === 'sleeve') as Piece;
  const widened = (piece: Piece): Piece =>
    expectOk(runAlteration(upperArm, { ...alone, pieces: [piece], original: [piece] }, { by: 24 }), 'run').pieces[0]!;

  it('with its cap in one line gets the same cap, its notches as far from the top', () => {
    const [back, front] = ['capBack', 'capFront'].map((id) => requireEdge(drafted, id));
    const half = pathLength(back!.path);
    const whole: Piece = {
      ...drafted,
      edges: [
        { ...back!, id: 'cap', path: joinPaths([back!.path, front!.path]) },
        ...drafted.edges.filter((e) => e.role !== 'cap'),
      ],
      marks: drafted.marks.map((m) =>
        m.kind === 'notch' ? { ...m, edge: 'cap', at: m.edge === 'capBack' ? m.at : half + m.at } : m,
      ),
    };
    const [one, two] = [widened(drafted), widened(whole)];
    const outline = (p: Piece) => edgesWithRole(p, 'cap').flatMap((e) => flatten(e.path, 0.1));
    for (const p of outline(two))
      expect(Math.min(...edgesWithRole(one, 'cap').map((e) => nearestOnPath(e.path, p).distance))).toBeLessThan(0.2);
    const top = pathLength(requireEdge(one, 'capBack').path);
    for (const id of ['capBack', 'capFront']) {
      const at = (p: Piece) => p.marks.flatMap((m) => (m.kind === 'notch' && m.id === id ? [m.at] : []))[0] ?? NaN;
      expect(at(two)).toBeCloseTo(id === 'capBack' ? at(one) : top + at(one), 0);
    }
  });

  it('of which no armhole, or only one, is known gets its cap as long as before, or says that the armhole is missing', () => {
    const cap = (p: Piece) => edgesWithRole(p, 'cap').map((e) => pathLength(e.path));
    const { pieces, seams } = sampleIn('causeway', '4');
    for (const known of [[], seams.filter((s) => s.kind === 'armhole').slice(0, 1)]) {
      const context = { ...alone, pieces, original: pieces, seams: known, originalSeams: known };
      const run = expectOk(runAlteration(upperArm, context, { by: 24, cap: 'lower' }), 'lower');
      const now = cap(run.pieces.find((p) => p.part === 'sleeve') as Piece);
      cap(drafted).forEach((length, i) => expect(now[i]).toBeCloseTo(length, 2));
    }
    const unknown = { ...alone, pieces, original: pieces };
    expect(runAlteration(upperArm, unknown, { by: 10, cap: 'underarm' })).toMatchObject({
      error: { code: 'armhole-missing' },
    });
  });

  it('without notches is drawn again all the same, as wide as asked', () => {
    const bare = { ...drafted, marks: drafted.marks.filter((m) => m.kind !== 'notch') };
    const width = (p: Piece) => distance(...expectOk(sleeveOn([p]), 'sleeve').ends);
    expect(width(widened(bare)) - width(bare)).toBeCloseTo(24, 6);
  });
});

describe('what is asked of a body', () => {
  it('is nothing of the body each size was drafted for, and the difference of one with a fuller arm', () => {
    for (const size of SAMPLE_SIZES) {
      const context = contextOn('causeway', size);
      const body = Number(SAMPLE_CHART.find((r) => r.size === size)?.body.upperArm);
      const pattern = flatOf(context, 'upperArm')?.value ?? 0;
      const asked = (arm: number) =>
        upperArm.fits?.({ ...context, wearer: { upperArm: arm }, ease: { upperArm: pattern - body } })?.values['by'];
      expect(asked(body)).toBe(0);
      expect(asked(body + 32)).toBeCloseTo(32, 6);
    }
  });
});

describe('what cannot be done', () => {
  const refused = (pieces: readonly Piece[], values = { by: 20 }) => {
    const r = runAlteration(upperArm, { ...alone, pieces, original: pieces }, values);
    return r.ok ? 'ran' : r.error.code;
  };
  it('is said: no sleeve, no underarm seams, no hem below the cap, a cap too flat', () => {
    expect(refused(sampleIn('causeway-side', '4').pieces)).toBe('sleeve-not-found');
    expect(refused(sampleIn('ebb', '4').pieces)).toBe('sleeve-not-found');
    const renamed = (role: 'underarm' | 'sleeveHem') => [
      { ...sleeve, edges: sleeve.edges.map((e) => (e.role === role ? { ...e, role: 'other' as const } : e)) },
    ];
    expect(refused(renamed('underarm'))).toBe('sleeve-landmark-missing');
    expect(refused(renamed('sleeveHem'))).toBe('sleeve-landmark-missing');
    const flat = (p: Point): Point => ({ x: p.x, y: p.y <= 140 ? 140 - (140 - p.y) / 14 : p.y });
    const low = {
      ...sleeve,
      edges: sleeve.edges.map((e) => ({
        ...e,
        path: { start: flat(e.path.start), segments: e.path.segments.map((s) => ({ ...s, to: flat(s.to) })) },
      })),
    };
    expect(refused([low as Piece])).toBe('sleeve-too-wide');
    expect(spreadBy(expectOk(sleeveOn([low as Piece]), 'low'), 4)).toBeNull();
    // Ten millimetres below the biceps line the halves do not reach each other at the hem, unless that opens too.
    const cap = (y: number): number => (y > 140 ? 150 : y);
    const short = {
      ...sleeve,
      edges: sleeve.edges.map((e) => ({
        ...e,
        path: {
          start: { ...e.path.start, y: cap(e.path.start.y) },
          segments: e.path.segments.map((s) => ({ ...s, to: { ...s.to, y: cap(s.to.y) } })),
        },
      })),
    } as Piece;
    expect(refused([short])).toBe('sleeve-too-wide');
    expect(layOut(expectOk(sleeveOn([short]), 'short'), 20, 20).ok).toBe(true);
  });
});
