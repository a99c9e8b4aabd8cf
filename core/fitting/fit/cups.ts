import type { ChartRow, Pattern, Piece } from '../../pattern/index.ts';
import type { Body } from './body.ts';
import { chartHighBust, cupOf } from './size.ts';

type Cup = Pattern['cups'][number];

/** Which cup of a pattern sold in several, and what is left to a full bust adjustment beyond the largest. */
export interface CupChoice {
  readonly wanted: number;
  readonly chosen: { readonly name: string; readonly cup: number; readonly sizesUp: number | null };
  /** Body less the cup taken, mm; a full bust adjustment does the rest. */
  readonly rest: number;
  readonly beyond: boolean;
}

/** Rows of one range of sizes: a chart of two ranges begins again where the bust becomes smaller. */
function rangeOf(chart: readonly ChartRow[], row: ChartRow): readonly ChartRow[] {
  const ranges: ChartRow[][] = [];
  for (const r of chart) {
    const last = ranges.at(-1)?.at(-1);
    const on =
      last?.body.fullBust !== undefined && r.body.fullBust !== undefined && r.body.fullBust > last.body.fullBust;
    if (on) ranges.at(-1)?.push(r);
    else ranges.push([r]);
  }
  return ranges.find((range) => range.includes(row)) ?? [row];
}

/** The bust of a row so many sizes up its range; beyond its ends by the last step between two sizes. */
function bustUp(chart: readonly ChartRow[], row: ChartRow, up: number): number | null {
  const busts = rangeOf(chart, row).map((r) => r.body.fullBust ?? NaN);
  const own = row.body.fullBust;
  const at = own === undefined ? -1 : busts.indexOf(own);
  const [first, last] = [busts[0], busts.at(-1)];
  if (own === undefined || at < 0 || first === undefined || last === undefined) return null;
  const wanted = at + up;
  if (wanted >= 0 && wanted < busts.length) return busts[wanted] ?? null;
  if (busts.length < 2) return null;
  const steps = wanted < 0 ? wanted : wanted - busts.length + 1;
  const step = wanted < 0 ? (busts[1] ?? first) - first : last - (busts.at(-2) ?? last);
  return (wanted < 0 ? first : last) + steps * step;
}

/**
 * What a cup means on one row of the chart, full less high bust, mm: the same on every row, or for a ready-made piece
 * that of a full bust so many sizes away. Null where the chart does not tell.
 */
export function cupOn(pattern: Pattern, cup: Cup, row: ChartRow): number | null {
  if (cup.sizesUp === null) return cup.cup;
  const bust = bustUp(pattern.chart, row, cup.sizesUp);
  const high = chartHighBust(row, pattern);
  return bust === null || high === undefined ? null : bust - high;
}

/**
 * The nearest cup by full less high bust, as it is drafted for the row of this size; beyond the largest sold, the
 * largest. Null for a pattern in one cup, or where nothing tells.
 */
export function cupChoice(body: Body, pattern: Pattern, size: string | null): CupChoice | null {
  const { fullBust, highBust } = body;
  const row = pattern.chart.find((r) => r.size === size);
  if (fullBust === undefined || highBust === undefined) return null;
  const cups = pattern.cups.flatMap((c) => {
    const cup = row ? cupOn(pattern, c, row) : c.sizesUp === null ? c.cup : null;
    return cup === null ? [] : [{ name: c.name, cup, sizesUp: c.sizesUp }];
  });
  const wanted = fullBust - highBust;
  const [chosen] = [...cups].sort((a, b) => Math.abs(a.cup - wanted) - Math.abs(b.cup - wanted) || a.cup - b.cup);
  if (!chosen) return null;
  const largest = Math.max(...cups.map((c) => c.cup));
  return { wanted, chosen, rest: wanted - chosen.cup, beyond: chosen.cup === largest && wanted > largest };
}

const ownPieces = (pattern: Pattern, size: string, cup: string): readonly Piece[] =>
  pattern.sizes[`${size} ${cup}`] ?? [];

/** The pieces of a size in a cup: those drawn for it in the place of the others, what is the same for all as it is. */
function piecesIn(pattern: Pattern, size: string, cup: string): readonly Piece[] {
  const shared = pattern.sizes[size] ?? [];
  const own = ownPieces(pattern, size, cup);
  if (own.length === 0) return shared;
  if (shared.every((p) => own.some((o) => o.id === p.id))) return own;
  const born = own.filter((o) => !shared.some((p) => p.id === o.id));
  return [...shared.map((p) => own.find((o) => o.id === p.id) ?? p), ...born];
}

/** The pieces of a size that are the same for every cup it is sold in; none where no cup has pieces of its own. */
export function sharedPieces(pattern: Pattern, size: string): readonly Piece[] {
  const own = pattern.cups.flatMap((c) => ownPieces(pattern, size, c.name));
  return own.length === 0 ? [] : (pattern.sizes[size] ?? []).filter((p) => !own.some((o) => o.id === p.id));
}

const cupped = new WeakMap<Pattern, Map<string, Pattern>>();
/**
 * The pattern as it is sold in one cup: its draft cup, the bust its chart means then, and its own pieces where it has
 * some. The same object each time, so that what was measured on it holds.
 */
export function inCup(pattern: Pattern, name: string | null): Pattern {
  const cup = pattern.cups.find((c) => c.name === name);
  if (!cup) return pattern;
  const all = cupped.get(pattern) ?? new Map<string, Pattern>();
  cupped.set(pattern, all);
  const known = all.get(cup.name);
  if (known) return known;
  // Pieces that were not drawn for this cup still fit the bust they were drafted for: only what is drawn for it has grown.
  const isDrawn = (size: string): boolean =>
    ownPieces(pattern, size, cup.name).length > 0 || (pattern.sizes[size] ?? []).length === 0;
  const drawn = cup.sizesUp === null && pattern.chart.some((r) => isDrawn(r.size));
  const made: Pattern = {
    ...pattern,
    draftCup: drawn ? cup.cup : pattern.draftCup,
    chart: pattern.chart.map((r) => {
      const { fullBust } = r.body;
      if (fullBust === undefined) return r;
      const highBust = r.body.highBust ?? fullBust - pattern.draftCup;
      const grown = (cupOn(pattern, cup, r) ?? cupOf(r, pattern)) - cupOf(r, pattern);
      return { ...r, body: { ...r.body, highBust, fullBust: isDrawn(r.size) ? fullBust + grown : fullBust } };
    }),
    sizes: Object.fromEntries(pattern.chart.map((r) => [r.size, piecesIn(pattern, r.size, cup.name)])),
  };
  all.set(cup.name, made);
  return made;
}
