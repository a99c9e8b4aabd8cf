import { alterationById, propose } from '@ample/core/alterations';
import { samplePattern, type SampleId } from '@ample/core/drafting';
import type { Job, Step } from '@ample/core/formats';
import { patternSchema, type Pattern, type Piece } from '@ample/core/pattern';
import { DEMO_JOBS, DEMO_WEARERS } from './scenario.ts';

const patterns = new Map<SampleId, Pattern>();
/** A pattern of the demo house in all sizes; drafted once, when it is first asked for. */
export function demoPattern(id: SampleId = 'causeway'): Pattern {
  const known = patterns.get(id);
  if (known) return known;
  const pattern = patternSchema.parse(samplePattern(id));
  patterns.set(id, pattern);
  return pattern;
}

/** A step of the plan with nothing set by hand yet. */
export const planStep = (id: string, alteration: string, values: Step['values'] = {}): Step => ({
  id,
  alteration,
  revision: alterationById(alteration)?.revision ?? 1,
  school: 'auto',
  knitFactor: null,
  values,
  side: 'both',
  on: true,
});

/** The bust step that suits some pieces best. */
export const bustStepFor = (id: string, pieces: readonly Piece[]): Step =>
  planStep(id, propose(pieces, 'bust')[0]?.id ?? 'full-bust-side-dart');

export const bustStep = (id: string, values: Step['values'] = {}): Step => planStep(id, 'full-bust-side-dart', values);

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
