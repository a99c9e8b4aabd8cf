import type { Sentence } from './speaker.ts';

/** What an alteration is called. */
export interface AlterationName {
  readonly name: string;
  /** The name where the amount is below nothing. */
  readonly lapName: string;
  readonly about: string;
  /** What its amount is counted over, for slips and labels. */
  readonly over: string;
}

/** The words that stand beside a definition: names by id, why it suits a pattern, and what the hands do, by code. */
export interface Words {
  readonly names?: Readonly<Record<string, AlterationName>>;
  readonly why?: Readonly<Record<string, Sentence>>;
  readonly steps?: Readonly<Record<string, Sentence>>;
}
