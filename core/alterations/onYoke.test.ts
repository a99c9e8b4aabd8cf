import { describe, expect, it } from 'vitest';
import { SAMPLE_SIZES } from '../blocks/index.ts';
import { distance, endOf, pathLength } from '../geometry/index.ts';
import { inspectPiece } from '../paper/guard/index.ts';
import { walkSeam } from '../paper/truing/index.ts';
import { cutApart, pieceArea, requireEdge, type Piece } from '../pattern/index.ts';
import { contextOn, runOn } from '../testing/samples.ts';
import { expectOk } from '../units/index.ts';
import { alterationById, flatOf, type AlterationDefinition, type Run, type Values } from './index.ts';

/** What a yoke and the back below it are altered by as one, and the measurement it moves by so much of the amount. */
const ACROSS: readonly (readonly [string, Values, string, number])[] = [
  ['shoulder-slash', { by: -10 }, 'shoulder', -10],
  ['shoulder-slide', { by: -8 }, 'shoulder', -8],
  ['shoulder-redraw', { by: -6 }, 'shoulder', -6],
  ['shoulder-slope', { by: 8 }, 'shoulder', 0],
  ['forward-shoulder', { by: 8 }, 'shoulder', 0],
  ['back-width', { by: 8 }, 'crossBack', 8],
  ['round-back', { by: 8 }, 'napeToWaist', 8],
  ['flat-upper-back', { by: 8 }, 'napeToWaist', -8],
  ['length-line', { by: 15 }, 'napeToWaist', 15],
  ['swayback-fold', { by: 12 }, 'shoulder', 0],
  ['side-add', { by: 30 }, 'shoulder', 0],
  ['full-bust-no-dart', { total: 30 }, 'shoulder', 0],
  ['neckline', { by: 8 }, 'shoulder', 0],
];
const find = (id: string): AlterationDefinition => alterationById(id) as AlterationDefinition;
const parts = (pieces: readonly Piece[]): readonly Piece[] => cutApart(pieces.find((p) => p.part === 'back') as Piece);

describe.each(ACROSS)('%s on a shirt with a yoke', (id, values, key, by) => {
  it('works across yoke and back as one, and the two come apart sound and as long at their seam', () => {
    for (const size of SAMPLE_SIZES) {
      const was = contextOn('quay', size);
      const run: Run = expectOk(runOn(find(id), 'quay', size, values), `${id} ${size}`);
      const [yoke, below] = parts(run.pieces) as [Piece, Piece];
      expect([yoke, below].flatMap((p) => inspectPiece(p))).toEqual([]);
      const whole = run.pieces.find((p) => p.part === 'back') as Piece;
      expect(pieceArea(yoke) + pieceArea(below)).toBeCloseTo(pieceArea(whole), 3);
      const [a, b] = [yoke, below].map((p) => requireEdge(p, 'yokeSeam').path);
      expect(pathLength(a!)).toBeCloseTo(pathLength(b!), 6);
      expect(distance(a!.start, endOf(b!))).toBeLessThan(1e-6);
      const [before, after] = [flatOf(was, key as 'shoulder')!.value, flatOf(run, key as 'shoulder')!.value];
      expect(Math.abs(after - before - by), `${id} ${size} ${key}`).toBeLessThan(0.6);
      for (const seam of ['shoulder', 'side'])
        expect(
          Math.abs(
            walkSeam(
              run.pieces,
              run.seams.find((s) => s.id === seam)!,
            ).difference,
          ),
          `${id} ${size} ${seam}`,
        ).toBeLessThan(0.5);
    }
  });

  it('by nothing leaves every piece as it was', () => {
    if (find(id).params.some((p) => p.kind === 'length' && p.key === find(id).amount && p.min > 0)) return;
    const run = expectOk(runOn(find(id), 'quay', '4', { ...values, [find(id).amount ?? 'by']: 0 }), id);
    expect(run.pieces).toEqual(contextOn('quay', '4').pieces);
  });
});
