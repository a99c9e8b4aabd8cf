import { JOB_VERSION } from '../../documents/schema.ts';
import type { Failure } from './search.ts';

/** A failure as a job document that app and terminal open: the pattern stands in it, the wearer is nobody. */
export const jobFileOf = ({ case: found, what }: Failure): unknown => ({
  format: 'ample-draft/job',
  version: JOB_VERSION,
  id: 'failure',
  name: what,
  size: found.size,
  wearer: { format: 'ample-draft/wearer', version: 1, id: 'nobody', name: 'Nobody', sets: [] },
  pattern: { ...found.pattern, notes: found.draft },
  steps: found.steps,
});
