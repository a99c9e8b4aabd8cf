import { describe, expect, it } from 'vitest';
import { endOf, pathLength } from '../../geometry/index.ts';
import {
  edgesWithRole,
  levelOf,
  requireEdge,
  widthAt,
  type MeasurementKey,
  type Piece,
  type Seam,
} from '../../pattern/index.ts';
import { walkSeam } from '../../paper/truing/index.ts';
import { SAMPLE_SIZES } from '../../blocks/index.ts';
import { contextOn, runOn, sampleIn } from '../../testing/samples.ts';
import { straightTrousers } from '../../testing/shapes.ts';
import { expectOk } from '../../units/index.ts';
import { flatOf } from '../kit/flat.ts';
import { runAlteration, type AlterationDefinition, type Context, type Values } from '../index.ts';
import { crotchDepth } from './crotchDepth/definition.ts';
import { crotchLength } from './crotchLength/definition.ts';
import { frontDip } from './frontDip/definition.ts';
import { fullSeatTrousers } from './fullSeat/definition.ts';
import { trouserHipDepth } from './hipDepth/definition.ts';
import { trouserHip } from './hip/definition.ts';
import { legLength } from './legLength/definition.ts';
import { thigh } from './thigh/definition.ts';
import { trouserWaist } from './waist/definition.ts';

interface On {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
}
const measured = (on: On, key: MeasurementKey): number => flatOf(on, key)!.value;
const grown = (was: On, now: On, key: MeasurementKey): number => measured(now, key) - measured(was, key);
const half = (on: On, id: string): Piece => on.pieces.find((p) => p.id === id)!;
const length = (on: On, id: string, role: 'hem' | 'waist' | 'crotch' | 'side' | 'inseam'): number =>
  edgesWithRole(half(on, id), role).reduce((n, e) => n + pathLength(e.path), 0);

/** What is asked, which measurement answers it and how closely, and what must stay as it was. */
const ASKED: readonly (readonly [AlterationDefinition, Values, MeasurementKey, number, readonly MeasurementKey[]])[] = [
  [crotchDepth, { by: 18 }, 'crotchDepth', 1e-6, ['waist', 'hip', 'thigh', 'knee']],
  [crotchDepth, { by: -14 }, 'crotchDepth', 1e-6, ['waist', 'hip', 'thigh', 'knee']],
  [trouserHip, { by: 40 }, 'hip', 1e-6, ['waist', 'crotchDepth', 'crotchLength', 'knee']],
  [trouserHip, { by: -28 }, 'hip', 1e-6, ['waist', 'crotchDepth', 'crotchLength', 'knee']],
  [trouserHip, { by: 40, way: 'slash' }, 'hip', 1, ['waist', 'crotchLength']],
  [trouserHip, { by: -28, way: 'slash' }, 'hip', 1, ['waist', 'crotchLength']],
  [trouserHipDepth, { by: 18 }, 'hipDepth', 0.5, ['waist', 'hip', 'crotchDepth', 'crotchLength', 'knee']],
  [trouserHipDepth, { by: -15 }, 'hipDepth', 0.5, ['waist', 'hip', 'crotchDepth', 'crotchLength', 'knee']],
  [trouserWaist, { by: 24 }, 'waist', 1e-4, ['hip', 'crotchDepth', 'crotchLength', 'thigh', 'outsideLeg']],
  [trouserWaist, { by: -60 }, 'waist', 1e-4, ['hip', 'crotchLength', 'thigh']],
  [trouserWaist, { by: 20, darts: 0 }, 'waist', 1e-4, ['hip', 'crotchLength', 'thigh']],
  [thigh, { by: 30 }, 'thigh', 1e-6, ['waist', 'hip', 'crotchDepth', 'knee', 'outsideLeg']],
  [thigh, { by: -20 }, 'thigh', 1e-6, ['waist', 'hip', 'crotchDepth', 'knee', 'outsideLeg']],
  [crotchLength, { by: 30 }, 'crotchLength', 0.05, ['waist', 'thigh', 'knee', 'outsideLeg']],
  [crotchLength, { by: -20, takes: 'belly' }, 'crotchLength', 0.05, ['waist', 'thigh', 'knee', 'outsideLeg']],
  [crotchLength, { by: 30, takes: 'seat', fork: 0.4 }, 'crotchLength', 0.05, ['waist', 'knee', 'outsideLeg']],
  [fullSeatTrousers, { by: 24 }, 'crotchLength', 0.05, ['waist', 'crotchDepth', 'knee', 'outsideLeg']],
  [fullSeatTrousers, { by: -18 }, 'crotchLength', 0.05, ['waist', 'crotchDepth', 'knee', 'outsideLeg']],
  [legLength, { by: 36, upper: 14 }, 'outsideLeg', 0.02, ['waist', 'hip', 'crotchLength', 'thigh', 'knee']],
  [legLength, { by: -50 }, 'outsideLeg', 0.02, ['waist', 'hip', 'crotchLength', 'thigh', 'knee', 'waistToKnee']],
];
const cases = ASKED.flatMap((asked) =>
  SAMPLE_SIZES.map((size) => [asked[0].id, JSON.stringify(asked[1]), size, asked] as const),
);

