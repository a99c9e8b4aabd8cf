import fc from 'fast-check';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { describe, expect, it } from 'vitest';
import { samplePattern } from '../../blocks/index.ts';
import { fittingOf, seenAs } from '../../testing/fittings.ts';
import { expectOk } from '../../units/index.ts';
import { jobSchema, readPattern, wearerSchema, writeDocument, type Job } from '../index.ts';
import { keptOfJob, LIMITS, mergedPractice, planImport, readBundle, writeBundle, type Kept } from './index.ts';
import { JOB_VERSION } from '../schema.ts';

const pattern = {
  ...expectOk(readPattern(samplePattern('causeway-side', ['4'])), 'pattern'),
  id: 'own',
  name: 'My own',
};
const wearer = wearerSchema.parse({
  format: 'ample-draft/wearer',
  version: 1,
  id: 'w/1 ../é',
  name: 'Ines',
  sets: [{ id: 's', date: '2026-10-01', readings: { fullBust: [920], highBust: [870] } }],
});
const job = (id: string, fields: Partial<Job> = {}): Job =>
  jobSchema.parse({
    format: 'ample-draft/job',
    version: JOB_VERSION,
    id,
    wearer: { id: wearer.id },
    pattern: { id: 'own' },
    ...fields,
  });
const jpeg = new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 4]);
const kept: Kept = {
  wearers: [wearer],
  patterns: [pattern],
  jobs: [job('b', { title: 'Second' }), job('a', { fittings: [fittingOf('2026-11-01', [seenAs('waist-low')])] })],
  photos: [{ id: 'p1', job: 'a', type: 'image/jpeg', bytes: jpeg }],
};
/** A job written as text, its wearer and pattern within it. */
const alone = (fields: Record<string, unknown> = {}): Uint8Array =>
  strToU8(writeDocument({ ...job('alone', { title: 'By itself' }), wearer, pattern, ...fields }));
const MADE = '2026-11-24T10:00:00.000Z';
const bytes = writeBundle(kept, 'all', MADE);
const code = (b: Uint8Array): string => {
  const r = readBundle(b);
  return r.ok ? 'read' : r.error.code;
};
/** The same bundle with files changed, added or (null) left out, its manifest made right again. */
function tampered(changes: Record<string, Uint8Array | null>, manifest: Record<string, unknown> = {}): Uint8Array {
  const files = Object.fromEntries(
    Object.entries({ ...unzipSync(bytes), ...changes }).flatMap(([path, value]) =>
      value === null ? [] : [[path, value] as const],
    ),
  );
  const { 'manifest.json': old, ...rest } = files;
  const head = JSON.parse(new TextDecoder().decode(old)) as object;
  if (!old) throw new Error('expected a manifest');
  const listed = Object.entries(rest).map(([path, b]) => ({ path, bytes: b.length, sha256: bytesToHex(sha256(b)) }));
  return zipSync({ 'manifest.json': strToU8(JSON.stringify({ ...head, files: listed, ...manifest })), ...rest });
}

