import type { Diagram } from './diagram.ts';

/** A job on one page, already put into words: what was measured, the size, what was altered, what the fittings said. */
export interface PrintedRecord {
  readonly title: string;
  /** Wearer, pattern, size, cloth, dates: name and value. */
  readonly facts: readonly (readonly [string, string])[];
  readonly measurements: readonly (readonly [string, string])[];
  readonly steps: readonly { readonly name: string; readonly amount: string; readonly note: string }[];
  /** The pieces that were altered, each drawn over what it was. */
  readonly drawings: readonly Diagram[];
  readonly fittings: readonly { readonly heading: string; readonly lines: readonly string[] }[];
  readonly notes: string;
  /** The garment on its form, where a fitting has kept one: a JPEG file, its size in pixels, and what it shows. */
  readonly picture?: RecordPicture;
}

export interface RecordPicture {
  readonly jpeg: Uint8Array;
  readonly width: number;
  readonly height: number;
  readonly caption: string;
}
