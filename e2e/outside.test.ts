import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { DxfWriter, LWPolylineFlags, point2d, point3d, SplineFlags, Units } from '@tarikjabiri/dxf';
import PDFDocument from 'pdfkit';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { alterationById, runAlteration, type Context } from '@ample/core/alterations';
import { SAMPLE_CHART, samplePattern } from '@ample/core/blocks';
import { pageMap, pathData, writeSvg, type PaperId } from '@ample/core/out';
import { stepSchema } from '@ample/core/documents';
import { PDF_OPEN, readDxf, readPdf, readSvg, type PdfDocument } from '@ample/core/in/readers';
import { writePdf, type PdfConstructor } from '@ample/core/out/pdf';
import { mapPath, pathLength, type Point } from '@ample/core/geometry';
import { cuttingLine, outlineOf, type Pattern, type Piece } from '@ample/core/pattern';
import { addedPaper, untouchedFor } from '@ample/core/out/patch';
import { draft } from '@ample/core/fitting/plan';
import {
  allRings,
  boxOf,
  grouped,
  layTogether,
  proposeTiles,
  scaleLines,
  traceLike,
  tracePiece,
  withPiece,
  type Lines,
  type Ring,
  type Stroke,
} from '@ample/core/in/tracing';
import { expectOk } from '@ample/core/units';
import { fonts } from '../cli/commands.ts';
import { farApart, linesOf, outlinesApart } from '../core/testing/drawn.ts';
import { knowing } from '../core/testing/knowing.ts';

/** Files that other programs wrote, and ours read by other programs: nothing here needs the app's pages. */
const folder = mkdtempSync(join(tmpdir(), 'ample-outside-'));
const at = (name: string): string => join(folder, name);
const run = (program: string, ...args: string[]) => execFileSync(program, args);
const pattern = samplePattern('causeway');
const pieceOf = (id: string, size = '5'): Piece => (pattern.sizes[size] ?? []).find((p) => p.id === id) as Piece;

