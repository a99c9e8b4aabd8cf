import { CLOTHS, drawnAt } from '../cloth/index.ts';
import type { Worn } from './wear.ts';

/** From which share of its stiffness a pull draws a line in the cloth, how much less it must be crosswise, and how near two lines lie, m. */
const DRAG = { from: 0.005, slack: 0.25, apart: 0.024 } as const;

/**
 * Drag lines: where cloth is drawn one way and slack the other it folds along the pull. Short strokes on the cloth, m:
 * the two ends of each, six numbers; the strongest of those that lie close together.
 */
export function dragsOf({ sheet, x, cloth: id }: Pick<Worn, 'sheet' | 'x' | 'cloth'>): Float32Array {
  const cloth = CLOTHS[id];
  const stiff = (cloth.along + cloth.across) / 2;
  const near = new Map<string, { readonly most: number; readonly stroke: readonly number[] }>();
  for (let t = 0; t < sheet.area.length; t++) {
    const { most, least, way } = drawnAt(sheet, cloth, x, t);
    if (most < DRAG.from * stiff || least > DRAG.slack * most) continue;
    const middle = [0, 1, 2].map((d) =>
      [0, 1, 2].reduce((sum, k) => sum + x[3 * sheet.triangles[3 * t + k]! + d]! / 3, 0),
    );
    const cell = middle.map((v) => Math.round(v / DRAG.apart)).join(' ');
    if ((near.get(cell)?.most ?? 0) >= most) continue;
    const end = (by: number): readonly number[] => middle.map((v, d) => v + by * (way[d] ?? 0));
    near.set(cell, { most, stroke: [...end(-DRAG.apart / 2), ...end(DRAG.apart / 2)] });
  }
  return Float32Array.from([...near.values()].flatMap((n) => n.stroke));
}
