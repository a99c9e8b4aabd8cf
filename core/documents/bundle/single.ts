import { parseJson, readJob, readWearer } from '../read.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import { textOf } from '../../in/text.ts';
import { LIMITS, type Bundle, type BundleError } from './types.ts';

/** Keys that would change the prototype of every object. */
export const HOSTILE = new Set(['__proto__', 'constructor', 'prototype']);

/** The name a single job goes by in a refusal. */
const HERE = 'the job';

/** Whether bytes look like a JSON document: a brace after an optional byte order mark and whitespace. */
export const beginsAsDocument = (bytes: Uint8Array): boolean => textOf(bytes.slice(0, 64)).trimStart().startsWith('{');

/**
 * One job in a file of its own, its wearer within it, as a bundle of one: what “Export to a file” writes and the terminal
 * reads. The day it was made is not known: `made` is empty.
 */
export function bundleOfJob(bytes: Uint8Array): Result<Bundle, BundleError> {
  if (bytes.length > LIMITS.document) return refuse('bundle-too-large', { what: HERE });
  const text = textOf(bytes);
  const value = parseJson(text);
  if (!value.ok) return refuse('bundle-document', { ...value.error.data, path: HERE, why: value.error.code });
  const key = hostileIn(text);
  if (key !== null) return refuse('bundle-hostile', { path: HERE, key });
  const job = readJob(value.value);
  if (!job.ok) return refuse('bundle-document', { ...job.error.data, path: HERE, why: job.error.code });
  const inline = job.value.wearer;
  if (!('sets' in inline))
    return refuse('bundle-document', { path: HERE, why: 'reference-not-here', kind: 'wearer', ref: '' });
  const wearer = readWearer(inline);
  if (!wearer.ok) return refuse('bundle-document', { ...wearer.error.data, path: HERE, why: wearer.error.code });
  const { id } = wearer.value;
  return ok({
    kind: 'job',
    made: '',
    kept: { wearers: [wearer.value], patterns: [], jobs: [{ ...job.value, wearer: { id } }], photos: [] },
  });
}

/** The first forbidden key anywhere in valid JSON text, or null. */
function hostileIn(text: string): string | null {
  let found: string | null = null;
  JSON.parse(text, (key, value: unknown) => {
    if (HOSTILE.has(key)) found ??= key;
    return value;
  });
  return found;
}
