/** What a difference in height asks of a bodice, as a rule of thumb. */
export interface HeightShare {
  /** Body less drafted height, mm. */
  readonly difference: number;
  /** A quarter to a half of it lies in the bodice. */
  readonly least: number;
  readonly most: number;
  /** The middle of the two, to begin with. */
  readonly proposed: number;
  /** More than a line should take at once: put it in above and below the bust. */
  readonly twoLines: boolean;
}

/** One line takes no more than this, mm. */
export const ONE_LINE = 20;

/** Rule of thumb only: a side-waist or nape-to-waist measurement beats it. */
export function heightShare(height: number, drafted: number): HeightShare {
  const difference = height - drafted;
  const proposed = difference * 0.375;
  return {
    difference,
    least: difference / 4,
    most: difference / 2,
    proposed,
    twoLines: Math.abs(proposed) > ONE_LINE,
  };
}
