import { describe, expect, it } from 'vitest';
import { SAMPLE_SIZES } from '../../../blocks/index.ts';
import { distance, endOf, pathLength } from '../../../geometry/index.ts';
import { cornerAngle, yokeEase } from '../../../paper/truing/index.ts';
import { cutApart, requireEdge, yokeLineOf, yokeSeamOf, type Piece } from '../../../pattern/index.ts';
import { codeOn, contextOn, runOn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { flatOf, type Run } from '../../index.ts';
import { yokeRoundBack } from './definition.ts';

const run = (size: string, by: number, after?: Run): Run =>
  expectOk(runOn(yokeRoundBack, 'quay', size, { by }, after), `${size} ${by}`);
const back = (pieces: readonly Piece[]): Piece => pieces.find((p) => p.id === 'back') as Piece;
const halves = (pieces: readonly Piece[]): readonly [Piece, Piece] => cutApart(back(pieces)) as [Piece, Piece];
const length = (piece: Piece, id: string): number => pathLength(requireEdge(piece, id).path);

describe('a round back at the yoke seam', () => {
  it.each(SAMPLE_SIZES)('size %s: the centre back grows by the amount, all of it below the yoke', (size) => {
    const was = contextOn('quay', size);
    const [yokeWas, backWas] = halves(was.pieces);
    for (const by of [-15, -6, 4, 12, 30]) {
      const now = run(size, by);
      const [yoke, below] = halves(now.pieces);
      expect(length(below, 'centreBack') - length(backWas, 'centreBack')).toBeCloseTo(by, 6);
      for (const id of ['centreBack', 'neck', 'shoulder']) expect(length(yoke, id)).toBeCloseTo(length(yokeWas, id), 6);
      expect(flatOf(now, 'napeToWaist')!.value - flatOf(was, 'napeToWaist')!.value).toBeCloseTo(by, 6);
      for (const key of ['fullBust', 'waist', 'shoulder', 'neck'] as const)
        expect(flatOf(now, key)?.value).toBeCloseTo(flatOf(was, key)!.value, 4);
      // The yoke is laid with its fold upright.
      const fold = requireEdge(yoke, 'centreBack').path;
      expect(Math.abs(fold.start.x - endOf(fold).x)).toBeLessThan(1e-6);
      // Square where it lies on the fold, and to nothing at the armhole.
      expect(Math.abs(cornerAngle(below, 'yokeSeam', 'end') - 90)).toBeLessThan(0.02);
      const pin = endOf(yokeSeamOf(back(now.pieces))!);
      expect(distance(requireEdge(below, 'yokeSeam').path.start, pin)).toBeLessThan(0.02);
      expect(now.findings.filter((f) => f.grade === 'fault')).toEqual([]);
    }
  });

  it('worked: 12 on a seam of 185 turns by 3.72° and leaves half a millimetre to ease', () => {
    const seam = pathLength(yokeLineOf(back(contextOn('quay', '4').pieces))!.path);
    const now = run('4', 12);
    const line = yokeLineOf(back(now.pieces))!.path;
    const turned = Math.atan2(line.start.y - endOf(line).y, line.start.x - endOf(line).x);
    expect((Math.abs(turned) * 180) / Math.PI).toBeCloseTo((Math.asin(12 / seam) * 180) / Math.PI, 6);
    const said = now.frames.flatMap((f) => f.messages).find((m) => m.code === 'yokeRound.match');
    expect(Math.abs(Number(said?.data['ease']) - yokeEase(back(now.pieces)))).toBeLessThan(0.05);
    // A parabola square at the fold is longer than its chord by two thirds of by²/width less what the yoke’s turn takes.
    expect(yokeEase(back(now.pieces))).toBeCloseTo((2 / 3) * (12 ** 2 / seam), 1);
  });

  it('there and back leaves the yoke where it was, and the two once by six like one by twelve', () => {
    const twice = run('5', 6, run('5', 6));
    const once = run('5', 12);
    const centre = (r: Run) => length(halves(r.pieces)[1], 'centreBack');
    expect(centre(twice)).toBeCloseTo(centre(once), 6);
    const home = run('5', -10, run('5', 10));
    const was = yokeLineOf(back(contextOn('quay', '5').pieces))!.path;
    const now = yokeLineOf(back(home.pieces))!.path;
    expect(distance(now.start, was.start)).toBeLessThan(0.05);
    expect(distance(endOf(now), endOf(was))).toBeLessThan(0.5);
  });

  it('is refused without a yoke, and where it would turn too far', () => {
    expect(codeOn(yokeRoundBack, 'causeway')).toBe('no-yoke');
    expect(codeOn(yokeRoundBack, 'quay', { by: 36 })).toBe('value-out-of-range');
  });
});
