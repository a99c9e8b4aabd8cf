import { describe, expect, it } from 'vitest';
import { draftSample, SAMPLE_IDS } from '../drafting/index.ts';
import { distance, flatten, insidePolygon, lerp, type Point } from '../geometry/index.ts';
import { pageMap, rowLabel, type PageMap } from './index.ts';

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

describe.each(SAMPLE_IDS)('the pages of %s', (id) => {
  const map = pageMap(draftSample(id, '5'), 'a4');

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
    const { area, step } = map;
    const used = new Set<string>();
    for (const p of map.placed)
      for (const q of dense(flatten(p.drawing.cutting, 1))) {
        const at = { x: q.x + p.dx, y: q.y + p.dy };
        const on = map.tiles.filter(
          (t) =>
            at.x >= t.column * step.width - 1e-6 &&
            at.x <= t.column * step.width + area.width + 1e-6 &&
            at.y >= t.row * step.height - 1e-6 &&
            at.y <= t.row * step.height + area.height + 1e-6,
        );
        expect(on.length).toBeGreaterThan(0);
        for (const t of on) used.add(t.label);
      }
    // A page that no line crosses lies in the middle of a piece.
    const rings = map.placed.map((p) => flatten(p.drawing.cutting, 1).map((q) => ({ x: q.x + p.dx, y: q.y + p.dy })));
    for (const t of map.tiles.filter((x) => !used.has(x.label))) {
      const middle = { x: t.column * step.width + area.width / 2, y: t.row * step.height + area.height / 2 };
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
