import type { ChartRow } from '../../pattern/index.ts';

/** A body this much over a size still wears it: less than one takes in at a fitting, mm. */
const CLOSE = 5;

/** The size for a waist or hip; between two, the larger: it is easier to take in than to let out. Null without chart. */
export function sizeFor(chart: readonly ChartRow[], key: 'underbust' | 'waist' | 'hip', body: number): string | null {
  const rows = chart.filter((r) => r.body[key] !== undefined);
  const at = rows.findIndex((r) => (r.body[key] ?? 0) >= body - CLOSE);
  return (at < 0 ? rows.at(-1) : rows[at])?.size ?? null;
}
