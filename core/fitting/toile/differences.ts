import { amountOf, type Draft } from '../plan/index.ts';
import { changesBetween, type Change as BodyChange } from '../fit/index.ts';
import type { Step } from '../../documents/schema.ts';
import { ADVICE } from '../../units/index.ts';

/** One difference between two states of a job. Amounts in mm. */
export type Difference =
  | { readonly kind: 'size'; readonly from: string | null; readonly to: string | null }
  | { readonly kind: 'view'; readonly from: string | null; readonly to: string | null }
  | { readonly kind: 'cup'; readonly from: string | null; readonly to: string | null }
  | { readonly kind: 'added' | 'removed'; readonly step: Step; readonly amount: number | null }
  | { readonly kind: 'off' | 'on'; readonly step: Step; readonly amount: number | null }
  | { readonly kind: 'amount'; readonly step: Step; readonly from: number | null; readonly to: number | null }
  | { readonly kind: 'side'; readonly step: Step; readonly from: Step['side'] }
  | { readonly kind: 'other'; readonly step: Step }
  | { readonly kind: 'order' }
  | { readonly kind: 'body'; readonly change: BodyChange };

type State = Pick<Draft, 'size' | 'cup' | 'view' | 'steps' | 'body'>;

/** What changed from one state to another, in the order of the work. Both are drafted, so that amounts left to the sums count. */
export function differences(before: State, after: State): readonly Difference[] {
  const out: Difference[] = [];
  if (before.size !== after.size) out.push({ kind: 'size', from: before.size, to: after.size });
  if (before.cup !== after.cup) out.push({ kind: 'cup', from: before.cup, to: after.cup });
  if (before.view !== after.view) out.push({ kind: 'view', from: before.view, to: after.view });
  for (const change of changesBetween(before.body, after.body)) out.push({ kind: 'body', change });
  for (const was of before.steps)
    if (!after.steps.some((s) => s.step.id === was.step.id))
      out.push({ kind: 'removed', step: was.step, amount: amountOf(was) });
  for (const now of after.steps) {
    const was = before.steps.find((s) => s.step.id === now.step.id);
    const { step } = now;
    const amount = amountOf(now);
    if (!was) out.push({ kind: 'added', step, amount });
    else if (was.step.on !== step.on) out.push({ kind: step.on ? 'on' : 'off', step, amount });
    else {
      const from = amountOf(was);
      if (was.step.side !== step.side) out.push({ kind: 'side', step, from: was.step.side });
      if (Math.abs((from ?? 0) - (amount ?? 0)) >= ADVICE.worthTelling / 10)
        out.push({ kind: 'amount', step, from, to: amount });
      else if (was.step.alteration !== step.alteration || !sameValues(was.values, now.values))
        out.push({ kind: 'other', step });
    }
  }
  const kept = (of: State, other: State): string =>
    of.steps
      .map((s) => s.step.id)
      .filter((id) => other.steps.some((s) => s.step.id === id))
      .join(' ');
  if (kept(before, after) !== kept(after, before)) out.push({ kind: 'order' });
  return out;
}

const sameValues = (a: object, b: object): boolean => JSON.stringify(a) === JSON.stringify(b);
