import { nth } from '../../units/index.ts';
import type { Task } from '../task.ts';
import { differencesOf, seamDifferences, sideOf, type Attempt, type Difference } from './compare.ts';
import { CAREFUL, mistakesOf, TIP, type Mistake } from './mistakes.ts';

/** What was made, held against the alteration. */
export interface Verdict {
  /** Differences anyone sees, the largest first. */
  readonly differences: readonly Difference[];
  readonly mistakes: readonly Mistake[];
  /** The largest of all, mm. */
  readonly score: number;
  readonly careful: boolean;
}

/** How much a difference counts, mm: the tip of a dart may lie a little nearer or farther. */
const counts = (d: Difference): number => (d.kind === 'tip' ? Math.max(0, Math.abs(d.by) - TIP) : Math.abs(d.by));

/** Holds what was made of every piece of a lesson against the alteration’s own program. Pieces left alone count too. */
export function judge(task: Task, attempts: readonly (Attempt | null)[]): Verdict {
  const cases = task.right.map((way, index) => {
    const attempt = attempts[index] ?? null;
    return {
      task,
      index,
      way,
      attempt,
      opened: sideOf(way, attempt).opened,
      differences: differencesOf(task, index, attempt),
    };
  });
  const seams = seamDifferences(task, attempts);
  const all = [...cases.flatMap((c) => c.differences), ...seams];
  const score = Math.max(0, ...all.map(counts));
  const mistakes = cases.flatMap(mistakesOf);
  const amounts = seams.some((d) => Math.abs(d.by) > CAREFUL) && cases.every((c) => c.attempt) && differs(cases);
  return {
    differences: all.filter((d) => counts(d) > CAREFUL).sort((a, b) => counts(b) - counts(a)),
    mistakes: amounts
      ? [...mistakes, { code: 'amounts-differ', piece: 0, data: { off: nth(seams, 0).by }, makes: seams }]
      : mistakes,
    score,
    careful: score <= CAREFUL && mistakes.every((m) => m.code !== 'tip-not-drawn'),
  };
}

/** Whether the pieces were opened by unlike amounts where they should be alike. */
const differs = (
  cases: readonly {
    readonly opened: readonly { readonly got: number; readonly opening: { readonly wanted: number } }[];
  }[],
): boolean => {
  const shares = cases.flatMap((c) => c.opened.map((o) => o.got - o.opening.wanted));
  return Math.max(...shares) - Math.min(...shares) > CAREFUL;
};
