import { describe, expect, it } from 'vitest';
import { distance, endOf, pathLength } from '../../../geometry/index.ts';
import { edgesWithRole, levelOf, outlineOf, requireEdge, type Piece } from '../../../pattern/index.ts';
import { walkSeam } from '../../../paper/truing/index.ts';
import { SAMPLE_CHART, SAMPLE_SIZES, type SampleId } from '../../../blocks/index.ts';
import { contextOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { straightSleeve } from '../../../testing/shapes.ts';
import { expectOk } from '../../../units/index.ts';
import { flatOf } from '../../kit/flat.ts';
import { runAlteration, type Context } from '../../index.ts';
import { sleeveLength } from './definition.ts';

const sleeveOf = (pieces: readonly Piece[]): Piece => pieces.find((p) => p.part === 'sleeve') as Piece;
const lengthOf = (piece: Piece, role: 'cap' | 'sleeveHem' | 'underarm') =>
  edgesWithRole(piece, role).reduce((n, e) => n + pathLength(e.path), 0);
const LONG = ['causeway-long-sleeve', 'causeway-cuff'] as const satisfies readonly SampleId[];

/** A straight sleeve, 400 across and 500 from underarm to hem, its elbow half-way: every length can be read off. */
const tube = straightSleeve({ cap: 100, under: 200, hem: 200, long: 600 }, [
  { kind: 'grain', id: 'grain', from: { x: 0, y: 120 }, to: { x: 0, y: 560 } },
  { kind: 'level', id: 'elbow', name: 'elbow', at: { x: 0, y: 350 } },
  { kind: 'notch', id: 'low', edge: 'underarmFront', at: 400, count: 1 },
]);
const alone: Context = { pieces: [tube], seams: [], original: [tube], originalSeams: [], wearer: {} };
const onTube = (values: object): Piece =>
  sleeveOf(expectOk(runAlteration(sleeveLength, alone, { ...values }), 'tube').pieces);

describe('a tube of a sleeve', () => {
  it('takes each part where it belongs: elbow, hem and a notch go down by what lies above them', () => {
    const made = onTube({ by: 30, upper: 12 });
    expect(levelOf(made, 'elbow')?.y).toBeCloseTo(362, 9);
    expect(requireEdge(made, 'hem').path.start.y).toBeCloseTo(630, 9);
    // 400 below the underarm lies 25 below the lower line.
    expect(made.marks).toContainEqual(expect.objectContaining({ id: 'low', at: expect.closeTo(430, 9) as number }));
    expect(requireEdge(made, 'underarmFront').path.segments).toHaveLength(1);
  });
  it('moves the elbow alone, the hem staying', () => {
    const made = onTube({ by: 0, upper: 12 });
    expect(levelOf(made, 'elbow')?.y).toBeCloseTo(362, 9);
    expect(requireEdge(made, 'hem').path.start.y).toBeCloseTo(600, 9);
  });
  it('is not cut for a fifth of a millimetre: the other line takes it', () => {
    for (const upper of [0.2, 29.8]) {
      const run = expectOk(runAlteration(sleeveLength, alone, { by: 30, upper }), 'run');
      expect(requireEdge(sleeveOf(run.pieces), 'hem').path.start.y).toBeCloseTo(630, 9);
      expect(run.frames.find((f) => f.stage === 'cut')?.pieces[0]?.moves?.spec.cuts).toHaveLength(1);
    }
  });
  it('is cut once where no elbow line is drawn', () => {
    const plain: Piece = { ...tube, marks: tube.marks.filter((m) => m.kind !== 'level') };
    const run = expectOk(
      runAlteration(sleeveLength, { ...alone, pieces: [plain], original: [plain] }, { by: -20 }),
      'plain',
    );
    expect(requireEdge(sleeveOf(run.pieces), 'hem').path.start.y).toBeCloseTo(580, 9);
    expect(run.frames.find((f) => f.stage === 'cut')?.pieces[0]?.moves?.spec.cuts).toHaveLength(1);
  });
});

describe.each(LONG)('%s', (id) => {
  const cases = SAMPLE_SIZES.flatMap((size) =>
    [
      [40, 15],
      [-30, -30],
      [60, 0],
      [0, 12],
      [-8, 10],
    ].map(([by, upper]) => [size, by!, upper!] as const),
  );
  it.each(cases)('size %s by %i, %i of it above the elbow: as long as asked, both seams alike', (size, by, upper) => {
    const drafted = sampleIn(id, size);
    const run = expectOk(runOn(sleeveLength, id, size, { by, upper }), `${by} ${upper}`);
    const was = sleeveOf(drafted.pieces);
    const now = sleeveOf(run.pieces);
    const measured = (key: 'shoulderToWrist' | 'shoulderToElbow') =>
      flatOf({ pieces: run.pieces, seams: run.seams }, key)!.value -
      flatOf({ pieces: drafted.pieces, seams: drafted.seams }, key)!.value;
    expect(measured('shoulderToElbow')).toBeCloseTo(upper, 6);
    // A forearm that is turned by an elbow dart is measured to the middle of its hem, a hair aside of its own middle.
    expect(Math.abs(measured('shoulderToWrist') - by)).toBeLessThan(0.06);
    for (const role of ['cap', 'sleeveHem'] as const) expect(lengthOf(now, role)).toBeCloseTo(lengthOf(was, role), 6);
    const seam = run.seams.find((s) => s.id === 'sleeve underarm')!;
    // Straight seams are ruled; the front seam of a bent sleeve is drawn again as near as one curve comes.
    const off = Math.abs(walkSeam(run.pieces, seam).difference);
    expect(off).toBeLessThan(id === 'causeway-cuff' ? 1e-6 : 0.15);
    expect(run.findings.filter((f) => f.grade === 'fault')).toEqual([]);
    expect(now.darts.map((d) => d.kind)).toEqual(was.darts.map((d) => d.kind));
  });
});

describe('there, back, and nothing', () => {
  it('comes back to within a twentieth of a millimetre, and nothing is the same piece', () => {
    for (const id of LONG) {
      const there = expectOk(runOn(sleeveLength, id, '4', { by: 30, upper: 12 }), 'there');
      const back = expectOk(runOn(sleeveLength, id, '4', { by: -30, upper: -12 }, there), 'back');
      const [was, now] = [sleeveOf(sampleIn(id, '4').pieces), sleeveOf(back.pieces)];
      for (const e of was.edges)
        expect(Math.min(...outlineOf(now).segments.map((s) => distance(s.to, e.path.start))), e.id).toBeLessThan(0.5);
      const still = expectOk(runOn(sleeveLength, id, '4', { by: 0, upper: 0 }), 'still');
      expect(sleeveOf(still.pieces)).toBe(was);
    }
  });
});

describe('what is asked of a body', () => {
  const row = (size: string) => SAMPLE_CHART.find((r) => r.size === size)!.body;
  const ease = (context: Context, size: string) =>
    Object.fromEntries(
      (['shoulderToWrist', 'shoulderToElbow'] as const).map((k) => [
        k,
        (flatOf(context, k)?.value ?? 0) - row(size)[k]!,
      ]),
    );
  const asked = (id: SampleId, size: string, wearer: Context['wearer']) => {
    const context = contextOn(id, size);
    return sleeveLength.fits?.({ ...context, wearer, ease: ease(context, size) })?.values;
  };
  it('is nothing of the body each size was drafted for', () => {
    for (const id of LONG)
      for (const size of SAMPLE_SIZES) {
        const { shoulderToWrist, shoulderToElbow } = row(size);
        const of = asked(id, size, { shoulderToWrist: shoulderToWrist!, shoulderToElbow: shoulderToElbow! });
        expect(of).toEqual({ by: 0, upper: 0 });
      }
  });
  it('is each part by its own difference, and none of a part that is right', () => {
    const { shoulderToWrist: wrist, shoulderToElbow: elbow } = row('4') as {
      shoulderToWrist: number;
      shoulderToElbow: number;
    };
    const of = (w: number, e: number) =>
      asked(LONG[0], '4', { shoulderToWrist: wrist + w, shoulderToElbow: elbow + e });
    expect(of(30, 12)).toEqual({ by: 30, upper: 12 });
    expect(of(20, 2)).toEqual({ by: 20, upper: 0 });
    expect(of(20, 18)).toEqual({ by: 20, upper: 20 });
    // Without the elbow measured the difference is shared.
    expect(asked(LONG[0], '4', { shoulderToWrist: wrist + 30 })).toEqual({ by: 30, upper: 15 });
  });
  it('is nothing of a short sleeve, whatever the arm', () => {
    expect(asked('causeway', '4', { shoulderToWrist: 640, shoulderToElbow: 380 })).toBeUndefined();
  });
});

describe('what cannot be done', () => {
  const code = (id: SampleId, values: object) => {
    const r = runOn(sleeveLength, id, '4', { ...values });
    return r.ok ? 'ran' : r.error.code;
  };
  it('is said: no sleeve with a cap, more than there is', () => {
    expect(code('causeway-side', { by: 10 })).toBe('sleeve-not-found');
    expect(code('ebb', { by: 10 })).toBe('sleeve-not-found');
    for (const upper of [-200, 0]) expect(code('causeway', { by: -200, upper })).not.toBe('ran');
  });
  it('a sleeve whose underarm seams have no name says what is missing', () => {
    const bare: Piece = {
      ...tube,
      edges: tube.edges.map((e) => (e.role === 'underarm' ? { ...e, role: 'other' } : e)),
    };
    const r = runAlteration(sleeveLength, { ...alone, pieces: [bare], original: [bare] }, { by: 10 });
    expect(r).toMatchObject({ ok: false, error: { code: 'sleeve-landmark-missing' } });
  });
  it('a hem end lies where the seam ends', () => {
    const made = onTube({ by: 30, upper: 12 });
    expect(endOf(requireEdge(made, 'underarmFront').path)).toEqual(requireEdge(made, 'hem').path.start);
  });
});
