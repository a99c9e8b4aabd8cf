import type { Bundle, BundleKind, Kept } from '@ample/core/documents/bundle';
import type { Result } from '@ample/core/units';
import { askOnce } from './askOnce.ts';
import { PROTOCOL, type BundleRequest } from './protocol.ts';

/** Hundreds of megabytes of pictures take their time; a file made to hang does not get more. */
const PATIENCE = 180_000;
const SLOW = 'it took longer than three minutes';

async function ask(request: BundleRequest): Promise<unknown> {
  const worker = new Worker(new URL('./bundle.worker.ts', import.meta.url), { type: 'module' });
  const value = await askOnce(worker, request, PATIENCE, SLOW);
  worker.terminate();
  return value;
}

export const packBundle = async (kept: Kept, of: BundleKind, made: string): Promise<Uint8Array> =>
  (await ask({ v: PROTOCOL, id: 1, kind: 'pack', input: { kept, of, made } })) as Uint8Array;

/** Reads a file; one that brings the worker down is refused like any damaged one. */
export async function unpackBundle(file: Blob): Promise<Result<Bundle>> {
  try {
    return (await ask({ v: PROTOCOL, id: 1, kind: 'unpack', input: file })) as Result<Bundle>;
  } catch {
    return { ok: false, error: { code: 'bundle-damaged', data: { path: 'the file as a whole' } } };
  }
}
