import { describe, expect, it } from 'vitest';
import { distance, endOf } from '../geometry/index.ts';
import { block } from '../testing/block.ts';
import { sampleIn } from '../testing/samples.ts';
import { edgesWithRole, mirrorPiece, pieceArea, requireEdge, unfoldPiece, validatePiece, type Piece } from './index.ts';

const front = block().pieces[0] as Piece;

describe('opening a piece out', () => {
  it('doubles a symmetric piece about its fold, clockwise and closed', () => {
    const { piece, apart } = unfoldPiece(front, front);
    expect(apart).toBe(0);
    expect(pieceArea(piece)).toBeCloseTo(2 * pieceArea(front), 6);
    expect(edgesWithRole(piece, 'centreFront')).toEqual([]);
    expect(validatePiece(piece)).toEqual([]);
    expect([piece.fold, piece.half]).toEqual([null, false]);
    // The wearer’s right lies at the left of the whole: x runs from −200 to 200.
    const xs = piece.edges.map((e) => e.path.start.x);
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([-200, 200]);
  });
  it('takes halves that lie elsewhere, and halves turned over', () => {
    const moved = mirrorPiece(mirrorPiece(front, 50), 120);
    expect(unfoldPiece(front, moved).apart).toBeCloseTo(0, 9);
    for (const size of ['1', '8']) {
      const back = sampleIn('causeway-side', size).pieces[1] as Piece;
      const { piece, apart } = unfoldPiece(back, back);
      expect(apart).toBeLessThan(1e-6);
      expect(validatePiece(piece)).toEqual([]);
      expect(pieceArea(piece)).toBeCloseTo(2 * pieceArea(back), 3);
    }
  });
  it('joins halves of unequal length by a step, and says how large it is', () => {
    const longer = block({ long: true }).pieces[0] as Piece;
    const { piece, apart } = unfoldPiece(front, longer);
    expect(apart).toBeCloseTo(200, 9);
    const step = requireEdge(piece, 'step').path;
    expect(distance(step.start, endOf(step))).toBeCloseTo(200, 9);
    expect(validatePiece(piece)).toEqual([]);
  });
  it('names what belongs to the right and carries its notches', () => {
    const { piece } = unfoldPiece(front, front);
    expect(piece.edges.filter((e) => e.id.endsWith(' right'))).toHaveLength(5);
    const notches = piece.marks.filter((m) => m.kind === 'notch');
    expect(notches).toHaveLength(4);
    for (const n of notches) if (n.kind === 'notch') expect(piece.edges.some((e) => e.id === n.edge)).toBe(true);
  });
  it('needs a fold', () => {
    expect(() => unfoldPiece({ ...front, fold: null }, front)).toThrow(/expected a fold on front/);
  });
});
