import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { openFailure, PDF_OPEN, readPdf, type PdfDocument } from '../in/readers/index.ts';
import { pageMap, type LayingOptions } from '../out/pages.ts';
import { writePdf, type PdfConstructor } from '../out/pdf/index.ts';
import type { Piece } from '../pattern/index.ts';
import { layTogether, proposeTiles, type Lines } from '../in/tracing/index.ts';
import type { Result } from '../units/index.ts';

const find = createRequire(import.meta.url).resolve;
const font = (weight: number): Uint8Array =>
  new Uint8Array(
    readFileSync(find(`@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-${weight}-normal.woff`)),
  );
const fonts = { text: font(400), bold: font(700) };

/** The lines of a PDF as the app reads them. */
export async function readPrinted(bytes: Uint8Array): Promise<Result<Lines>> {
  try {
    const document = await getDocument({ data: bytes.slice(), ...PDF_OPEN }).promise;
    return await readPdf(document as unknown as PdfDocument, OPS);
  } catch (error) {
    return { ok: false, error: openFailure(error) };
  }
}

/** Pieces on A4 pages, as the app prints them; `original` thin behind. */
export const printed = (
  pieces: readonly Piece[],
  original: readonly Piece[] = [],
  options: LayingOptions = {},
): Promise<Uint8Array> =>
  writePdf(PDFDocument as unknown as PdfConstructor, {
    map: pageMap(pieces, 'a4', options),
    label: { wearer: 'Marit Quell', pattern: 'Causeway', size: '5', date: '2026-11-24', changes: {} },
    original,
    notes: [],
    fonts,
  });

/** Pages laid together as the app proposes it. */
export const laidTogether = (lines: Lines): Lines => {
  return layTogether(lines, proposeTiles(lines));
};
