// Plain JavaScript: a thread that first had to load the loader of TypeScript would begin seconds later.
import { parentPort, workerData } from 'node:worker_threads';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** Sizes of the pages of a PDF, mm, or null where it is none: in a thread of its own, which can be ended. */
const MM = 25.4 / 72;
const MOST = 400;

async function sizes({ data, open }) {
  try {
    const document = await getDocument({ data, ...open }).promise;
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

parentPort?.postMessage('here');
parentPort?.postMessage(await sizes(workerData));
