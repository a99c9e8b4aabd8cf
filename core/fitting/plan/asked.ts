import type { Values } from '../../alterations/index.ts';
import type { Step } from '../../documents/index.ts';
import { draft } from './draft.ts';
import { planStep } from './newStep.ts';
import type { ResolvedJob } from './setup.ts';

/**
 * The steps a body asks for at the app’s own amounts, and those that follow from them (named f…); before them, where given,
 * one that no measurement asks for. The steps a job has are not looked at.
 */
export function askedSteps(job: ResolvedJob, first?: readonly [alteration: string, values: Values]): readonly Step[] {
  const made = (steps: readonly Step[]) => draft({ ...job, job: { ...job.job, steps: [...steps] } });
  const own = first ? [planStep('own', ...first)] : [];
  const asked = [...own, ...made([]).asks.map((a, i) => planStep(`s${i}`, a.alteration, {}, a.side))];
  return [...asked, ...made(asked).followers.map((f, i) => planStep(`f${i}`, f.alteration))];
}
