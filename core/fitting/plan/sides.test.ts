import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SAMPLE_SIZES, samplePattern } from '../../blocks/index.ts';
import { stepSchema, type Step } from '../../documents/index.ts';
import { cuttingLine, outlineOf, pieceArea, validatePiece, type Piece } from '../../pattern/index.ts';
import { flatten, isSimplePolygon } from '../../geometry/index.ts';
import { draft } from './index.ts';

const dress = samplePattern('causeway');
const step = (id: string, alteration: string, values: Step['values'], side: Step['side']): Step =>
  stepSchema.parse({ id, alteration, revision: 1, values, side });
const plan = (size: string, steps: readonly Step[]) =>
  draft({
    job: { size, sizeMethod: 'highBust', steps: [...steps] },
    wearer: { sets: [], bustEase: null },
    pattern: dress,
  });

/** Changes that leave the centre its length, so that the halves still meet. */
const CHANGES: readonly (readonly [string, Step['values']])[] = [
  ['shoulder-slash', { by: -9 }],
  ['shoulder-slope', { by: 7 }],
  ['side-add', { by: 16 }],
  ['back-width', { by: 14 }],
  ['hip-slash', { by: 20 }],
  ['armhole-depth', { by: 5 }],
  ['hem-sweep', { by: 60 }],
];
const areaOf = (pieces: readonly Piece[], id: string): number => {
  const piece = pieces.find((p) => p.id === id);
  return piece ? pieceArea(piece) : NaN;
};

describe('steps for one side, over sizes and sides', () => {
  it('alter their own half as they would both, and leave the other alone', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SAMPLE_SIZES),
        fc.constantFrom(...CHANGES),
        fc.constantFrom('left' as const, 'right' as const),
        (size, [id, values], side) => {
          const both = plan(size, [step('a', id, values, 'both')]);
          const one = plan(size, [step('a', id, values, side)]);
          const other = side === 'left' ? 'right' : 'left';
          expect(one.sides[side].pieces).toEqual(both.sides.left.pieces);
          expect(one.sides[other].pieces).toBe(one.original);
        },
      ),
      { numRuns: 40, seed: 71 },
    );
  });

  it('are cut as wholes that hold both halves, each piece sound', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SAMPLE_SIZES),
        fc.shuffledSubarray([...CHANGES], { minLength: 1, maxLength: 3 }),
        fc.array(fc.constantFrom('left' as const, 'right' as const, 'both' as const), { minLength: 3, maxLength: 3 }),
        (size, changes, sides) => {
          const steps = changes.map(([id, values], i) => step(`s${i}`, id, values, sides[i] ?? 'both'));
          const d = plan(size, steps);
          for (const piece of d.pieces) {
            expect(validatePiece(piece), piece.name).toEqual([]);
            expect(isSimplePolygon(flatten(outlineOf(piece), 0.5)), piece.name).toBe(true);
            expect(isSimplePolygon(flatten(cuttingLine(piece), 0.5)), `${piece.name}, cutting line`).toBe(true);
          }
          for (const id of ['front', 'skirtFront']) {
            if (!d.pieces.some((p) => p.id === `${id} whole`)) continue;
            expect(areaOf(d.pieces, `${id} whole`)).toBeCloseTo(
              areaOf(d.sides.left.pieces, id) + areaOf(d.sides.right.pieces, id),
              2,
            );
          }
          for (const id of ['back', 'skirtBack'])
            if (d.pieces.some((p) => p.id === `${id} right`))
              expect(areaOf(d.pieces, `${id} right`)).toBeCloseTo(areaOf(d.sides.right.pieces, id), 6);
          const parted = steps.some((s) => s.side !== 'both');
          expect(d.checks).toHaveLength(parted ? 2 : 1);
        },
      ),
      { numRuns: 40, seed: 72 },
    );
  });

  it('come back to one another when both sides get the same', () => {
    for (const [id, values] of CHANGES) {
      const apart = plan('4', [step('l', id, values, 'left'), step('r', id, values, 'right')]);
      const both = plan('4', [step('b', id, values, 'both')]);
      expect(apart.pieces.map((p) => p.name)).toEqual(both.pieces.map((p) => p.name));
      expect(apart.pieces).toEqual(both.pieces);
    }
  });
});
