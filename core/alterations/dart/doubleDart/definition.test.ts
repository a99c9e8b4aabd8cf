import { describe, expect, it } from 'vitest';
import { SAMPLE_SIZES } from '../../../blocks/index.ts';
import { aroundAt, doubleDartsOf, widthAt, type LevelName, type Piece } from '../../../pattern/index.ts';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { doubleDart as d } from './definition.ts';

const around = (pieces: readonly Piece[], level: LevelName): number => expectOk(aroundAt(pieces, level), level).width;
const dartsOn = (pieces: readonly Piece[], part: Piece['part']) =>
  doubleDartsOf(pieces.find((p) => p.part === part) as Piece);

describe(d.id, () => {
  it('changes the waist by exactly what is asked, shared over the darts, and nothing at bust and hip', () => {
    for (const size of SAMPLE_SIZES)
      for (const by of [-40, -12, 7, 30])
        for (const over of ['both', 'front', 'back']) {
          const run = runOn(d, 'jetty', size, { by, over });
          const was = sampleIn('jetty', size).pieces;
          if (!run.ok) {
            expect(run.error.code).toBe('dart-cannot-give');
            continue;
          }
          expect(around(run.value.pieces, 'waist') - around(was, 'waist')).toBeCloseTo(by, 6);
          for (const level of ['bust', 'hip'] as const)
            expect(around(run.value.pieces, level)).toBeCloseTo(around(was, level), 6);
          const each = by / (over === 'both' ? 4 : 2);
          for (const part of ['front', 'back'] as const) {
            const [now, then] = [dartsOn(run.value.pieces, part)[0]!, dartsOn(was, part)[0]!];
            expect(now.width - then.width).toBeCloseTo(over === 'both' || over === part ? -each : 0, 9);
          }
        }
  });

  it('curves the legs by what is asked half-way, the waist as it was; back again they are straight', () => {
    const was = sampleIn('jetty', '4').pieces;
    const bowed = expectOk(runOn(d, 'jetty', '4', { by: 0, bow: -2 }), 'hollow');
    for (const part of ['front', 'back'] as const) {
      const [now, then] = [dartsOn(bowed.pieces, part)[0]!, dartsOn(was, part)[0]!];
      // Half-way down to the widest line each leg takes in 2 less: 4 in all.
      const y = then.upper.y + (then.widest * (then.lower.y - then.upper.y)) / 2;
      const [a, b] = [was, bowed.pieces].map(
        (pieces) => expectOk(widthAt(pieces.find((p) => p.part === part) as Piece, y), part).width,
      );
      expect(b! - a!).toBeCloseTo(4, 6);
      expect(now.width).toBe(then.width);
    }
    expect(around(bowed.pieces, 'waist')).toBeCloseTo(around(was, 'waist'), 9);
    const back = expectOk(runOn(d, 'jetty', '4', { by: 0, bow: 2 }, bowed), 'straight');
    const told = back.frames.flatMap((f) => f.messages).find((m) => m.code === 'doubleDart.bow');
    expect(told?.data).toMatchObject({ bow: expect.closeTo(0, 9) as number, bowWay: 'none' });
    expect(dartsOn(back.pieces, 'front')[0]).toEqual(dartsOn(was, 'front')[0]);
    expect(codeOn(d, 'jetty', { by: 0, bow: 12 })).toBe('dart-legs-too-curved');
  });

  it('there and back is where it was; by nothing the pieces are the same objects', () => {
    const was = sampleIn('jetty', '4').pieces;
    const there = expectOk(runOn(d, 'jetty', '4', { by: 18, out: 6, down: -4, longerBelow: 20 }), 'there');
    const back = expectOk(runOn(d, 'jetty', '4', { by: -18, out: -6, down: 4, longerBelow: -20 }, there), 'back');
    for (const part of ['front', 'back'] as const) {
      const [now, then] = [dartsOn(back.pieces, part)[0]!, dartsOn(was, part)[0]!];
      for (const tip of ['upper', 'lower'] as const)
        for (const axis of ['x', 'y'] as const) expect(now[tip][axis]).toBeCloseTo(then[tip][axis], 9);
      expect(now.width).toBeCloseTo(then.width, 9);
      expect(now.widest).toBeCloseTo(then.widest, 9);
    }
    const still = expectOk(runOn(d, 'jetty', '4', { by: 0 }), 'by nothing');
    still.pieces.forEach((p, i) => expect(p).toBe(was[i]));
  });

  it('moves towards the side on either piece, whichever way it lies', () => {
    const was = sampleIn('jetty', '4').pieces;
    const run = expectOk(runOn(d, 'jetty', '4', { by: 0, out: 9 }), 'out');
    const moved = (part: Piece['part']): number =>
      dartsOn(run.pieces, part)[0]!.upper.x - dartsOn(was, part)[0]!.upper.x;
    // The front has its centre to the left, the back to the right.
    expect([moved('front'), moved('back')]).toEqual([9, -9]);
  });

  it('is sewn as two of half the width that take in the same at the waist', () => {
    const was = sampleIn('jetty', '4').pieces;
    const run = expectOk(runOn(d, 'jetty', '4', { by: 0, over: 'back', apart: 40 }), 'split');
    const [one, two] = dartsOn(run.pieces, 'back');
    const [then] = dartsOn(was, 'back');
    expect(one!.width + two!.width).toBeCloseTo(then!.width, 9);
    expect(Math.abs(one!.upper.x - two!.upper.x)).toBeCloseTo(40, 9);
    expect(around(run.pieces, 'waist')).toBeCloseTo(around(was, 'waist'), 6);
  });

  it('refuses in words of its own', () => {
    expect(codeOn(d, 'causeway')).toBe('no-double-dart');
    expect(codeOn(d, 'jetty', { by: 150 })).toBe('dart-cannot-give');
    expect(codeOn(d, 'jetty', { by: 0, longerAbove: -80, longerBelow: -80 })).toBe('dart-too-short');
    expect(codeOn(d, 'jetty', { by: 0, over: 'front', apart: 20, out: 60 })).toBe('ran');
  });
});
