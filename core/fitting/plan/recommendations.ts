import {
  CATALOGUE,
  phaseOf,
  propose,
  rankOf,
  runAlteration,
  type Context,
  type Fit,
  type WorkOrder,
} from '../../alterations/index.ts';
import type { Amounts, Uncertainty } from '../fit/index.ts';
import type { MeasurementKey } from '../../pattern/index.ts';
import type { Step } from '../../documents/schema.ts';
import { ADVICE, TOL } from '../../units/index.ts';
import type { SidePieces } from './sides.ts';

/** An alteration the measurements ask for on the pieces as the plan leaves them, and the sum. */
export interface Recommendation {
  readonly alteration: string;
  readonly fit: Fit;
  /** One side only, where the body differs there. */
  readonly side: Step['side'];
}

/** Of each group of alternatives only the first that suits the pieces is recommended. */
const SAME: readonly (readonly string[])[] = [
  ['shoulder-slash', 'shoulder-slide', 'shoulder-redraw'],
  ['swayback-waist-seam', 'swayback-fold', 'swayback-lower'],
  ['grade-between-sizes', 'grade-by-chart', 'hip-slash'],
];

/** Beyond the precision of a tape; within it nothing is recommended. */
function isWorthAsking({ values, sum }: Fit, uncertainty: Uncertainty): boolean {
  const amounts = Object.entries(values).filter((v): v is [string, number] => typeof v[1] === 'number');
  if (amounts.length === 0) return true;
  const [key, by] = [sum.data['key'] as MeasurementKey | undefined, sum.data['by']];
  // What the sum is about by its difference; another amount that comes with it by its own.
  if (key !== undefined && typeof by === 'number' && Math.abs(by) > uncertainty[key]) return true;
  const others = amounts.filter(([name]) => name !== key && (name in uncertainty || key === undefined));
  return others.some(([name, v]) => Math.abs(v) > (uncertainty[name as MeasurementKey] ?? ADVICE.worthAsking));
}

/** What each alteration would be asked for on these pieces; worked out once for all who want to know. */
export type FitsOf = (id: string) => Fit | null;
export function fitsOn(context: Context): FitsOf {
  const known = new Map<string, Fit | null>();
  return (id) => {
    const had = known.get(id);
    if (had !== undefined) return had;
    const d = CATALOGUE.find((x) => x.id === id);
    const able = d?.fits && d.suits(context.pieces, context.seams).grade !== 'no';
    const fit = able ? (d.fits?.(context) ?? null) : null;
    known.set(id, fit);
    return fit;
  };
}

/** Alterations that answer the same question. */
export const kinOf = (id: string): readonly string[] => SAME.find((g) => g.includes(id)) ?? [id];

const isBust = (id: string): boolean => CATALOGUE.find((d) => d.id === id)?.family === 'bust';

/**
 * The bust as one of the things that are asked for: by the way that suits the pieces best, and the amount that body and
 * pieces come to. Null where it may be left alone, or nothing can be worked out.
 */
function bustAsk(side: SidePieces, amounts: Amounts | null): Recommendation | null {
  const chosen = amounts?.chosen;
  if (!amounts || !chosen || amounts.verdict === 'none') return null;
  const way = propose(side.pieces, 'bust', side.seams).find((p) => p.grade !== 'no');
  const definition = CATALOGUE.find((d) => d.id === way?.id);
  if (!definition) return null;
  const term = (code: string): number => chosen.terms.find((t) => t.code === code)?.value ?? 0;
  const pattern = chosen.terms.find((t) => t.sign < 0 && t.code.startsWith('pattern.'))?.value;
  return {
    alteration: definition.id,
    side: 'both',
    fit: {
      values: { ...definition.suggest(chosen.total), total: chosen.total },
      sum: {
        code: pattern === undefined ? 'fit.bust.cup' : chosen.method === 'knit' ? 'fit.bust.knit' : 'fit.bust',
        data: {
          key: 'fullBust',
          body: term('body.fullBust'),
          ease: term('ease.wanted'),
          pattern: (pattern ?? 0) + term('pattern.steps'),
          by: chosen.total,
          /** Before a knit takes its half. */
          whole: chosen.total / chosen.factor,
          verdict: amounts.verdict,
        },
      },
    },
  };
}

function inOrderOfWork(asks: readonly Recommendation[], order: WorkOrder): readonly Recommendation[] {
  const rank = (a: Recommendation): number => {
    const d = CATALOGUE.find((x) => x.id === a.alteration);
    return d ? rankOf(phaseOf(d), order) : 0;
  };
  return [...asks].sort((a, b) => rank(a) - rank(b));
}

