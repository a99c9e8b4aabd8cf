import type { Pattern } from '../../pattern/index.ts';
import type { Job, Wearer } from '../schema.ts';

/** A picture of a fitting with its bytes. */
export interface PhotoFile {
  readonly id: string;
  readonly job: string;
  readonly type: 'image/jpeg' | 'image/png' | 'image/webp';
  readonly bytes: Uint8Array;
}

/** Something practised: by lesson and grade, the best score in mm (of a question nothing once it came out right), how often, and when last. */
export interface Practised {
  readonly id: string;
  readonly best: number;
  readonly times: number;
  readonly at: string;
}

/** Everything a browser keeps, or all that belongs to one job. */
export interface Kept {
  readonly wearers: readonly Wearer[];
  readonly patterns: readonly Pattern[];
  readonly jobs: readonly Job[];
  readonly photos: readonly PhotoFile[];
  /** What was practised, in a backup of everything. */
  readonly practice?: readonly Practised[];
}

export type BundleKind = 'all' | 'job';

export type BundleError =
  | 'bundle-not-zip'
  | 'bundle-foreign'
  | 'bundle-newer'
  | 'bundle-damaged'
  | 'bundle-too-large'
  | 'bundle-path'
  | 'bundle-hostile'
  | 'bundle-repeated'
  | 'bundle-document';

export interface Bundle {
  readonly kind: BundleKind;
  readonly made: string;
  readonly kept: Kept;
}

/** What is read at most: far more than a lifetime of sewing, far less than would stop a browser. */
export const LIMITS = {
  files: 20_000,
  document: 32 * 2 ** 20,
  photo: 20 * 2 ** 20,
  total: 700 * 2 ** 20,
} as const;
