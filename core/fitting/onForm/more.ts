import { compared, plusMinus, read, type PlusMinus, type Reading } from '../../drape/index.ts';
import { telling } from '../../units/index.ts';
import type { ResolvedJob } from '../plan/index.ts';
import { bodyInHand, both, onBoth, toSee, type Before } from './onForm.ts';

/** What the garment reads without one step of the plan, all others done. */
export interface WithoutStep {
  readonly step: string;
  readonly alteration: string;
  readonly readings: readonly Reading[];
}
/** How much the readings of the plan move with what no tape tells, and what each step does to them. */
export interface More {
  readonly plusMinus: PlusMinus;
  readonly without: readonly WithoutStep[];
}

/**
 * What takes longer to tell of a job that hangs on its form: the plan hung again without each of its steps, and on bodies
 * that differ in what no tape tells, each from where it lies. Tells on the way how far it is. A step without which the
 * pieces cannot be sewn is left out.
 */
export function* moreOf(job: ResolvedJob, on: Before): Generator<{ readonly share: number }, More> {
  const { wanted, drafted, planned, chart, cloth, fineness } = on;
  const { side } = wanted;
  const control = read(chart);
  const steps = job.job.steps.filter((s) => s.on);
  const parts = steps.length + 1;
  const without: WithoutStep[] = [];
  for (const [i, { id, alteration }] of steps.entries()) {
    const others = toSee(
      { ...job, job: { ...job.job, steps: job.job.steps.filter((s) => s.id !== id) } },
      side,
      wanted.drafted.sleeves,
    );
    if (!others.ok) continue;
    const garments = others.value.planned ?? both(others.value.drafted);
    const work = onBoth('planned', garments, drafted, { cloth, fineness, before: planned });
    const hung = yield* telling(work, ({ share }) => ({ share: (i + share) / parts }));
    if (hung.ok) without.push({ step: id, alteration, readings: compared(read(hung.value[side]), control, cloth) });
  }
  const sure = plusMinus(wanted.planned?.[side] ?? wanted.drafted, bodyInHand(wanted), planned[side]);
  const moves = yield* telling(sure, (share) => ({ share: (steps.length + share) / parts }));
  return { plusMinus: moves, without };
}
