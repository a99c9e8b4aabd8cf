import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { samplePattern } from '../blocks/index.ts';
import { PATTERN_VERSION } from '../pattern/index.ts';
import { expectOk } from '../units/index.ts';
import { JOB_VERSION, jobSchema } from './schema.ts';
import { readJob, writeDocument } from './read.ts';

/** Documents as earlier versions of the app wrote them; kept for good. */
const stored = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`stored/${name}.json`, import.meta.url), 'utf8')) as unknown;

it('reads a job from before there were fittings, with everything that was in it', () => {
  const old = stored('job-1') as { version: number; steps: unknown; wearer: { sets: unknown } };
  expect(old.version).toBe(1);
  const now = expectOk(readJob(old), 'job-1');
  expect(now).toMatchObject({
    version: JOB_VERSION,
    fittings: [],
    versions: [],
    labels: {},
    again: null,
    archived: false,
  });
  expect(now.steps).toEqual(old.steps);
  expect(now.wearer).toMatchObject({ sets: old.wearer.sets });
  // Once read, it is a document of today: written and read again it stays the same.
  expect(writeDocument(expectOk(readJob(JSON.parse(writeDocument(now))), 'again'))).toBe(writeDocument(now));
  expect(jobSchema.safeParse(now).success).toBe(true);
});

it('reads a job of version 4 and the pattern of version 2 in it, and changes nothing else', () => {
  const pattern = { ...samplePattern('causeway-side', ['4']), id: 'own', version: 2 };
  const old = { ...(stored('job-1') as object), version: 4, pattern };
  const now = expectOk(readJob(old), 'job 4');
  expect(now.version).toBe(JOB_VERSION);
  expect(now.pattern).toEqual({ ...pattern, version: PATTERN_VERSION });
});

it('refuses one from a newer app, and versions that are no number at all', () => {
  const old = stored('job-1') as object;
  expect(readJob({ ...old, version: JOB_VERSION + 1 })).toMatchObject({ ok: false, error: { code: 'document-newer' } });
  expect(readJob({ ...old, version: 0.5 })).toMatchObject({ ok: false, error: { code: 'document-invalid' } });
  expect(readJob({ ...old, version: '1' })).toMatchObject({ ok: false, error: { code: 'document-wrong-format' } });
});
