import { isSample } from '@ample/core/drafting';
import type { Job } from '@ample/core/formats';
import type { Pattern } from '@ample/core/pattern';
import { demoPattern } from '@ample/samples';

/** The pattern of a job: inline, from the drawer, or one of the house's samples, drafted when first asked for. */
export function patternOf(job: Pick<Job, 'pattern'> | null, patterns: readonly Pattern[]): Pattern | null {
  const ref = job?.pattern;
  if (!ref) return null;
  if ('chart' in ref) return ref;
  const id = 'id' in ref ? ref.id : 'sample' in ref ? ref.sample : '';
  // A sample is always the one that comes with the app, whatever an older version put in the drawer.
  return isSample(id) ? demoPattern(id) : (patterns.find((p) => p.id === id) ?? null);
}
