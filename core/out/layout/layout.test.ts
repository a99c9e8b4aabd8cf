import { describe, expect, it } from 'vitest';
import { draftCauseway } from '../../blocks/index.ts';
import { boundsOf, flatten, insidePolygon, type Point } from '../../geometry/index.ts';
import { cuttingLine, type Piece } from '../../pattern/index.ts';
import { expectOk } from '../../units/index.ts';
import { rectangle } from '../../testing/shapes.ts';
import { clothToBuy, layOut, layOutAll, widerPieces, type Layout } from './index.ts';

/** A rectangle without allowances: what is laid is what is said. */
const rectanglePiece = (width: number, height: number, fields: Partial<Piece>): Piece => {
  const box = rectangle(width, height);
  return { ...box, edges: box.edges.map((e) => ({ ...e, allowance: 0 })), ...fields };
};
const causeway = draftCauseway('4');
const open = { width: 1500, fold: false, oneWay: false } as const;
const folded = { width: 1500, fold: true, oneWay: false } as const;
const lay = (pieces: readonly Piece[], wish: Parameters<typeof layOut>[1]): Layout =>
  expectOk(layOut(pieces, wish), 'layOut');
const areaOf = (ring: readonly Point[]): number =>
  Math.abs(
    ring.reduce(
      (s, p, i) => s + p.x * (ring[(i + 1) % ring.length] as Point).y - (ring[(i + 1) % ring.length] as Point).x * p.y,
      0,
    ),
  ) / 2;

/** Every laid piece inside the cloth, and no point of one inside another. */
function holds(layout: Layout): void {
  for (const a of layout.laid) {
    for (const p of a.outline) {
      expect(p.x).toBeGreaterThanOrEqual(-1e-6);
      expect(p.x).toBeLessThanOrEqual(layout.across + 1e-6);
      expect(p.y).toBeGreaterThanOrEqual(-1e-6);
      expect(p.y).toBeLessThanOrEqual(layout.length + 1e-6);
    }
    for (const b of layout.laid) if (a !== b) expect(a.outline.filter((p) => insidePolygon(p, b.outline))).toEqual([]);
  }
}

