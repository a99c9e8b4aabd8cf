import { PACE, step, type OnItsWay } from '../cloth/index.ts';

/** What lies on what, N/m and m, and how it slides: freely while it finds its place, then as calico does on a form. */
export const TOUCH = { off: 0.0015, push: 300, friction: 0.02 } as const;
export const HOLDS = 0.3;
/** How far off the body cloth lies that lies on it, mm. */
export const LIES_OFF = 1000 * TOUCH.off;
/**
 * Steps that the shoulder seams stay where they were laid while all draws together, or the neck would ride up; that it slides
 * freely, from nothing (until it has nearly come to rest, m/s, and no longer) and from a place it has already found; and steps at most.
 */
export const STEPS = { pinned: 12, free: { cold: 16, warm: 8, most: 30, slow: 2e-3 }, most: 120 } as const;
/**
 * At rest: points move no faster than this on the whole, m/s, and for so many steps. By the implicit step what is out of balance is then
 * no more than mass · speed / step, or twice that where a step was taken by half: about a thousandth of the weight at most.
 */
export const REST = { speed: 5e-4, steps: 3 } as const;

/** How far the work has come, for who waits. */
export interface Progress {
  readonly steps: number;
  readonly most: number;
  readonly x: Float64Array;
}

/** How cloth came to rest. */
interface Rested {
  readonly settled: boolean;
  readonly steps: number;
}

/**
 * Steps cloth until it hangs still, or for as long as is allowed: first it slides freely and finds its place, then friction holds it.
 * It begins from nothing (cold) or where it lay before (warm); `before` is told of every step how many there were.
 */
export function* toRest(
  on: OnItsWay,
  from: 'cold' | 'warm',
  before: (steps: number) => void = () => {},
): Generator<Progress, Rested> {
  let [still, steps, slides] = [0, 0, true];
  while (steps < STEPS.most && still < REST.steps) {
    before(steps);
    const { speed } = step(on, PACE, slides ? TOUCH.friction : HOLDS);
    steps++;
    still = !slides && speed < REST.speed ? still + 1 : 0;
    slides &&= steps < STEPS.free[from] || (from === 'cold' && steps < STEPS.free.most && speed > STEPS.free.slow);
    yield { steps, most: STEPS.most, x: on.x };
  }
  return { settled: still >= REST.steps, steps };
}
