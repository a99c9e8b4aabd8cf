import { openFailure, PDF_OPEN, readDxf, readPdf, readSvg, textOf, type PdfDocument } from '@ample/core/in/readers';
import type { Lines } from '@ample/core/in/tracing';
import type { Result } from '@ample/core/units';
import { PROTOCOL, type ReadRequest } from './protocol.ts';

/** The PDF library parses in a worker of this worker: ending this one ends both. */
async function openPdf(
  data: Uint8Array,
  onLoaded: () => void,
): Promise<Result<{ document: PdfDocument; ops: Record<string, number> }>> {
  const [{ getDocument, GlobalWorkerOptions, OPS }, { default: Parser }] = await Promise.all([
    import('pdfjs-dist'),
    import('pdfjs-dist/build/pdf.worker.mjs?worker'),
  ]);
  GlobalWorkerOptions.workerPort = new Parser();
  onLoaded();
  try {
    const document = await getDocument({ data, ...PDF_OPEN }).promise;
    return { ok: true, value: { document: document as unknown as PdfDocument, ops: OPS } };
  } catch (error) {
    return { ok: false, error: openFailure(error) };
  }
}

async function read(input: ReadRequest['input'], onShare: (share: number) => void): Promise<Result<Lines>> {
  const { bytes, kind } = input;
  // Patience is counted from here: what comes before is the loading of code.
  const loaded = () => onShare(0);
  if (kind !== 'pdf') loaded();
  if (kind === 'svg') return readSvg(textOf(bytes));
  if (kind === 'dxf') return readDxf(textOf(bytes));
  const open = await openPdf(bytes, loaded);
  return open.ok ? readPdf(open.value.document, open.value.ops, onShare) : open;
}

/** Reads one file into lines; the caller terminates it when it takes too long or is no longer needed. */
self.onmessage = async (event: MessageEvent<ReadRequest>) => {
  const { v, id, input } = event.data;
  if (v !== PROTOCOL) return;
  try {
    const value = await read(input, (share) => self.postMessage({ v: PROTOCOL, id, progress: share }));
    self.postMessage({ v: PROTOCOL, id, ok: true, value });
  } catch (error) {
    self.postMessage({ v: PROTOCOL, id, ok: false, message: error instanceof Error ? error.message : String(error) });
  }
};