async function readPdfFile(file: string): Promise<Lines> {
  const document = await getDocument({ data: new Uint8Array(readFileSync(file)), ...PDF_OPEN }).promise;
  const lines = expectOk(await readPdf(document as unknown as PdfDocument, OPS), file);
  return layTogether(lines, proposeTiles(lines));
}
test('a nest that another program drew as PDF becomes a pattern one can grade between sizes', async () => {
  const sizes = ['4', '5', '6'] as const;
  const colours = { '4': '#aa0000', '5': '#00aa00', '6': '#0000aa' };
  // Front and back side by side, every size in its colour, drawn by the rules of SVG and printed to PDF by others.
  const place = (id: string) => (id === 'front' ? { x: 60, y: 60 } : { x: 560, y: 60 });
  const drawn = sizes.flatMap((size) =>
    ['front', 'back'].map((id) => {
      const lines = linesOf(pieceOf(id, size)).map((s) =>
        pathData(mapPath(s.path, (p) => ({ x: p.x + place(id).x, y: p.y + place(id).y }))),
      );
      return `<path d="${lines.join('')}" fill="none" stroke="${colours[size]}" stroke-width="0.4"/>`;
    }),
  );
  writeFileSync(
    at('nest.svg'),
    `<svg xmlns="http://www.w3.org/2000/svg" width="900mm" height="700mm" viewBox="0 0 900 700">${drawn.join('')}</svg>`,
  );
  run('rsvg-convert', '-f', 'pdf', '-o', at('nest.pdf'), at('nest.svg'));
  const lines = await readPdfFile(at('nest.pdf'));
  const styles = grouped(lines.strokes, (s) => lines.styles.find((x) => x.id === s.style)?.color ?? '');
  expect([...styles.keys()].sort()).toEqual(Object.values(colours).sort());

  /** Outline and lines of a piece in a size, as one picks them by colour. */
  const picked = (id: string, size: (typeof sizes)[number]): { ring: Ring; others: readonly Stroke[] } => {
    const strokes = styles.get(colours[size]) ?? [];
    const rings = allRings(strokes).filter((r) => boxOf(r.path).minX > 450 === (id === 'back'));
    const ring = rings[0] as Ring;
    const own = new Set(ring.strokes.map((i) => strokes[i]));
    return { ring, others: strokes.filter((s) => !own.has(s)) };
  };
  let imported: Pattern = { ...pattern, id: 'imported', chart: [], sizes: {}, seams: [] };
  for (const id of ['front', 'back'] as const) {
    const base = pieceOf(id);
    const onSheet = (p: Point): Point => ({ x: p.x + place(id).x, y: p.y + place(id).y });
    const choices = knowing(base, onSheet);
    const mine = picked(id, '5');
    const traced = tracePiece(mine.ring, mine.others, choices);
    imported = withPiece(imported, traced.piece, '5');
    for (const size of ['4', '6'] as const) {
      const { ring, others } = picked(id, size);
      const like = expectOk(traceLike({ ring: mine.ring, choices, traced }, ring, others), `${id} ${size}`);
      imported = withPiece(imported, like.piece, size);
    }
  }
  expect(imported.chart.map((r) => r.size)).toEqual(['4', '5', '6']);
  expect(imported.seams.map((s) => s.id).sort()).toEqual(['shoulder', 'side']);

  const grade = (of: Pattern): readonly Piece[] => {
    const pieces = (of.sizes['5'] ?? []).filter((p) => p.id === 'front' || p.id === 'back');
    const seams = of.seams.filter((s) => s.id === 'side' || s.id === 'shoulder');
    const context: Context = {
      pieces,
      seams,
      original: pieces,
      originalSeams: seams,
      wearer: {},
      nest: of.sizes,
      chart: SAMPLE_CHART,
      size: '5',
    };
    const definition = alterationById('grade-between-sizes');
    if (!definition) throw new Error('no grading');
    return expectOk(runAlteration(definition, context, { waistSize: '6', hipSize: '6' }), 'graded').pieces;
  };
  const [ours, drafted] = [grade(imported), grade(pattern)];
  for (const id of ['front', 'back']) {
    const [a, b] = [ours, drafted].map((list) => list.find((p) => p.id === id) as Piece) as [Piece, Piece];
    // A back neck tighter than its allowance is the one place a cutting line does not tell the seam line.
    expect(outlinesApart(a, b)).toBeLessThan(id === 'back' ? 1.5 : 0.3);
    const side = (p: Piece): number =>
      p.edges.filter((e) => e.role === 'side').reduce((sum, e) => sum + pathLength(e.path), 0);
    expect(Math.abs(side(a) - side(b))).toBeLessThan(0.3);
    // Grading did something: the graded front is not the one it began from.
    expect(outlinesApart(b, pieceOf(id))).toBeGreaterThan(1);
  }
});

test('an exchange file of another library, in inches with arcs and splines, is read at its true size', () => {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Inches);
  dxf.addLayer('front', 7, 'CONTINUOUS');
  dxf.setCurrentLayerName('front');
  // Ten by sixteen inches, its lower right corner rounded by a quarter of a circle of two inches (bulge: a quarter's tangent).
  const bulge = Math.tan(Math.PI / 8);
  dxf.addLWPolyline(
    [
      { point: point2d(0, 0) },
      { point: point2d(8, 0), bulge },
      { point: point2d(10, 2) },
      { point: point2d(10, 16) },
      { point: point2d(0, 16) },
    ],
    { flags: LWPolylineFlags.Closed },
  );
  dxf.addArc(point3d(5, 8), 1, 0, 180);
  dxf.addSpline({
    controlPoints: [point3d(2, 2), point3d(4, 6), point3d(6, 6), point3d(8, 2)],
    degreeCurve: 3,
    flags: SplineFlags.Periodic & 0,
    knots: [0, 0, 0, 0, 1, 1, 1, 1],
  });
  const lines = expectOk(readDxf(dxf.stringify()), 'other library');
  expect(lines.unit).toEqual({ name: 'in', stated: true });
  const mm = scaleLines(lines, 1);
  const [ring] = allRings(mm.strokes);
  const b = boxOf((ring as Ring).path);
  expect(b.maxX - b.minX).toBeCloseTo(254, 2);
  expect(b.maxY - b.minY).toBeCloseTo(406.4, 2);
  // By hand: 8 + 14 + 10 + 16 inches of straight and a quarter of a circle of two.
  expect(pathLength((ring as Ring).path)).toBeCloseTo(25.4 * (48 + Math.PI), 1);
  const lengths = mm.strokes.filter((s) => !s.closed).map((s) => pathLength(s.path));
  expect(lengths.some((l) => Math.abs(l - 25.4 * Math.PI) < 0.05)).toBe(true);
});

