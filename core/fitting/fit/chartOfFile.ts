import type { ChartRow, Pattern } from '../../pattern/index.ts';
import { tablesIn, type Lines } from '../../in/tracing/index.ts';
import { LOOKS_LIKE, pasteChart } from './chart.ts';

/** A chart of sizes has at least so many measurements of each. */
const LEAST = 2;

/**
 * The size chart that stands in a file as text; null where none does, or where its unit is in doubt. A table of cloth or
 * of finished lengths, with no bust, waist or hip in it, is none.
 */
export function chartOfFile(lines: Lines): readonly ChartRow[] | null {
  const charts = tablesIn(lines).flatMap((text) => {
    const read = pasteChart(text, 'cm');
    if (read.problems.some((p) => LOOKS_LIKE.has(p.code))) return [];
    const rows = read.rows.filter((r) => Object.keys(r.body).length >= LEAST);
    const told = rows.every((r) => r.body.fullBust !== undefined || (r.body.waist ?? r.body.hip) !== undefined);
    return rows.length > 0 && told ? [rows] : [];
  });
  return charts.sort((a, b) => b.length - a.length)[0] ?? null;
}

/** A pattern with the body measurements of a chart, for the sizes it has; what stands in its own chart already stays. */
export function withChart(pattern: Pattern, chart: readonly ChartRow[]): Pattern {
  return {
    ...pattern,
    chart: pattern.chart.map((row) => {
      const printed = chart.find((r) => r.size.trim().toLowerCase() === row.size.trim().toLowerCase());
      return printed ? { ...row, body: { ...printed.body, ...row.body } } : row;
    }),
  };
}
