import { textOf } from '@ample/core/in/text';
import { MOST_BYTES, type Lines } from '@ample/core/in/tracing';
import { refuse, type Result } from '@ample/core/units';
import { askOnce } from './askOnce.ts';
import { PROTOCOL, type ReadRequest } from './protocol.ts';

export type FileKind = ReadRequest['input']['kind'];

/** A file that is still being read after this long holds more than a pattern, ms. */
const PATIENCE = 8_000;
/** Before it starts to read, a worker has its code to load: on a busy machine that takes a while, ms. */
const LOADING = 24_000;
/** Long files are given more, as long as pages keep coming. */
const LONGEST = 60_000;

/** What a file is by its first bytes, whatever it is called; null for none of these. */
export function kindOf(name: string, head: Uint8Array): FileKind | null {
  const text = textOf(head.slice(0, 1024));
  if (text.includes('%PDF-')) return 'pdf';
  if (/<svg|<!DOCTYPE svg/i.test(text) || (/^\s*<\?xml/.test(text) && /\.svg$/i.test(name))) return 'svg';
  if (/^\s*(0|999)\s*\r?\n/.test(text) || /Binary DXF/.test(text)) return 'dxf';
  if (/\.svg$/i.test(name)) return 'svg';
  return /\.dxf$/i.test(name) ? 'dxf' : null;
}

export interface Reading {
  readonly done: Promise<Result<Lines>>;
  readonly cancel: () => void;
}

/** Reads a file in a worker of its own. Cancelled, the promise never settles; a file that hangs is given up. */
export function startReading(file: File, onShare: (share: number) => void): Reading {
  let worker: Worker | null = null;
  let cancelled = false;
  const work = async (): Promise<Result<Lines>> => {
    if (file.size === 0) return refuse('file-empty');
    const head = new Uint8Array(await file.slice(0, 1024).arrayBuffer());
    const kind = kindOf(file.name, head);
    if (!kind) return refuse('file-kind-unknown', { name: file.name.slice(0, 80) });
    const most = MOST_BYTES[kind];
    if (file.size > most)
      return refuse('file-too-large', { size: Math.ceil(file.size / 1e6), most: Math.round(most / 1e6) });
    const bytes = new Uint8Array(await file.arrayBuffer());
    if (cancelled) return new Promise(() => undefined);
    worker = new Worker(new URL('./read.worker.ts', import.meta.url), { type: 'module' });
    const request: ReadRequest = { v: PROTOCOL, id: 1, kind: 'read', input: { bytes, kind } };
    let last = performance.now() + LOADING;
    let slow = false;
    const watch = setInterval(() => {
      if (performance.now() - last < PATIENCE) return;
      slow = true;
      worker?.dispatchEvent(new ErrorEvent('error', { message: 'slow' }));
    }, 500);
    try {
      const value = await askOnce(
        worker,
        request,
        LONGEST,
        'slow',
        (share) => {
          last = performance.now();
          if (share > 0) onShare(share);
        },
        [bytes.buffer],
      );
      return value as Result<Lines>;
    } catch (error) {
      const detail = error instanceof Error ? error.message : String(error);
      if (slow || detail === 'slow')
        return refuse('file-took-too-long', { seconds: (slow ? PATIENCE : LONGEST) / 1000 });
      return refuse('file-stopped', { detail: detail.slice(0, 160) });
    } finally {
      clearInterval(watch);
      worker.terminate();
    }
  };
  return {
    done: work(),
    cancel: () => {
      cancelled = true;
      worker?.terminate();
    },
  };
}
