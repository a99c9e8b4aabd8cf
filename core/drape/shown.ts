import { CLOTHS, drawnAt } from '../cloth/index.ts';
import type { Mesh } from '../form/index.ts';
import { dragsOf } from './drags.ts';
import { LIES_OFF, type Worn } from './wear.ts';
import { wholeMesh } from './whole.ts';

/** Cloth as a picture shows it: both halves, and for every point how it pulls and how far it stands off. */
export interface Shown {
  /** m, y up. */
  readonly mesh: Mesh;
  /** Per cent. */
  readonly pull: Float32Array;
  /** mm */
  readonly standOff: Float32Array;
  /** Pairs of points: the lines of the seams. */
  readonly seams: Uint32Array;
  /** Strokes, m: see `dragsOf`. */
  readonly drags: Float32Array;
  /** The form has its arms on. */
  readonly arms: boolean;
}

export function shownOf(worn: Worn): Shown {
  const { sheet, x, solid, toile } = worn;
  const cloth = CLOTHS[worn.cloth];
  const stiff = (cloth.along + cloth.across) / 2;
  const n = sheet.points;
  const pull = new Float32Array(2 * n);
  const weight = new Float32Array(n);
  for (let t = 0; t < sheet.area.length; t++) {
    const most = Math.max(0, drawnAt(sheet, cloth, x, t).most);
    for (let k = 0; k < 3; k++) {
      const i = sheet.triangles[3 * t + k]!;
      pull[i]! += (100 * most * sheet.area[t]!) / stiff;
      weight[i]! += sheet.area[t]!;
    }
  }
  const standOff = new Float32Array(2 * n);
  const out = new Float64Array(4);
  for (let i = 0; i < n; i++) {
    pull[n + i] = pull[i]! /= weight[i] || 1;
    solid.at(x[3 * i]!, x[3 * i + 1]!, x[3 * i + 2]!, out);
    standOff[n + i] = standOff[i] = Math.max(0, 1000 * out[0]! - LIES_OFF);
  }
  const seams = toile.seams.flatMap((line) =>
    Array.from(line.subarray(1)).flatMap((b, k) => [line[k]!, b, n + line[k]!, n + b]),
  );
  return {
    mesh: wholeMesh(worn),
    pull,
    standOff,
    seams: Uint32Array.from(seams),
    drags: dragsOf(worn),
    arms: worn.arms,
  };
}