describe('what is asked of trousers', () => {
  it.each(cases)(
    '%s %s size %s: re-measures as asked, seams alike, hems level, the rest as drafted',
    (_id, _v, size, asked) => {
      const [definition, values, key, within, kept] = asked;
      const was = sampleIn('landing', size);
      const run = expectOk(runOn(definition, 'landing', size, values), definition.id);
      expect(Math.abs(grown(was, run, key) - Number(values['by']))).toBeLessThan(within);
      for (const k of kept) expect(Math.abs(grown(was, run, k)), k).toBeLessThan(k === 'crotchDepth' ? 1e-3 : 0.35);
      for (const id of ['side', 'inseam'])
        expect(
          Math.abs(
            walkSeam(
              run.pieces,
              run.seams.find((s) => s.id === id)!,
            ).difference,
          ),
          id,
        ).toBeLessThan(0.3);
      for (const p of run.pieces.filter((x) => x.part === 'trouserFront' || x.part === 'trouserBack')) {
        const hem = edgesWithRole(p, 'hem')[0]!.path;
        // Sides made equal are put right at the hem: less than a pencil's width.
        expect(Math.abs(endOf(hem).y - hem.start.y)).toBeLessThan(1);
        // Slashed, the leg is wider down to the hem by a quarter of what is asked.
        const wider = values['way'] === 'slash' ? Number(values['by']) / 4 : 0;
        expect(Math.abs(length(run, p.id, 'hem') - length(was, p.id, 'hem') - wider)).toBeLessThan(wider ? 0.2 : 0.005);
      }
      expect(run.findings.filter((f) => f.grade === 'fault')).toEqual([]);
    },
  );

  it.each([
    [crotchDepth, { by: 12 }, { by: -12 }, 'crotchDepth'],
    [trouserHip, { by: 24 }, { by: -24 }, 'hip'],
    [trouserHip, { by: 24, way: 'slash' }, { by: -24, way: 'slash' }, 'hip'],
    [trouserHipDepth, { by: 15 }, { by: -15 }, 'hipDepth'],
    [trouserWaist, { by: 20 }, { by: -20 }, 'waist'],
    [thigh, { by: 16 }, { by: -16 }, 'thigh'],
    [legLength, { by: 30, upper: 10 }, { by: -30, upper: -10 }, 'outsideLeg'],
    [crotchLength, { by: 16 }, { by: -16 }, 'crotchLength'],
    [fullSeatTrousers, { by: 12 }, { by: -12 }, 'crotchLength'],
    [frontDip, { by: 10 }, { by: -10 }, 'crotchLength'],
  ] as const)('%# goes there and back, and does nothing by nothing', (definition, there, back, key) => {
    const was = sampleIn('landing', '5');
    const gone = expectOk(runOn(definition, 'landing', '5', there), 'there');
    const home = expectOk(runOn(definition, 'landing', '5', back, gone), 'back');
    expect(Math.abs(grown(was, home, key))).toBeLessThan(0.4);
    const nothing = Object.fromEntries(Object.entries(there).map(([k, v]) => [k, typeof v === 'number' ? 0 : v]));
    const still = expectOk(runOn(definition, 'landing', '5', nothing), 'nothing');
    for (const p of was.pieces) expect(half(still, p.id)).toBe(p);
  });
});

