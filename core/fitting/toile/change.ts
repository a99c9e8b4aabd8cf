import { alterationById, propose, isByBust } from '../../alterations/index.ts';
import { amountOf, kinOf, type Draft, type DraftStep } from '../plan/index.ts';
import type { Observation, Step } from '../../documents/schema.ts';
import type { SymptomId } from '../fit/index.ts';
import { ADVICE } from '../../units/index.ts';
import type { Cause, Remedy } from './cause.ts';

/** What would become of the plan, with the sum: `from` and what was pinned make `to`, mm. */
export type Change =
  | {
      readonly kind: 'add';
      readonly alteration: string;
      readonly side: Step['side'];
      readonly values: Step['values'];
      /** Null: it begins with what body and pieces ask for, or with the usual amount. */
      readonly to: number | null;
      readonly pinned: number | null;
      readonly per: number;
      /** What the measurements ask for, where nothing was pinned. */
      readonly asked: number | null;
      /** More was pinned than the step can do. */
      readonly limited: boolean;
    }
  | {
      readonly kind: 'edit';
      readonly step: string;
      readonly alteration: string;
      readonly key: string;
      readonly from: number;
      readonly to: number;
      readonly pinned: number;
      readonly per: number;
      readonly limited: boolean;
    }
  | { readonly kind: 'undo'; readonly step: string; readonly alteration: string; readonly from: number | null }
  | { readonly kind: 'station'; readonly station: 'size' | 'body' }
  | { readonly kind: 'none'; readonly why: 'advice' | 'nothing-suits' | 'no-amount' };

type StepRemedy = Extract<Remedy, { readonly kind: 'step' }>;

/** The largest pinned amount, as the step counts it: the same cause seen twice is not added up. */
export function pinnedFor(
  remedy: StepRemedy,
  seen: readonly Pick<Observation, 'sign' | 'pinned'>[],
): { readonly pinned: number; readonly per: number } | null {
  const told = seen.flatMap(({ sign, pinned }) => {
    const per = remedy.per[sign as SymptomId];
    return per === undefined || pinned === null || pinned === 0 ? [] : [{ pinned, per }];
  });
  return told.sort((a, b) => b.pinned * b.per - a.pinned * a.per)[0] ?? null;
}

/** What would put a cause right, given the plan as it stands. A step that overdid it comes before a new one. */
export function changeFor(cause: Cause, seen: readonly Observation[], draft: Draft): Change {
  const on = draft.steps.filter((s) => s.step.on && s.outcome.ok);
  const guilty = on.filter((s) => cause.overdone?.includes(s.step.alteration)).at(-1);
  const { remedy } = cause;
  if (guilty) return lessOf(guilty, remedy, seen);
  if (remedy.kind === 'station') return remedy;
  if (remedy.kind === 'advice') return { kind: 'none', why: 'advice' };
  const side = sideOf(seen);
  const told = pinnedFor(remedy, seen);
  const there = on.filter((s) => answers(s, remedy) && (s.step.side === side || s.step.side === 'both')).at(-1);
  // What hangs on one side only is not mended on both.
  if (there && there.step.side === side) return edited(there, remedy, told);
  if (there && remedy.way * (amountOf(there) ?? 0) < 0) return edited(there, remedy, told);
  return added(remedy, told, side, draft);
}

const sideOf = (seen: readonly Observation[]): Step['side'] => {
  const first = seen[0]?.side ?? 'both';
  return seen.every((o) => o.side === first) ? first : 'both';
};

/** A step of the plan that asks the same question as a remedy. */
function answers({ step }: DraftStep, remedy: StepRemedy): boolean {
  const definition = alterationById(step.alteration);
  if (remedy.key) return definition?.params.some((p) => p.key === remedy.key) === true;
  if (remedy.alterations.includes('bust')) return definition?.family === 'bust';
  return remedy.alterations.some((id) => kinOf(id).includes(step.alteration));
}

function limited(alteration: string, key: string, to: number): number {
  const param = alterationById(alteration)?.params.find((p) => p.key === key);
  return param?.kind === 'length' ? Math.min(param.max, Math.max(param.min, to)) : to;
}

