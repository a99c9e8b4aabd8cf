import { alterationById, type Fit } from '@ample/core/alterations';
import { computed, inOrder, insertAt, planStep } from '@ample/core/fitting/plan';
import type { Job, Step } from '@ample/core/documents';
import { editJob, editStep } from './job.ts';
import { freshId } from '../lib/ids.ts';

/** Adds a step where it belongs in the order of work; its id is new. */
export const addStep = (alteration: string, values: Step['values'] = {}, side: Step['side'] = 'both'): void =>
  editJob((j) => {
    const at = insertAt(j.steps, alteration, j.order);
    const step = planStep(freshStepId(), alteration, values, side);
    return { ...j, steps: [...j.steps.slice(0, at), step, ...j.steps.slice(at)] };
  });
/** The whole plan put in the order of work. */
export const sortPlan = (order: Job['order']): void =>
  editJob((j) => ({ ...j, order, steps: [...inOrder(j.steps, order)] }));
export const freshStepId = (): string => freshId('s');

/** The same step by another alteration: keeps the amount and what the other knows too. */
export const swapAlteration = (step: string, alteration: string): void =>
  editStep(step, (s) => {
    const known = new Set(alterationById(alteration)?.params.map((p) => p.key));
    const values = Object.fromEntries(Object.entries(s.values).filter(([k]) => known.has(k) && k === 'total'));
    return { ...s, alteration, revision: alterationById(alteration)?.revision ?? 1, values };
  });

export const moveStep = (step: string, by: 1 | -1): void =>
  editJob((j) => {
    const from = j.steps.findIndex((s) => s.id === step);
    const to = from + by;
    const moved = j.steps[from];
    if (!moved || to < 0 || to >= j.steps.length) return j;
    const steps = j.steps.filter((s) => s.id !== step);
    return { ...j, steps: [...steps.slice(0, to), moved, ...steps.slice(to)] };
  });

/** One step replaced by the steps of a way on. */
export const takeWay = (step: string, way: readonly Step[]): void =>
  editJob((j) => ({ ...j, steps: j.steps.flatMap((s) => (s.id === step ? way : [s])) }));

/** A step put in the place of another, as one slides a slip of paper. */
export const dropStep = (step: string, over: string): void =>
  editJob((j) => {
    const from = j.steps.findIndex((s) => s.id === step);
    const to = j.steps.findIndex((s) => s.id === over);
    const moved = j.steps[from];
    if (!moved || to < 0 || from === to) return j;
    const rest = j.steps.filter((s) => s.id !== step);
    return { ...j, steps: [...rest.slice(0, to), moved, ...rest.slice(to)] };
  });

/** Several alterations at once, each where it belongs in the order of work. */
export const addSteps = (asked: readonly Pick<Step, 'alteration' | 'side'>[]): void =>
  editJob((j) =>
    asked.reduce((job, { alteration, side }) => {
      const at = insertAt(job.steps, alteration, job.order);
      const step = planStep(freshStepId(), alteration, {}, side);
      return { ...job, steps: [...job.steps.slice(0, at), step, ...job.steps.slice(at)] };
    }, j),
  );

/** The amounts a search has found, taken as one's own; one change to undo. */
export const takeAmounts = (
  found: readonly { readonly step: string; readonly key: string; readonly to: number }[],
): void =>
  editJob((j) => ({
    ...j,
    steps: j.steps.map((s) => {
      const mine = found.filter((f) => f.step === s.id);
      if (mine.length === 0) return s;
      return { ...s, values: { ...s.values, ...Object.fromEntries(mine.map((f) => [f.key, f.to])) } };
    }),
  }));

/** Back to the amount that is worked out, for the bust by the method named. */
export const takeComputed = (step: string, fit: Fit | null, school: Step['school'] = 'auto'): void =>
  editStep(step, (s) => ({ ...computed(s, fit), school }));
