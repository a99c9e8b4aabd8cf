import { describe, expect, it } from 'vitest';
import { SAMPLE_CHART } from '../blocks/chart.ts';
import { formOf, meshOf, shapeOf, writeStl } from './index.ts';

const mesh = meshOf(shapeOf(formOf(SAMPLE_CHART[3]!.body).figure));
const point = (i: number): readonly [number, number, number] => [
  mesh.positions[3 * i] ?? NaN,
  mesh.positions[3 * i + 1] ?? NaN,
  mesh.positions[3 * i + 2] ?? NaN,
];

describe('the form as triangles', () => {
  it('is closed and turned outward: every edge twice, once each way, and a body’s volume inside', () => {
    const seen = new Map<string, number>();
    let volume = 0;
    for (let t = 0; t < mesh.triangles.length; t += 3) {
      const [i, j, k] = [mesh.triangles[t]!, mesh.triangles[t + 1]!, mesh.triangles[t + 2]!];
      for (const [a, b] of [
        [i, j],
        [j, k],
        [k, i],
      ])
        seen.set(`${a} ${b}`, (seen.get(`${a} ${b}`) ?? 0) + 1);
      const [p, q, r] = [point(i), point(j), point(k)];
      volume +=
        (p[0] * (q[1] * r[2] - q[2] * r[1]) + p[1] * (q[2] * r[0] - q[0] * r[2]) + p[2] * (q[0] * r[1] - q[1] * r[0])) /
        6;
    }
    for (const [edge, times] of seen) {
      expect(times).toBe(1);
      expect(seen.has(edge.split(' ').reverse().join(' '))).toBe(true);
    }
    // Litres: a torso of this size from thigh to neck.
    expect(volume / 1e6).toBeGreaterThan(25);
    expect(volume / 1e6).toBeLessThan(55);
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