function edited(there: DraftStep, remedy: StepRemedy, told: ReturnType<typeof pinnedFor>): Change {
  const { step } = there;
  const key = remedy.key ?? alterationById(step.alteration)?.amount ?? 'by';
  const param = alterationById(step.alteration)?.params.find((p) => p.key === key);
  const own = there.values[key] ?? (param && 'initial' in param ? param.initial : null);
  const from = remedy.key ? (typeof own === 'number' ? own : null) : amountOf(there);
  const opposite = from !== null && !remedy.key && from * remedy.way < 0;
  if (from === null || !told)
    return opposite
      ? { kind: 'undo', step: step.id, alteration: step.alteration, from }
      : { kind: 'none', why: 'no-amount' };
  const wanted = from + remedy.way * told.pinned * told.per;
  const to = limited(step.alteration, key, wanted);
  // What would turn a step round, or leave too little of it to sew, takes it out instead.
  if (opposite && (to * from <= 0 || Math.abs(to) < ADVICE.worthAsking))
    return { kind: 'undo', step: step.id, alteration: step.alteration, from };
  return { kind: 'edit', step: step.id, alteration: step.alteration, key, from, to, ...told, limited: to !== wanted };
}

/** A step that did too much: less of it, or none. */
function lessOf(there: DraftStep, remedy: Remedy, seen: readonly Observation[]): Change {
  const { step } = there;
  const from = amountOf(there);
  const pinned = Math.max(0, ...seen.map((o) => o.pinned ?? 0));
  const key = alterationById(step.alteration)?.amount ?? 'by';
  if (from === null || pinned === 0 || remedy.kind === 'station' || from - pinned < ADVICE.worthAsking)
    return { kind: 'undo', step: step.id, alteration: step.alteration, from };
  return {
    kind: 'edit',
    step: step.id,
    alteration: step.alteration,
    key,
    from,
    to: from - pinned,
    pinned,
    per: -1,
    limited: false,
  };
}

function added(remedy: StepRemedy, told: ReturnType<typeof pinnedFor>, side: Step['side'], draft: Draft): Change {
  const { pieces, seams } = draft.sides[side === 'right' ? 'right' : 'left'];
  const bust = remedy.alterations.includes('bust');
  const able = bust
    ? propose(pieces, 'bust').flatMap((p) => (p.grade === 'no' ? [] : [p.id]))
    : remedy.alterations.filter((id) => alterationById(id)?.suits(pieces, seams).grade !== 'no');
  const alteration = able[0];
  const definition = alteration === undefined ? undefined : alterationById(alteration);
  if (!definition || alteration === undefined) return { kind: 'none', why: 'nothing-suits' };
  const known = new Set(definition.params.map((p) => p.key));
  const values = Object.fromEntries(Object.entries(remedy.values ?? {}).filter(([k]) => known.has(k)));
  const key = remedy.key ?? definition.amount ?? 'by';
  const asked = askedOf(alteration, key, remedy, draft);
  const begins = definition.params.find((p) => p.key === key);
  // A dart is shortened from where it ends; other steps begin with nothing.
  const from = remedy.key && begins?.kind === 'length' ? begins.initial : 0;
  const wanted = told && from + remedy.way * told.pinned * told.per;
  const to =
    wanted !== null
      ? limited(alteration, key, wanted)
      : asked === null && begins?.kind === 'length'
        ? limited(alteration, key, remedy.way * Math.abs(begins.initial))
        : null;
  return {
    kind: 'add',
    alteration,
    side,
    values: to === null ? values : { ...values, [key]: to },
    to,
    pinned: told?.pinned ?? null,
    per: told?.per ?? 1,
    asked,
    limited: wanted !== null && to !== wanted,
  };
}

/** What the body asks of an alteration on the pieces as they are, where it goes the same way. */
function askedOf(alteration: string, key: string, remedy: StepRemedy, draft: Draft): number | null {
  const value = isByBust(alterationById(alteration))
    ? (draft.amounts?.chosen?.total ?? null)
    : (draft.asks.find((a) => kinOf(alteration).includes(a.alteration))?.fit.values[key] ?? null);
  return typeof value === 'number' && value * remedy.way >= ADVICE.worthAsking ? value : null;
}
