import type { Answer, Fitting, FollowUp, Observation } from '../formats/schema.ts';

/** Fittings from the first to the last; of two on one day the one noted later is the later. */
export const inOrderOfDate = (fittings: readonly Fitting[]): readonly Fitting[] =>
  fittings
    .map((f, i) => [f, i] as const)
    .sort(([a, i], [b, j]) => a.date.localeCompare(b.date) || i - j)
    .map(([f]) => f);

/** What was seen before and is to be looked at again. */
export interface ToFollow {
  readonly observation: Observation;
  readonly fitting: Fitting;
  /** What this fitting says of it already. */
  readonly result: FollowUp | null;
}

/** Everything earlier fittings showed that was not gone by the last one before this. */
export function toFollow(fittings: readonly Fitting[], id: string): readonly ToFollow[] {
  const all = inOrderOfDate(fittings);
  const at = all.findIndex((f) => f.id === id);
  const now = all[at];
  if (!now) return [];
  const before = all.slice(0, at);
  return before.flatMap((fitting, i) =>
    fitting.observations.flatMap((observation): readonly ToFollow[] => {
      const gone = before.slice(i + 1).some((f) => resultIn(f, observation.id) === 'gone');
      return gone ? [] : [{ observation, fitting, result: resultIn(now, observation.id) }];
    }),
  );
}

const resultIn = (fitting: Fitting, observation: string): FollowUp | null =>
  fitting.followed.find((f) => f.observation === observation)?.result ?? null;

/** One look at something seen earlier: at which fitting, and what had been done about it by then. */
export interface Became {
  readonly fitting: Fitting;
  readonly result: FollowUp;
  readonly after: Answer | null;
}

/** What became of something seen, fitting by fitting. */
export function becameOf(fittings: readonly Fitting[], observation: Observation): readonly Became[] {
  return inOrderOfDate(fittings).flatMap((fitting): readonly Became[] => {
    const result = resultIn(fitting, observation.id);
    if (!result) return [];
    const done = observation.answers.filter((a) => a.date <= fitting.date);
    return [{ fitting, result, after: done.at(-1) ?? null }];
  });
}

/** One line of two fittings beside each other. */
export interface FittingPair {
  readonly before: Observation | null;
  readonly after: Observation | null;
  readonly result: FollowUp | 'new' | 'unsaid';
}

/** Two fittings side by side: what was followed up says so itself; else the same sign on the same side is the same thing. */
export function compareFittings(first: Fitting, second: Fitting): readonly FittingPair[] {
  const taken = new Set<string>();
  const pairs = first.observations.map((before): FittingPair => {
    const after = second.observations.find(
      (o) =>
        !taken.has(o.id) &&
        o.sign === before.sign &&
        (o.side === before.side || before.side === 'both' || o.side === 'both'),
    );
    if (after) taken.add(after.id);
    return { before, after: after ?? null, result: resultIn(second, before.id) ?? pinnedResult(before, after) };
  });
  const fresh = second.observations.filter((o) => !taken.has(o.id));
  return [...pairs, ...fresh.map((after): FittingPair => ({ before: null, after, result: 'new' }))];
}

/** By what was pinned, where nothing was said; not seen again and not asked about stays unsaid. */
function pinnedResult(before: Observation, after: Observation | undefined): FittingPair['result'] {
  if (!after) return 'unsaid';
  if (before.pinned === null || after.pinned === null) return 'same';
  return after.pinned < before.pinned ? 'less' : after.pinned > before.pinned ? 'more' : 'same';
}
