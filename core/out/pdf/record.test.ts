import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { describe, expect, it } from 'vitest';
import { draftCauseway } from '../../blocks/index.ts';
import { diagramOf } from '../index.ts';
import { MmCanvas, writeRecordPdf, type PdfConstructor, type PdfDoc, type PrintedRecord } from './index.ts';
import { bottomOf, printRecord } from './record.ts';

const font = (weight: number) =>
  new Uint8Array(
    readFileSync(
      createRequire(import.meta.url).resolve(
        `@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-${weight}-normal.woff`,
      ),
    ),
  );
const fonts = { text: font(400), bold: font(700) };
const A4 = { width: 210, height: 297 };
const record = (rows: number, fittings: number): PrintedRecord => ({
  title: 'Concert bodice, Tove',
  facts: [
    ['Wearer', 'Tove'],
    ['Pattern', 'Causeway'],
    ['Size', '5'],
  ],
  measurements: Array.from({ length: rows }, (_, i) => [`Measurement ${i}`, `${i}.0 cm`] as const),
  steps: [{ name: 'Small bust', amount: '−1.8 cm', note: '' }],
  drawings: draftCauseway('4')
    .slice(0, 2)
    .map((piece) => diagramOf({ piece, ghost: piece })),
  fittings: Array.from({ length: fittings }, (_, i) => ({
    heading: `Toile ${i + 1}`,
    lines: ['The shoulder seam hangs off the shoulder, 0.8 cm pinned'],
  })),
  notes: '',
});
const pagesOf = (bytes: Uint8Array): number =>
  Buffer.from(bytes)
    .toString('latin1')
    .match(/\/Type \/Page\b/g)?.length ?? 0;

/** A canvas on the real library that writes down what was set, and how large. */
function listening() {
  const doc = new (PDFDocument as unknown as PdfConstructor)({
    autoFirstPage: false,
    font: null,
    pdfVersion: '1.7',
    compress: true,
    info: {},
  }) as PdfDoc;
  doc
    .registerFont('text', fonts.text)
    .registerFont('bold', fonts.bold)
    .addPage({ size: [600, 850], margin: 0 });
  const set: { readonly text: string; readonly y: number; readonly size: number; readonly bottom: number }[] = [];
  class Listening extends MmCanvas {
    override text(...args: Parameters<MmCanvas['text']>): this {
      const [text, , y, size, options] = args;
      set.push({ text, y, size, bottom: y + this.height(text, size, options?.width ?? 200) });
      return super.text(...args);
    }
  }
  return { canvas: new Listening(doc), set };
}

describe('the record of a job', () => {
  it.each([
    ['a4', 4, 1],
    ['letter', 12, 3],
    ['a4', 32, 20],
  ] as const)('stands on one page: %s, %d measurements, %d fittings', async (paper, rows, fittings) => {
    const bytes = await writeRecordPdf(PDFDocument as unknown as PdfConstructor, {
      record: record(rows, fittings),
      paper,
      date: '2026-11-24',
      fonts,
    });
    expect(pagesOf(bytes)).toBe(1);
  });
  it('takes the largest text that lets all of it stand there, and stays on the paper', () => {
    const sizeFor = (rows: number, fittings: number): number => {
      const { canvas, set } = listening();
      printRecord(canvas, record(rows, fittings), A4);
      for (const s of set) expect(s.bottom).toBeLessThanOrEqual(A4.height - 10);
      return set.find((s) => s.text === 'Measurement 0')?.size ?? 0;
    };
    expect(sizeFor(4, 1)).toBe(4.2);
    expect(sizeFor(28, 6)).toBeLessThan(4.2);
    expect(sizeFor(28, 6)).toBeGreaterThanOrEqual(2.8);
  });
  it('shows the garment on its form beside the pieces, as tall as it is wide there', async () => {
    // The head of a JPEG of 4 by 2 pixels, in grey: all that a PDF reads of one.
    const jpeg = Uint8Array.from([
      ...[0xff, 0xd8, 0xff, 0xe0, 0, 4, 0, 0, 0xff, 0xc0, 0, 11, 8, 0, 2, 0, 4, 1, 1, 0x11, 0, 0xff, 0xd9],
    ]);
    const picture = { jpeg, width: 4, height: 2, caption: 'As drafted' };
    const bytes = await writeRecordPdf(PDFDocument as unknown as PdfConstructor, {
      record: { ...record(8, 1), picture },
      ...{ paper: 'a4', date: '2026-11-24', fonts },
    });
    expect(pagesOf(bytes)).toBe(1);
    expect(Buffer.from(bytes).toString('latin1')).toMatch(/\/Width 4\n\/Height 2/);
    const { canvas, set } = listening();
    printRecord(canvas, { ...record(8, 1), picture }, A4);
    expect(set.map((s) => s.text)).toContain('On the form: as drafted');
  });
  it('says what it had no room for', () => {
    const { canvas, set } = listening();
    printRecord(canvas, record(32, 30), A4);
    const printed = set.filter((s) => s.text.startsWith('Toile')).length;
    expect(printed).toBeLessThan(30);
    expect(set.at(-1)?.text).toMatch(/^\d+ more entries are kept in the app\.$/);
    expect(bottomOf(canvas, record(32, 30), A4, 2.8)).toBeGreaterThan(A4.height);
  });
});