describe('a bundle', () => {
  it('comes back as it went, whatever the ids hold', () => {
    const read = expectOk(readBundle(bytes), 'bundle');
    expect(read.kind).toBe('all');
    expect(read.made).toBe(MADE);
    expect(read.kept).toEqual({ ...kept, jobs: [kept.jobs[1], kept.jobs[0]] });
  });
  it('is the same file for the same documents, written again after reading', () => {
    const again = writeBundle(expectOk(readBundle(bytes), 'bundle').kept, 'all', MADE);
    expect(Buffer.from(again).equals(Buffer.from(bytes))).toBe(true);
    // Letter for letter what a file of its own holds.
    const file = unzipSync(bytes)['jobs/00001.json'];
    expect(new TextDecoder().decode(file)).toBe(writeDocument(kept.jobs[1]));
  });
  it('may hold what one job needs and nothing else', () => {
    const one = keptOfJob({ ...kept, wearers: [wearer, { ...wearer, id: 'other' }] }, 'b');
    expect(one).toMatchObject({
      wearers: [{ id: wearer.id }],
      patterns: [{ id: 'own' }],
      jobs: [{ id: 'b' }],
      photos: [],
    });
    expect(keptOfJob(kept, 'no such job')).toBeNull();
    expect(keptOfJob({ ...kept, wearers: [] }, 'b')).toBeNull();
  });
  it('takes what was practised along, says so to older versions, and is joined with what is here', () => {
    const practice = [
      { id: 'swayback free', best: 0.8, times: 3, at: '2026-11-20T10:00:00.000Z' },
      { id: 'fullerBust guided', best: 2.4, times: 1, at: '2026-11-21T10:00:00.000Z' },
    ];
    const file = writeBundle({ ...kept, practice }, 'all', MADE);
    const there = expectOk(readBundle(file), 'bundle').kept.practice ?? [];
    expect(there.map((p) => p.id)).toEqual(['fullerBust guided', 'swayback free']);
    expect(JSON.parse(new TextDecoder().decode(unzipSync(file)['manifest.json']))).toMatchObject({ version: 2 });
    const here = [{ id: 'swayback free', best: 1.5, times: 5, at: '2026-11-22T10:00:00.000Z' }];
    expect(mergedPractice(here, there)).toEqual([
      { id: 'swayback free', best: 0.8, times: 5, at: '2026-11-22T10:00:00.000Z' },
      practice[1],
    ]);
  });
  it('tells beforehand what it would add and replace', () => {
    const here = { ...kept, jobs: [{ ...kept.jobs[0]!, title: 'Changed here' }] };
    expect(planImport(here, kept).map((i) => [i.kind, i.id, i.what])).toEqual([
      ['wearer', wearer.id, 'same'],
      ['pattern', 'own', 'same'],
      ['job', 'b', 'differs'],
      ['job', 'a', 'new'],
    ]);
    expect(planImport(here, kept)[2]?.name).toBe('Second · Ines');
  });
});

describe('a bundle is refused', () => {
  const text = new TextDecoder();
  const jobFile = (change: (doc: Record<string, unknown>) => unknown): Uint8Array =>
    strToU8(
      JSON.stringify(change(JSON.parse(text.decode(unzipSync(bytes)['jobs/00001.json'])) as Record<string, unknown>)),
    );

  it.each([
    ['when it is empty', new Uint8Array(), 'bundle-not-zip'],
    ['when it is no zip', strToU8('GIF89a'), 'bundle-not-zip'],
    ['when it is a job of which only a beginning is there', strToU8('{"format":"ample-draft/job"}'), 'bundle-document'],
    ['when it is cut short', bytes.slice(0, bytes.length - 40), 'bundle-damaged'],
    ['when it is only a beginning', bytes.slice(0, 100), 'bundle-damaged'],
    ['when it is someone else’s zip', zipSync({ 'letter.txt': strToU8('hello') }), 'bundle-foreign'],
    ['when it has no manifest', tamperedWithoutManifest(), 'bundle-foreign'],
    ['when its manifest is another format', tampered({}, { format: 'other/bundle' }), 'bundle-foreign'],
    ['when it is newer', tampered({}, { version: 3 }), 'bundle-newer'],
    ['when its version makes no sense', tampered({}, { version: 0 }), 'bundle-damaged'],
    ['when a file is missing', withoutListed('jobs/00002.json'), 'bundle-damaged'],
    ['when it names a way out', tampered({ 'jobs/../../../etc/passwd': strToU8('x') }), 'bundle-path'],
    ['when it names a place of its own', tampered({ '/jobs/00009.json': strToU8('{}') }), 'bundle-path'],
    ['when it holds a program', tampered({ 'jobs/00009.js': strToU8('x') }), 'bundle-path'],
    ['when a picture is none', tampered({ 'photos/00001.jpg': strToU8('<svg onload=alert(1)>') }), 'bundle-damaged'],
    ['when a document is broken', tampered({ 'jobs/00001.json': strToU8('{"a":') }), 'bundle-damaged'],
    [
      'when a document is of another kind',
      tampered({ 'jobs/00001.json': strToU8('{"format":"ample-draft/wearer","version":1}') }),
      'bundle-document',
    ],
    [
      'when a job is newer',
      tampered({ 'jobs/00001.json': jobFile((j) => ({ ...j, version: JOB_VERSION + 1 })) }),
      'bundle-document',
    ],
    ['when a document stands twice', tampered({ 'jobs/00003.json': jobFile((j) => j) }), 'bundle-repeated'],
    [
      'when it carries prototype keys',
      tampered({ 'jobs/00001.json': strToU8('{"format":"ample-draft/job","version":2,"__proto__":{"demo":true}}') }),
      'bundle-hostile',
    ],
    [
      'when it carries them deep down',
      tampered({ 'jobs/00001.json': jobFile((j) => ({ ...j, labels: JSON.parse('{"constructor":"x"}') as unknown })) }),
      'bundle-hostile',
    ],
    [
      'when a list has no end',
      tampered({ 'jobs/00001.json': jobFile((j) => ({ ...j, steps: Array.from({ length: 1_000_000 }, () => 0) })) }),
      'bundle-document',
    ],
  ] as const)('%s', (_, file, expected) => {
    expect(code(file)).toBe(expected);
  });

  it('when one byte of a document was changed and its sum was not', () => {
    const files = unzipSync(bytes);
    const changed = {
      ...files,
      'jobs/00001.json': strToU8(text.decode(files['jobs/00001.json']).replace('"a"', '"z"')),
    };
    expect(readBundle(zipSync(changed))).toMatchObject({
      error: { code: 'bundle-damaged', data: { path: 'jobs/00001.json' } },
    });
  });
  it('when it would unpack to more than is safe, before unpacking', () => {
    const bomb = zipSync({ 'manifest.json': new Uint8Array(LIMITS.document + 1) });
    expect(bomb.length).toBeLessThan(100_000);
    expect(code(bomb)).toBe('bundle-too-large');
    const many = Object.fromEntries(
      Array.from({ length: LIMITS.files + 1 }, (_, i) => [`jobs/${String(i).padStart(5, '0')}.json`, new Uint8Array()]),
    );
    expect(code(zipSync(many, { level: 0 }))).toBe('bundle-too-large');
  });
  it('when it lies about how large it is', () => {
    // The size of the first file in the central directory is made small: unpacking must stop there and the sum tell.
    const liar = bytes.slice();
    const at = indexOf(liar, [0x50, 0x4b, 0x01, 0x02]);
    new DataView(liar.buffer).setUint32(at + 24, 10, true);
    expect(code(liar)).toBe('bundle-damaged');
  });
  it('never throws, whatever bytes are changed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(bytes.length - 1), fc.integer({ min: 0, max: 255 })), { minLength: 1, maxLength: 12 }),
        (changes) => {
          const mutated = bytes.slice();
          for (const [at, value] of changes) mutated[at] = value;
          const r = readBundle(mutated);
          if (!r.ok) expect(r.error.code).toMatch(/^bundle-/);
        },
      ),
      { seed: 6, numRuns: 300 },
    );
  });

  function tamperedWithoutManifest(): Uint8Array {
    const { 'manifest.json': _gone, ...rest } = unzipSync(bytes);
    return zipSync(rest);
  }
  function withoutListed(path: string): Uint8Array {
    const { [path]: _gone, ...rest } = unzipSync(bytes);
    return zipSync(rest);
  }
});

