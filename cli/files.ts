import {
  closeSync,
  fstatSync,
  mkdirSync,
  openSync,
  readSync,
  renameSync,
  rmSync,
  writeFileSync,
  constants,
} from 'node:fs';
import { join } from 'node:path';
import { parentPort } from 'node:worker_threads';
import { textOf } from '@ample/core/in/readers';
import { ok, refuse, type Refusal, type Result } from '@ample/core/units';

/** Our documents are never larger than this, bytes. */
const MOST_DOCUMENT = 60_000_000;
const BLOCK = 1 << 20;

const codeOf = (error: unknown): string =>
  error instanceof Error && 'code' in error && typeof error.code === 'string' ? error.code : 'unknown';

/** Turns a system error on reading into a refusal. */
function whyNotRead(error: unknown, file: string): Refusal {
  switch (codeOf(error)) {
    case 'ENOENT':
    case 'ENOTDIR':
      return { code: 'file-not-found', data: { file } };
    case 'EISDIR':
      return { code: 'file-is-folder', data: { file } };
    case 'EACCES':
    case 'EPERM':
      return { code: 'file-not-allowed', data: { file } };
    default:
      return { code: 'file-not-readable', data: { file, detail: codeOf(error) } };
  }
}

/**
 * The bytes of a file. Refuses what is not a plain file (a folder, a pipe, a device), what is empty, and more than `most`
 * bytes before they are read; a file that grows meanwhile is read no further.
 */
export function bytesOf(file: string, most: number): Result<Uint8Array> {
  let at: number;
  try {
    // Opening a pipe without a writer would block.
    at = openSync(file, constants.O_RDONLY | constants.O_NONBLOCK);
  } catch (error) {
    return { ok: false, error: whyNotRead(error, file) };
  }
  try {
    const stat = fstatSync(at);
    if (stat.isDirectory()) return refuse('file-is-folder', { file });
    if (!stat.isFile()) return refuse('file-not-plain', { file });
    if (stat.size === 0) return refuse('file-empty');
    if (stat.size > most)
      return refuse('file-too-large', { size: Math.ceil(stat.size / 1e6), most: Math.round(most / 1e6) });
    const bytes = new Uint8Array(stat.size);
    let done = 0;
    while (done < bytes.length) {
      const got = readSync(at, bytes, done, Math.min(BLOCK, bytes.length - done), null);
      if (got === 0) break;
      done += got;
    }
    return ok(bytes.subarray(0, done));
  } catch (error) {
    return { ok: false, error: whyNotRead(error, file) };
  } finally {
    closeSync(at);
  }
}

/** The text of a document of ours, in whatever encoding it was saved. */
export function documentText(file: string): Result<string> {
  const bytes = bytesOf(file, MOST_DOCUMENT);
  return bytes.ok ? ok(textOf(bytes.value)) : bytes;
}

/** Turns a system error on writing into a refusal. */
function whyNotWritten(error: unknown, folder: string): Refusal {
  switch (codeOf(error)) {
    case 'EEXIST':
    case 'ENOTDIR':
    case 'EISDIR':
      return { code: 'out-no-folder', data: { folder } };
    case 'EACCES':
    case 'EPERM':
    case 'EROFS':
      return { code: 'out-not-allowed', data: { folder } };
    case 'ENOSPC':
    case 'EDQUOT':
      return { code: 'out-full', data: { folder } };
    default:
      return { code: 'out-failed', data: { folder, detail: codeOf(error) } };
  }
}

/**
 * Writes files into a folder, which is made where it is missing: each under another name first, renamed once all are
 * whole, so that a failure or a stop leaves the files that were there as they were. The names, in order.
 */
export function writeOut(
  folder: string,
  files: readonly (readonly [name: string, data: string | Uint8Array])[],
): Result<readonly string[]> {
  const parts = files.map(([name, data]) => ({
    to: join(folder, name),
    part: join(folder, `.${name}.${process.pid}.part`),
    data,
  }));
  // The parent thread removes them if this one is stopped.
  parentPort?.postMessage({ parts: parts.map((p) => p.part) });
  try {
    mkdirSync(folder, { recursive: true });
    for (const { part, data } of parts) writeFileSync(part, data, { flag: 'wx' });
    for (const { part, to } of parts) renameSync(part, to);
    return ok(files.map(([name]) => name));
  } catch (error) {
    return { ok: false, error: whyNotWritten(error, folder) };
  } finally {
    for (const { part } of parts) removeIfThere(part);
    parentPort?.postMessage({ parts: [] });
  }
}

function removeIfThere(path: string): void {
  try {
    rmSync(path, { force: true });
  } catch {
    // The path may not be a folder; then nothing was written either.
  }
}
