import { realpathSync } from 'node:fs';
import { dirname, isAbsolute, relative, resolve } from 'node:path';
import { isSample, SAMPLE_IDS, samplePattern } from '@ample/core/blocks';
import type { ResolvedJob } from '@ample/core/fitting/plan';
import { parseJson, readJob, readPattern, readWearer, type Job, type Wearer } from '@ample/core/documents';
import type { Pattern } from '@ample/core/pattern';
import { documentText } from './files.ts';
import { ok, refuse, type Result } from '@ample/core/units';

export function readFile(file: string): Result<unknown> {
  const text = documentText(file);
  return text.ok ? parseJson(text.value) : text;
}

/** A job with its wearer and pattern, inline or from files named relative to the job's folder. */
export interface LoadedJob extends ResolvedJob {
  readonly job: Job;
  readonly wearer: Wearer;
  readonly pattern: Pattern;
}

export function loadJob(file: string): Result<LoadedJob> {
  const value = readFile(file);
  if (!value.ok) return value;
  const job = readJob(value.value);
  if (!job.ok) return job;
  const folder = dirname(resolve(file));
  const wearer = loadPart(job.value.wearer, folder, 'wearer', readWearer);
  if (!wearer.ok) return wearer;
  const ref = job.value.pattern;
  const pattern = 'sample' in ref ? loadSample(ref.sample) : loadPart(ref, folder, 'pattern', readPattern);
  if (!pattern.ok) return pattern;
  return ok({ job: job.value, wearer: wearer.value, pattern: pattern.value });
}

const loadSample = (id: string): Result<Pattern> =>
  isSample(id) ? ok(samplePattern(id)) : refuse('sample-unknown', { sample: id, samples: SAMPLE_IDS.join(', ') });

function loadPart<T>(ref: object, folder: string, kind: string, read: (value: unknown) => Result<T>): Result<T> {
  if ('format' in ref) return read(ref);
  if (!('file' in ref) || typeof ref.file !== 'string')
    return refuse('reference-not-here', { kind, ref: 'id' in ref ? String(ref.id) : '' });
  if (!liesIn(folder, ref.file)) return refuse('reference-outside', { kind, file: ref.file });
  const value = readFile(resolve(folder, ref.file));
  if (!value.ok)
    return value.error.code === 'document-not-json' ? refuse('reference-not-read', { kind, file: ref.file }) : value;
  return read(value.value);
}

/**
 * Whether a file named in a job lies in the job's folder, links followed: a job from elsewhere can read nothing outside
 * its folder.
 */
function liesIn(folder: string, file: string): boolean {
  const within = (from: string, to: string): boolean => {
    const way = relative(from, to);
    return way !== '' && !way.startsWith('..') && !isAbsolute(way);
  };
  if (isAbsolute(file) || !within(folder, resolve(folder, file))) return false;
  try {
    return within(realpathSync(folder), realpathSync(resolve(folder, file)));
  } catch {
    // Missing files are reported by the reader.
    return true;
  }
}
