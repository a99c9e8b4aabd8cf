import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { strFromU8, unzipSync } from 'fflate';
import { z } from 'zod';
import { ok, type Refusal, type Result } from '../../units/index.ts';
import { readJob, readPattern, readWearer } from '../read.ts';
import { HOSTILE, beginsAsDocument, bundleOfJob } from './single.ts';
import { LIMITS, type Bundle, type BundleError, type Kept, type PhotoFile } from './types.ts';

const VERSION = 2;
/** The only file names a bundle may have: no path leads out of it, nothing is hidden. */
const PATH =
  /^(manifest\.json|photos\.json|practice\.json|(wearers|patterns|jobs)\/\d{5}\.json|photos\/\d{5}\.(jpg|png|webp))$/;

const manifestSchema = z.object({
  format: z.literal('ample-draft/bundle'),
  version: z.number().int().min(1),
  kind: z.enum(['all', 'job']),
  made: z.string().max(40),
  files: z
    .array(z.object({ path: z.string().regex(PATH), bytes: z.number().int().min(0), sha256: z.string().length(64) }))
    .max(LIMITS.files),
});
const photosSchema = z
  .array(
    z.object({
      file: z.string().regex(PATH),
      id: z.string().min(1).max(80),
      job: z.string().min(1).max(80),
      type: z.enum(['image/jpeg', 'image/png', 'image/webp']),
    }),
  )
  .max(LIMITS.files);

const practiceSchema = z
  .array(
    z.object({
      id: z.string().min(1).max(80),
      best: z.number().min(0).max(10_000),
      times: z.number().int().min(1).max(1_000_000),
      at: z.string().max(40),
    }),
  )
  .max(LIMITS.files);

type Files = Readonly<Record<string, Uint8Array>>;
/** Carries a refusal out of the unpacker's callback. */
class Stop extends Error {
  constructor(readonly refusal: Refusal<BundleError>) {
    super(refusal.code);
  }
}
const stop = (code: BundleError, data: Refusal['data'] = {}): never => {
  throw new Stop({ code, data });
};

/**
 * Reads a bundle. Sizes are checked before anything is unpacked, names against the list above, every file against its
 * checksum, every document by its own reader. Refused whole or read whole. A single job written as text is read as a
 * bundle of one.
 */
export function readBundle(bytes: Uint8Array): Result<Bundle, BundleError> {
  if (beginsAsDocument(bytes)) return bundleOfJob(bytes);
  try {
    return ok(read(bytes));
  } catch (error) {
    if (error instanceof Stop) return { ok: false, error: error.refusal };
    throw error;
  }
}

function read(bytes: Uint8Array): Bundle {
  const files = unpack(bytes);
  const manifest = manifestOf(files);
  for (const { path, bytes: size, sha256: sum } of manifest.files) {
    const found = files[path];
    if (!found || found.length !== size || bytesToHex(sha256(found)) !== sum) stop('bundle-damaged', { path });
  }
  const listed = new Set(manifest.files.map((f) => f.path));
  for (const path of Object.keys(files))
    if (path !== 'manifest.json' && !listed.has(path)) stop('bundle-path', { path });
  const all = <T extends { readonly id: string }>(
    folder: string,
    reader: (value: unknown) => Result<T>,
  ): readonly T[] => {
    const seen = new Set<string>();
    return Object.keys(files)
      .filter((p) => p.startsWith(`${folder}/`))
      .sort()
      .map((path) => {
        const result = reader(jsonOf(files, path));
        if (!result.ok) return stop('bundle-document', { path, why: result.error.code, ...result.error.data });
        if (seen.has(result.value.id)) stop('bundle-repeated', { path, id: result.value.id });
        seen.add(result.value.id);
        return result.value;
      });
  };
  const kept: Kept = {
    wearers: all('wearers', readWearer),
    patterns: all('patterns', readPattern),
    jobs: all('jobs', readJob),
    photos: photosOf(files),
    ...practiceOf(files),
  };
  return { kind: manifest.kind, made: manifest.made, kept };
}

/** Unpacks no more than the limits allow; the size a file claims is the size counted. */
function unpack(bytes: Uint8Array): Files {
  let count = 0;
  let total = 0;
  const names = new Set<string>();
  try {
    return unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        count += 1;
        total += originalSize;
        if (count > LIMITS.files) stop('bundle-too-large', { what: `${LIMITS.files} files` });
        if (!PATH.test(name))
          return stop(names.size === 0 && count === 1 ? 'bundle-foreign' : 'bundle-path', { path: name.slice(0, 80) });
        if (names.has(name)) stop('bundle-repeated', { path: name, id: name });
        names.add(name);
        const most = name.startsWith('photos/') ? LIMITS.photo : LIMITS.document;
        if (originalSize > most || total > LIMITS.total) stop('bundle-too-large', { what: name });
        return true;
      },
    });
  } catch (error) {
    if (error instanceof Stop) throw error;
    return stop(isZip(bytes) ? 'bundle-damaged' : 'bundle-not-zip', { path: 'the file as a whole' });
  }
}

const isZip = (b: Uint8Array): boolean => b[0] === 0x50 && b[1] === 0x4b;

function manifestOf(files: Files): z.infer<typeof manifestSchema> {
  if (!files['manifest.json']) return stop('bundle-foreign', { path: 'manifest.json' });
  const value = jsonOf(files, 'manifest.json');
  const head = z.looseObject({ format: z.literal('ample-draft/bundle'), version: z.number() }).safeParse(value);
  if (!head.success) return stop('bundle-foreign', { path: 'manifest.json' });
  if (head.data.version > VERSION) return stop('bundle-newer', { version: head.data.version, known: VERSION });
  const parsed = manifestSchema.safeParse(value);
  return parsed.success ? parsed.data : stop('bundle-damaged', { path: 'manifest.json' });
}

function jsonOf(files: Files, path: string): unknown {
  const bytes = files[path];
  if (!bytes) return stop('bundle-damaged', { path });
  try {
    return JSON.parse(strFromU8(bytes), (key, value: unknown) =>
      HOSTILE.has(key) ? stop('bundle-hostile', { path, key }) : value,
    ) as unknown;
  } catch (error) {
    if (error instanceof Stop) throw error;
    return stop('bundle-damaged', { path });
  }
}

/** The first bytes of the picture formats browsers can show. */
const MAGIC: Readonly<Record<PhotoFile['type'], readonly (number | null)[]>> = {
  'image/jpeg': [0xff, 0xd8, 0xff],
  'image/png': [0x89, 0x50, 0x4e, 0x47],
  'image/webp': [0x52, 0x49, 0x46, 0x46, null, null, null, null, 0x57, 0x45, 0x42, 0x50],
};

function practiceOf(files: Files): Pick<Kept, 'practice'> {
  if (!files['practice.json']) return {};
  const listed = practiceSchema.safeParse(jsonOf(files, 'practice.json'));
  return listed.success ? { practice: listed.data } : stop('bundle-damaged', { path: 'practice.json' });
}

function photosOf(files: Files): readonly PhotoFile[] {
  if (!files['photos.json']) return [];
  const listed = photosSchema.safeParse(jsonOf(files, 'photos.json'));
  if (!listed.success) return stop('bundle-damaged', { path: 'photos.json' });
  const seen = new Set<string>();
  return listed.data.map(({ file, id, job, type }) => {
    const bytes = files[file];
    if (!bytes || !MAGIC[type].every((b, i) => b === null || bytes[i] === b))
      return stop('bundle-damaged', { path: file });
    if (seen.has(id)) stop('bundle-repeated', { path: file, id });
    seen.add(id);
    return { id, job, type, bytes };
  });
}
