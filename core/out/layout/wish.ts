/** Common cloth widths, mm. */
export const CLOTH_WIDTHS = [1150, 1400, 1500] as const;

/** Folded only so deep, mm, at one edge or at both; the rest lies single. */
export interface Folds {
  readonly depth: number;
  readonly count: 1 | 2;
}

/** How the cloth is to lie. */
export interface ClothWish {
  /** Selvedge to selvedge, mm. */
  readonly width: number;
  /** Folded along its length; or laid open. */
  readonly fold: boolean;
  /** Folded only so deep; left out, in half with both selvedges together. */
  readonly folds?: Folds | undefined;
  /** Folded anew farther along, once or several times: stretches of the cloth laid and cut one after another. */
  readonly again?: readonly Folds[] | undefined;
  /** Cloth with a nap or a one-way print: pieces are not turned round. */
  readonly oneWay: boolean;
}

/**
 * How a piece is cut: its fold on the fold of the cloth, a pair from two layers, once from one layer, or a half opened
 * out to a whole and cut from one layer.
 */
export type CutHow = 'fold' | 'pair' | 'single' | 'opened';
