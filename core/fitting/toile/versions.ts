import type { ResolvedJob } from '../plan/index.ts';
import { MOST, type Job, type Version, type Wearer } from '../../documents/schema.ts';
import type { Pattern } from '../../pattern/index.ts';

const choicesOf = (of: Pick<Job, 'size' | 'sizeMethod' | 'cup' | 'view' | 'hanging' | 'steps' | 'order'>) => ({
  size: of.size,
  sizeMethod: of.sizeMethod,
  cup: of.cup,
  view: of.view,
  hanging: of.hanging,
  steps: of.steps,
  order: of.order,
});

/** A named state of a job as it stands. `at` is the moment, ISO. */
export const versionOf = (job: Job, wearer: Wearer, id: string, name: string, at: string): Version => ({
  id,
  name,
  at,
  ...choicesOf(job),
  body: { sets: wearer.sets, bustEase: wearer.bustEase, eases: wearer.eases, heightLies: wearer.heightLies },
  pattern: 'chart' in job.pattern ? job.pattern : null,
});

/** A job with one more version; beyond what a document takes, the oldest that no fitting was sewn from makes room. */
export function withVersion(job: Job, version: Version): Job {
  const all = [...job.versions, version];
  const sewn = new Set(job.fittings.map((f) => f.version));
  const oldest = all.length > MOST.versions ? all.find((v) => !sewn.has(v.id)) : undefined;
  return { ...job, versions: all.filter((v) => v !== oldest).slice(-MOST.versions) };
}

/** A job with the choices of a version put back. Fittings, other versions and the body stay as they are. */
export const returnTo = (job: Job, version: Version): Job => ({
  ...job,
  ...choicesOf(version),
  ...(version.pattern ? { pattern: version.pattern } : {}),
});

/** Does a job stand exactly as a version says? */
export const standsAs = (job: Job, version: Version): boolean =>
  JSON.stringify(choicesOf(job)) === JSON.stringify(choicesOf(version)) &&
  (version.pattern === null || JSON.stringify(version.pattern) === JSON.stringify(job.pattern));

/** What a version's draft is computed from: its own body, and the pattern of the job where it kept none. */
export const resolveVersion = (version: Version, pattern: Pattern): ResolvedJob => ({
  job: choicesOf(version),
  wearer: version.body,
  pattern: version.pattern ?? pattern,
});
