import { describe, expect, it } from 'vitest';
import {
  distance,
  endOf,
  endTangent,
  joinPaths,
  kinkAt,
  move,
  pathLength,
  pointAt,
  startTangent,
  type Point,
} from '../../../geometry/index.ts';
import { edgesWithRole, type Piece, type Seam } from '../../../pattern/index.ts';
import { motionOf } from '../../../paper/slash/index.ts';
import { walkSeam } from '../../../paper/truing/index.ts';
import { SAMPLE_SIZES, type SampleId } from '../../../blocks/index.ts';
import { runOn, sampleIn } from '../../../testing/samples.ts';
import { straightSleeve } from '../../../testing/shapes.ts';
import { expectOk } from '../../../units/index.ts';
import { runAlteration, type Context } from '../../index.ts';
import { sleeveFullness } from './definition.ts';
import { fullOn } from './layout.ts';

const sleeveOf = (pieces: readonly Piece[]): Piece => pieces.find((p) => p.part === 'sleeve') as Piece;
const lengthOf = (piece: Piece, role: 'cap' | 'sleeveHem' | 'underarm') =>
  edgesWithRole(piece, role).reduce((n, e) => n + pathLength(e.path), 0);

/** A tube under a pointed cap: 400 across, its hem 600 below the top. */
const tube = straightSleeve({ cap: 100, under: 200, hem: 200, long: 600 }, [
  { kind: 'grain', id: 'grain', from: { x: 0, y: 120 }, to: { x: 0, y: 560 } },
  { kind: 'notch', id: 'back', edge: 'capBack', at: 50 * Math.sqrt(5), count: 2 },
  { kind: 'notch', id: 'front', edge: 'capFront', at: 50 * Math.sqrt(5), count: 1 },
]);
const alone: Context = { pieces: [tube], seams: [], original: [tube], originalSeams: [], wearer: {} };

describe('a tube with a pointed cap', () => {
  const run = expectOk(runAlteration(sleeveFullness, alone, { by: 200 }), 'run');
  const open = run.frames.find((f) => f.stage === 'open')?.pieces[0];

  it('is cut at a fifth of the way between the notches each: 40 apart, down from the cap', () => {
    // The notches lie at 100 to either side, 50 below the top.
    const { uprights } = expectOk(fullOn([tube], 4), 'full');
    expect(uprights.map((u) => [u.pin.x, u.pin.y, u.foot.y])).toEqual(
      [-60, -20, 20, 60].map((x) => [
        expect.closeTo(x, 9) as number,
        expect.closeTo(Math.abs(x) / 2, 9) as number,
        expect.closeTo(600, 9) as number,
      ]),
    );
  });

  it('opens every line by its share at the hem, and turns the outer strips by all of those before them', () => {
    const { uprights } = expectOk(fullOn([tube], 4), 'full');
    const moved = (id: string, p: Point) =>
      move(open?.panels.find((q) => q.id === id)?.motion ?? { angle: 0, x: 0, y: 0 }, p);
    uprights.forEach(({ foot }, k) =>
      expect(distance(moved(`strip ${k}`, foot), moved(`strip ${k + 1}`, foot))).toBeCloseTo(50, 9),
    );
    const turn = (depth: number): number => 2 * Math.asin(25 / depth);
    const angle = (id: string) => open?.panels.find((p) => p.id === id)?.motion.angle ?? NaN;
    expect(angle('strip 2')).toBe(0);
    expect(angle('strip 3')).toBeCloseTo(-turn(590), 9);
    expect(angle('strip 4')).toBeCloseTo(-turn(590) - turn(570), 9);
    expect(angle('strip 0')).toBeCloseTo(turn(590) + turn(570), 9);
  });

  it('holds its pins at every moment of the spread', () => {
    const spec = open?.moves?.spec;
    expect(spec?.hinges).toHaveLength(4);
    for (const progress of [0, 0.3, 0.7, 1])
      for (const { at, panels } of spec?.hinges ?? []) {
        const [one, two] = panels.map((p) =>
          move(motionOf(spec?.panels ?? [], p, { open: progress, level: 0, close: 0 }), at),
        );
        expect(distance(one as Point, two as Point)).toBeLessThan(1e-9);
      }
  });

  it('keeps the underarm seams, and the grain in the middle', () => {
    const made = sleeveOf(run.pieces);
    for (const e of edgesWithRole(made, 'underarm')) expect(pathLength(e.path)).toBeCloseTo(500, 9);
    expect(made.marks).toContainEqual(tube.marks[0]);
    expect(lengthOf(made, 'sleeveHem')).toBeCloseTo(600, 0);
  });
});

const cases = SAMPLE_SIZES.flatMap((size) =>
  (
    [
      [-40, '4'],
      [60, '4'],
      [150, '6'],
      [300, '8'],
    ] as const
  ).map(([by, uprights]) => [size, by, uprights] as const),
);
describe.each(['causeway', 'causeway-cuff'] as const satisfies readonly SampleId[])('%s', (id) => {
  it.each(cases)(
    'size %s by %i over %s lines: as full as asked, everything sewn to it still fits',
    (size, by, uprights) => {
      const drafted = sampleIn(id, size);
      const run = expectOk(runOn(sleeveFullness, id, size, { by, uprights }), `${by}`);
      const [was, now] = [sleeveOf(drafted.pieces), sleeveOf(run.pieces)];
      expect(lengthOf(now, 'underarm')).toBeCloseTo(lengthOf(was, 'underarm'), 6);
      expect(Math.abs(lengthOf(now, 'sleeveHem') - lengthOf(was, 'sleeveHem') - by)).toBeLessThan(1);
      for (const seam of run.seams) expect(Math.abs(walkSeam(run.pieces, seam).difference), seam.id).toBeLessThan(1);
      expect(run.findings.filter((f) => f.grade === 'fault')).toEqual([]);
      const cuff = run.seams.find((s) => s.id === 'cuff');
      if (cuff) expect(cuff.ease).toBeCloseTo(-80 - by, 9);
    },
  );
});