const indexOf = (all: Uint8Array, part: readonly number[]): number =>
  all.findIndex((_, i) => part.every((b, k) => all[i + k] === b));

describe('a single job written as text', () => {
  it('is read as a bundle of one: its wearer apart, its pattern within it', () => {
    const { kind, made, kept: one } = expectOk(readBundle(alone()), 'job');
    expect([kind, made]).toEqual(['job', '']);
    expect(one.wearers).toEqual([wearer]);
    expect(one.jobs).toMatchObject([
      { id: 'alone', wearer: { id: wearer.id }, pattern: { id: 'own', name: 'My own' } },
    ]);
    expect(planImport(kept, one).map((i) => [i.kind, i.what])).toEqual([
      ['wearer', 'same'],
      ['job', 'new'],
    ]);
  });
  it('is read with a byte-order mark before it', () => {
    expect(code(new Uint8Array([0xef, 0xbb, 0xbf, ...alone()]))).toBe('read');
  });
  it('is refused without its wearer, cut short, or with a mistake in it, and says which', () => {
    const why = (b: Uint8Array): unknown => {
      const r = readBundle(b);
      return r.ok ? 'read' : [r.error.code, r.error.data['why']];
    };
    expect(why(alone({ wearer: { id: wearer.id } }))).toEqual(['bundle-document', 'reference-not-here']);
    expect(why(alone().slice(0, 300))).toEqual(['bundle-document', 'document-not-json']);
    expect(why(strToU8(new TextDecoder().decode(alone()).replace('"format"', '"__proto__":{},"format"')))).toEqual([
      'bundle-hostile',
      undefined,
    ]);
    expect(why(alone({ steps: 7 }))).toEqual(['bundle-document', 'document-invalid']);
    expect(why(strToU8('{"format":"ample-draft/wearer","version":1}'))).toEqual([
      'bundle-document',
      'document-wrong-format',
    ]);
  });
});
