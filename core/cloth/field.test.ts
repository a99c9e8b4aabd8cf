import { describe, expect, it } from 'vitest';
import { firstFigure, meshOf, shapeOf } from '../form/index.ts';
import { leftHalfOf, solidOf, unionOf, type Solid } from './index.ts';

/** A ball of radius 0.1 about the origin. */
function ball(rows: number, columns: number) {
  const positions: number[] = [];
  for (let r = 0; r <= rows; r++)
    for (let c = 0; c < columns; c++) {
      const [a, b] = [(Math.PI * r) / rows, (2 * Math.PI * c) / columns];
      positions.push(0.1 * Math.sin(a) * Math.sin(b), -0.1 * Math.cos(a), 0.1 * Math.sin(a) * Math.cos(b));
    }
  const triangles: number[] = [];
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const [p, q] = [r * columns + c, r * columns + ((c + 1) % columns)];
      if (r > 0) triangles.push(p, q, q + columns);
      if (r < rows - 1) triangles.push(p, q + columns, p + columns);
    }
  return { positions, triangles };
}

describe('half a body', () => {
  it('is the body on its side, and keeps what crosses the plane from crossing it farther', () => {
    const body = solidOf(ball(60, 80));
    const half = leftHalfOf(body, 0.0015);
    const [one, two] = [new Float64Array(4), new Float64Array(4)];
    for (const x of [0, 0.03, 0.101]) {
      body.at(x, 0.02, 0.03, one);
      half.at(x, 0.02, 0.03, two);
      expect(two).toEqual(one);
    }
    // Outside the ball, 4 mm across: pushed back by what it is across, whatever cloth keeps off a body.
    half.at(-0.004, 0.15, 0, two);
    expect([...two]).toEqual([expect.closeTo(-0.0025, 9), 1, 0, 0]);
    // Deeper in the body than across the plane, the body pushes.
    half.at(-0.001, 0.08, 0, two);
    body.at(-0.001, 0.08, 0, one);
    expect(two).toEqual(one);
  });
});

describe('the field about a solid', () => {
  it('tells how far from a ball a place lies, and which way is out', () => {
    const solid = solidOf(ball(60, 80));
    const out = new Float64Array(4);
    for (const [x, y, z] of [
      [0.11, 0, 0],
      [0, 0.1, 0.02],
      [-0.06, 0.07, 0.03],
      [0.05, -0.05, 0.06],
      [0, 0, -0.112],
    ] as const) {
      solid.at(x, y, z, out);
      const r = Math.hypot(x, y, z);
      expect(Math.abs(out[0]! - (r - 0.1))).toBeLessThan(4e-4);
      expect((out[1]! * x + out[2]! * y + out[3]! * z) / r).toBeGreaterThan(0.998);
    }
    solid.at(0, 0, 0, out);
    expect(out[0]).toBeLessThan(-0.015);
    solid.at(0.5, 0.5, 0.5, out);
    expect(out[0]).toBeGreaterThan(0.015);
  });

  it('is the same on the left and the right of a form', () => {
    const { positions, triangles } = meshOf(
      shapeOf(firstFigure({ fullBust: 920, highBust: 870, waist: 740, hip: 990 })),
    );
    const solid = solidOf({ positions: positions.map((v) => v / 1000), triangles });
    const [left, right] = [new Float64Array(4), new Float64Array(4)];
    for (const [x, y, z] of [
      [0.1, 1.2, 0.1],
      [0.15, 1.35, -0.02],
      [0.05, 1, -0.1],
      [0.12, 1.39, 0],
    ] as const) {
      solid.at(x, y, z, left);
      solid.at(-x, y, z, right);
      expect(right[0]).toBeCloseTo(left[0]!, 3);
      expect(right[1]).toBeCloseTo(-left[1]!, 1);
    }
  });
});

describe('two bodies as one', () => {
  /** All below a plane square to an axis. */
  const below = (axis: 0 | 1): Solid => ({
    at: (x, y, _z, out) => out.set([axis === 0 ? x : y, axis === 0 ? 1 : 0, axis === 1 ? 1 : 0, 0]),
  });
  const both = unionOf(below(0), below(1));
  const at = (x: number, y: number) => {
    const out = new Float64Array(4);
    both.at(x, y, 0, out);
    return [...out];
  };
  it('are as far as the nearer of them', () => {
    expect(at(0.003, 0.05)).toEqual([0.003, 1, 0, 0]);
    expect(at(0.05, -0.002)).toEqual([-0.002, 0, 1, 0]);
  });
  it('round the fold between them: out is half-way between both, and nothing jumps', () => {
    const [distance, x, y] = at(0.004, 0.004) as [number, number, number];
    expect(distance).toBeLessThan(0.004);
    expect(distance).toBeGreaterThan(0);
    expect([x, y]).toEqual([expect.closeTo(Math.SQRT1_2, 9), expect.closeTo(Math.SQRT1_2, 9)]);
    for (let k = -200; k < 200; k++) {
      const [a, b] = [at(0.01 + k * 1e-4, 0.01), at(0.01 + (k + 1) * 1e-4, 0.01)];
      expect(Math.hypot(...a.map((v, i) => v - b[i]!))).toBeLessThan(0.05);
    }
  });
});