describe('cut through, the head gathered', () => {
  const by = 200;
  const run = expectOk(runAlteration(sleeveFullness, alone, { by, top: 'gathered', higher: 20 }), 'run');
  const made = sleeveOf(run.pieces);
  const [back, front] = edgesWithRole(made, 'cap');

  it('moves every strip aside by its share: underarm and notches 100 out, the top 20 up, all else straight down', () => {
    expect(back?.path.start).toEqual({ x: -300, y: 100 });
    expect(endOf(front!.path)).toEqual({ x: 300, y: 100 });
    expect(endOf(back!.path).x).toBeCloseTo(0, 9);
    expect(endOf(back!.path).y).toBeCloseTo(-20, 9);
    for (const m of made.marks)
      if (m.kind === 'notch') {
        const at = pointAt((m.id === 'back' ? back : front)!.path, m.at);
        expect([Math.abs(at.x), at.y]).toEqual([expect.closeTo(200, 6), expect.closeTo(50, 6)]);
      }
    expect(lengthOf(made, 'sleeveHem')).toBeCloseTo(600, 0);
    for (const e of edgesWithRole(made, 'underarm')) expect(pathLength(e.path)).toBeCloseTo(500, 9);
  });

  it('goes on from the notch without a bend, and runs level at the top', () => {
    for (const half of [back!, front!]) {
      const at = half === back ? 50 * Math.sqrt(5) : pathLength(half.path) - 50 * Math.sqrt(5);
      expect(Math.abs(kinkAt(half.path, at))).toBeLessThan(1e-6);
    }
    expect(Math.abs(endTangent(back!.path).y)).toBeLessThan(1e-6);
    expect(Math.abs(startTangent(front!.path).y)).toBeLessThan(1e-6);
  });

  it.each(SAMPLE_SIZES)('size %s: the armhole takes the longer cap as gathers, to the hair', (size) => {
    for (const id of ['causeway', 'causeway-cuff'] as const)
      for (const values of [
        { by: 60, uprights: '4', higher: 0 },
        { by: 140, uprights: '6', higher: 30 },
      ]) {
        const drafted = sampleIn(id, size);
        const gathered = expectOk(runOn(sleeveFullness, id, size, { ...values, top: 'gathered' }), id);
        const [was, now] = [sleeveOf(drafted.pieces), sleeveOf(gathered.pieces)];
        const eased = (seams: readonly Seam[]): number =>
          seams.filter((s) => s.kind === 'armhole').reduce((n, s) => n + s.ease, 0);
        expect(eased(gathered.seams) - eased(drafted.seams)).toBeCloseTo(
          lengthOf(now, 'cap') - lengthOf(was, 'cap'),
          6,
        );
        for (const seam of gathered.seams.filter((s) => s.kind === 'armhole'))
          expect(
            Math.abs(
              walkSeam(gathered.pieces, seam).difference -
                walkSeam(
                  drafted.pieces,
                  drafted.seams.find((s) => s.id === seam.id)!,
                ).difference,
            ),
          ).toBeLessThan(1e-6);
        expect(lengthOf(now, 'underarm')).toBeCloseTo(lengthOf(was, 'underarm'), 6);
        expect(gathered.findings.filter((f) => f.grade === 'fault')).toEqual([]);
      }
  });

  it('is refused where the cap would become shorter than its armhole, or is in one line', () => {
    const refused = (pieces: readonly Piece[], seams: readonly Seam[], amount: number): string => {
      const r = runAlteration(
        sleeveFullness,
        { ...alone, pieces, original: pieces, seams, originalSeams: seams },
        { by: amount, top: 'gathered', higher: 0 },
      );
      return r.ok ? 'ran' : r.error.code;
    };
    const { pieces, seams } = sampleIn('causeway', '4');
    expect(refused(pieces, seams, -90)).toBe('cap-too-short');
    const [first, second, ...rest] = tube.edges;
    const whole = { ...tube, edges: [{ ...first!, path: joinPaths([first!.path, second!.path]) }, ...rest], marks: [] };
    expect(refused([whole], [], 60)).toBe('cap-not-in-halves');
  });
});

it('is the same piece where nothing is asked', () => {
  const still = expectOk(runOn(sleeveFullness, 'causeway', '4', { by: 0 }), 'still');
  expect(sleeveOf(still.pieces)).toBe(sleeveOf(sampleIn('causeway', '4').pieces));
});

it('says what cannot be done: no sleeve, an elbow dart, narrower than a hand', () => {
  const code = (id: SampleId, by: number) => {
    const r = runOn(sleeveFullness, id, '4', { by });
    return r.ok ? 'ran' : r.error.code;
  };
  expect(code('causeway-side', 60)).toBe('sleeve-not-found');
  expect(code('causeway-long-sleeve', 60)).toBe('sleeve-has-dart');
  const narrow = straightSleeve({ cap: 100, under: 200, hem: 100, long: 600 }, tube.marks);
  const r = runAlteration(sleeveFullness, { ...alone, pieces: [narrow], original: [narrow] }, { by: -100 });
  expect(r).toMatchObject({ ok: false, error: { code: 'hem-too-narrow' } });
});
