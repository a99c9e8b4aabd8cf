import type { HeightLies } from '../../pattern/index.ts';

/** What a difference in height asks of a bodice, as a rule of thumb. */
export interface HeightShare {
  /** Body less drafted height, mm. */
  readonly difference: number;
  /** Between these two of it lie in the bodice. */
  readonly least: number;
  readonly most: number;
  /** The middle of the two, to begin with. */
  readonly proposed: number;
  /** More than a line should take at once: put it in above and below the bust. */
  readonly twoLines: boolean;
}

/** One line takes no more than this, mm. */
export const ONE_LINE = 20;

/**
 * Which share of the difference lies between shoulder and waist: a quarter to a half where the body is taller all over;
 * a half to three quarters where all of it lies in the torso, the rest of which is below the waist; none in the legs.
 */
const SHARES: Readonly<Record<HeightLies, readonly [number, number]>> = {
  allOver: [1 / 4, 1 / 2],
  torso: [1 / 2, 3 / 4],
  legs: [0, 0],
};

/** Rule of thumb only: a side-waist or nape-to-waist measurement beats it. */
export function heightShare(height: number, drafted: number, lies: HeightLies = 'allOver'): HeightShare {
  const difference = height - drafted;
  const [least, most] = SHARES[lies];
  const proposed = (difference * (least + most)) / 2;
  return {
    difference,
    least: difference * least,
    most: difference * most,
    proposed,
    twoLines: Math.abs(proposed) > ONE_LINE,
  };
}
