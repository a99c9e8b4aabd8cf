import type { Answer, Fitting, FollowUp, Observation } from '../../documents/schema.ts';

/** Fittings from the first to the last; of two on one day the one noted later is the later. */
export const inOrderOfDate = (fittings: readonly Fitting[]): readonly Fitting[] =>
  fittings
    .map((f, i) => [f, i] as const)
    .sort(([a, i], [b, j]) => a.date.localeCompare(b.date) || i - j)
    .map(([f]) => f);

/** What is still there at a later fitting is noted there anew, under the id of the first with that fitting's behind it. */
export const rootOf = (id: string): string => id.split('@')[0] ?? id;
export const stillAt = (id: string, fitting: string): string => `${rootOf(id)}@${fitting}`;

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
  // Of the same thing seen again and again only the last is asked about.
  const last = new Map<string, ToFollow>();
  for (const fitting of before) {
    for (const { observation } of fitting.followed)
      if (resultIn(fitting, observation) === 'gone') last.delete(rootOf(observation));
    for (const observation of fitting.observations)
      last.set(rootOf(observation.id), { observation, fitting, result: resultIn(now, observation.id) });
  }
  return [...last.values()];
}

const resultIn = (fitting: Fitting, observation: string): FollowUp | null =>
  fitting.followed.find((f) => rootOf(f.observation) === rootOf(observation))?.result ?? null;

/** One look at something seen earlier: at which fitting, and what had been done about it by then. */
export interface Became {
  readonly fitting: Fitting;
  readonly result: FollowUp;
  readonly after: Answer | null;
}

/** What became of something seen, fitting by fitting. */
export function becameOf(fittings: readonly Fitting[], observation: Observation): readonly Became[] {
  const all = inOrderOfDate(fittings);
  const seen = all.findIndex((f) => f.observations.some((o) => o.id === observation.id));
  return all.slice(seen + 1).flatMap((fitting): readonly Became[] => {
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
    const alike = (o: Observation): boolean =>
      o.sign === before.sign && (o.side === before.side || before.side === 'both' || o.side === 'both');
    const free = second.observations.filter((o) => !taken.has(o.id));
    const after = free.find((o) => rootOf(o.id) === rootOf(before.id)) ?? free.find(alike);
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
