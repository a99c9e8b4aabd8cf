/** A seeded source of chance: the same seed gives the same search on every machine. */
export interface Chance {
  /** Between 0 and 1. */
  readonly next: () => number;
  readonly between: (low: number, high: number) => number;
  readonly whole: (low: number, high: number) => number;
  readonly one: <T>(list: readonly T[]) => T;
  readonly often: (share: number) => boolean;
}

export function chanceFrom(seed: number): Chance {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const whole = (low: number, high: number): number => low + Math.floor(next() * (high - low + 1));
  return {
    next,
    between: (low, high) => low + next() * (high - low),
    whole,
    one: <T>(list: readonly T[]): T => {
      if (list.length === 0) throw new Error('chance.one: expected a list with something in it');
      return list[whole(0, list.length - 1)] as T;
    },
    often: (share) => next() < share,
  };
}
