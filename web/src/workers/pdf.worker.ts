import PDFDocument from 'pdfkit';
import { layPages } from '@ample/core/out';
import { writePdf, writeRecordPdf, type PdfConstructor } from '@ample/core/out/pdf';
import { speakEnglish, type English } from '@ample/core/speech';
import { PROTOCOL, type Reply, type Request } from './protocol.ts';

const bytes = async (url: string): Promise<Uint8Array> => new Uint8Array(await (await fetch(url)).arrayBuffer());

// The page that starts the worker names it by the English it speaks.
speakEnglish(self.name as English);

/** Makes the pages of a pattern, or the record of a job; used once for each file, then let go. */
self.onmessage = async (event: MessageEvent<Request>) => {
  const request = event.data;
  if (request.v !== PROTOCOL || (request.kind !== 'pdf' && request.kind !== 'record')) return;
  const { id } = request;
  let reply: Reply;
  try {
    const [text, bold] = await Promise.all([bytes(request.input.fonts.text), bytes(request.input.fonts.bold)]);
    const fonts = { text, bold };
    const Document = PDFDocument as unknown as PdfConstructor;
    const value =
      request.kind === 'record'
        ? await writeRecordPdf(Document, { ...request.input, fonts })
        : await writePdf(Document, {
            ...request.input,
            map: layPages(request.input.drawings, request.input.paper, request.input),
            fonts,
          });
    reply = { v: PROTOCOL, id, ok: true, value };
  } catch (error) {
    reply = { v: PROTOCOL, id, ok: false, message: error instanceof Error ? error.message : String(error) };
  }
  self.postMessage(reply);
};
