import { CATALOGUE, phaseOf, rankOf, type Context, type Fit, type WorkOrder } from '../alterations/index.ts';
import { ADVICE } from '../units/index.ts';

/** An alteration the measurements ask for on the pieces as the plan leaves them, and the sum. */
export interface Ask {
  readonly alteration: string;
  readonly fit: Fit;
}

/** One question is asked once: the first of each group that suits the pieces. */
const SAME: readonly (readonly string[])[] = [
  ['shoulder-slash', 'shoulder-slide', 'shoulder-redraw'],
  ['swayback-waist-seam', 'swayback-fold', 'swayback-lower'],
  ['grade-between-sizes', 'grade-by-chart', 'hip-slash'],
];

const worth = (fit: Fit): boolean => {
  const amounts = Object.entries(fit.values).filter(([, v]) => typeof v === 'number') as [string, number][];
  return amounts.length === 0 || amounts.some(([, v]) => Math.abs(v) >= ADVICE.worthAsking);
};

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

/** What is measured and still differs, in the order of work; what the plan already does is not asked again. */
export function asksOf(fitOf: FitsOf, planned: readonly string[], order: WorkOrder): readonly Ask[] {
  const out: Ask[] = [];
  for (const d of CATALOGUE) {
    const kin = kinOf(d.id);
    if (!d.fits || kin.some((id) => planned.includes(id) || out.some((a) => a.alteration === id))) continue;
    const fit = fitOf(d.id);
    if (fit && worth(fit)) out.push({ alteration: d.id, fit });
  }
  const rank = (a: Ask): number => {
    const d = CATALOGUE.find((x) => x.id === a.alteration);
    return d ? rankOf(phaseOf(d), order) : 0;
  };
  const sorted = out.sort((a, b) => rank(a) - rank(b));
  // A difference is asked for once, by what comes first; what that leaves of it is asked when it is planned.
  const key = (a: Ask): unknown => a.fit.sum.data['key'];
  return sorted.filter((a, i) => key(a) === undefined || sorted.findIndex((b) => key(b) === key(a)) === i);
}
