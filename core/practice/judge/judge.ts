import { PRACTICE } from '../../units/index.ts';
import type { Task } from '../task.ts';
import { differencesOf, openedOf, seamDifferences, type Attempt, type Difference } from './compare.ts';
import { mistakesOf, type Mistake } from './mistakes.ts';

/** What was made, held against the alteration. */
export interface Verdict {
  /** Differences anyone sees, the largest first. */
  readonly differences: readonly Difference[];
  readonly mistakes: readonly Mistake[];
  /** The largest of all, mm. */
  readonly score: number;
  readonly careful: boolean;
}

/** How much a difference counts, mm: what is set by eye or drawn by hand may lie a little off. */
const counts = (d: Difference): number => Math.max(0, Math.abs(d.by) - byEye(d));
const byEye = ({ kind }: Difference): number => (kind === 'tip' ? PRACTICE.tip : kind === 'trued' ? PRACTICE.drawn : 0);

/** Holds what was made of every piece of a lesson against the alteration’s own program. Pieces left alone count too. */
export function judge(task: Task, attempts: readonly (Attempt | null)[]): Verdict {
  const cases = task.right.map((way, index) => {
    const attempt = attempts[index] ?? null;
    const opened = openedOf(way, attempt);
    return { task, index, way, attempt, opened, differences: differencesOf(task, index, attempt, opened) };
  });
  const seams = seamDifferences(task, attempts);
  const all = [...cases.flatMap((c) => c.differences), ...seams];
  const score = Math.max(0, ...all.map(counts));
  // What makes no difference anyone sees is not held against anybody, but for a dart that was never drawn.
  const mistakes = cases.flatMap(mistakesOf).filter((m) => score > PRACTICE.careful || m.code === 'tip-not-drawn');
  const worst = seams.reduce<Difference | null>((w, d) => (w && Math.abs(w.by) >= Math.abs(d.by) ? w : d), null);
  const amounts =
    worst !== null && Math.abs(worst.by) > PRACTICE.careful && cases.every((c) => c.attempt) && differs(cases);
  return {
    differences: all.filter((d) => counts(d) > PRACTICE.careful).sort((a, b) => counts(b) - counts(a)),
    mistakes: amounts
      ? [...mistakes, { code: 'amounts-differ', piece: 0, data: { off: worst.by }, makes: seams }]
      : mistakes,
    score,
    careful: score <= PRACTICE.careful && mistakes.length === 0,
  };
}

/** Whether the pieces were opened by unlike amounts where they should be alike. */
const differs = (
  cases: readonly {
    readonly opened: readonly { readonly got: number; readonly opening: { readonly wanted: number } }[];
  }[],
): boolean => {
  const shares = cases.flatMap((c) => c.opened.map((o) => o.got - o.opening.wanted));
  return Math.max(...shares) - Math.min(...shares) > PRACTICE.careful;
};
