import { parentPort, workerData } from 'node:worker_threads';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { PDF_OPEN } from '@ample/core/formats/incoming';

/** Sizes of the pages of a PDF, mm, or null where it is none: in a thread of its own, which can be ended. */
const MM = 25.4 / 72;
const MOST = 400;

async function sizes(data: Uint8Array): Promise<readonly { width: number; height: number }[] | null> {
  try {
    const document = await getDocument({ data, ...PDF_OPEN }).promise;
    if (document.numPages > MOST) return null;
    const out = [];
    for (let n = 1; n <= document.numPages; n++) {
      const page = await document.getPage(n);
      const { width, height } = page.getViewport({ scale: page.userUnit });
      out.push({ width: width * MM, height: height * MM });
    }
    return out;
  } catch {
    return null;
  }
}

parentPort?.postMessage(await sizes(workerData as Uint8Array));
