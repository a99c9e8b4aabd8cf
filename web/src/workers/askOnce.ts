import type { Reply } from './protocol.ts';

type Told = Reply | { readonly progress: number; readonly part?: unknown };

/** One question to a worker that does nothing else; with no answer in time, or a bad one, it is ended. */
export function askOnce(
  worker: Worker,
  request: unknown,
  patience: number,
  slow: string,
  onProgress?: (share: number, part?: unknown) => void,
  transfer: Transferable[] = [],
): Promise<unknown> {
  return new Promise((resolve, reject) => {
    const fail = (why: string) => {
      clearTimeout(timer);
      worker.terminate();
      reject(new Error(why));
    };
    const timer = setTimeout(() => fail(slow), patience);
    worker.onmessage = (event: MessageEvent<Told>) => {
      const reply = event.data;
      if ('progress' in reply) return onProgress?.(reply.progress, reply.part);
      if (!reply.ok) return fail(reply.message);
      clearTimeout(timer);
      resolve(reply.value);
    };
    worker.onerror = (event) => fail(event.message || 'the work stopped');
    worker.postMessage(request, transfer);
  });
}
