import { alterationById } from '@ample/core/alterations';
import { inOrder, insertAt } from '@ample/core/draft';
import type { Job, Step } from '@ample/core/formats';
import { planStep } from '@ample/samples';
import { editJob, editStep } from './job.ts';

/** Adds a step where it belongs in the order of work; its id is new. */
export const addStep = (alteration: string, values: Step['values'] = {}): void =>
  editJob((j) => {
    const at = insertAt(j.steps, alteration, j.order);
    const step = planStep(freshStepId(), alteration, values);
    return { ...j, steps: [...j.steps.slice(0, at), step, ...j.steps.slice(at)] };
  });
/** The whole plan put in the order of work. */
export const sortPlan = (order: Job['order']): void =>
  editJob((j) => ({ ...j, order, steps: [...inOrder(j.steps, order)] }));
export const freshStepId = (): string => `s-${crypto.randomUUID().slice(0, 8)}`;

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
