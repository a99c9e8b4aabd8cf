import type { Piece } from '../../../pattern/index.ts';
import type { Ring } from '../chain.ts';
import type { Stroke } from '../lines.ts';
import type { ProposedSeam } from '../seams.ts';
import type { TraceChoices, Traced } from '../traceTypes.ts';
import type { Question, Why } from './doubts.ts';
import type { SizeNames } from './sizeNames.ts';

/** A piece as another size draws it, with the lines that are that size's. */
export interface Alike {
  readonly size: string;
  readonly ring: Ring;
  readonly others: readonly Stroke[];
}

/** What is known beforehand; everything else is read off the file. */
export interface Wanted {
  /** The size taken, as the file names it; by default the middle one. */
  readonly size?: string;
  /** Seam allowance of all pieces, mm; overrides what is printed in the file. */
  readonly allowance?: number;
  /** True length over drawn length, where it is known; 1, the drawing is true. Left out, the drawing's own square is asked. */
  readonly scale?: number;
}

/** One piece of the wanted size as first read. */
export interface ReadPiece {
  readonly ring: Ring;
  readonly look: string;
  /** The lines that belong to it in this size. */
  readonly others: readonly Stroke[];
  readonly choices: TraceChoices;
  readonly traced: Traced;
  /** Its own size, and how it is drawn in the others; all sizes where it is drawn once for all. */
  readonly size: string;
  readonly alike: readonly Alike[];
  readonly forAll: readonly string[] | null;
  /** The same piece in every size it is drawn in, the wanted one among them. */
  readonly sizes: readonly { readonly size: string; readonly piece: Piece }[];
  /** 0 to 1. */
  readonly sure: number;
  readonly why: readonly Why[];
  readonly asks: readonly Question[];
}
/** A file read whole: its sizes, and every piece of the one wanted, the doubtful ones first. */
export interface ReadFile {
  readonly scale: number;
  readonly sizes: readonly string[];
  readonly sizesBy: SizeNames['by'];
  readonly size: string;
  readonly pieces: readonly ReadPiece[];
  readonly seams: readonly ProposedSeam[];
  /** Nothing says how wide the allowance is. */
  readonly allowanceOpen: boolean;
}
