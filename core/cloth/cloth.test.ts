import { describe, expect, it } from 'vitest';
import {
  CLOTHS,
  drawnAt,
  energyOf,
  hang,
  PACE,
  step,
  type Cloth,
  type Hanging,
  type Pace,
  type Solid,
} from './index.ts';
import { rectangle, rimOf } from '../testing/cloth.ts';

const TOUCH = { off: 0.0015, push: 300, friction: 0 };
const calico: Cloth = CLOTHS.calico;

function rest(hanging: Hanging, x: Float64Array, steps: number, pace: Pace = PACE) {
  const cloth = hang(hanging, x);
  for (let i = 0; i < steps; i++) step(cloth, pace);
  return cloth;
}

/** A strip of calico 1 m long, held at its upper end. */
function strip(edge: number, steps: number, pace: Pace = PACE) {
  const { sheet, places } = rectangle(0.1, 1, edge);
  const x = Float64Array.from(places.flatMap(([u, v]) => [u, -v, 0]));
  const hanging = { sheet, cloth: calico, solid: null, touch: TOUCH, held: rimOf(places, ([, v]) => v === 0) };
  const { x: y } = rest(hanging, x, steps, pace);
  const end = places.flatMap(([, v], i) => (v === 1 ? [-y[3 * i + 1]! - 1] : []));
  return { longer: end.reduce((a, b) => a + b, 0) / end.length, x: y };
}

describe('cloth at rest', () => {
  // Weight per area · length² / (2 · stiffness): 0.15 · 9.81 · 1 / 4000.
  const byHand = 0.000367875;

  it('stretches under its own weight as a strip does', () => {
    expect(strip(0.025, 120).longer / byHand).toBeCloseTo(1, 2);
  });

  it('comes to the same rest with half the time step, and with half the mesh', () => {
    const { longer } = strip(0.025, 120);
    expect(strip(0.025, 240, { ...PACE, step: PACE.step / 2 }).longer / longer).toBeCloseTo(1, 3);
    expect(strip(0.0125, 120).longer / longer).toBeCloseTo(1, 2);
  });

  it('is the same to the last bit each time', () => {
    expect(strip(0.05, 30).x).toEqual(strip(0.05, 30).x);
  });

  it('bends down over an edge as a strip does, by Peirce’s formula', () => {
    const [length, held, bending] = [0.1, 0.02, 60e-6];
    const { sheet, places } = rectangle(0.03, length + held, 0.01);
    const x = Float64Array.from(places.flatMap(([u, v]) => [u, 0, v]));
    const hanging = {
      ...{ sheet, cloth: { ...calico, bending }, solid: null, touch: TOUCH },
      held: rimOf(places, ([, v]) => v < held + 0.0001),
    };
    const { x: y } = rest(hanging, x, 200);
    const ends = places.flatMap(([, v], i) => (v > length + held - 0.0001 ? [i] : []));
    const mean = (of: (i: number) => number): number => ends.reduce((s, i) => s + of(i), 0) / ends.length;
    const edge = Math.max(...places.map(([, v]) => (v < held + 0.0001 ? v : 0)));
    const angle = Math.atan2(-mean((i) => y[3 * i + 1]!), mean((i) => y[3 * i + 2]!) - edge);
    const bendingLength = (length + held - edge) * (Math.cos(angle / 2) / (8 * Math.tan(angle))) ** (1 / 3);
    const asked = (bending / (calico.mass * 9.81)) ** (1 / 3);
    expect(bendingLength / asked).toBeGreaterThan(0.9);
    expect(bendingLength / asked).toBeLessThan(1.1);
  });

  it('is drawn round a cylinder as much as the cylinder is rounder, and presses as hard as that takes', () => {
    const [girth, radius, height] = [0.8, 0.13, 0.1];
    const { sheet, places } = rectangle(girth, height, 0.0125, true);
    const cylinder: Solid = {
      at: (px, _py, pz, out) => {
        const r = Math.hypot(px, pz);
        out.set([r - radius, px / r, 0, pz / r]);
      },
    };
    const around = ([u, v]: readonly [number, number]): readonly number[] => {
      const a = (2 * Math.PI * u) / girth;
      return [radius * Math.sin(a), v, radius * Math.cos(a)];
    };
    const light = { ...calico, mass: 0.01 };
    const touch = { ...TOUCH, push: 20_000 };
    // Its lower edge stands: with neither friction nor shoulders it would slide down.
    const held = new Uint8Array(3 * sheet.points);
    places.forEach(([, v], i) => v === 0 && (held[3 * i + 1] = 1));
    const { x: y } = rest(
      { sheet, cloth: light, solid: cylinder, touch, held },
      Float64Array.from(places.flatMap(around)),
      60,
    );
    const pulls = Array.from({ length: sheet.area.length }, (_, t) => drawnAt(sheet, light, y, t).most);
    const mean = pulls.reduce((a, b) => a + b, 0) / pulls.length;
    const asked = light.across * ((2 * Math.PI * (radius + TOUCH.off)) / girth - 1);
    expect(mean / asked).toBeGreaterThan(0.98);
    expect(mean / asked).toBeLessThan(1.02);
    // Tension per width / radius on every area presses on the cylinder: 2π · tension · height all round.
    let pressed = 0;
    for (let i = 0; i < sheet.points; i++)
      pressed += touch.push * Math.max(0, TOUCH.off - (Math.hypot(y[3 * i]!, y[3 * i + 2]!) - radius));
    expect(pressed / (2 * Math.PI * mean * height)).toBeGreaterThan(0.98);
    expect(pressed / (2 * Math.PI * mean * height)).toBeLessThan(1.02);
  });

  it('loses energy on its way and never gains any once it rests', () => {
    const { sheet, places } = rectangle(0.2, 0.2, 0.025);
    const x = Float64Array.from(places.flatMap(([u, v]) => [u, 0, v]));
    const cloth = hang(
      {
        sheet,
        cloth: calico,
        solid: null,
        touch: TOUCH,
        held: rimOf(places, ([u, v]) => v === 0 && (u === 0 || u === 0.2)),
      },
      x,
    );
    const before = energyOf(cloth);
    for (let i = 0; i < 120; i++) step(cloth, PACE);
    let last = energyOf(cloth);
    expect(last).toBeLessThan(before);
    for (let i = 0; i < 30; i++) {
      step(cloth, PACE);
      const now = energyOf(cloth);
      expect(now - last).toBeLessThan(1e-7);
      last = now;
    }
  });
});
