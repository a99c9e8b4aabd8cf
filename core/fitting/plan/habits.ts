import { alterationById, propose, type Fit } from '../../alterations/index.ts';
import { changesBetween, type Body, type Change } from '../fit/index.ts';
import type { Lesson, Step } from '../../documents/schema.ts';
import { kinOf, type FitsOf } from './recommendations.ts';
import type { SidePieces } from './sides.ts';
import type { DraftStep } from './step.ts';

/** A measurement that changed by more than this since is a reason to check again, mm. */
const MOVED = 20;

/** An alteration usual in the wearer's finished jobs, proposed for this pattern. */
export interface Habit {
  /** The alteration that suits these pieces; null when none does. */
  readonly alteration: string | null;
  /** As it was done last. */
  readonly done: string;
  readonly times: number;
  readonly pattern: string;
  readonly date: string;
  readonly side: Step['side'];
  /** By how much it was done, where it has an amount, mm. */
  readonly by: number | null;
  /** Values for the step; empty when the amount is computed anew for this pattern. */
  readonly values: Step['values'];
  /** The sum for this pattern, where one can be made. */
  readonly fit: Fit | null;
  /** Measurements that have moved since it was done. */
  readonly moved: readonly Change[];
  readonly planned: boolean;
}

const question = (id: string): readonly string[] => {
  const family = alterationById(id)?.family;
  return family === 'bust' ? ['bust'] : kinOf(id);
};

/** What is kept of a finished job: the steps that were carried out, with the values they ran with, and the body. */
export function lessonOf(
  draft: { readonly steps: readonly DraftStep[]; readonly body: Body },
  job: string,
  pattern: string,
  date: string,
): Lesson {
  return {
    job,
    pattern,
    date,
    body: { ...draft.body },
    steps: draft.steps.flatMap(({ step, outcome, values }) => {
      if (!step.on || !outcome.ok || alterationById(step.alteration)?.family === 'follow') return [];
      const kept = Object.entries(values).filter(([, v]) => typeof v === 'number' || typeof v === 'string');
      return [
        {
          alteration: step.alteration,
          side: step.side,
          values: Object.fromEntries(kept) as Lesson['steps'][number]['values'],
        },
      ];
    }),
  };
}

/**
 * The wearer's usual alterations on the pieces in hand, the most frequent first. What can be measured is worked out
 * anew; the rest is proposed as it was done last.
 */
export function habitsFor(
  learnt: readonly Lesson[],
  body: Body,
  side: SidePieces,
  fitOf: FitsOf,
  planned: readonly string[],
): readonly Habit[] {
  const newest = [...learnt].sort((a, b) => b.date.localeCompare(a.date));
  const out = new Map<string, Habit>();
  for (const lesson of newest)
    for (const step of lesson.steps) {
      const kin = question(step.alteration);
      const key = kin.join(' ');
      const had = out.get(key);
      if (had) {
        out.set(key, { ...had, times: had.times + 1 });
        continue;
      }
      const by = step.values['total'] ?? step.values['by'];
      const bust = key === 'bust';
      const suits = (id: string): boolean => alterationById(id)?.suits(side.pieces, side.seams).grade !== 'no';
      const able = bust
        ? propose(side.pieces, 'bust')
            .filter((p) => p.grade !== 'no')
            .map((p) => p.id)
        : [step.alteration, ...kin].filter((id) => alterationById(id) && suits(id));
      const alteration = able[0] ?? null;
      const measured = alteration !== null && (bust || alterationById(alteration)?.fits !== undefined);
      const same = alteration === step.alteration;
      out.set(key, {
        alteration,
        done: step.alteration,
        times: 1,
        pattern: lesson.pattern,
        date: lesson.date,
        side: step.side,
        by: typeof by === 'number' ? by : null,
        values: measured || !same ? {} : step.values,
        fit: alteration === null || bust ? null : fitOf(alteration),
        moved: changesBetween(lesson.body, body).filter((c) => Math.abs(c.by) > MOVED),
        planned: planned.some((p) => question(p).some((q) => kin.includes(q))),
      });
    }
  return [...out.values()].sort((a, b) => b.times - a.times);
}
