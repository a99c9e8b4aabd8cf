import { describe, expect, it } from 'vitest';
import { CLOTHS, hang, PACE, prepare, step, drawnAt, type Cloth, type Hanging, type Solid } from './index.ts';

/** A rectangle of cloth in rows of equal triangles: its width across the grain, its length along it, m. */
function rectangle(width: number, length: number, edge: number, round = false) {
  const rows = Math.max(1, Math.round(length / (edge * Math.sqrt(0.75))));
  const columns = Math.max(2, Math.round(width / edge));
  const places: (readonly [number, number])[] = [];
  const rowStart: number[] = [];
  for (let r = 0; r <= rows; r++) {
    rowStart.push(places.length);
    const shift = r % 2 === 0 ? 0 : 0.5;
    if (round) for (let c = 0; c < columns; c++) places.push([((c + shift) * width) / columns, (r * length) / rows]);
    else {
      places.push([0, (r * length) / rows]);
      for (let c = shift ? 0.5 : 1; c < columns; c++) places.push([(c * width) / columns, (r * length) / rows]);
      places.push([width, (r * length) / rows]);
    }
  }
  rowStart.push(places.length);
  const [triangles, flat]: [number[], number[]] = [[], []];
  const corner = (i: number, turn: number): void => {
    triangles.push(i);
    flat.push(places[i]![0] + turn * width, places[i]![1]);
  };
  for (let r = 0; r < rows; r++) {
    // Zip two rows together, always the shorter way on.
    const [low, high] = [rowStart[r]!, rowStart[r + 1]!];
    const [lows, highs] = [high - low, rowStart[r + 2]! - high];
    const at = (from: number, n: number, i: number) => ({ i: from + (i % n), turn: Math.floor(i / n) });
    const u = (p: { i: number; turn: number }): number => places[p.i]![0] + p.turn * width;
    let [a, b] = [0, 0];
    const [lastA, lastB] = round ? [lows, highs] : [lows - 1, highs - 1];
    while (a < lastA || b < lastB) {
      const [p, q] = [at(low, lows, a), at(high, highs, b)];
      const [p2, q2] = [at(low, lows, a + 1), at(high, highs, b + 1)];
      const onLow = b >= lastB || (a < lastA && u(p2) <= u(q2));
      for (const c of onLow ? [p, p2, q] : [p, q2, q]) corner(c.i, c.turn);
      if (onLow) a++;
      else b++;
    }
  }
  return { sheet: prepare({ points: places.length, triangles: Int32Array.from(triangles), flat: Float64Array.from(flat) }), places };
}
const TOUCH = { off: 0.0015, push: 300, friction: 0 };
const free = (n: number): Uint8Array => new Uint8Array(3 * n);

function rest(hanging: Hanging, x: Float64Array, steps: number, pace = PACE) {
  const cloth = hang(hanging, x);
  for (let i = 0; i < steps; i++) step(cloth, pace);
  return cloth;
}

describe('cloth at rest', () => {
  const calico: Cloth = CLOTHS.calico;

  it('stretches under its own weight as a strip does: weight per area · length² / (2 · stiffness)', () => {
    const [length, width] = [1, 0.1];
    const { sheet, places } = rectangle(width, length, 0.02);
    const x = Float64Array.from(places.flatMap(([u, v]) => [u, -v, 0]));
    const held = free(sheet.points);
    places.forEach(([, v], i) => v === 0 && held.fill(1, 3 * i, 3 * i + 3));
    const { x: y } = rest({ sheet, cloth: { ...calico, across: 2000 }, solid: null, touch: TOUCH, held }, x, 200);
    const end = places.flatMap(([, v], i) => (v === length ? [-y[3 * i + 1]! - length] : []));
    const mean = end.reduce((a, b) => a + b, 0) / end.length;
    const byHand = (calico.mass * 9.81 * length ** 2) / (2 * calico.along);
    expect(mean / byHand).toBeGreaterThan(0.98);
    expect(mean / byHand).toBeLessThan(1.02);
  });

  it('bends down over an edge as a strip does, by Peirce’s formula', () => {
    const length = 0.1;
    const bending = 60e-6;
    const { sheet, places } = rectangle(0.04, length + 0.02, 0.005);
    const x = Float64Array.from(places.flatMap(([u, v]) => [u, 0, v]));
    const held = free(sheet.points);
    places.forEach(([, v], i) => v < 0.0201 && held.fill(1, 3 * i, 3 * i + 3));
    const { x: y } = rest({ sheet, cloth: { ...calico, bending }, solid: null, touch: TOUCH, held }, x, 600);
    const ends = places.flatMap(([, v], i) => (v > length + 0.0199 ? [i] : []));
    const drop = ends.reduce((s, i) => s - y[3 * i + 1]!, 0) / ends.length;
    const reach = ends.reduce((s, i) => s + y[3 * i + 2]! - 0.02, 0) / ends.length;
    const angle = Math.atan2(drop, reach);
    const bendingLength = length * (Math.cos(angle / 2) / (8 * Math.tan(angle))) ** (1 / 3);
    const asked = (bending / (calico.mass * 9.81)) ** (1 / 3);
    expect(bendingLength / asked).toBeGreaterThan(0.9);
    expect(bendingLength / asked).toBeLessThan(1.1);
  });

  it('is drawn round a cylinder as much as the cylinder is rounder, and pulls as hard as that takes', () => {
    const [girth, radius] = [0.8, 0.13];
    const { sheet, places } = rectangle(girth, 0.2, 0.0125, true);
    const cylinder: Solid = {
      at: (px, _py, pz, out) => {
        const r = Math.hypot(px, pz);
        out.set([r - radius, px / r, 0, pz / r]);
      },
    };
    const x = Float64Array.from(
      places.flatMap(([u, v]) => {
        const a = (2 * Math.PI * u) / girth;
        return [radius * Math.sin(a), v, radius * Math.cos(a)];
      }),
    );
    const light = { ...calico, mass: 0.01 };
    const held = free(sheet.points);
    // Its lower edge stands: with neither friction nor shoulders it would slide down.
    places.forEach(([, v], i) => v === 0 && (held[3 * i + 1] = 1));
    const touch = { ...TOUCH, push: 20_000 };
    const { x: y } = rest({ sheet, cloth: light, solid: cylinder, touch, held }, x, 100);
    const strains = Array.from({ length: sheet.area.length }, (_, t) => drawnAt(sheet, light, y, t).most / light.across);
    const mean = strains.reduce((a, b) => a + b, 0) / strains.length;
    const asked = (2 * Math.PI * (radius + TOUCH.off)) / girth - 1;
    expect(mean / asked).toBeGreaterThan(0.98);
    expect(mean / asked).toBeLessThan(1.02);
    // Pushed out all round with what the taut cloth presses: tension per width / radius on every area.
    let pushed = 0;
    for (let i = 0; i < sheet.points; i++)
      pushed += touch.push * Math.max(0, TOUCH.off - (Math.hypot(y[3 * i]!, y[3 * i + 2]!) - radius));
    const byHand = 2 * Math.PI * light.across * mean * 0.2;
    expect(pushed / byHand).toBeGreaterThan(0.98);
    expect(pushed / byHand).toBeLessThan(1.02);
  });
});