describe('a hip line moved', () => {
  it.each(SAMPLE_SIZES)(
    'size %s: as wide there as it was at the old line, darts longer or shorter by as much',
    (size) => {
      const was = sampleIn('landing', size);
      for (const by of [20, -18]) {
        const run = expectOk(runOn(trouserHipDepth, 'landing', size, { by }), 'moved');
        for (const id of ['trouserFront', 'trouserBack']) {
          const [before, after] = [half(was, id), half(run, id)];
          const hip = levelOf(before, 'hip')!.y;
          expect(levelOf(after, 'hip')!.y).toBeCloseTo(hip + by, 9);
          const [w, v] = [widthAt(before, hip), widthAt(after, hip + by)].map((x) => expectOk(x, 'width').width);
          expect(v!).toBeCloseTo(w!, 4);
          // Its tip is set straight below where it was; the legs are trued, so that the mouth may shift a little.
          expect(after.darts[0]!.tip.y - before.darts[0]!.tip.y).toBeCloseTo(by, 9);
        }
      }
    },
  );

  it('is refused where a dart would vanish, or no line is drawn', () => {
    const code = (pieces: readonly Piece[]): string => {
      const r = runAlteration(trouserHipDepth, { ...contextOn('landing', '4'), pieces }, { by: -60 });
      return r.ok ? 'ran' : r.error.code;
    };
    const { pieces } = sampleIn('landing', '4');
    const shortDart = pieces.map((p) => ({
      ...p,
      darts: p.darts.map((d) => ({ ...d, tip: { ...d.tip, y: d.tip.y - 40 } })),
    }));
    expect(code(shortDart)).toBe('hip-dart-too-short');
    expect(code(pieces.map((p) => ({ ...p, marks: p.marks.filter((m) => m.kind !== 'level') })))).toBe('hip-missing');
  });

  it('is asked for by the wearer’s own hip depth, by the difference along the side', () => {
    const on = contextOn('landing', '4');
    const flat = measured(on, 'hipDepth');
    expect(trouserHipDepth.fits?.({ ...on, wearer: { hipDepth: flat + 22 } })?.values).toEqual({ by: 22 });
  });
});

describe('a longer crotch seam, worked by hand', () => {
  const [front, back] = straightTrousers();
  const context: Context = { pieces: [front, back], seams: [], original: [front, back], originalSeams: [], wearer: {} };
  it('turns the upper part about the side by 2·asin(20 / 400): cos 0.995, sin 0.0998749', () => {
    const run = expectOk(runAlteration(crotchLength, context, { by: 20, takes: 'seat' }), 'seat');
    const waist = requireEdge(half(run, 'trouserBack'), 'waist').path;
    // From the pin (200, 200) the corners lie (0, −200) and (−200, −200) away.
    expect(endOf(waist).x).toBeCloseTo(219.97498, 4);
    expect(endOf(waist).y).toBeCloseTo(1, 4);
    expect(waist.start.x).toBeCloseTo(20.97498, 4);
    expect(waist.start.y).toBeCloseTo(-18.97498, 4);
    expect(half(run, 'trouserFront')).toBe(front);
  });
  it('opens both halves by half each, and none in front for the seat alone', () => {
    const run = expectOk(runAlteration(crotchLength, context, { by: 20 }), 'both');
    // 2·asin(10 / 400): cos 0.99875, sin 0.0499844.
    for (const id of ['trouserFront', 'trouserBack']) {
      const corner = endOf(requireEdge(half(run, id), 'waist').path);
      expect(corner.x).toBeCloseTo(200 + 200 * 0.0499844, 4);
      expect(corner.y).toBeCloseTo(200 - 200 * 0.99875, 4);
    }
  });
});

