export interface AlterationWords {
  readonly name: string;
  /** The name where the amount is below nothing. */
  readonly lapName: string;
  readonly about: string;
  /** What its amount is counted over, for slips and labels. */
  readonly over: string;
}
