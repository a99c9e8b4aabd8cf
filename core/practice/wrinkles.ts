import { CAUSES, type Cause } from '../fitting/toile/index.ts';
import { symptomsFor, type SymptomId } from '../fitting/fit/index.ts';
import type { Worn } from '../pattern/index.ts';
import { drawFrom } from './task.ts';

/** Signs on a figure, and causes of which one explains them best. */
export interface Wrinkle {
  /** The garment they show on. */
  readonly worn: Worn;
  readonly signs: readonly SymptomId[];
  readonly options: readonly string[];
  readonly right: string;
}

/** A sign this strong is worth asking about; a cause is told from another by at least so much. */
const STRONG = 0.4;
const APART = 0.3;
const OPTIONS = 4;

/** How much signs speak for a cause, 0 to 1, together as independent hints do; one that speaks against it takes half. */
export function speaksFor(cause: Cause, signs: readonly SymptomId[]): number {
  const hinted = 1 - signs.reduce((p, s) => p * (1 - (cause.signs[s] ?? 0)), 1);
  return hinted * 0.5 ** signs.filter((s) => cause.against?.includes(s)).length;
}

/** On which garments signs are looked for, and those a cause shows there, the strongest first. */
const WORN: readonly Worn[] = ['bodice', 'trousers'];
const signsOn = (cause: Cause, worn: Worn): readonly (readonly [SymptomId, number])[] => {
  const shown = new Set<string>(symptomsFor(worn).map((s) => s.id));
  return (Object.entries(cause.signs) as [SymptomId, number][])
    .filter(([id]) => shown.has(id))
    .sort((a, b) => b[1] - a[1]);
};

/** Causes with a sign strong enough to be recognised by, and the garment that shows it. */
const ASKED = WORN.flatMap((worn) =>
  CAUSES.filter((c) => (signsOn(c, worn)[0]?.[1] ?? 0) >= STRONG).map((cause) => ({ cause, worn })),
);

/** A case to read: the same seed gives the same one. One cause explains its signs clearly better than the others offered. */
export function wrinkleOf(seed: number): Wrinkle {
  const { oneOf } = drawFrom(seed);
  const { cause, worn } = oneOf(ASKED);
  const signs = signsOn(cause, worn)
    .slice(0, 2)
    .map(([id]) => id);
  const own = speaksFor(cause, signs);
  const others = CAUSES.filter((c) => c !== cause && signsOn(c, worn).length > 0 && own - speaksFor(c, signs) >= APART);
  // Causes that share a sign are the ones people mix up: they come first.
  const near = others.filter((c) => speaksFor(c, signs) > 0);
  const options: Cause[] = [cause];
  for (const list of [near, others]) {
    let left = list.filter((c) => !options.includes(c));
    while (options.length < OPTIONS && left.length > 0) {
      const next = oneOf(left);
      options.push(next);
      left = left.filter((c) => c !== next);
    }
  }
  return {
    worn,
    signs,
    right: cause.id,
    options: shuffled(
      options.map((c) => c.id),
      oneOf,
    ),
  };
}

/** A list in an order drawn by chance. */
export function shuffled(list: readonly string[], oneOf: <T>(list: readonly T[]) => T): readonly string[] {
  let left = list;
  const out: string[] = [];
  while (left.length > 0) {
    const next = oneOf(left);
    out.push(next);
    left = left.filter((x) => x !== next);
  }
  return out;
}
