import type { Pattern } from '../../pattern/index.ts';
import { ADVICE } from '../../units/index.ts';
import type { Body } from './body.ts';
import { cupOf, finishedBust, type FinishedBust } from './size.ts';

export const AMOUNT_METHODS = ['finished', 'chart', 'cup', 'whole', 'knit'] as const;
export type AmountMethod = (typeof AMOUNT_METHODS)[number];

/** One term of a sum, with where it comes from. */
export interface Term {
  readonly code: string;
  readonly value: number;
  readonly sign: 1 | -1;
}

/** One way of computing the bust amount. Lengths mm; `total` for the whole front, `half` on a half piece. */
export interface Amount {
  readonly method: AmountMethod;
  readonly total: number;
  readonly half: number;
  readonly terms: readonly Term[];
  /** Multiplies the sum of the terms; 1 except for knits. */
  readonly factor: number;
  /** How much more than the default it asks for, where that is a warning. */
  readonly overshoot: number | null;
}

/** Why a way of working the amount out was chosen. */
export type AmountReason =
  `amount.why.${Exclude<AmountMethod, 'finished'> | 'nothing'}` | `amount.why.finished.${FinishedBust['from']}`;

export type AmountVerdict = 'none' | 'optional' | 'yes';

export interface Amounts {
  readonly size: string;
  readonly all: readonly Amount[];
  readonly chosen: Amount | null;
  readonly why: AmountReason;
  readonly verdict: AmountVerdict;
  readonly missing: readonly string[];
  readonly large: boolean;
}

/** Bust ease wanted on a pattern unless the wearer says otherwise, mm: the draft's own, else the usual of its cloth. */
export const wantedBustEase = (pattern: Pattern): number =>
  pattern.bustEase ?? (pattern.fabric.kind === 'knit' ? 0 : 50);

export interface BustWish {
  readonly ease?: number | undefined;
  readonly grown?: number | undefined;
  readonly enough?: number | undefined;
  /** The bust of the pieces, where it is measured through the wearer's own bust point. */
  readonly flat?: number | undefined;
}

/** Of a knit half is spread, the cloth gives the rest: what it is drafted below the body is in the ease already. */
const KNIT_SHARE = 0.5;

const sumOf = (terms: readonly Term[]): number => terms.reduce((sum, t) => sum + t.sign * t.value, 0);

/**
 * Every way of computing how much the bust of a size must grow (positive) or shrink, side by side, with the
 * one to take by default and why: the finished measurement when the pieces or the envelope give one, since it
 * measures what matters; else the chart; else cup against draft cup. `ease`: what is wanted, mm. `grown`: by how much
 * earlier steps have already changed the flat bust, mm, so that it is not added twice; cup sums compare bodies and take
 * no notice of it. `enough`: of a loose design, the ease with which the bust is left alone.
 */
export function bustAmounts(
  body: Body,
  pattern: Pattern,
  size: string,
  { ease = wantedBustEase(pattern), grown = 0, enough, flat }: BustWish = {},
): Amounts {
  const row = pattern.chart.find((r) => r.size === size);
  const { fullBust, highBust } = body;
  const all: Amount[] = [];
  const push = (method: AmountMethod, terms: readonly Term[], factor = 1) => {
    const total = sumOf(terms) * factor;
    all.push({ method, total, half: total / 2, terms, factor, overshoot: null });
  };
  const full: Term | null = fullBust === undefined ? null : { code: 'body.fullBust', value: fullBust, sign: 1 };
  const sold = finishedBust(pattern, size);
  const finished = flat !== undefined && sold?.from === 'pieces' ? { ...sold, value: flat } : sold;
  const before: readonly Term[] = grown === 0 ? [] : [{ code: 'pattern.steps', value: grown, sign: -1 }];
  if (full && finished)
    push('finished', [
      full,
      { code: 'ease.wanted', value: ease, sign: 1 },
      { code: `pattern.${finished.from}`, value: finished.value, sign: -1 },
      ...before,
    ]);
  if (full && row?.body.fullBust !== undefined)
    push('chart', [full, { code: 'chart.fullBust', value: row.body.fullBust, sign: -1 }, ...before]);
  if (full && highBust !== undefined) {
    const high: Term = { code: 'body.highBust', value: highBust, sign: -1 };
    push('cup', [full, high, { code: 'draft.cup', value: row ? cupOf(row, pattern) : pattern.draftCup, sign: -1 }]);
    push('whole', [full, high]);
  }
  const order: readonly AmountMethod[] =
    pattern.fabric.kind === 'knit' ? ['knit', 'finished', 'cup'] : ['finished', 'chart', 'cup'];
  const base = all.find((a) => a.method === 'finished') ?? all.find((a) => a.method === 'cup');
  if (pattern.fabric.kind === 'knit' && base) push('knit', base.terms, KNIT_SHARE);
  const chosen = order.map((s) => all.find((a) => a.method === s)).find((a) => a !== undefined) ?? null;
  const withOvershoot = all.map((a) =>
    a.method === 'whole' && chosen ? { ...a, overshoot: a.total - chosen.total } : a,
  );
  const roomy =
    enough !== undefined && finished !== null && fullBust !== undefined && fullBust + enough <= finished.value + grown;
  const size_ = roomy ? 0 : Math.abs(chosen?.total ?? 0);
  return {
    size,
    all: withOvershoot,
    chosen,
    why: chosen
      ? chosen.method === 'finished'
        ? `amount.why.finished.${finished?.from ?? 'pieces'}`
        : `amount.why.${chosen.method}`
      : 'amount.why.nothing',
    verdict: size_ < ADVICE.smallBust ? 'none' : size_ <= ADVICE.optionalBust ? 'optional' : 'yes',
    missing: [...(fullBust === undefined ? ['fullBust'] : []), ...(highBust === undefined ? ['highBust'] : [])],
    large: (chosen?.half ?? 0) > ADVICE.largeSpread,
  };
}
