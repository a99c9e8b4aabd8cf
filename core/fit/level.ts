import { sizeFor } from '../alterations/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { Amounts } from './amounts.ts';
import type { Body } from './body.ts';
import { finishedBust } from './size.ts';

/** The size a waist or a hip asks for by itself, and its neighbours. */
export interface LevelSize {
  readonly key: 'waist' | 'hip';
  readonly body: number;
  readonly size: string;
  readonly chart: number;
  /** The smaller size, where the body lies between two: it would have to be let out by so much. */
  readonly smaller: { readonly size: string; readonly by: number } | null;
  readonly beyond: number | null;
}

/** Waist and hip chosen separately: the pattern is graded between the sizes. */
export function levelSizes(body: Body, pattern: Pattern): readonly LevelSize[] {
  return (['waist', 'hip'] as const).flatMap((key): readonly LevelSize[] => {
    const value = body[key];
    const size = value === undefined ? null : sizeFor(pattern.chart, key, value);
    const rows = pattern.chart.filter((r) => r.body[key] !== undefined);
    const at = rows.findIndex((r) => r.size === size);
    const chart = rows[at]?.body[key];
    if (value === undefined || size === null || chart === undefined) return [];
    const below = rows[at - 1];
    const under = below?.body[key];
    return [
      {
        key,
        body: value,
        size,
        chart,
        smaller: below && under !== undefined && under < value ? { size: below.size, by: value - under } : null,
        beyond: value > chart ? value - chart : null,
      },
    ];
  });
}

/** Which cup of a pattern sold in several, and what is left to a full bust adjustment beyond the largest. */
export interface CupChoice {
  readonly wanted: number;
  readonly chosen: { readonly name: string; readonly cup: number };
  /** Body less the cup taken, mm; a full bust adjustment does the rest. */
  readonly rest: number;
  readonly beyond: boolean;
}

/** The nearest cup by full less high bust; beyond the largest sold, the largest. Null for a pattern in one cup. */
export function cupChoice(body: Body, pattern: Pattern): CupChoice | null {
  const { fullBust, highBust } = body;
  if (pattern.cups.length === 0 || fullBust === undefined || highBust === undefined) return null;
  const wanted = fullBust - highBust;
  const byNearness = [...pattern.cups].sort(
    (a, b) => Math.abs(a.cup - wanted) - Math.abs(b.cup - wanted) || a.cup - b.cup,
  );
  const chosen = byNearness[0];
  if (!chosen) return null;
  const largest = Math.max(...pattern.cups.map((c) => c.cup));
  return { wanted, chosen, rest: wanted - chosen.cup, beyond: chosen.cup === largest && wanted > largest };
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
  const grown = cup.cup - pattern.draftCup;
  // Pieces that were not drawn for this cup still fit the bust they were drafted for: only what is drawn for it has grown.
  const isDrawn = (size: string): boolean =>
    (pattern.sizes[`${size} ${cup.name}`] ?? []).length > 0 || (pattern.sizes[size] ?? []).length === 0;
  const made: Pattern = {
    ...pattern,
    draftCup: pattern.chart.some((r) => isDrawn(r.size)) ? cup.cup : pattern.draftCup,
    chart: pattern.chart.map((r) => {
      const { fullBust } = r.body;
      if (fullBust === undefined) return r;
      return {
        ...r,
        body: {
          ...r.body,
          highBust: r.body.highBust ?? fullBust - pattern.draftCup,
          fullBust: isDrawn(r.size) ? fullBust + grown : fullBust,
        },
      };
    }),
    sizes: Object.fromEntries(
      pattern.chart.map((r) => [r.size, pattern.sizes[`${r.size} ${cup.name}`] ?? pattern.sizes[r.size] ?? []]),
    ),
  };
  all.set(cup.name, made);
  return made;
}

/** Why the bust may be left alone; null where it is worth altering. */
export function mayLeaveBust(
  amounts: Amounts | null,
  body: Body,
  pattern: Pattern,
): { readonly code: string; readonly data: Readonly<Record<string, number>> } | null {
  const total = amounts?.chosen?.total;
  if (!amounts || total === undefined || amounts.verdict === 'yes' || body.fullBust === undefined) return null;
  const finished = finishedBust(pattern, amounts.size);
  if (amounts.verdict === 'optional')
    return pattern.style === 'loose' || pattern.fabric.kind === 'knit'
      ? { code: 'bust.optional.loose', data: { total } }
      : null;
  if (!finished) return { code: 'bust.none.chart', data: { total } };
  return {
    code: 'bust.none.ease',
    data: { total, finished: finished.value, body: body.fullBust, ease: finished.value - body.fullBust },
  };
}
