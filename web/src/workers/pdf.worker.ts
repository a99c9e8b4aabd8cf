import PDFDocument from 'pdfkit';
import { pageMap } from '@ample/core/formats';
import { writePdf, type PdfConstructor } from '@ample/core/formats/pdf';
import { PROTOCOL, type Reply, type Request } from './protocol.ts';

const bytes = async (url: string): Promise<Uint8Array> => new Uint8Array(await (await fetch(url)).arrayBuffer());

/** Makes the pages; used once for each file, then let go. */
self.onmessage = async (event: MessageEvent<Request>) => {
  const request = event.data;
  if (request.v !== PROTOCOL || request.kind !== 'pdf') return;
  const { input, id } = request;
  let reply: Reply;
  try {
    const [text, bold] = await Promise.all([bytes(input.fonts.text), bytes(input.fonts.bold)]);
    const value = await writePdf(PDFDocument as unknown as PdfConstructor, {
      map: pageMap(input.pieces, input.paper),
      label: input.label,
      original: input.original,
      notes: input.notes,
      sheets: input.sheets,
      fonts: { text, bold },
    });
    reply = { v: PROTOCOL, id, ok: true, value };
  } catch (error) {
    reply = { v: PROTOCOL, id, ok: false, message: error instanceof Error ? error.message : String(error) };
  }
  self.postMessage(reply);
};
