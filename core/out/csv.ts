export type Cell = string | number | null;

/** Spreadsheets run cells that begin with these as formulas. */
const ACTS = /^[=+\-@\t\r]/;

const cell = (value: Cell): string => {
  if (value === null) return '';
  if (typeof value === 'number') return String(value);
  const text = ACTS.test(value) ? `'${value}` : value;
  return /[",\r\n]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text;
};

/** A table as comma-separated text (RFC 4180), with the mark by which spreadsheets know that it is UTF-8. */
export const writeCsv = (rows: readonly (readonly Cell[])[]): string =>
  `\uFEFF${rows.map((r) => r.map(cell).join(',')).join('\r\n')}\r\n`;
