import { PAPERS, sheetPaper, type PaperId, type PaperSize } from '../pages.ts';
import type { PrintedRecord } from '../record.ts';
import { firstPage } from './firstPage.ts';
import type { PdfInput } from './input.ts';
import { Layers } from './layers.ts';
import { printRecord } from './record.ts';
import { printSheet, type PrintedSheet } from './sheet.ts';
import { tilePage } from './tilePage.ts';
import { MmCanvas, POINT, type PdfConstructor, type PdfDoc } from './canvas.ts';

type Fonts = PdfInput['fonts'];
interface Begun {
  readonly doc: PdfDoc;
  readonly canvas: MmCanvas;
  readonly page: (size?: PaperSize) => PdfDoc;
  readonly done: Promise<Uint8Array>;
}

/** An empty document in the shipped fonts; `done` comes true once it is ended. */
function begin(Constructor: PdfConstructor, title: string, date: string, paper: PaperSize, fonts: Fonts): Begun {
  const doc = new Constructor({
    autoFirstPage: false,
    font: null,
    pdfVersion: '1.7',
    compress: true,
    info: {
      Title: title,
      Producer: 'Ample Draft',
      Creator: 'Ample Draft',
      CreationDate: new Date(`${date}T12:00:00Z`),
    },
  }) as PdfDoc;
  const chunks: Uint8Array[] = [];
  const done = new Promise<Uint8Array>((resolve) => {
    doc.on('data', (chunk) => void chunks.push(chunk));
    doc.on('end', () => {
      const size = chunks.reduce((n, c) => n + c.length, 0);
      const out = new Uint8Array(size);
      let at = 0;
      for (const c of chunks) {
        out.set(c, at);
        at += c.length;
      }
      resolve(out);
    });
  });
  doc.registerFont('text', fonts.text);
  doc.registerFont('bold', fonts.bold);
  const page = (size = paper) => doc.addPage({ size: [size.width * POINT, size.height * POINT], margin: 0 });
  return { doc, canvas: new MmCanvas(doc), page, done };
}

/** Pages at true scale as the bytes of a PDF: a first page with map and test squares, then the tiles. */
export function writePdf(Constructor: PdfConstructor, input: PdfInput): Promise<Uint8Array> {
  const paper = PAPERS[sheetPaper(input.map.paper)];
  const { label } = input;
  const title = `${label.pattern} ${label.size} for ${label.wearer}`;
  const { doc, canvas, page, done } = begin(Constructor, title, label.date, paper, input.fonts);
  const layers = new Layers(doc, input.show);
  const alone = input.map.tiles.length === 0 && (input.sheets?.length ?? 0) > 0;
  // Hand sheets alone, for paper that lies on one's own table, have no pages to join and no square to measure: what
  // there is to note stands on the first of them.
  const sheets = withCautionsOnce(input.sheets ?? [], alone ? input.notes : []);
  if (!alone) {
    page();
    firstPage(canvas, input, paper);
  }
  for (const tile of input.map.tiles) {
    page(input.map.size);
    tilePage(canvas, input, tile, layers);
  }
  for (const sheet of sheets) printSheet(canvas, sheet, paper, () => page());
  doc.end();
  return done;
}

/** What to note and to mind, said where it first comes up and not again on every sheet. */
function withCautionsOnce(sheets: readonly PrintedSheet[], notes: readonly string[]): readonly PrintedSheet[] {
  const said = new Set<string>();
  return sheets.map((sheet, i) => {
    const cautions = [...(i === 0 ? notes : []), ...(sheet.cautions ?? [])].filter((c) => !said.has(c));
    for (const c of cautions) said.add(c);
    return { ...sheet, cautions };
  });
}

/** The record of a job, on one page. */
export function writeRecordPdf(
  Constructor: PdfConstructor,
  input: { readonly record: PrintedRecord; readonly paper: PaperId; readonly date: string; readonly fonts: Fonts },
): Promise<Uint8Array> {
  const paper = PAPERS[sheetPaper(input.paper)];
  const { doc, canvas, page, done } = begin(Constructor, input.record.title, input.date, paper, input.fonts);
  page();
  printRecord(canvas, input.record, paper);
  doc.end();
  return done;
}
