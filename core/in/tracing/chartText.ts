import type { Lettering, Lines } from './lines.ts';
import { nth } from '../../units/index.ts';

/** Words of one row stand so level, and words of one cell so near to each other, mm. */
const LEVEL = 1.2;
const WITHIN_CELL = 2.5;
/** Rows of one table follow each other no farther apart than this, mm. */
const NEXT_ROW = 16;
/** A table of a size chart has at least so many rows and columns, the headings with them. */
const LEAST = 2;

interface Cell {
  readonly text: string;
  readonly from: number;
  readonly to: number;
}
interface Row {
  readonly y: number;
  readonly cells: readonly Cell[];
}

const endOf = (l: Lettering): number => (l.middle ? 2 * l.middle.x - l.at.x : l.at.x + 2 * l.text.length);

/** Words of a page in rows of cells, from the top. */
function rowsOf(letters: readonly Lettering[]): readonly Row[] {
  const rows: Lettering[][] = [];
  for (const l of [...letters].sort((a, b) => a.at.y - b.at.y)) {
    const row = rows.at(-1);
    if (row?.[0] && Math.abs(row[0].at.y - l.at.y) <= LEVEL) row.push(l);
    else rows.push([l]);
  }
  return rows.map((row) => {
    const cells: Cell[] = [];
    for (const l of [...row].sort((a, b) => a.at.x - b.at.x)) {
      const before = cells.at(-1);
      if (before && l.at.x - before.to <= WITHIN_CELL)
        cells[cells.length - 1] = { text: `${before.text} ${l.text.trim()}`, from: before.from, to: endOf(l) };
      else cells.push({ text: l.text.trim(), from: l.at.x, to: endOf(l) });
    }
    return { y: row[0]?.at.y ?? 0, cells };
  });
}

const isNumber = (text: string): boolean => /^\d+(?:[.,]\d+)?(?:\s*\d+\/\d+)?(?:\s*(cm|in|["″]))?$/.test(text);
const numbers = (row: Row): number => row.cells.filter((c) => isNumber(c.text)).length;

/** The cells of a row under the columns of the widest row: each in the column its middle lies nearest to. */
function inColumns(row: Row, columns: readonly Cell[]): readonly string[] {
  const out = columns.map(() => '');
  for (const c of row.cells) {
    const middle = (c.from + c.to) / 2;
    const far = columns.map((k) => Math.abs((k.from + k.to) / 2 - middle));
    const i = far.indexOf(Math.min(...far));
    out[i] = out[i] === '' ? c.text : `${out[i]} ${c.text}`;
  }
  return out;
}

/**
 * Tables of numbers that stand in a file as text, as one would copy them from a spreadsheet: cells between tabs, a line
 * above each that has words only (its headings), and the title above that, which may name the unit.
 */
export function tablesIn(lines: Lines): readonly string[] {
  const pages = new Map<number, Lettering[]>();
  for (const l of lines.letters) pages.set(l.page, [...(pages.get(l.page) ?? []), l]);
  return [...pages.values()].flatMap((letters) => {
    const rows = rowsOf(letters);
    const tables: Row[][] = [];
    rows.forEach((row, i) => {
      if (numbers(row) < LEAST) return;
      const table = tables.at(-1);
      const last = table?.at(-1);
      if (table && last && row.y - last.y <= NEXT_ROW) return void table.push(row);
      // The row above, if it has headings over the numbers, begins the table.
      const above = rows[i - 1];
      const heads = above && row.y - above.y <= NEXT_ROW && above.cells.length >= LEAST ? [above] : [];
      tables.push([...heads, row]);
    });
    return tables
      .filter((t) => t.length >= LEAST)
      .map((table) => {
        const widest = table.reduce((w, r) => (r.cells.length > w.cells.length ? r : w), nth(table, 0));
        const title = rows.filter((r) => r.y < (table[0]?.y ?? 0) && (table[0]?.y ?? 0) - r.y <= 2 * NEXT_ROW);
        return [
          ...title.map((r) => r.cells.map((c) => c.text).join(' ')),
          ...table.map((r) => inColumns(r, widest.cells).join('\t')),
        ].join('\n');
      });
  });
}
