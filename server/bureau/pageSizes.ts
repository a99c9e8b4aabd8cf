import { Worker } from 'node:worker_threads';
import { PDF_OPEN } from '@ample/core/in/readers';
import { refuse, type Result } from '@ample/core/units';

/** A file that takes longer to open is not a pattern, ms, counted once the thread is there; and how much memory, MB. */
const PATIENCE = 10_000;
const MEMORY = 400;
/** A machine so busy that a thread does not begin within this, ms, is left in peace. */
const TO_BEGIN = 60_000;

export type PageSizes = readonly { readonly width: number; readonly height: number }[];
/** What the thread says: that it begins, and then the pages. */
type Word = 'here' | PageSizes | null;

/** Sizes of the pages of a PDF, mm. Refuses what is none, and what takes more time or memory than a pattern does. */
export function pageSizes(
  data: Uint8Array,
  patience = PATIENCE,
): Promise<Result<PageSizes, 'bureau-no-pdf' | 'bureau-too-long'>> {
  return new Promise((resolve) => {
    const worker = new Worker(new URL('./pages.worker.mjs', import.meta.url), {
      workerData: { data, open: PDF_OPEN },
      resourceLimits: { maxOldGenerationSizeMb: MEMORY },
      stderr: true,
      stdout: true,
    });
    const end = (result: Result<PageSizes, 'bureau-no-pdf' | 'bureau-too-long'>): void => {
      clearTimeout(timer);
      void worker.terminate();
      resolve(result);
    };
    const tooLong = (): void => end(refuse('bureau-too-long'));
    const noPdf = (): void => end(refuse('bureau-no-pdf'));
    let timer = setTimeout(tooLong, TO_BEGIN);
    worker.on('message', (word: Word) => {
      if (word === 'here') {
        clearTimeout(timer);
        timer = setTimeout(tooLong, patience);
      } else if (word === null || word.length === 0) noPdf();
      else end({ ok: true, value: word });
    });
    worker.once('error', noPdf);
    worker.once('exit', noPdf);
  });
}
