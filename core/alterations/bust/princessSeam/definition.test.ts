import { describe, expect, it } from 'vitest';
import { pathLength, pointAt, tangentAt } from '../../../geometry/index.ts';
import { edgesWithRole, type EdgeRole, type Piece } from '../../../pattern/index.ts';
import { walkSeam } from '../../../paper/truing/index.ts';
import { SAMPLE_SIZES } from '../../../blocks/index.ts';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { flatOf } from '../../kit/flat.ts';
import { propose } from '../../index.ts';
import { fullBustPrincessSeam } from './definition.ts';

const panel = (pieces: readonly Piece[], part: 'front' | 'sideFront'): Piece => pieces.find((p) => p.part === part)!;
const seamOf = (piece: Piece) => edgesWithRole(piece, 'princess')[0]!;
const sum = (piece: Piece, role: EdgeRole): number =>
  edgesWithRole(piece, role).reduce((n, e) => n + pathLength(e.path), 0);
const SAMPLES = ['skerry-armhole', 'skerry-shoulder'] as const;
const cases = SAMPLES.flatMap((id) =>
  SAMPLE_SIZES.flatMap((size) => [-24, -10, 12, 30].map((t) => [id, size, t] as const)),
);

describe('a little put on at the princess seam', () => {
  it.each(cases)('%s size %s by %i: half on each panel, both seams alike, all else as drafted', (id, size, total) => {
    const was = sampleIn(id, size);
    const run = expectOk(runOn(fullBustPrincessSeam, id, size, { total }), 'seam');
    const bust = (on: { pieces: readonly Piece[]; seams: typeof was.seams }) => flatOf(on, 'fullBust')!.value;
    expect(bust(run) - bust(was)).toBeCloseTo(total, 3);
    const walk = walkSeam(
      run.pieces,
      run.seams.find((s) => s.id === 'princess front')!,
    );
    const before = walkSeam(
      was.pieces,
      was.seams.find((s) => s.id === 'princess front')!,
    );
    expect(walk.difference).toBeCloseTo(before.difference, 3);
    for (const part of ['front', 'sideFront'] as const) {
      const [a, b] = [panel(was.pieces, part), panel(run.pieces, part)];
      // Side, armhole, shoulder, neck and centre are not touched.
      for (const role of new Set(a.edges.map((e) => e.role)))
        if (role !== 'princess' && role !== 'waist') expect(sum(b, role), role).toBeCloseTo(sum(a, role), 9);
      // Where the shorter seam has been drawn on, it leans: the waist ends a little beside where it did.
      expect(Math.abs(sum(b, 'waist') - sum(a, 'waist'))).toBeLessThan(1.5);
      expect(b.marks.filter((m) => m.kind === 'grain')).toEqual(a.marks.filter((m) => m.kind === 'grain'));
    }
    expect(run.findings.filter((f) => f.grade === 'fault')).toEqual([]);
  });

  it('runs on smoothly at the apex, a quarter of the whole out', () => {
    for (const id of SAMPLES) {
      const was = sampleIn(id, '5');
      const run = expectOk(runOn(fullBustPrincessSeam, id, '5', { total: 28 }), 'seam');
      for (const part of ['front', 'sideFront'] as const) {
        const [a, b] = [panel(was.pieces, part), panel(run.pieces, part)];
        const notch = a.marks.find((m) => m.kind === 'notch' && m.edge === seamOf(a).id)!;
        const moved = b.marks.find((m) => m.id === notch.id)!;
        if (notch.kind !== 'notch' || moved.kind !== 'notch') throw new Error('expected the apex notch');
        const [from, to] = [pointAt(seamOf(a).path, notch.at), pointAt(seamOf(b).path, moved.at)];
        expect(Math.abs(to.x - from.x)).toBeCloseTo(7, 1);
        for (const step of [-20, -5, 5, 20]) {
          const [t, u] = [step, step + 1].map((d) => tangentAt(seamOf(b).path, moved.at + d));
          expect(Math.abs(t!.x * u!.y - t!.y * u!.x)).toBeLessThan(0.02);
        }
      }
    }
  });

  it('goes on to the waist where that is wanted: each half of it wider by half of the whole', () => {
    const was = sampleIn('skerry-shoulder', '4');
    const run = expectOk(runOn(fullBustPrincessSeam, 'skerry-shoulder', '4', { total: 20, atWaist: 'same' }), 'waist');
    const fronts = (pieces: readonly Piece[]): number =>
      (['front', 'sideFront'] as const).reduce((n, part) => n + sum(panel(pieces, part), 'waist'), 0);
    expect(fronts(run.pieces) - fronts(was.pieces)).toBeCloseTo(10, 0);
  });

  it('is offered beside the slash, never before it, and refuses what a seam cannot give', () => {
    for (const id of SAMPLES) {
      const found = propose(sampleIn(id, '4').pieces, 'bust').find((p) => p.id === fullBustPrincessSeam.id);
      expect(found?.grade).toBe('possible');
    }
    expect(codeOn(fullBustPrincessSeam, 'skerry-armhole', { total: 31 })).toBe('seam-gives-no-more');
    expect(codeOn(fullBustPrincessSeam, 'skerry-armhole', { total: -40 })).toBe('seam-gives-no-more');
    expect(codeOn(fullBustPrincessSeam, 'causeway', { total: 10 })).toBe('side-front-not-found');
  });
});
