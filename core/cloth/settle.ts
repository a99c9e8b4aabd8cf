import { bend, withBending } from './bending.ts';
import type { Cloth } from './cloths.ts';
import { conjugate, roomFor, type Room } from './conjugate.ts';
import { addContact, type Solid, type Touch } from './contact.ts';
import { addLayers, meetingOf, type Layers, type Meeting } from './layers.ts';
import { partsOf } from './parts.ts';
import { patternOf, type Pattern } from './matrix.ts';
import { addMembrane, membraneEnergy } from './membrane.ts';
import type { Prepared } from './sheet.ts';

const GRAVITY = 9.81;

/** What cloth is put on and how it is let come to rest. */
export interface Hanging {
  readonly sheet: Prepared;
  readonly cloth: Cloth;
  readonly solid: Solid | null;
  readonly touch: Touch;
  /** Where cloth may meet cloth; null leaves it to pass through. */
  readonly layers?: Layers | null;
  /** For every coordinate of every point: 1 where it may not move. */
  readonly held: Uint8Array;
}

export interface Pace {
  /** s */
  readonly step: number;
  /** Speed lost, as a share per second. */
  readonly damping: number;
  /** The farthest a point goes in one step, m. */
  readonly farthest: number;
  /** How closely each step is solved, and in how many rounds at most. */
  readonly within: number;
  readonly rounds: number;
}
export const PACE: Pace = { step: 0.1, damping: 2, farthest: 0.012, within: 1e-2, rounds: 100 };

/** Cloth on its way to rest. It is changed from step to step; a copy of `x` is what a picture is made of. */
export interface OnItsWay {
  readonly hanging: Hanging;
  readonly x: Float64Array;
  readonly v: Float64Array;
  readonly work: Work;
}
interface Work {
  readonly pattern: Pattern;
  /** What bending adds at every step. */
  readonly still: Float64Array;
  readonly force: Float64Array;
  readonly b: Float64Array;
  readonly dx: Float64Array;
  readonly room: Room;
  readonly meeting: Meeting | null;
}

/** Cloth at places to begin with, at rest there. */
export function hang(hanging: Hanging, x: Float64Array): OnItsWay {
  const pattern = withBending(hanging.sheet, hanging.cloth.bending, patternOf(hanging.sheet));
  const n = 3 * hanging.sheet.points;
  return {
    hanging,
    x: x.slice(),
    v: new Float64Array(n),
    work: {
      pattern,
      still: pattern.values.slice(),
      force: new Float64Array(n),
      b: new Float64Array(n),
      dx: new Float64Array(n),
      meeting: hanging.layers ? meetingOf(hanging.sheet, hanging.layers) : null,
      room: roomFor(hanging.sheet.points, partsOf(pattern, x), hanging.held),
    },
  };
}

/** How a step went. */
export interface Stepped {
  /** How fast a point moves on the whole, m/s. */
  readonly speed: number;
  /** Rounds the solving took. */
  readonly rounds: number;
}

/** One implicit step: (M (1 + damping · dt) / dt² + K) dx = M v / dt + f. */
export function step({ hanging, x, v, work }: OnItsWay, pace: Pace, friction?: number): Stepped {
  const { sheet, cloth, solid, touch } = hanging;
  const { pattern, still, force, b, dx, room, meeting } = work;
  const { step: dt, damping, farthest } = pace;
  pattern.values.set(still);
  force.fill(0);
  addMembrane(sheet, cloth, x, force, pattern);
  bend(sheet, cloth.bending, x, force);
  for (let i = 0; i < dx.length; i++) dx[i] = v[i]! * dt;
  const slides = friction ?? touch.friction;
  if (solid) addContact(solid, { ...touch, friction: slides }, x, dx, force, pattern);
  if (meeting)
    addLayers(sheet, meeting, x, { moved: dx, friction: slides > touch.friction ? slides : 0 }, force, pattern);
  for (let i = 0; i < sheet.points; i++) {
    const mass = cloth.mass * sheet.share[i]!;
    const m = 9 * pattern.diagonal[i]!;
    force[3 * i + 1]! -= GRAVITY * mass;
    for (let d = 0; d < 3; d++) {
      const k = 3 * i + d;
      pattern.values[m + 4 * d]! += (mass * (1 + damping * dt)) / (dt * dt);
      b[k] = force[k]! + (mass * v[k]!) / dt;
    }
  }
  const rounds = conjugate(pattern, b, dx, pace, room);
  const share = swings(dx, v, dt) ? 0.5 : 1;
  let sum = 0;
  for (let i = 0; i < sheet.points; i++) {
    const size = Math.sqrt(dx[3 * i]! ** 2 + dx[3 * i + 1]! ** 2 + dx[3 * i + 2]! ** 2);
    const shorter = share * Math.min(1, farthest / (share * size || 1));
    for (let d = 0; d < 3; d++) {
      const k = 3 * i + d;
      x[k]! += shorter * dx[k]!;
      v[k] = (shorter * dx[k]!) / dt;
    }
    sum += (shorter * size) / dt;
  }
  return { speed: sum / sheet.points, rounds };
}

/** From which share of the last step a step takes back it is one to and fro. */
const SWINGS = 0.1;

/** Whether a step takes back some of what the last one did. Cloth that touches a body and leaves it by turns would do so for ever: half a step ends it. */
function swings(dx: Float64Array, v: Float64Array, dt: number): boolean {
  let [back, before] = [0, 0];
  for (let k = 0; k < dx.length; k++) {
    back += dx[k]! * v[k]! * dt;
    before += (v[k]! * dt) ** 2;
  }
  return back < -SWINGS * before;
}

/** All the energy of cloth that is at rest: in its plane, in its folds and in its height, J; without what presses on a body. */
export function energyOf({ hanging, x }: OnItsWay): number {
  const { sheet, cloth } = hanging;
  let sum = membraneEnergy(sheet, cloth, x) + bend(sheet, cloth.bending, x);
  for (let i = 0; i < sheet.points; i++) sum += GRAVITY * cloth.mass * sheet.share[i]! * x[3 * i + 1]!;
  return sum;
}
