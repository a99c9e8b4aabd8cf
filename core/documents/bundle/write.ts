import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { strToU8, zipSync, type Zippable } from 'fflate';
import { writeDocument } from '../read.ts';
import type { BundleKind, Kept, PhotoFile } from './types.ts';

const ENDING = { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp' } as const;

/** Files are named by number: an id may hold anything, a name in a zip may not. */
const numbered = <T extends { readonly id: string }>(all: readonly T[], name: (one: T, number: string) => string) =>
  [...all]
    .sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0))
    .map((one, i) => ({ path: name(one, String(i + 1).padStart(5, '0')), one }));

/**
 * One file of everything: a zip of documents and pictures, with a manifest that names each file, its size and its
 * SHA-256. Documents stand in it as they do in files of their own, in the order of their ids: the same documents give the
 * same bytes. `made` is the moment, ISO.
 */
export function writeBundle(kept: Kept, kind: BundleKind, made: string): Uint8Array {
  const photos = numbered(kept.photos, (p: PhotoFile, n) => `photos/${n}.${ENDING[p.type]}`);
  const practice = [...(kept.practice ?? [])].sort((a, b) => (a.id < b.id ? -1 : 1));
  const files: { readonly path: string; readonly bytes: Uint8Array }[] = [
    ...numbered(kept.wearers, (_, n) => `wearers/${n}.json`).map(text),
    ...numbered(kept.patterns, (_, n) => `patterns/${n}.json`).map(text),
    ...numbered(kept.jobs, (_, n) => `jobs/${n}.json`).map(text),
    {
      path: 'photos.json',
      bytes: strToU8(
        writeDocument(photos.map(({ path, one }) => ({ file: path, id: one.id, job: one.job, type: one.type }))),
      ),
    },
    ...(practice.length > 0 ? [{ path: 'practice.json', bytes: strToU8(writeDocument(practice)) }] : []),
    ...photos.map(({ path, one }) => ({ path, bytes: one.bytes })),
  ];
  const manifest = {
    format: 'ample-draft/bundle',
    // What an older version does not know, it is told that it does not know.
    version: practice.length > 0 ? 2 : 1,
    kind,
    made,
    files: files.map(({ path, bytes }) => ({ path, bytes: bytes.length, sha256: bytesToHex(sha256(bytes)) })),
  };
  // Pictures are packed already.
  const zip: Zippable = { 'manifest.json': strToU8(writeDocument(manifest)) };
  for (const { path, bytes } of files) zip[path] = path.startsWith('photos/') ? [bytes, { level: 0 }] : bytes;
  return zipSync(zip, { mtime: new Date('1980-01-01T12:00:00'), level: 6 });
}

const text = ({ path, one }: { readonly path: string; readonly one: unknown }) => ({
  path,
  bytes: strToU8(writeDocument(one)),
});
