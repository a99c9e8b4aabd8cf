import { describe, expect, it } from 'vitest';
import { pathLength } from '../../../geometry/index.ts';
import { mirrorPiece, requireEdge, type Piece } from '../../../pattern/index.ts';
import { walkSeam } from '../../../paper/truing/index.ts';
import { SAMPLE_CHART, SAMPLE_SIZES } from '../../../blocks/index.ts';
import { contextOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { flatOf } from '../../kit/flat.ts';
import { runAlteration } from '../../index.ts';
import { cuffWidth } from './definition.ts';

const ID = 'causeway-cuff';
const cuffOf = (pieces: readonly Piece[]): Piece => pieces.find((p) => p.part === 'cuff') as Piece;
const notch = (piece: Piece, id: string): number =>
  piece.marks.flatMap((m) => (m.kind === 'notch' && m.id === id ? [m.at] : []))[0] ?? NaN;
const cases = SAMPLE_SIZES.flatMap((size) => [-20, 8, 40].map((by) => [size, by] as const));

describe('the cuff', () => {
  it.each(cases)(
    'size %s by %i: goes around by so much more, its overlap as before, the sleeve gathered less',
    (size, by) => {
      const drafted = sampleIn(ID, size);
      const run = expectOk(runOn(cuffWidth, ID, size, { by }), `${by}`);
      const [was, now] = [cuffOf(drafted.pieces), cuffOf(run.pieces)];
      for (const id of ['seam', 'edge'])
        expect(pathLength(requireEdge(now, id).path) - pathLength(requireEdge(was, id).path)).toBeCloseTo(by, 9);
      for (const id of ['endFront', 'endBack'])
        expect(pathLength(requireEdge(now, id).path)).toBeCloseTo(pathLength(requireEdge(was, id).path), 9);
      expect(notch(now, 'slit')).toBeCloseTo(25, 9);
      expect(notch(now, 'end') - notch(was, 'end')).toBeCloseTo(by, 9);
      const around = (of: typeof drafted) => flatOf(of, 'wrist')!.value;
      expect(around(run) - around(drafted)).toBeCloseTo(by, 9);
      // As drafted 80 are gathered into it.
      const seam = run.seams.find((s) => s.id === 'cuff')!;
      expect(seam.ease).toBeCloseTo(by - 80, 9);
      expect(walkSeam(run.pieces, seam).difference).toBeCloseTo(0, 6);
      expect(run.findings).toEqual([]);
      expect(run.pieces.find((p) => p.part === 'sleeve')).toBe(drafted.pieces.find((p) => p.part === 'sleeve'));
    },
  );
  it('comes back, and nothing is the same piece', () => {
    const there = expectOk(runOn(cuffWidth, ID, '4', { by: 24 }), 'there');
    const back = expectOk(runOn(cuffWidth, ID, '4', { by: -24 }, there), 'back');
    const was = cuffOf(sampleIn(ID, '4').pieces);
    expect(pathLength(requireEdge(cuffOf(back.pieces), 'seam').path)).toBeCloseTo(
      pathLength(requireEdge(was, 'seam').path),
      9,
    );
    expect(back.seams.find((s) => s.id === 'cuff')?.ease).toBeCloseTo(-80, 9);
    expect(cuffOf(expectOk(runOn(cuffWidth, ID, '4', { by: 0 }), 'still').pieces)).toBe(was);
  });
  it('is the same however it lies on the paper', () => {
    const { pieces, seams } = sampleIn(ID, '4');
    const turned = pieces.map((p) => (p.part === 'cuff' ? mirrorPiece(p) : p));
    const reversed = seams.map((s) => (s.id === 'cuff' ? { ...s, second: { ...s.second, reversed: true } } : s));
    const context = { pieces: turned, original: turned, seams: reversed, originalSeams: reversed, wearer: {} };
    const run = expectOk(runAlteration(cuffWidth, context, { by: 12 }), 'turned');
    expect(flatOf(run, 'wrist')!.value - flatOf(context, 'wrist')!.value).toBeCloseTo(12, 9);
  });
});

describe('what is asked of a body', () => {
  it('is nothing of the body each size was drafted for, and the difference of another', () => {
    for (const size of SAMPLE_SIZES) {
      const context = contextOn(ID, size);
      const wrist = Number(SAMPLE_CHART.find((r) => r.size === size)?.body.wrist);
      const ease = { wrist: flatOf(context, 'wrist')!.value - wrist };
      const asked = (w: number) => cuffWidth.fits?.({ ...context, wearer: { wrist: w }, ease })?.values['by'];
      expect(asked(wrist)).toBeCloseTo(0, 9);
      expect(asked(wrist + 14)).toBeCloseTo(14, 9);
    }
    expect(cuffWidth.fits?.({ ...contextOn('causeway', '4'), wearer: { wrist: 200 } })).toBeNull();
  });
});

it('says what cannot be done: no cuff, more than the hem has, less than a hand', () => {
  const code = (id: string, by: number) => {
    const r = runOn(cuffWidth, id, '4', { by });
    return r.ok ? 'ran' : r.error.code;
  };
  expect(code('causeway', 10)).toBe('cuff-not-found');
  expect(code(ID, 81)).toBe('cuff-longer-than-hem');
  expect(code(ID, 79)).toBe('ran');
  const narrow = expectOk(runOn(cuffWidth, ID, '1', { by: -79 }), 'narrow');
  const again = runOn(cuffWidth, ID, '1', { by: -10 }, narrow);
  expect(again).toMatchObject({ ok: false, error: { code: 'hem-too-narrow' } });
});
