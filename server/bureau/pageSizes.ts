import { Worker } from 'node:worker_threads';
import { PDF_OPEN } from '@ample/core/formats/incoming';

/** A file that takes longer to open is no pattern, ms; and how much memory it may take, MB. */
const PATIENCE = 10_000;
const MEMORY = 400;

/** Sizes of the pages of a PDF, mm; null where it is none, or takes more time or memory than a pattern does. */
export function pageSizes(
  data: Uint8Array,
  patience = PATIENCE,
): Promise<readonly { readonly width: number; readonly height: number }[] | null> {
  return new Promise((resolve) => {
    const worker = new Worker(new URL('./pages.worker.mjs', import.meta.url), {
      workerData: { data, open: PDF_OPEN },
      resourceLimits: { maxOldGenerationSizeMb: MEMORY },
      stderr: true,
      stdout: true,
    });
    const end = (sizes: readonly { width: number; height: number }[] | null): void => {
      clearTimeout(timer);
      void worker.terminate();
      resolve(sizes);
    };
    const timer = setTimeout(() => end(null), patience);
    worker.once('message', end);
    worker.once('error', () => end(null));
    worker.once('exit', () => end(null));
  });
}
