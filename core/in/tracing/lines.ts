import { once } from '../../units/index.ts';
import { boundsOf, boxAround, hullBox, spansOf, type Box, type Path, type Point } from '../../geometry/index.ts';
import type { Piece } from '../../pattern/index.ts';
import type { Coded } from '../../units/index.ts';

/** What a line is, where the file says so (by layer, or in data that came with it). */
export const LINE_KINDS = [
  'cut',
  'sew',
  'turn',
  'curve',
  'notch',
  'mirror',
  'grain',
  'internal',
  'drill',
  'text',
] as const;
export type LineKind = (typeof LINE_KINDS)[number];

/** One line of a drawing, in mm, x to the right and y down. */
export interface Stroke {
  readonly path: Path;
  /** Ends where it begins; the path includes the way back. */
  readonly closed: boolean;
  /** Id of the layer it stands on; '' for none. */
  readonly layer: string;
  /** Id of how it is drawn: lines of one size look alike. */
  readonly style: string;
  /** The page it was read from, from 0. */
  readonly page: number;
  readonly kind: LineKind | null;
  /** The block or group it stands in, one to a piece in many files; '' for none. */
  readonly block: string;
}

export interface Lettering {
  readonly text: string;
  /** Where it begins. */
  readonly at: Point;
  /** The middle of its line, where the file tells how wide it is set. */
  readonly middle?: Point;
  readonly page: number;
  readonly layer: string;
  readonly block: string;
}
export interface LineLayer {
  readonly id: string;
  readonly name: string;
  /** Shown when the file is opened. */
  readonly on: boolean;
}
export interface LineStyle {
  readonly id: string;
  /** As #rrggbb; null where the file leaves it to the program. */
  readonly color: string | null;
  /** Width of the line, mm. */
  readonly width: number;
  /** Dashes and gaps in turn, mm; empty for a line without gaps. */
  readonly dash: readonly number[];
}
/** Dashes as an id says them: lines that differ in nothing else are another size. */
export const dashId = (dash: readonly number[]): string => (dash.length === 0 ? '' : ` dashed ${dash.join(' ')}`);
/** Dashes and gaps rounded to what one can tell apart, mm; empty where there is none. */
export const dashOf = (list: readonly number[], mm: number): readonly number[] => {
  const dash = list.map((v) => Math.round(v * mm * 10) / 10);
  return dash.every((v) => Number.isFinite(v)) && dash.some((v) => v > 0) ? dash.slice(0, MOST_DASHES) : [];
};
/** Only the first dashes of a pattern are kept; they identify it. */
const MOST_DASHES = 8;

export type UnitName = 'mm' | 'cm' | 'in' | 'pt' | 'px';
export interface LineUnit {
  readonly name: UnitName;
  /** Said by the file, or taken because it is usual. */
  readonly stated: boolean;
}
export const MM_PER: Readonly<Record<UnitName, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, px: 25.4 / 96 };

export type LineSource = 'pdf' | 'svg' | 'dxf' | 'picture' | 'mat';
/** Marks set by hand together with an outline, as they lie on the drawing; `on` is a place on that outline. */
export interface Marked {
  readonly on: Point;
  readonly ownNotches: readonly Point[];
  readonly ownDarts: readonly { readonly tip: Point; readonly one: Point; readonly two: Point }[];
  readonly grain: { readonly from: Point; readonly to: Point } | null;
  readonly bustPoint: Point | null;
}
/** A drawing taken apart: what every reader gives, and tracing works on. */
export interface Lines {
  readonly source: LineSource;
  readonly strokes: readonly Stroke[];
  readonly letters: readonly Lettering[];
  readonly layers: readonly LineLayer[];
  readonly styles: readonly LineStyle[];
  /** Width and height of each page, mm; the drawing of a page begins at its upper left corner. */
  readonly pages: readonly { readonly width: number; readonly height: number }[];
  readonly unit: LineUnit;
  /** What was repaired or left out on the way. */
  readonly repairs: readonly Coded<RepairCode>[];
  /** Pieces that the file describes whole: our own files do. */
  readonly pieces: readonly Piece[];
  /** What was marked by hand, outline by outline. */
  readonly marked?: readonly Marked[];
}

export type RepairCode =
  | 'repair-left-out'
  | 'repair-not-a-number'
  | 'repair-active-content'
  | 'repair-outside-reference'
  | 'repair-no-end'
  | 'repair-nested';

/** More is not a drawing of a pattern, and would stop the page. */
export const MOST_SPANS = 400_000;
/** Bytes of a file that is still opened. */
export const MOST_BYTES = { pdf: 120_000_000, svg: 40_000_000, dxf: 60_000_000 } as const;

/** Box of a path's control points: contains it, not tight. Kept, since lines are asked often and never change. */
export const boxOf = once((path: Path): Box => {
  const all = spansOf(path).map(hullBox);
  return all.length === 0 ? boundsOf([path.start]) : boxAround(all);
});

export function boundsOfStrokes(strokes: readonly Stroke[]): Box | null {
  if (strokes.length === 0) return null;
  return boxAround(strokes.map((s) => boxOf(s.path)));
}
