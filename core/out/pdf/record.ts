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

/** One way through the page, measured or drawn. Returns where it ends. */
function lay(c: MmCanvas, record: PrintedRecord, page: Page, size: number, draw: boolean): number {
  const width = page.width - 2 * LEFT;
  const line = size * 1.35;
  const text = (said: string, x: number, y: number, w: number, bold = false, large = size): number => {
    if (draw) c.text(said, x, y, large, { width: w, bold });
    return c.height(said, large, w);
  };
  const rule = (y: number): void => {
    if (draw) c.line({ x: LEFT, y }, { x: LEFT + width, y }).stroke(COLOURS.grey, 0.15);
  };
  let y = TOP;
  y += text(record.title, LEFT, y, width, true, 6.5) + 1;
  // Facts in two columns.
  const half = (width - GAP) / 2;
  const facts = columnsOf(record.facts);
  const heights = facts.map((column, i) =>
    column.reduce((at, [name, value]) => {
      text(name, LEFT + i * (half + GAP), at, 24);
      return at + Math.max(line, text(value, LEFT + i * (half + GAP) + 25, at, half - 25, true));
    }, y),
  );
  y = Math.max(y, ...heights) + 2;
  rule(y);
  y += 2;
  // Body to the left, what was altered to the right.
  let left = y + text('Measurements used', LEFT, y, half, true, size + 0.6) + 1;
  for (const [name, value] of record.measurements) {
    text(name, LEFT, left, half - 26);
    text(value, LEFT + half - 25, left, 25);
    left += line;
  }
  let right = y + text('What was altered', LEFT + half + GAP, y, half, true, size + 0.6) + 1;
  if (record.steps.length === 0) right += text('Nothing: as drafted.', LEFT + half + GAP, right, half);
  record.steps.forEach((s, i) => {
    const x = LEFT + half + GAP;
    right += text(`${i + 1}. ${[s.name, s.amount].filter(Boolean).join(': ')}`, x, right, half);
    if (s.note) right += text(s.note, x + 5, right, half - 5, false, size - 0.4);
    right += 0.6;
  });
  y = Math.max(left, right) + 2;
  rule(y);
  y += 2;
  const picture = record.drawings.length === 0 ? 0 : Math.max(34, 62 - Math.max(0, record.fittings.length - 2) * 8);
  if (picture > 0) {
    y += text('Drawn through as altered, dashed as drafted', LEFT, y, width, false, size - 0.4) + 1;
    if (draw) drawDiagrams(c, record.drawings, { x: LEFT, y }, { width, height: picture });
    y += picture + 2;
    rule(y);
    y += 2;
  }
  const most = page.height - BOTTOM - line;
  let over = 0;
  for (const { heading, lines } of record.fittings) {
    const head = c.height(heading, size, width);
    if (draw && y + head > most) {
      over += 1;
      continue;
    }
    y += text(heading, LEFT, y, width, true) + 0.4;
    for (const said of lines) {
      const high = c.height(said, size, width - 4);
      if (draw && y + high > most) {
        over += 1;
        continue;
      }
      y += text(said, LEFT + 4, y, width - 4) + 0.3;
    }
    y += 1;
  }
  if (record.notes) {
    const high = c.height(record.notes, size, width);
    if (draw && y + high > most) over += 1;
    else y += text(record.notes, LEFT, y, width) + 1;
  }
  // Never in silence: what a page cannot hold is in the app.
  if (over > 0) text(`${over} more entries are kept in the app.`, LEFT, most, width, false, size - 0.4);
  return y;
}

const columnsOf = <T>(all: readonly T[]): readonly (readonly T[])[] => {
  const half = Math.ceil(all.length / 2);
  return [all.slice(0, half), all.slice(half)];
};
