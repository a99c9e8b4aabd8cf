import { describe, expect, it } from 'vitest';
import { draftCauseway } from '../../blocks/index.ts';
import { boundsOf, flatten, insidePolygon, type Point } from '../../geometry/index.ts';
import { cuttingLine, type Piece } from '../../pattern/index.ts';
import { expectOk } from '../../units/index.ts';
import { rectangle } from '../../testing/shapes.ts';
import { clothAlarms, clothToBuy, cutList, layOut, layOutAll, stripsOf, widerPieces, type Layout } from './index.ts';

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

/** Rectangles that touch lie apart: their boxes have no room in common. */
function apart({ laid }: Layout): void {
  const boxes = laid.map((l) => boundsOf(l.outline));
  boxes.forEach((a, i) => {
    for (const b of boxes.slice(i + 1)) {
      const [w, h] = [
        Math.min(a.maxX, b.maxX) - Math.max(a.minX, b.minX),
        Math.min(a.maxY, b.maxY) - Math.max(a.minY, b.minY),
      ];
      expect(Math.min(w, h)).toBeLessThanOrEqual(1e-9);
    }
  });
}

describe('cloth folded only so deep', () => {
  const deep = (depth: number, count: 1 | 2 = 1) => ({ ...open, fold: true, folds: { depth, count } }) as const;
  const half = rectanglePiece(200, 300, { id: 'half', name: 'Half', fold: 'left', cut: 1 });
  const once = rectanglePiece(500, 300, { id: 'once', name: 'Once', cut: 1 });
  const pair = rectanglePiece(150, 300, { id: 'pair', name: 'Pair', cut: 2 });

  it('lies in strips: two layers so deep, the rest single; both edges folded where that is asked for', () => {
    expect(stripsOf(deep(300))).toEqual([
      { from: 0, to: 300, layers: 2, fold: 'from' },
      { from: 300, to: 1200, layers: 1, fold: null },
    ]);
    expect(stripsOf(deep(300, 2)).map((s) => [s.from, s.to, s.layers])).toEqual([
      [0, 300, 2],
      [300, 600, 1],
      [600, 900, 2],
    ]);
    // No deeper than half of the cloth.
    expect(stripsOf(deep(900))).toEqual([{ from: 0, to: 750, layers: 2, fold: 'from' }]);
  });

  it('takes halves on the fold, pairs from two layers, and what is cut once from one: nothing lies behind another', () => {
    const layout = lay([half, once, pair], deep(400));
    expect(layout.length).toBe(300);
    expect(layout.laid.map((l) => [l.name, l.how, l.oneLayer]).sort()).toEqual([
      ['Half', 'fold', false],
      ['Once', 'single', false],
      ['Pair', 'pair', false],
    ]);
    apart(layout);
    // The half and the pair are each two of 300 long; the whole is 1500 wide.
    expect(layout.covered).toBeCloseTo((2 * 200 + 500 + 2 * 150) / 1500, 9);
    expect(cutList(layout.laid)).toContainEqual({
      piece: 'half',
      name: 'Half',
      how: 'fold',
      times: 1,
      oneLayer: false,
    });
  });

  it('opens out a half that is wider than the fold is deep, and lays a wide pair one by one', () => {
    const { laid } = lay([half, pair], deep(120));
    expect(laid.map((l) => l.how).sort()).toEqual(['opened', 'single', 'single']);
    apart(lay([half, pair], deep(120)));
  });

  it('puts halves on either of two folds', () => {
    const layout = lay([{ ...half, cut: 2 }], deep(250, 2));
    expect(layout.length).toBe(300);
    const ends = layout.laid.map((l) => [
      Math.min(...l.outline.map((p) => p.x)),
      Math.max(...l.outline.map((p) => p.x)),
    ]);
    expect(ends.sort((a, b) => a[0]! - b[0]!)).toEqual([
      [0, 200],
      [800, 1000],
    ]);
  });

  describe('and folded anew farther along', () => {
    const narrow = rectanglePiece(120, 600, { id: 'narrow', name: 'Narrow', fold: 'left', cut: 1 });
    const wide = rectanglePiece(500, 500, { id: 'wide', name: 'Wide', fold: 'left', cut: 1 });
    const broad = rectanglePiece(900, 400, { id: 'broad', name: 'Broad', cut: 1 });
    // Of 1150, 500 deep leaves 150 single, 120 deep leaves 910: too little for the wide one opened out to 1000.
    const turned = (again: readonly { depth: number; count: 1 | 2 }[]) =>
      ({ width: 1150, fold: true, oneWay: false, folds: { depth: 500, count: 1 }, again }) as const;

    it('lays each piece on the stretch that suits it: the broad one beside the shallow fold', () => {
      const layout = lay([narrow, wide, broad], turned([{ depth: 120, count: 1 }]));
      expect(layout.stretches.map((s) => [s.from, s.to, s.strips[0]?.to])).toEqual([
        [0, 500, 500],
        [500, 1100, 120],
      ]);
      expect(layout.laid.map((l) => [l.name, l.stretch]).sort()).toEqual([
        ['Broad', 1],
        ['Narrow', 1],
        ['Wide', 0],
      ]);
      apart(layout);
      expect(layout.length).toBe(1100);
      expect(layout.covered).toBeCloseTo((2 * 120 * 600 + 2 * 500 * 500 + 900 * 400) / (1150 * 1100), 9);
    });

    it('leaves out a stretch that nothing lies on, and is never longer than folded once either way', () => {
      const deepOnly = lay([wide], turned([{ depth: 120, count: 1 }]));
      expect(deepOnly.stretches).toHaveLength(1);
      for (const size of ['2', '6']) {
        const pieces = draftCauseway(size);
        const [one, other] = [350, 200].map((depth) => ({ depth, count: 1 as const }));
        const wish = { width: 1500, fold: true, oneWay: false } as const;
        const both = lay(pieces, { ...wish, folds: one!, again: [other!] });
        holds(both);
        for (const folds of [one!, other!]) {
          const once = layOut(pieces, { ...wish, folds });
          if (once.ok) expect(both.length).toBeLessThanOrEqual(once.value.length);
        }
        for (const l of both.laid) {
          const { from, to } = both.stretches[l.stretch]!;
          expect(l.outline.every((p) => p.y >= from - 1e-6 && p.y <= to + 1e-6)).toBe(true);
        }
      }
    });

    it('is refused where a piece fits on none of the stretches', () => {
      const vast = rectanglePiece(1300, 100, { id: 'vast', name: 'Vast', cut: 1 });
      expect(layOut([narrow, vast], turned([{ depth: 120, count: 1 }]))).toMatchObject({
        ok: false,
        error: { code: 'cloth-too-narrow', data: { piece: 'Vast' } },
      });
    });
  });

  it('cut once on cloth folded in half, only the upper layer is cut', () => {
    expect(lay([once], folded).laid.map((l) => [l.how, l.oneLayer])).toEqual([['single', true]]);
  });
});

