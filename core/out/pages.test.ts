import { describe, expect, it } from 'vitest';
import { draftSample, SAMPLE_IDS } from '../blocks/index.ts';
import { distance, flatten, insidePolygon, lerp, type Point } from '../geometry/index.ts';
import { rectangle } from '../testing/shapes.ts';
import { pageMap, rowLabel, type PageMap } from './pages.ts';

const boxes = (map: PageMap) =>
  map.placed.map((p) => {
    const { minX, minY, maxX, maxY } = p.drawing.bounds;
    return { minX: minX + p.dx, maxX: maxX + p.dx, minY: minY + p.dy, maxY: maxY + p.dy };
  });

/** Long straight lines as points too, so that no page is crossed unseen. */
const dense = (ring: readonly Point[]): readonly Point[] =>
  ring.flatMap((a, i) => {
    const b = ring[(i + 1) % ring.length] as Point;
    const n = Math.max(1, Math.ceil(distance(a, b) / 5));
    return Array.from({ length: n }, (_, k) => lerp(a, b, k / n));
  });

describe('how many pages', () => {
  const a4 = pageMap([rectangle(50, 50)], 'a4');
  const { area, step } = a4;
  // The cutting line of a box lies 15 mm outside it, and the map leaves the same room around all it places.
  const around = Math.max(...boxes(a4).map((b) => b.maxX)) - 50;
  const across = (width: number): number =>
    new Set(pageMap([rectangle(width, 50)], 'a4').tiles.map((t) => t.at.x)).size;
  it('are taken: one as long as all fits into its frame, and each further one adds a page less the overlap', () => {
    expect([across(area.width - around - 1), across(area.width - around + 1)]).toEqual([1, 2]);
    expect([across(area.width + step.width - around - 1), across(area.width + step.width - around + 1)]).toEqual([
      2, 3,
    ]);
  });
});

const WAYS = SAMPLE_IDS.flatMap((id) => [
  { id, how: 'together', options: {} },
  { id, how: 'each piece apart', options: { apart: true } },
]);
describe.each(WAYS)('the pages of $id, $how', ({ id, options }) => {
  const map = pageMap(draftSample(id, '5'), 'a4', options);

  it('hold every piece whole, none upon another', () => {
    const all = boxes(map);
    all.forEach((a, i) => {
      expect(a.minX).toBeGreaterThanOrEqual(0);
      expect(a.minY).toBeGreaterThanOrEqual(0);
      for (const b of all.slice(i + 1))
        expect(a.maxX <= b.minX || b.maxX <= a.minX || a.maxY <= b.minY || b.maxY <= a.minY).toBe(true);
    });
  });

  it('cover every point of every cutting line, and no page is empty', () => {
    const { area } = map;
    const used = new Set<string>();
    for (const p of map.placed)
      for (const q of dense(flatten(p.drawing.cutting, 1))) {
        const at = { x: q.x + p.dx, y: q.y + p.dy };
        const on = map.tiles.filter(
          (t) =>
            at.x >= t.at.x - 1e-6 &&
            at.x <= t.at.x + area.width + 1e-6 &&
            at.y >= t.at.y - 1e-6 &&
            at.y <= t.at.y + area.height + 1e-6,
        );
        expect(on.length).toBeGreaterThan(0);
        for (const t of on) used.add(t.label);
      }
    // A page that no line crosses lies in the middle of a piece.
    const rings = map.placed.map((p) => flatten(p.drawing.cutting, 1).map((q) => ({ x: q.x + p.dx, y: q.y + p.dy })));
    for (const t of map.tiles.filter((x) => !used.has(x.label))) {
      const middle = { x: t.at.x + area.width / 2, y: t.at.y + area.height / 2 };
      expect(rings.some((ring) => insidePolygon(middle, ring))).toBe(true);
    }
  });

  it('are numbered on, and named by row and column', () => {
    map.tiles.forEach((t, i) => {
      expect(t.page).toBe(i + 2);
      expect(t.label).toBe(`${rowLabel(t.row)}${t.column + 1}`);
    });
    expect(map.pageCount).toBe(map.tiles.length + 1);
  });
});

describe('many pieces', () => {
  it('lie in rows, nearer to a square than in one line', () => {
    const map = pageMap(draftSample('causeway', '5'), 'a4');
    expect(map.rows).toBeGreaterThan(2);
    expect(map.columns).toBeGreaterThan(2);
    expect(Math.max(map.rows / map.columns, map.columns / map.rows)).toBeLessThan(3);
  });
  it('take fewer pages the fewer they are', () => {
    const all = draftSample('causeway', '5');
    const counts = all.map((_, i) => pageMap(all.slice(0, i + 1), 'letter').pageCount);
    counts.slice(1).forEach((n, i) => expect(n).toBeGreaterThanOrEqual((counts[i] ?? 0) - 1));
    expect(pageMap([], 'a4').pageCount).toBe(1);
  });
});

describe('pieces apart', () => {
  const pieces = draftSample('causeway', '5');
  /** Which pieces have paper on a page. */
  const piecesOn = (map: PageMap, t: PageMap['tiles'][number]): readonly string[] => {
    const { x, y } = t.at;
    return map.placed.flatMap((p) => {
      const b = boxes({ ...map, placed: [p] })[0]!;
      const meets = b.minX < x + map.area.width && b.maxX > x && b.minY < y + map.area.height && b.maxY > y;
      return meets ? [p.drawing.piece.id] : [];
    });
  };
  it.each(['a4', 'letter', 'a3', 'a0'] as const)('share no page of %s, and each has its pages in a row', (paper) => {
    const map = pageMap(pieces, paper, { apart: true });
    const owners = map.tiles.map((t) => piecesOn(map, t));
    for (const on of owners) expect(on).toHaveLength(1);
    const order = owners.flat();
    // As many changes of owner as pieces but one: the pages of a piece follow one another.
    expect(order.filter((id, i) => i > 0 && id !== order[i - 1])).toHaveLength(pieces.length - 1);
    // No page lies beside a page of another piece, so that no joining marks lead there.
    const at = new Map(map.tiles.map((t, i) => [`${t.row} ${t.column}`, order[i]]));
    map.tiles.forEach((t, i) => {
      for (const [r, c] of [
        [0, 1],
        [1, 0],
      ] as const)
        expect([undefined, order[i]]).toContain(at.get(`${t.row + r} ${t.column + c}`));
    });
  });
  it('take as many pages as each takes alone', () => {
    for (const turn of [false, true]) {
      const alone = pieces.map((p) => pageMap([p], 'a4', { apart: true, turn }).tiles.length);
      const together = pageMap(pieces, 'a4', { apart: true, turn });
      expect(together.tiles).toHaveLength(alone.reduce((a, b) => a + b, 0));
      // A piece alone is laid no worse than in the common way.
      pieces.forEach((p, i) => expect(alone[i]).toBeLessThanOrEqual(pageMap([p], 'a4', { turn }).tiles.length));
    }
  });
  it('lie on a roll as ever: it is one page', () => {
    expect(pageMap(pieces, 'roll', { apart: true })).toEqual(pageMap(pieces, 'roll'));
  });
});
