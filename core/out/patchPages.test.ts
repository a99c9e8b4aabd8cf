import { describe, expect, it } from 'vitest';
import { draft } from '../fitting/plan/index.ts';
import { samplePattern } from '../blocks/index.ts';
import { patchPlan } from './patch/index.ts';
import { drawPatch, paperEdge } from './drawing.ts';
import { layPages, pageMap, placedAt } from './pages.ts';
import { stepSchema } from '../documents/index.ts';

const altered = draft({
  job: {
    size: '4',
    sizeMethod: 'highBust',
    steps: [
      stepSchema.parse({ id: 'a', alteration: 'shoulder-slope', revision: 1, values: { by: 8 } }),
      stepSchema.parse({
        id: 'b',
        alteration: 'length-line',
        revision: 1,
        values: { by: 30, where: 'hem' },
      }),
    ],
  },
  wearer: { sets: [], bustEase: null },
  pattern: samplePattern('causeway', ['4']),
});
const plan = patchPlan(altered.pieces, altered.original);
const drawings = plan.patches.map(drawPatch);

describe('patches on pages', () => {
  it.each(['a4', 'letter', 'a3'] as const)('take far fewer %s pages than the pieces, none of them empty', (paper) => {
    const map = layPages(drawings, paper);
    expect(map.tiles.length).toBeLessThan(pageMap(altered.pieces, paper).tiles.length / 1.5);
    for (const tile of map.tiles) {
      const [x, y] = [tile.column * map.step.width, tile.row * map.step.height];
      const shown = map.placed.some((p) =>
        [paperEdge(p.drawing).start, ...paperEdge(p.drawing).segments.map((g) => g.to)].some((q) => {
          const at = placedAt(p, q);
          return at.x >= x && at.x <= x + map.area.width && at.y >= y && at.y <= y + map.area.height;
        }),
      );
      expect(shown, tile.label).toBe(true);
    }
  });

  it('lie apart, each whole, in the order of the pieces and from top to bottom', () => {
    const map = layPages(drawings, 'a4');
    const boxes = map.placed.map((p) => {
      const corners = [
        { x: p.drawing.bounds.minX, y: p.drawing.bounds.minY },
        { x: p.drawing.bounds.maxX, y: p.drawing.bounds.maxY },
      ].map((q) => placedAt(p, q));
      return { minX: corners[0]!.x, minY: corners[0]!.y, maxX: corners[1]!.x, maxY: corners[1]!.y };
    });
    boxes.forEach((a, i) => {
      expect(a.minX).toBeGreaterThanOrEqual(0);
      expect(a.minY).toBeGreaterThanOrEqual(0);
      boxes
        .slice(i + 1)
        .forEach((b) => expect(a.maxX < b.minX || b.maxX < a.minX || a.maxY < b.minY || b.maxY < a.minY).toBe(true));
    });
    expect(map.placed.map((p) => p.drawing.patch?.number)).toEqual(plan.patches.map((p) => p.number));
  });

  it('know the piece they belong to and how many there are of it', () => {
    for (const d of drawings) {
      const of = drawings.filter((o) => o.piece === d.piece).length;
      expect(d.patch?.of).toBe(of);
      expect(d.patch?.untouched.piece.id).toBe(d.piece.id);
    }
  });
});