/** What is measured and still differs, in the order of work; what the plan already does is not asked again. */
function asksOn(
  fitOf: FitsOf,
  bust: Recommendation | null,
  planned: readonly string[],
  order: WorkOrder,
  uncertainty: Uncertainty,
): readonly Recommendation[] {
  const out: Recommendation[] = bust && !planned.some(isBust) ? [bust] : [];
  for (const d of CATALOGUE) {
    const kin = kinOf(d.id);
    if (!d.fits || d.offered || kin.some((id) => planned.includes(id) || out.some((a) => a.alteration === id)))
      continue;
    const fit = fitOf(d.id);
    if (fit && isWorthAsking(fit, uncertainty)) out.push({ alteration: d.id, fit, side: 'both' });
  }
  const sorted = inOrderOfWork(out, order);
  // Each difference is recommended once, by the first alteration that reads it; any remainder follows when that is
  // planned.
  const key = (a: Recommendation): unknown => a.fit.sum.data['key'];
  return sorted.filter((a, i) => key(a) === undefined || sorted.findIndex((b) => key(b) === key(a)) === i);
}

/** What another method would do as well: offered with an explanation, never recommended. Steps already in the plan are left out. */
export function offersOf(
  context: Context,
  planned: readonly string[],
  uncertainty: Uncertainty,
): readonly Recommendation[] {
  const fitOf = fitsOn(context);
  return CATALOGUE.flatMap((d): readonly Recommendation[] => {
    const fit = d.offered && !planned.includes(d.id) ? fitOf(d.id) : null;
    return fit && isWorthAsking(fit, uncertainty) ? [{ alteration: d.id, fit, side: 'both' }] : [];
  });
}

/** What the measurements ask for is worked out against. */
export interface Recommendations {
  readonly contextOf: (side: SidePieces) => Context;
  /** The bust amounts on pieces as far as they have come. */
  readonly amountsOn: (side: SidePieces) => Amounts | null;
  /** The alterations the plan has already. */
  readonly planned: readonly string[];
  readonly order: WorkOrder;
  readonly uncertainty: Uncertainty;
}

/**
 * What the measurements ask for, as a plan: each alteration is worked out on the pieces as those proposed before it
 * would leave them, so that what one of them settles is not proposed again. `haste` looks at the pieces once only.
 */
export function recommendationsOf(
  side: SidePieces,
  { contextOf, amountsOn, planned, order, uncertainty }: Recommendations,
  haste = false,
): readonly Recommendation[] {
  const on = (now: SidePieces, known: readonly string[]): readonly Recommendation[] =>
    asksOn(fitsOn(contextOf(now)), bustAsk(now, amountsOn(now)), known, order, uncertainty);
  if (haste) return on(side, planned);
  const out: Recommendation[] = [];
  let now = side;
  while (out.length < CATALOGUE.length) {
    const next = on(now, [...planned, ...out.map((a) => a.alteration)])[0];
    const definition = next && CATALOGUE.find((d) => d.id === next.alteration);
    if (!next || !definition) break;
    out.push(next);
    const run = runAlteration(definition, contextOf(now), next.fit.values, { brief: true });
    if (run.ok) now = { pieces: run.value.pieces, seams: run.value.seams };
  }
  return out;
}

/** The same amounts, but for less than anybody would cut. */
const sameAmounts = (a: Fit, b: Fit): boolean => {
  const keys = [...new Set([...Object.keys(a.values), ...Object.keys(b.values)])];
  return keys.every((key) => {
    const [one, two] = [a.values[key], b.values[key]];
    return typeof one === 'number' && typeof two === 'number'
      ? Math.abs(one - two) < TOL.seam
      : JSON.stringify(one) === JSON.stringify(two);
  });
};

/**
 * What both sides of a body that differ ask for, in the order of work: once for both where it is the same, else for each
 * side that asks, in its own amount.
 */
export function bySides(
  left: readonly Recommendation[],
  right: readonly Recommendation[],
  order: WorkOrder,
): readonly Recommendation[] {
  const match = (a: Recommendation, among: readonly Recommendation[]): boolean =>
    among.some((b) => b.alteration === a.alteration && sameAmounts(a.fit, b.fit));
  return inOrderOfWork(
    [
      ...left.map((a): Recommendation => ({ ...a, side: match(a, right) ? 'both' : 'left' })),
      ...right.flatMap((a): Recommendation[] => (match(a, left) ? [] : [{ ...a, side: 'right' }])),
    ],
    order,
  );
}
