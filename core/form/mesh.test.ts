import { describe, expect, it } from 'vitest';
import { SAMPLE_CHART } from '../blocks/chart.ts';
import {
  armMesh,
  armTube,
  formMesh,
  formOf,
  formOfBoth,
  meshOf,
  sectionOf,
  shapeOf,
  surfaceOf,
  writeStl,
  type Mesh,
} from './index.ts';

const { figure } = formOf(SAMPLE_CHART[3]!.body);
const mesh = meshOf(shapeOf(figure));
const pointOf = ({ positions }: Mesh, i: number): readonly [number, number, number] => [
  positions[3 * i] ?? NaN,
  positions[3 * i + 1] ?? NaN,
  positions[3 * i + 2] ?? NaN,
];
const point = (i: number) => pointOf(mesh, i);

/** What a surface holds, in litres, above nothing when it is turned outward; and its edges, each way they are run. */
function held(of: Mesh): { readonly litres: number; readonly edges: ReadonlyMap<string, number> } {
  const edges = new Map<string, number>();
  let volume = 0;
  for (let t = 0; t < of.triangles.length; t += 3) {
    const [i, j, k] = [of.triangles[t]!, of.triangles[t + 1]!, of.triangles[t + 2]!];
    for (const [a, b] of [
      [i, j],
      [j, k],
      [k, i],
    ])
      edges.set(`${a} ${b}`, (edges.get(`${a} ${b}`) ?? 0) + 1);
    const [p, q, r] = [pointOf(of, i), pointOf(of, j), pointOf(of, k)];
    volume +=
      (p[0] * (q[1] * r[2] - q[2] * r[1]) + p[1] * (q[2] * r[0] - q[0] * r[2]) + p[2] * (q[0] * r[1] - q[1] * r[0])) /
      6;
  }
  return { litres: volume / 1e6, edges };
}
const expectClosed = (edges: ReadonlyMap<string, number>): void => {
  for (const [edge, times] of edges) {
    expect(times).toBe(1);
    expect(edges.has(edge.split(' ').reverse().join(' '))).toBe(true);
  }
};

describe('the form as triangles', () => {
  it('is closed and turned outward: every edge twice, once each way, and a body’s volume inside', () => {
    const { litres, edges } = held(mesh);
    expectClosed(edges);
    // A torso of this size from thigh to neck.
    expect(litres).toBeGreaterThan(25);
    expect(litres).toBeLessThan(55);
  });

  it('has arms to put on: closed, turned outward, as thick as measured and clear of the side below the underarm', () => {
    const arm = armMesh(figure);
    const { litres, edges } = held(arm);
    expectClosed(edges);
    const tube = armTube(figure);
    const radii = Array.from({ length: 541 }, (_, i) => tube.radiusAt((i * tube.length) / 540));
    // Discs laid on each other, and half a ball at both ends.
    const discs = radii.reduce((sum, r) => sum + Math.PI * r ** 2 * (tube.length / 541), 0);
    const ends = (2 / 3) * Math.PI * (radii[0]! ** 3 + radii.at(-1)! ** 3);
    expect(litres).toBeCloseTo((discs + ends) / 1e6, 1);
    expect(2 * Math.PI * Math.max(...radii)).toBeCloseTo(SAMPLE_CHART[3]!.body.upperArm!, 0);
    // At the bust a hand goes between arm and side.
    const side = sectionOf(shapeOf(figure))(figure.bust).half;
    const inner = Array.from({ length: arm.positions.length / 3 }, (_, i) => pointOf(arm, i))
      .filter(([, y]) => Math.abs(y - figure.bust) < 8)
      .map(([x]) => x);
    expect(Math.min(...inner)).toBeGreaterThan(side + 10);
    expect(held(formMesh(figure, true)).litres).toBeCloseTo(held(mesh).litres + 2 * litres, 6);
    expect(formMesh(figure, false)).toEqual(mesh);
  });

  it('has a right half of its own where that was measured otherwise, and the halves meet', () => {
    const { body } = SAMPLE_CHART[3]!;
    const low = { ...body, shoulderSlope: 60, shoulder: 116 };
    const of = formOfBoth({ ...body, shoulderSlope: 40 }, low);
    expect(of.conflicts).toEqual([]);
    expect(of.rows.flatMap((r) => (r.right ? [[r.key, Math.round(r.form)]] : []))).toEqual([
      ['shoulder', 116],
      ['shoulderSlope', 60],
    ]);
    const uneven = formMesh(of.figure, false);
    expectClosed(held(uneven).edges);
    const right = of.figure.right!;
    // The shoulder lies lower on the right by as much as was measured.
    const top = (way: 1 | -1): number =>
      Math.max(
        ...Array.from({ length: uneven.positions.length / 3 }, (_, i) => pointOf(uneven, i))
          .filter(([x]) => Math.abs(way * x - 140) < 8)
          .map(([, y]) => y),
      );
    expect(top(1) - top(-1)).toBeGreaterThan(12);
    // In the middle the two are one, at the side each is its own.
    const [one, two] = [surfaceOf(shapeOf(of.figure), null), surfaceOf(shapeOf(right), shapeOf(of.figure))];
    const alone = surfaceOf(shapeOf(right), null);
    for (let y = of.figure.hip; y < of.figure.neckPoint; y += 10) {
      for (const middle of [0, Math.PI]) expect(two(y, middle).z).toBeCloseTo(one(y, middle).z, 9);
      expect(two(y, Math.PI / 2)).toEqual(alone(y, Math.PI / 2));
    }
    // Alike on both sides it is what it was.
    expect(formOfBoth(body, null)).toEqual(formOf(body));
  });

  it('is the same left and right', () => {
    const [left, right] = [new Set<string>(), new Set<string>()];
    for (let i = 0; i < mesh.positions.length / 3; i++) {
      const [x, y, z] = point(i);
      left.add(`${x.toFixed(2)} ${y.toFixed(2)} ${z.toFixed(2)}`.replace(/^-0\.00/, '0.00'));
      right.add(`${(-x).toFixed(2)} ${y.toFixed(2)} ${z.toFixed(2)}`.replace(/^-0\.00/, '0.00'));
    }
    expect([...left].filter((p) => !right.has(p))).toEqual([]);
  });

  it('is written as STL: its count, its size in millimetres, upright along z, at half scale half as high', () => {
    const [whole, half] = [writeStl(mesh), writeStl(mesh, 0.5)].map((b) => new DataView(b.buffer));
    expect(whole!.getUint32(80, true)).toBe(mesh.triangles.length / 3);
    expect(whole!.byteLength).toBe(84 + (50 * mesh.triangles.length) / 3);
    const highest = (v: DataView): number => {
      let most = 0;
      for (let t = 0; t < v.getUint32(80, true); t++)
        for (let k = 0; k < 3; k++) most = Math.max(most, v.getFloat32(84 + 50 * t + 12 + 12 * k + 8, true));
      return most;
    };
    const top = Math.max(...mesh.positions.filter((_, i) => i % 3 === 1));
    expect(highest(whole!)).toBeCloseTo(top, 3);
    expect(highest(half!)).toBeCloseTo(top / 2, 3);
  });
});
