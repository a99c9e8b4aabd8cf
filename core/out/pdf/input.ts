import type { Piece } from '../../pattern/index.ts';
import type { Point } from '../../geometry/index.ts';
import type { PageMap } from '../pages.ts';
import type { PdfLayer } from './layers.ts';
import type { PrintedSheet } from './sheet.ts';

export interface PdfLabel {
  readonly wearer: string;
  readonly pattern: string;
  readonly size: string;
  readonly date: string;
  /** What was changed, by piece id; a piece without an entry says it is as drafted. */
  readonly changes: Readonly<Record<string, string>>;
  /** A word of one's own, by piece id. */
  readonly words?: Readonly<Record<string, string>> | undefined;
}

export interface PdfInput {
  readonly map: PageMap;
  readonly label: PdfLabel;
  /** Untouched pieces to draw thin behind the altered ones, lying as those lie; empty for none. */
  readonly original: readonly Piece[];
  /** Paper that the steps taped in or on, by piece id: closed rings. */
  readonly added?: Readonly<Record<string, readonly (readonly Point[])[]>> | undefined;
  /** Kinds of line to draw; left out, the usual ones. */
  readonly show?: readonly PdfLayer[] | undefined;
  readonly notes: readonly string[];
  /** Hand sheets, printed after the tiles. */
  readonly sheets?: readonly PrintedSheet[];
  readonly fonts: { readonly text: Uint8Array; readonly bold: Uint8Array };
}
