import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { describe, expect, it } from 'vitest';
import { draftCauseway } from '../../blocks/index.ts';
import { diagramOf, pageMap, type PaperId } from '../index.ts';
import { writePdf, type PdfConstructor, type PrintedSheet } from './index.ts';

const font = (weight: number) =>
  new Uint8Array(
    readFileSync(
      createRequire(import.meta.url).resolve(
        `@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-${weight}-normal.woff`,
      ),
    ),
  );
const pieces = draftCauseway('4');
const diagram = diagramOf({
  piece: pieces[0]!,
  lines: [
    {
      label: '1',
      points: [
        { x: 90, y: 400 },
        { x: 90, y: 250 },
      ],
    },
  ],
  points: [
    { kind: 'hinge', at: { x: 160, y: 150 } },
    { kind: 'bustPoint', at: { x: 90, y: 250 } },
  ],
  dimensions: [{ from: { x: 90, y: 250 }, to: { x: 110, y: 250 }, text: '2.0 cm' }],
  gaps: [
    {
      outline: {
        start: { x: 90, y: 250 },
        segments: [
          { kind: 'line', to: { x: 110, y: 300 } },
          { kind: 'line', to: { x: 90, y: 300 } },
        ],
      },
      area: 500,
    },
  ],
});
const sheet = (stages: number, words = 40): PrintedSheet => ({
  title: 'Full bust',
  amount: '+4.0 cm over the front',
  stages: Array.from({ length: stages }, (_, i) => ({
    heading: `Stage ${i + 1}`,
    lines: [Array.from({ length: words }, () => 'paper').join(' ')],
    diagrams: [diagram],
  })),
  checks: ['Look at the back.', 'Trace a facing again.'],
});
const write = async (sheets: readonly PrintedSheet[], paper: PaperId = 'a4') => {
  const map = pageMap(pieces, paper);
  const bytes = await writePdf(PDFDocument as unknown as PdfConstructor, {
    map,
    label: { wearer: 'W', pattern: 'P', size: '4', date: '2026-11-23', changes: {} },
    original: [],
    notes: [],
    sheets,
    fonts: { text: font(400), bold: font(700) },
  });
  const pages =
    Buffer.from(bytes)
      .toString('latin1')
      .match(/\/Type \/Page\b/g)?.length ?? 0;
  return pages - map.pageCount;
};

describe('the hand sheet in the PDF', () => {
  it('takes no page when there is none', async () => {
    expect(await write([])).toBe(0);
  });
  it('stands on pages of its own after the tiles, one for a short sheet', async () => {
    expect(await write([sheet(2)])).toBe(1);
    expect(await write([sheet(2), sheet(1)])).toBe(2);
  });
  it('goes on to the next page rather than past the margin, on either paper', async () => {
    expect(await write([sheet(5)])).toBe(2);
    expect(await write([sheet(5)], 'letter')).toBe(2);
    expect(await write([sheet(4, 400)])).toBeGreaterThan(1);
  });
});
