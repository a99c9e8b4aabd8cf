import type { ReadFile, ReadPiece, Wanted } from '@ample/core/in/tracing';
import type { Refusal } from '@ample/core/units';

/** All pieces of a file in one size, as they were first read and then corrected. */
export interface Contact {
  /** Unit, scale, pages and what is hidden, as they were when it was read. */
  readonly of: readonly unknown[];
  readonly wanted: Wanted;
  readonly state: 'reading' | 'ready' | { readonly failed: Refusal };
  readonly read: ReadFile | null;
  /** The size was chosen, or there is only one: the pieces are shown. */
  readonly open: boolean;
  readonly pieces: readonly ReadPiece[];
  /** Pieces that are not wanted, and those said to be right although something was asked. */
  readonly left: readonly string[];
  readonly settled: readonly string[];
  readonly step: 'pieces' | 'seams' | 'taken';
  /** The piece that is being corrected by hand. */
  readonly inHand: string | null;
}
