import PDFDocument from 'pdfkit';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { samplePattern } from '@ample/core/blocks';
import { PDF_OPEN, readPdf, type PdfDocument } from '@ample/core/in/readers';
import { cuttingLine, outlineOf } from '@ample/core/pattern';
import { layTogether, proposeTiles, readWhole, type Lines } from '@ample/core/in/tracing';

const POINT = 72 / 25.4;
const [COLUMNS, ROWS] = [10, 6];
const STEP = { width: 190, height: 277 };
const COLORS = ['#000', '#a00', '#0a0', '#00a', '#aa0', '#0aa', '#a0a', '#555', '#850', '#058'];

/** A document to draw into, and its bytes once it is ended. */
function pdf() {
  const doc = new PDFDocument({ autoFirstPage: false });
  const chunks: Uint8Array[] = [];
  const done = new Promise<Uint8Array>((resolve) => {
    doc.on('data', (c: Uint8Array) => chunks.push(c));
    doc.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))));
  });
  return { doc, done };
}

async function linesOf(bytes: Uint8Array): Promise<Lines> {
  const document = await getDocument({ data: bytes.slice(), ...PDF_OPEN }).promise;
  const read = await readPdf(document as unknown as PdfDocument, OPS);
  if (!read.ok) throw new Error(`bench: expected a file that reads, got ${read.error.code}`);
  return read.value;
}

/** Sixty tiles of a nest of ten sizes, each page with the whole drawing cut to its window: as print-at-home files are. */
function nestPdf(): Promise<Uint8Array> {
  const sizes = Object.values(samplePattern('causeway').sizes);
  const { doc, done } = pdf();
  for (let n = 0; n < COLUMNS * ROWS; n++) {
    doc.addPage({ size: 'A4', margin: 0 });
    doc.save();
    doc.rect(10 * POINT, 10 * POINT, STEP.width * POINT, STEP.height * POINT).clip();
    doc.translate((10 - (n % COLUMNS) * STEP.width) * POINT, (10 - Math.floor(n / COLUMNS) * STEP.height) * POINT);
    for (let size = 0; size < 10; size++)
      (sizes[size % sizes.length] ?? []).forEach((piece, i) => {
        doc.save();
        doc.translate(
          (120 + (i % 4) * 420 + (size >= sizes.length ? 3 : 0)) * POINT,
          (150 + Math.floor(i / 4) * 700) * POINT,
        );
        for (const path of [cuttingLine(piece), outlineOf(piece)]) {
          doc.moveTo(path.start.x * POINT, path.start.y * POINT);
          for (const g of path.segments)
            if (g.kind === 'line') doc.lineTo(g.to.x * POINT, g.to.y * POINT);
            else
              doc.bezierCurveTo(
                g.c1.x * POINT,
                g.c1.y * POINT,
                g.c2.x * POINT,
                g.c2.y * POINT,
                g.to.x * POINT,
                g.to.y * POINT,
              );
          doc
            .closePath()
            .lineWidth(0.8)
            .stroke(COLORS[size] ?? '#000');
        }
        doc.restore();
      });
    doc.restore();
    doc.fontSize(9).text(`${n + 1}`, 20, 10);
  }
  doc.end();
  return done;
}

/** Twenty thousand lines drawn as thin filled shapes on one page. */
function sliversPdf(): Promise<Uint8Array> {
  const { doc, done } = pdf();
  doc.addPage({ size: 'A4', margin: 0 });
  for (let i = 0; i < 20_000; i++) {
    const [x, y] = [(i % 200) * 2.7, Math.floor(i / 200) * 8];
    doc
      .moveTo(x, y)
      .lineTo(x + 40, y + 3)
      .lineTo(x + 40, y + 4)
      .lineTo(x, y + 1)
      .closePath()
      .fill();
  }
  doc.end();
  return done;
}

/** Lines drawn by their rims, read by their middle. */
export async function sliversBench(): Promise<() => Promise<unknown>> {
  const bytes = await sliversPdf();
  return async () => {
    const lines = await linesOf(bytes);
    if (lines.strokes.length < 10_000) throw new Error(`bench: expected the slivers, got ${lines.strokes.length}`);
    return lines;
  };
}

/** A nest of ten sizes on sixty pages, opened, taken apart and laid together. */
export async function readBench(): Promise<() => Promise<unknown>> {
  const bytes = await nestPdf();
  return async () => {
    const lines = await linesOf(bytes);
    const tiles = proposeTiles(lines);
    if (tiles.by === 'order') throw new Error('bench: expected tiles laid by their lines, got them in their order');
    return layTogether(lines, tiles);
  };
}

/** The outlines of that nest in every size, read off the sheet at once as the contact sheet does. */
export async function wholeBench(): Promise<() => Promise<unknown>> {
  const lines = await linesOf(await nestPdf());
  const sheet = layTogether(lines, proposeTiles(lines));
  return () => {
    const read = readWhole(sheet);
    if (read.pieces.length < 8) throw new Error(`bench: expected eight pieces, got ${read.pieces.length}`);
    return Promise.resolve(read);
  };
}
