import type { Lines, ReadFile, Wanted } from '@ample/core/in/tracing';
import { ok, refuse, type Result } from '@ample/core/units';
import { askOnce } from './askOnce.ts';
import { PROTOCOL, type WholeRequest } from './protocol.ts';

/** Sixty pages take two seconds; a sheet of crumbs does not get more than this, ms. */
const PATIENCE = 30_000;

/** All pieces of a sheet, read beside the screen. Cancelled, the promise never settles. */
export function startWhole(
  lines: Lines,
  wanted: Wanted,
): { readonly done: Promise<Result<ReadFile, 'pieces-not-read'>>; readonly cancel: () => void } {
  const worker = new Worker(new URL('./whole.worker.ts', import.meta.url), { type: 'module' });
  const request: WholeRequest = { v: PROTOCOL, id: 1, kind: 'whole', input: { lines, wanted } };
  const work = async (): Promise<Result<ReadFile, 'pieces-not-read'>> => {
    try {
      return ok((await askOnce(worker, request, PATIENCE, 'it took too long')) as ReadFile);
    } catch (error) {
      return refuse('pieces-not-read', { detail: error instanceof Error ? error.message.slice(0, 160) : '' });
    } finally {
      worker.terminate();
    }
  };
  return { done: work(), cancel: () => worker.terminate() };
}