describe('laying pieces on cloth', () => {
  it('lays two rectangles side by side where they fit, and one behind the other where they do not', () => {
    const piece = rectanglePiece(400, 300, { cut: 2 });
    expect(lay([piece], { ...open, width: 800 }).length).toBe(300);
    expect(lay([piece], { ...open, width: 700 }).length).toBe(600);
    // On the double cloth a pair is one place: 400 of the half width.
    expect(lay([piece], { ...folded, width: 800 }).length).toBe(300);
    expect(lay([piece], { ...folded, width: 800 }).covered).toBeCloseTo(1, 9);
  });
  it('takes exactly as many as are cut, pieces on the fold whole on open cloth', () => {
    const fold = rectanglePiece(200, 300, { fold: 'left', cut: 1 });
    expect(lay([fold], folded).laid.map((l) => [l.onFold, Math.round(areaOf(l.outline))])).toEqual([[true, 60_000]]);
    expect(lay([fold], open).laid.map((l) => [l.onFold, Math.round(areaOf(l.outline))])).toEqual([[false, 120_000]]);
    expect(lay([rectanglePiece(200, 300, { cut: 3 })], open).laid).toHaveLength(3);
    expect(lay([rectanglePiece(200, 300, { cut: 3 })], folded).laid).toHaveLength(2);
  });
  it.each([
    ['folded', folded],
    ['open', open],
    ['folded, one way', { ...folded, oneWay: true }],
    ['narrow and open', { width: 1150, fold: false, oneWay: false }],
  ] as const)('keeps the pieces of the dress apart and on the cloth: %s', (_, wish) => {
    const layout = lay(causeway, wish);
    holds(layout);
    expect(layout.covered).toBeGreaterThan(0.5);
    expect(layout.covered).toBeLessThanOrEqual(1);
    for (const l of layout.laid.filter((x) => x.onFold)) {
      expect(Math.min(...l.outline.map((p) => p.x))).toBeCloseTo(0, 6);
      // Along the whole of its fold, not at a corner only.
      expect(l.outline.filter((p) => Math.abs(p.x) < 1e-6).length).toBeGreaterThan(1);
    }
    if (wish.oneWay) expect(layout.laid.every((l) => !l.turned)).toBe(true);
  });
  it('keeps the grain along the cloth: outlines are only moved, or turned head to tail', () => {
    const heights = (of: readonly { readonly outline: readonly Point[] }[]) =>
      of
        .map((l) => Math.max(...l.outline.map((p) => p.y)) - Math.min(...l.outline.map((p) => p.y)))
        .sort((a, b) => a - b);
    // A pair is laid once on the double cloth, four pocket bags twice.
    const drawn = causeway.flatMap((p) =>
      Array.from({ length: p.fold === null ? Math.ceil(p.cut / 2) : p.cut }, () => ({
        outline: flatten(cuttingLine(p), 1),
      })),
    );
    expect(heights(lay(causeway, folded).laid).map((h) => Math.round(h))).toEqual(
      heights(drawn).map((h) => Math.round(h)),
    );
  });
  it('turns a piece on the bias so that its grain lies along the cloth', () => {
    const square = rectanglePiece(200, 200, {
      cut: 1,
      marks: [{ kind: 'grain', id: 'g', from: { x: 20, y: 20 }, to: { x: 180, y: 180 } }],
    });
    const box = boundsOf(lay([square], open).laid[0]?.outline ?? []);
    expect(box.maxX - box.minX).toBeCloseTo(200 * Math.SQRT2, 6);
  });
  it('needs no more of a wider cloth, and the same layout comes out every time', () => {
    const widths = [1150, 1400, 1500];
    const wishes = widths.map((width) => ({ ...folded, width }));
    for (const size of ['3', '5', '8']) {
      const all = layOutAll(draftCauseway(size), wishes).map((r) => expectOk(r, size));
      all.forEach(holds);
      expect(all.map((l) => l.wish.width)).toEqual(widths);
      const lengths = all.map((l) => l.length);
      expect(lengths).toEqual([...lengths].sort((a, b) => b - a));
    }
    expect(lay(causeway, folded)).toEqual(lay(causeway, folded));
  });
  it('tells of every order it tries, and refuses what no cloth can take', () => {
    const told: number[] = [];
    layOut([rectanglePiece(100, 100, {})], folded, (done) => told.push(done));
    expect(told).toEqual(Array.from({ length: told.length }, (_, i) => i + 1));
    expect(layOut([rectanglePiece(800, 100, { name: 'Wide' })], folded)).toMatchObject({
      ok: false,
      error: { code: 'cloth-too-narrow', data: { piece: 'Wide', needs: 800, across: 750 } },
    });
    expect(layOut([], folded)).toMatchObject({ ok: false, error: { code: 'cloth-nothing-to-lay' } });
  });
});

describe('more cloth', () => {
  it('is told of pieces that became wider, by the side that did', () => {
    const was = rectanglePiece(300, 400, { id: 'front', name: 'Front' });
    const wider = rectanglePiece(324, 400, { id: 'front', name: 'Front' });
    const longer = rectanglePiece(300, 460, { id: 'front', name: 'Front' });
    expect(widerPieces([was], [was], [wider])).toEqual([{ piece: 'front', name: 'Front', before: 300, after: 324 }]);
    expect(widerPieces([was], [longer], [longer])).toEqual([]);
  });
  it('is bought in steps of ten centimetres, with what it may shrink', () => {
    expect(clothToBuy(2000, 0)).toBe(2000);
    expect(clothToBuy(2000, 0.03)).toBe(2100);
    expect(clothToBuy(2001, 0)).toBe(2100);
  });
});
