import type { PhotoFile } from '@ample/core/documents/bundle';

/** A picture made smaller. */
export interface Shrunk {
  readonly bytes: Uint8Array;
  readonly type: PhotoFile['type'];
  readonly width: number;
  readonly height: number;
}

const PATIENCE = 30_000;

/** Makes a picture smaller in a worker that is let go with it. Rejects what is not a picture, or takes too long. */
export function shrinkPhoto(file: Blob): Promise<Shrunk> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' });
    const done = (act: () => void): void => {
      clearTimeout(timer);
      worker.terminate();
      act();
    };
    const timer = setTimeout(() => done(() => reject(new Error('it took too long'))), PATIENCE);
    worker.onmessage = (event: MessageEvent<{ ok: true; value: Shrunk } | { ok: false; message: string }>) => {
      const reply = event.data;
      done(() => (reply.ok ? resolve(reply.value) : reject(new Error(reply.message))));
    };
    worker.onerror = (event) => done(() => reject(new Error(event.message)));
    worker.postMessage(file);
  });
}