describe('a waist that dips in front', () => {
  it.each(SAMPLE_SIZES)('size %s: lower at the centre, as long as before, the side untouched', (size) => {
    const was = sampleIn('landing', size);
    for (const by of [14, -12]) {
      const run = expectOk(runOn(frontDip, 'landing', size, { by }), 'dip');
      const top = (on: On): number => endOf(requireEdge(half(on, 'trouserFront'), 'crotch').path).y;
      expect(top(run) - top(was)).toBeCloseTo(by, 9);
      expect(length(run, 'trouserFront', 'waist')).toBeCloseTo(length(was, 'trouserFront', 'waist'), 1);
      expect(requireEdge(half(run, 'trouserFront'), 'side')).toEqual(requireEdge(half(was, 'trouserFront'), 'side'));
      expect(half(run, 'trouserBack')).toBe(half(was, 'trouserBack'));
      // The fly opens up to the waist, wherever that is now, and its facing has to follow.
      const front = half(run, 'trouserFront');
      const flyTop = front.marks.find((m) => m.id === 'flyTop');
      if (flyTop?.kind !== 'notch') throw new Error('expected the notch at the top of the fly');
      expect(flyTop.at).toBeCloseTo(length(run, 'trouserFront', 'crotch'), 6);
      expect(run.findings.some((f) => f.code === 'piece-must-follow' && f.piece === 'flyFacing')).toBe(true);
      expect(run.findings.filter((f) => f.grade === 'fault')).toEqual([]);
    }
  });
});

describe('a waist taken out', () => {
  it('gives in the darts first: each by a quarter, the side as it was', () => {
    const run = expectOk(runOn(trouserWaist, 'landing', '4', { by: 20 }), 'waist');
    const was = sampleIn('landing', '4');
    for (const id of ['trouserFront', 'trouserBack']) {
      expect(length(run, id, 'waist') - length(was, id, 'waist')).toBeCloseTo(5, 4);
      expect(requireEdge(half(run, id), 'side')).toEqual(requireEdge(half(was, id), 'side'));
    }
  });
  it('gives the same at both sides, the front’s dart being the first that has no more', () => {
    // 60 ÷ 4 = 15 on each half: the front’s dart of 16 keeps 8, so both sides give about 7 and the back’s dart the rest.
    const run = expectOk(runOn(trouserWaist, 'landing', '4', { by: 60 }), 'waist');
    const was = sampleIn('landing', '4');
    const mouth = (on: On, id: string): number => {
      const path = requireEdge(half(on, id), 'waistDart').path;
      return Math.hypot(endOf(path).x - path.start.x, endOf(path).y - path.start.y);
    };
    expect(mouth(was, 'trouserFront') - mouth(run, 'trouserFront')).toBeCloseTo(8, 4);
    expect(mouth(was, 'trouserBack') - mouth(run, 'trouserBack')).toBeCloseTo(8, 0);
    for (const id of ['trouserFront', 'trouserBack'])
      expect(length(run, id, 'waist') - length(was, id, 'waist')).toBeCloseTo(15, 4);
  });
});

describe('what cannot be done', () => {
  const code = (definition: AlterationDefinition, on: string, values: Values): string => {
    const r = runAlteration(definition, contextOn(on, '4'), values);
    return r.ok ? 'ran' : r.error.code;
  };
  it('is said: no trousers, too much across the hip line, a crotch line that cannot be found', () => {
    for (const d of [crotchDepth, trouserHip, trouserWaist, thigh, crotchLength, fullSeatTrousers, frontDip, legLength])
      expect(code(d, 'causeway', { by: 10 }), d.id).toBe('trousers-not-found');
    expect(code(crotchLength, 'landing', { by: 95, takes: 'belly' })).toBe('wedge-too-large');
    const [front, back] = straightTrousers();
    const open = {
      ...front,
      edges: front.edges.map((e) => (e.role === 'inseam' ? { ...e, role: 'other' as const } : e)),
    };
    const context: Context = { pieces: [open, back], seams: [], original: [open, back], originalSeams: [], wearer: {} };
    const r = runAlteration(crotchDepth, context, { by: 10 });
    expect(r).toMatchObject({ ok: false, error: { code: 'crotch-not-found', data: { piece: 'Front' } } });
  });
});
