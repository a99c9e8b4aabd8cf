import type { Values } from '../alterations/index.ts';
import { askedSteps, draft, type Draft, type ResolvedJob } from '../fitting/plan/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { wearerWith, type Readings } from './wearers.ts';

/**
 * A pattern in one size for a body, altered by the app’s own steps at its own amounts, what follows from them included; before
 * them, where given, by one that no measurement asks for.
 */
export function withOwnSteps(
  pattern: Pattern,
  size: string,
  body: Readings,
  first?: readonly [id: string, values: Values],
): Draft {
  const sizeMethod = pattern.garment === 'top' ? ('highBust' as const) : ('hip' as const);
  const job: ResolvedJob = { job: { size, sizeMethod, steps: [] }, wearer: wearerWith(body), pattern };
  return draft({ ...job, job: { ...job.job, steps: [...askedSteps(job, first)] } });
}
