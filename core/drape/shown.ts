import { CLOTHS, drawnAt } from '../cloth/index.ts';
import type { Mesh } from '../form/index.ts';
import { dragsOf } from './drags.ts';
import { edgeKey } from '../sew/index.ts';
import { LIES_OFF } from './rest.ts';
import type { Worn } from './wear.ts';
import { wholeMesh, type Halves } from './whole.ts';

/** Cloth as a picture shows it: both halves, and for every point how it pulls and how far it stands off. */
export interface Shown {
  /** m, y up. */
  readonly mesh: Mesh;
  /** Per cent. */
  readonly pull: Float32Array;
  /** mm */
  readonly standOff: Float32Array;
  /** Pairs of points: the lines of the seams, and the free edges of bands. */
  readonly seams: Uint32Array;
  /** Strokes, m: see `dragsOf`. */
  readonly drags: Float32Array;
  /** The form has its arms on. */
  readonly arms: boolean;
}

/** Of one half, by its points: how it pulls, %, and how far it stands off, mm. */
function feltBy(worn: Worn): { readonly pull: Float32Array; readonly standOff: Float32Array } {
  const { sheet, x, solid } = worn;
  const cloth = CLOTHS[worn.cloth];
  const stiff = (cloth.along + cloth.across) / 2;
  const n = sheet.points;
  const [pull, standOff, weight] = [new Float32Array(n), new Float32Array(n), new Float32Array(n)];
  for (let t = 0; t < sheet.area.length; t++) {
    const most = Math.max(0, drawnAt(sheet, cloth, x, t).most);
    for (let k = 0; k < 3; k++) {
      const i = sheet.triangles[3 * t + k]!;
      pull[i]! += (100 * most * sheet.area[t]!) / stiff;
      weight[i]! += sheet.area[t]!;
    }
  }
  const out = new Float64Array(4);
  for (let i = 0; i < n; i++) {
    pull[i]! /= weight[i] || 1;
    solid.at(x[3 * i]!, x[3 * i + 1]!, x[3 * i + 2]!, out);
    standOff[i] = Math.max(0, 1000 * out[0]! - LIES_OFF);
  }
  return { pull, standOff };
}

/** The edges of bands that are free: without them a collar would not be seen on the cloth below it. */
const freeEdges = ({ bands, edges, centres }: Worn['toile']): readonly Int32Array[] =>
  bands.flatMap(({ piece, edges: seam, ends, cuff }) =>
    piece.edges
      .filter(
        (e) => !seam.includes(e.id) && !(cuff && ends.includes(e.id)) && !centres.includes(edgeKey(piece.id, e.id)),
      )
      .flatMap((e) => edges.get(edgeKey(piece.id, e.id)) ?? []),
  );

/** Pairs of points along the seams of a half whose points begin at `from`. */
const seamsOf = ({ toile }: Worn, from: number): readonly number[] =>
  [...toile.seams, ...freeEdges(toile)].flatMap((line) =>
    Array.from(line.subarray(1)).flatMap((b, k) => [from + line[k]!, from + b]),
  );

/** Both halves of a garment as a picture shows them. */
export function shownOf(halves: Halves): Shown {
  const { left, right } = halves;
  const one = feltBy(left);
  const other = right === left ? one : feltBy(right);
  const both = (a: Float32Array, b: Float32Array): Float32Array => Float32Array.from([...a, ...b]);
  const strokes = dragsOf(left);
  const mirrored = (right === left ? strokes : dragsOf(right)).map((v, i) => (i % 3 === 0 ? -v : v));
  return {
    mesh: wholeMesh(halves),
    pull: both(one.pull, other.pull),
    standOff: both(one.standOff, other.standOff),
    seams: Uint32Array.from([...seamsOf(left, 0), ...seamsOf(right, left.sheet.points)]),
    drags: both(strokes, mirrored),
    arms: left.arms,
  };
}
