import type { Job, Wearer } from '@ample/core/documents';
import { DEMO_JOBS, DEMO_WEARERS } from './scenario.ts';

/** All documents of the demo: what an empty browser is filled with. */
export const DEMO: { readonly wearers: readonly Wearer[]; readonly jobs: readonly Job[] } = {
  wearers: DEMO_WEARERS,
  jobs: DEMO_JOBS,
};

/** A demo job with its documents inline: one file is enough for the terminal. */
export function inlineDemoJob(id: string): Job {
  const found = DEMO_JOBS.find((j) => j.id === id);
  const ref = found?.wearer;
  const who = ref && 'id' in ref ? DEMO_WEARERS.find((w) => w.id === ref.id) : undefined;
  if (!found || !who)
    throw new Error(`inlineDemoJob: expected one of ${DEMO_JOBS.map((j) => j.id).join(', ')}, got "${id}"`);
  const pattern = 'id' in found.pattern ? found.pattern.id : 'causeway';
  return { ...found, wearer: who, pattern: { sample: pattern } };
}
