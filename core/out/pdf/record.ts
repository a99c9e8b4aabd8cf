import type { PrintedRecord } from '../record.ts';
import type { MmCanvas } from './canvas.ts';
import { drawDiagrams } from './sheet.ts';
import { COLOURS } from '../colours.ts';

const LEFT = 14;
const TOP = 12;
const BOTTOM = 12;
const GAP = 6;
/** Text from easily read down to the smallest that still is, mm. */
const SIZES = [4.2, 3.8, 3.4, 3.1, 2.8] as const;

interface Page {
  readonly width: number;
  readonly height: number;
}

/** Prints a record on the current page in the largest text that fits; at the smallest, says what was left out. */
export function printRecord(c: MmCanvas, record: PrintedRecord, page: Page): void {
  const size =
    SIZES.find((s) => bottomOf(c, record, page, s) <= page.height - BOTTOM) ?? SIZES[SIZES.length - 1] ?? 2.8;
  lay(c, record, page, size, true);
}

/** How far down a record would reach. */
export const bottomOf = (c: MmCanvas, record: PrintedRecord, page: Page, size: number): number =>
  lay(c, record, page, size, false);

/** Text in one size, measured or drawn. */
interface Pen {
  readonly c: MmCanvas;
  readonly draw: boolean;
  readonly size: number;
  readonly line: number;
  readonly width: number;
  /** The width of one of two columns. */
  readonly half: number;
  /** Writes, and returns how high it stands. */
  readonly text: (said: string, x: number, y: number, width: number, look?: Look) => number;
  /** A rule across the page; returns where the next thing goes. */
  readonly rule: (y: number) => number;
}

interface Look {
  readonly bold?: boolean;
  readonly size?: number;
}

function penFor(c: MmCanvas, page: Page, size: number, draw: boolean): Pen {
  const width = page.width - 2 * LEFT;
  return {
    ...{ c, draw, size, width },
    line: size * 1.35,
    half: (width - GAP) / 2,
    text: (said, x, y, w, look = {}) => {
      const high = look.size ?? size;
      if (draw) c.text(said, x, y, high, { width: w, bold: look.bold ?? false });
      return c.height(said, high, w);
    },
    rule: (y) => {
      if (draw) c.line({ x: LEFT, y }, { x: LEFT + width, y }).stroke(COLOURS.grey, 0.15);
      return y + 2;
    },
  };
}

/** One way through the page, measured or drawn. Returns where it ends. */
function lay(c: MmCanvas, record: PrintedRecord, page: Page, size: number, draw: boolean): number {
  const pen = penFor(c, page, size, draw);
  const top = TOP + pen.text(record.title, LEFT, TOP, pen.width, { bold: true, size: 6.5 }) + 1;
  const facts = pen.rule(layFacts(pen, record, top) + 2);
  const columns = Math.max(layMeasurements(pen, record, facts), laySteps(pen, record, facts));
  const drawings = layDrawings(pen, record, pen.rule(columns + 2));
  return layFittings(pen, record, drawings, page.height - BOTTOM - pen.line);
}

/** Facts in two columns. */
function layFacts({ text, half, line }: Pen, record: PrintedRecord, y: number): number {
  const ends = columnsOf(record.facts).map((column, i) => {
    const x = LEFT + i * (half + GAP);
    return column.reduce((at, [name, value]) => {
      text(name, x, at, 24);
      return at + Math.max(line, text(value, x + 25, at, half - 25, { bold: true }));
    }, y);
  });
  return Math.max(y, ...ends);
}

/** The body, to the left. */
function layMeasurements({ text, half, line, size }: Pen, record: PrintedRecord, y: number): number {
  let at = y + text('Measurements used', LEFT, y, half, { bold: true, size: size + 0.6 }) + 1;
  for (const [name, value] of record.measurements) {
    text(name, LEFT, at, half - 26);
    text(value, LEFT + half - 25, at, 25);
    at += line;
  }
  return at;
}

/** What was altered, to the right. */
function laySteps({ text, half, size }: Pen, record: PrintedRecord, y: number): number {
  const x = LEFT + half + GAP;
  let at = y + text('What was altered', x, y, half, { bold: true, size: size + 0.6 }) + 1;
  if (record.steps.length === 0) at += text('Nothing: as drafted.', x, at, half);
  record.steps.forEach((s, i) => {
    at += text(`${i + 1}. ${[s.name, s.amount].filter(Boolean).join(': ')}`, x, at, half);
    if (s.note) at += text(s.note, x + 5, at, half - 5, { size: size - 0.4 });
    at += 0.6;
  });
  return at;
}

/** The pieces, and beside them the garment on its form. */
function layDrawings(pen: Pen, record: PrintedRecord, y: number): number {
  const { c, draw, text, rule, width, size } = pen;
  const { drawings, picture, fittings } = record;
  if (drawings.length === 0 && !picture) return y;
  const height = Math.max(34, 62 - Math.max(0, fittings.length - 2) * 8);
  const wide = picture ? Math.min(MOST_PICTURE * width, (height * picture.width) / picture.height) : 0;
  const left = LEFT + width - wide;
  const beside = picture ? width - wide - GAP : width;
  const said =
    drawings.length > 0
      ? text('Drawn through as altered, dashed as drafted', LEFT, y, beside, { size: size - 0.4 })
      : 0;
  const shown = picture
    ? text(`On the form: ${picture.caption.toLowerCase()}`, left, y, wide, { size: size - 0.4 })
    : 0;
  const at = y + Math.max(said, shown) + 1;
  if (draw && drawings.length > 0) drawDiagrams(c, drawings, { x: LEFT, y: at }, { width: beside, height });
  if (draw && picture) c.picture(picture.jpeg, { x: left, y: at }, wide, (wide * picture.height) / picture.width);
  return rule(at + height + 2);
}
/** A picture takes no more of the page’s width than this. */
const MOST_PICTURE = 0.4;

/** Fittings and notes, as far as the page holds them. */
function layFittings({ c, draw, text, width, size }: Pen, record: PrintedRecord, from: number, most: number): number {
  let y = from;
  let over = 0;
  const write = (said: string, inset: number, after: number, bold = false): boolean => {
    if (draw && y + c.height(said, size, width - inset) > most) {
      over += 1;
      return false;
    }
    y += text(said, LEFT + inset, y, width - inset, { bold }) + after;
    return true;
  };
  for (const { heading, lines } of record.fittings) {
    if (!write(heading, 0, 0.4, true)) continue;
    for (const said of lines) write(said, 4, 0.3);
    y += 1;
  }
  if (record.notes) write(record.notes, 0, 1);
  // Never in silence: what a page cannot hold is in the app.
  if (over > 0) text(`${over} more entries are kept in the app.`, LEFT, most, width, { size: size - 0.4 });
  return y;
}

const columnsOf = <T>(all: readonly T[]): readonly (readonly T[])[] => {
  const half = Math.ceil(all.length / 2);
  return [all.slice(0, half), all.slice(half)];
};
