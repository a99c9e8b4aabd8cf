import { describe, expect, it } from 'vitest';
import { endOf, pathLength, pointAt, splitAtLength } from '../../../geometry/index.ts';
import { edgesWithRole, levelOf, outlineOf, requireEdge, type Piece } from '../../../pattern/index.ts';
import { walkSeam } from '../../../paper/truing/index.ts';
import { SAMPLE_CHART, SAMPLE_SIZES, type SampleId } from '../../../blocks/index.ts';
import { contextOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { line, straightSleeve } from '../../../testing/shapes.ts';
import { expectOk } from '../../../units/index.ts';
import { flatOf } from '../../kit/flat.ts';
import { runAlteration, type Context } from '../../index.ts';
import { wristWidth } from './definition.ts';

const sleeveOf = (pieces: readonly Piece[]): Piece => pieces.find((p) => p.part === 'sleeve') as Piece;
const hemOf = (piece: Piece): number => edgesWithRole(piece, 'sleeveHem').reduce((n, e) => n + pathLength(e.path), 0);

/** A tapered sleeve: 400 across the underarm, 240 at the hem, 500 lower; its elbow half-way. */
const tapered = straightSleeve({ cap: 100, under: 200, hem: 120, long: 600 }, [
  { kind: 'grain', id: 'grain', from: { x: 0, y: 120 }, to: { x: 0, y: 560 } },
  { kind: 'level', id: 'elbow', name: 'elbow', at: { x: 0, y: 350 } },
]);
const alone: Context = { pieces: [tapered], seams: [], original: [tapered], originalSeams: [], wearer: {} };
const onTapered = (values: object, piece = tapered): Piece =>
  sleeveOf(
    expectOk(runAlteration(wristWidth, { ...alone, pieces: [piece], original: [piece] }, { ...values }), 'tapered')
      .pieces,
  );

describe('a tapered sleeve', () => {
  it('takes half at each end of the hem, straight from the underarm', () => {
    const made = onTapered({ by: -24, taper: 'underarm' });
    expect(requireEdge(made, 'underarmFront').path).toEqual(line([200, 100], [108, 600]));
    expect(requireEdge(made, 'underarmBack').path).toEqual(line([-108, 600], [-200, 100]));
    expect(hemOf(made)).toBeCloseTo(216, 9);
  });
  it('stays as it is above the elbow', () => {
    const made = requireEdge(onTapered({ by: 30 }), 'underarmFront').path;
    const was = requireEdge(tapered, 'underarmFront').path;
    const half = pathLength(was) / 2;
    const [kept] = splitAtLength(made, half);
    for (const at of [0, half / 2, half - 1]) {
      expect(pointAt(kept, at).x).toBeCloseTo(pointAt(was, at).x, 6);
      expect(pointAt(kept, at).y).toBeCloseTo(pointAt(was, at).y, 6);
    }
    expect(endOf(made)).toEqual({ x: 135, y: 600 });
  });
  it('runs out half-way up where no elbow line is drawn', () => {
    const bare: Piece = { ...tapered, marks: tapered.marks.filter((m) => m.kind !== 'level') };
    expect(outlineOf(onTapered({ by: 30 }, bare))).toEqual(outlineOf(onTapered({ by: 30 })));
  });
});

const cases = SAMPLE_SIZES.flatMap((size) => [-40, -12, 16, 50].map((by) => [size, by] as const));
describe.each(['causeway-long-sleeve', 'causeway'] as const satisfies readonly SampleId[])('%s', (id) => {
  it.each(cases)('size %s by %i: as wide as asked, both seams alike, the rest as drafted', (size, by) => {
    const drafted = sampleIn(id, size);
    for (const taper of ['elbow', 'underarm']) {
      const run = expectOk(runOn(wristWidth, id, size, { by, taper }), `${by}`);
      const [was, now] = [sleeveOf(drafted.pieces), sleeveOf(run.pieces)];
      expect(hemOf(now) - hemOf(was)).toBeCloseTo(by, 6);
      const seam = run.seams.find((s) => s.id === 'sleeve underarm')!;
      // Straight seams stay straight; one that is bent at the elbow is drawn in a curve from there.
      expect(Math.abs(walkSeam(run.pieces, seam).difference)).toBeLessThan(id === 'causeway' ? 1e-6 : 0.5);
      expect(run.findings.filter((f) => f.grade === 'fault')).toEqual([]);
      for (const cap of edgesWithRole(was, 'cap')) expect(requireEdge(now, cap.id).path).toEqual(cap.path);
      expect(levelOf(now, 'elbow')).toEqual(levelOf(was, 'elbow'));
    }
  });
  it('comes back, and nothing is the same piece', () => {
    const there = expectOk(runOn(wristWidth, id, '4', { by: 24 }), 'there');
    const back = expectOk(runOn(wristWidth, id, '4', { by: -24 }, there), 'back');
    expect(hemOf(sleeveOf(back.pieces))).toBeCloseTo(hemOf(sleeveOf(sampleIn(id, '4').pieces)), 6);
    const still = expectOk(runOn(wristWidth, id, '4', { by: 0 }), 'still');
    expect(sleeveOf(still.pieces)).toBe(sleeveOf(sampleIn(id, '4').pieces));
  });
});

describe('what is asked of a body', () => {
  const asked = (id: SampleId, size: string, wrist: number) => {
    const context = contextOn(id, size);
    const drafted = Number(SAMPLE_CHART.find((r) => r.size === size)?.body.wrist);
    const ease = (flatOf(context, 'wrist')?.value ?? 0) - drafted;
    return wristWidth.fits?.({ ...context, wearer: { wrist }, ease: { wrist: ease } })?.values['by'];
  };
  it('is nothing of the body each size was drafted for, the difference of another, nothing with a cuff or a short sleeve', () => {
    for (const size of SAMPLE_SIZES) {
      const wrist = Number(SAMPLE_CHART.find((r) => r.size === size)?.body.wrist);
      expect(asked('causeway-long-sleeve', size, wrist)).toBeCloseTo(0, 9);
      expect(asked('causeway-long-sleeve', size, wrist + 18)).toBeCloseTo(18, 9);
      expect(asked('causeway-cuff', size, wrist + 18)).toBeUndefined();
      expect(asked('causeway', size, wrist + 18)).toBeUndefined();
    }
  });
});

describe('what cannot be done', () => {
  const code = (id: SampleId, values: object) => {
    const r = runOn(wristWidth, id, '4', { ...values });
    return r.ok ? 'ran' : r.error.code;
  };
  it('is said: no sleeve, a cuff, narrower than a hand', () => {
    expect(code('causeway-side', { by: 10 })).toBe('sleeve-not-found');
    expect(code('causeway-cuff', { by: 10 })).toBe('sleeve-has-cuff');
    expect(code('causeway-long-sleeve', { by: -119 })).toBe('hem-too-narrow');
    const bare: Piece = { ...tapered, edges: tapered.edges.map((e) => (e.id === 'hem' ? { ...e, role: 'other' } : e)) };
    const r = runAlteration(wristWidth, { ...alone, pieces: [bare], original: [bare] }, { by: 10 });
    expect(r).toMatchObject({ ok: false, error: { code: 'sleeve-landmark-missing' } });
  });
});