const FULL = [
  stepSchema.parse({
    id: 'full',
    alteration: 'full-bust-side-dart',
    revision: 1,
    values: { total: 40, whose: 'pattern' },
  }),
  stepSchema.parse({ id: 'slope', alteration: 'shoulder-slope', revision: 1, values: { by: 6 } }),
];
const altered = draft({
  job: { size: '5', sizeMethod: 'highBust', steps: FULL },
  wearer: { sets: [], bustEase: null },
  pattern,
});
const front = altered.pieces.find((p) => p.id === 'front') as Piece;
/** The line among some that lies nearest to a path, and how far. */
const nearest = (path: ReturnType<typeof outlineOf>, rings: readonly Ring[]): number => {
  const b = boxOf(path);
  const alike = rings.filter((r) => {
    const c = boxOf(r.path);
    return Math.abs(c.maxX - c.minX - b.maxX + b.minX) + Math.abs(c.maxY - c.minY - b.maxY + b.minY) < 1;
  });
  return Math.min(...alike.map((r) => farApart(path, r.path)));
};

test('our SVG, printed to PDF by another program, is still the same piece', async () => {
  writeFileSync(at('ours.svg'), writeSvg([front], { title: 'front', original: altered.original }));
  run('rsvg-convert', '-f', 'pdf', '-o', at('ours-svg.pdf'), at('ours.svg'));
  const rings = allRings((await readPdfFile(at('ours-svg.pdf'))).strokes);
  expect(nearest(cuttingLine(front), rings)).toBeLessThan(0.05);
});

const sewn = altered.pieces.filter((p) => p.id === 'front' || p.id === 'back');
/** Our pages with every layer drawn, as a file. */
async function ourPages(paper: PaperId, name: string): Promise<string> {
  const bytes = await writePdf(PDFDocument as unknown as PdfConstructor, {
    map: pageMap(sewn, paper),
    label: { wearer: 'Marit Quell', pattern: 'Causeway', size: '5', date: '2026-11-27', changes: {} },
    original: untouchedFor(sewn, altered.original),
    added: Object.fromEntries(addedPaper(altered)),
    show: ['added', 'original', 'cutting', 'seam', 'marks', 'words', 'patch'],
    notes: [],
    fonts: fonts(),
  });
  writeFileSync(at(name), bytes);
  return at(name);
}

for (const paper of ['a4', 'a0', 'roll'] as const)
  test(`our pages on ${paper}, every layer drawn, come back within a hundredth of a millimetre`, async () => {
    const file = await ourPages(paper, `${paper}.pdf`);
    expect(run('qpdf', '--check', file).toString()).toContain('No syntax or stream encoding errors');
    const lines = await readPdfFile(file);
    expect(lines.layers.map((l) => l.name)).toEqual(
      expect.arrayContaining(['Added paper', 'Cutting line', 'Seam line', 'Untouched piece']),
    );
    const layer = (name: string): readonly Ring[] => {
      const id = lines.layers.find((l) => l.name === name)?.id;
      return allRings(lines.strokes.filter((s) => s.layer === id));
    };
    for (const p of sewn) {
      expect(nearest(cuttingLine(p), layer('Cutting line')), `${p.id} cut`).toBeLessThan(0.01);
      expect(nearest(outlineOf(p), layer('Seam line')), `${p.id} sewn`).toBeLessThan(0.01);
    }
    expect(
      nearest(outlineOf(altered.original.find((p) => p.id === 'front') as Piece), layer('Untouched piece')),
    ).toBeLessThan(0.01);
  });

test('our page, drawn again as SVG by another program, holds the piece', async () => {
  // A0: the whole piece on one page.
  run('pdftocairo', '-svg', '-f', '2', '-l', '2', await ourPages('a0', 'whole.pdf'), at('cairo.svg'));
  const lines = expectOk(readSvg(readFileSync(at('cairo.svg'), 'utf8')), 'cairo');
  expect(nearest(cuttingLine(front), allRings(lines.strokes))).toBeLessThan(0.2);
});