describe('grain, stripes and stretch', () => {
  it('every grain line lies along the cloth, and the line for stripes square to it, at one height of the side seam', () => {
    const { laid } = lay(causeway, folded);
    for (const l of laid) {
      expect(l.grain![0].x).toBeCloseTo(l.grain![1].x, 6);
      if (l.level) expect(l.level[0].y).toBeCloseTo(l.level[1].y, 6);
    }
    expect(laid.filter((l) => l.level).map((l) => l.piece)).toEqual(
      expect.arrayContaining(['skirtFront', 'skirtBack']),
    );
  });

  it('a knit that gives the wrong way, or not at all, and a piece without grain are told', () => {
    const knit = { kind: 'knit', stretch: 0.4 } as const;
    const codes = (...args: Parameters<typeof clothAlarms>) => clothAlarms(...args).map((a) => a.code);
    expect(codes(causeway, knit, 'across')).toEqual([]);
    expect(codes(causeway, knit, 'along')).toEqual(['stretch-wrong-way']);
    expect(codes(causeway, knit, 'not')).toEqual(['stretch-missing']);
    expect(codes(causeway, { kind: 'woven', stretch: 0 }, 'not')).toEqual([]);
    expect(codes([rectanglePiece(10, 10, {})], knit, 'both')).toEqual(['grain-missing']);
  });
});
