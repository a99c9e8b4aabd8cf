import { CLOTHS, hang, prepare, type Layers, type Sheet, type Solid } from '../cloth/index.ts';
import { toRest, TOUCH, type Progress } from './rest.ts';
import { heldFor, type Worn } from './wear.ts';
import type { Halves } from './whole.ts';

/** Which point of the whole garment each point of both halves is. */
interface Places {
  readonly count: number;
  readonly left: Int32Array;
  readonly right: Int32Array;
  /** Points of the right half that are one with a point of the left. */
  readonly shared: ReadonlySet<number>;
}

/**
 * Two unlike halves that hang by themselves, sewn together down the middle and let come to rest as one garment. Where an edge
 * of the middle is cut otherwise on one side, or one piece is missing there, the halves stay apart in the plane between them.
 */
export function* joined({ left, right }: Halves): Generator<Progress, Halves> {
  const places = placesOf(left, right);
  if (places.shared.size === 0) return { left, right };
  const sheet = prepare(sheetOf(left, right, places));
  const held = new Uint8Array(3 * places.count);
  const start = new Float64Array(3 * places.count);
  for (const [half, of, way] of [
    [right, places.right, -1],
    [left, places.left, 1],
  ] as const) {
    const own = heldFor(half.toile, half.hangs);
    of.forEach((to, i) => {
      held.set(own.subarray(3 * i, 3 * i + 3), 3 * to);
      start.set([way * half.x[3 * i]!, half.x[3 * i + 1]!, half.x[3 * i + 2]!], 3 * to);
    });
  }
  for (const i of places.shared) held[3 * places.right[i]!] = 0;
  const solid = sideBySide(left, right);
  const layers = bothLayers(left.layers, right.layers);
  const on = hang({ sheet, cloth: CLOTHS[left.cloth], solid, touch: TOUCH, layers, held }, start);
  const { settled, steps } = yield* toRest(on, 'warm');
  const half = (was: Worn, of: Int32Array, way: 1 | -1): Worn => {
    const x = new Float64Array(was.x.length);
    of.forEach((from, i) => x.set([way * on.x[3 * from]!, on.x[3 * from + 1]!, on.x[3 * from + 2]!], 3 * i));
    return { ...was, x, settled: settled && was.settled, steps: was.steps + steps };
  };
  return { left: half(left, places.left, 1), right: half(right, places.right, -1) };
}

function placesOf({ toile: one }: Worn, { toile: two }: Worn): Places {
  const pair = new Map<number, number>();
  for (const key of one.centres) {
    const [a, b] = [one.edges.get(key), two.edges.get(key)];
    if (a && b && a.length === b.length) b.forEach((i, k) => pair.set(i, a[k]!));
  }
  let count = one.sheet.points;
  const right = Int32Array.from({ length: two.sheet.points }, (_, i) => pair.get(i) ?? count++);
  return {
    count,
    right,
    left: Int32Array.from({ length: one.sheet.points }, (_, i) => i),
    shared: new Set(pair.keys()),
  };
}

/** Both halves as one sheet. A mirror image stretches and bends as its original does, so the right stays as it was cut. */
const sheetOf = (left: Worn, right: Worn, places: Places): Sheet => ({
  points: places.count,
  pressed: new Set([...pressedIn(left, places.left, places.count), ...pressedIn(right, places.right, places.count)]),
  triangles: Int32Array.from([...left.sheet.triangles, ...right.sheet.triangles.map((i) => places.right[i]!)]),
  flat: Float64Array.from([...left.sheet.flat, ...right.sheet.flat]),
  layers: Float64Array.from([...left.sheet.layers, ...right.sheet.layers]),
});

/** The pressed edges of a half, by the points of the whole. */
const pressedIn = ({ sheet }: Worn, of: Int32Array, count: number): readonly number[] =>
  Array.from(sheet.pressed ?? [], (key) => {
    const [a, b] = [of[Math.floor(key / sheet.points)]!, of[key % sheet.points]!];
    return Math.min(a, b) * count + Math.max(a, b);
  });

/** In a mirror image corners run the other way round. */
const bothLayers = (left: Layers, right: Layers): Layers => ({
  ...left,
  outward: Int8Array.from([...left.outward, ...right.outward.map((way) => -way)]),
  tube: Uint8Array.from([...left.tube, ...right.tube]),
});

/** The bodies under both halves: each half feels its own, wherever its points lie. */
function sideBySide(left: Worn, right: Worn): Solid {
  const own = left.sheet.points;
  return {
    at: (x, y, z, out, point = 0) => {
      if (point < own) return left.solid.at(x, y, z, out);
      right.solid.at(-x, y, z, out);
      out[1] = -out[1]!;
    },
  };
}
