import PDFDocument from 'pdfkit';
import { describe, expect, it } from 'vitest';
import { SAMPLE_IDS } from '../../blocks/index.ts';
import { pathLength, spansOf } from '../../geometry/index.ts';
import { cuttingLine, paperOutline } from '../../pattern/index.ts';
import { farApart } from '../../testing/drawn.ts';
import { pagesPdf } from '../../testing/handPdf.ts';
import { laidTogether, printed, readPrinted } from '../../testing/printed.ts';
import { sampleIn } from '../../testing/samples.ts';
import { allRings, boxOf, proposeTiles, ringThrough, snapPage, type Stroke } from '../tracing/index.ts';
import { expectOk } from '../../units/index.ts';
import { pageMap } from '../../out/pages.ts';

const PT = 25.4 / 72;

describe('our own tiled pages', () => {
  it.each(SAMPLE_IDS)('come back from %s, laid together, to a hundredth of a millimetre', async (id) => {
    const pieces = sampleIn(id, '5').pieces;
    const lines = expectOk(await readPrinted(await printed(pieces)), id);
    expect(proposeTiles(lines).by).toBe('shared');
    const sheet = laidTogether(lines);
    const of = (style: string): readonly Stroke[] => sheet.strokes.filter((s) => s.style.startsWith(style));
    const cut = allRings(of('line #1e2a38 0.5'));
    const sewn = allRings(of('line #2b4c9b 0.35 dashed'));
    expect(cut).toHaveLength(pieces.length);
    const nearest = (path: ReturnType<typeof cuttingLine>, rings: typeof cut): number => {
      const b = boxOf(path);
      const alike = rings.filter((r) => {
        const c = boxOf(r.path);
        return Math.abs(c.maxX - c.minX - b.maxX + b.minX) + Math.abs(c.maxY - c.minY - b.maxY + b.minY) < 0.1;
      });
      return Math.min(...alike.map((r) => farApart(path, r.path)));
    };
    for (const p of pieces) {
      expect(nearest(cuttingLine(p), cut), `${p.id} cut`).toBeLessThan(0.01);
      expect(nearest(paperOutline(p), sewn), `${p.id} sewn`).toBeLessThan(0.01);
    }
    // The marks that join the pages are the printer's: none is left on the sheet.
    expect(sheet.strokes.every((s) => s.style !== 'line #1e2a38 0.25')).toBe(true);
  });
});

it('lays every page where it was printed, though a skirt’s front and back look alike', async () => {
  for (const size of ['4', '7']) {
    // Another size behind each piece: what one sees of an altered pattern and the untouched one.
    const pieces = sampleIn('causeway', size).pieces;
    const lines = expectOk(await readPrinted(await printed(pieces, sampleIn('causeway', '5').pieces)), 'two sizes');
    const { placing } = proposeTiles(lines);
    const map = pageMap(pieces, 'a4');
    const origin = placing[1];
    map.tiles.forEach((tile) => {
      const at = placing[tile.page - 1];
      const [row, column] = [tile.row - (map.tiles[0]?.row ?? 0), tile.column - (map.tiles[0]?.column ?? 0)];
      expect((at?.x ?? NaN) - (origin?.x ?? NaN), tile.label).toBeCloseTo(column * map.step.width, 2);
      expect((at?.y ?? NaN) - (origin?.y ?? NaN), tile.label).toBeCloseTo(row * map.step.height, 2);
    });
    expect(placing[0]).toBeNull();
  }
});

describe('files that others made', () => {
  it('finds layers with their names, and which are off as the file opens', async () => {
    const bytes = pagesPdf(
      ['/OC /A BDC 10 10 m 110 10 l S EMC /OC /B BDC 10 20 m 210 20 l S EMC 10 30 m 310 30 l S'],
      [400, 400],
      '',
      '/OCProperties << /OCGs [5 0 R 6 0 R] /D << /OFF [6 0 R] /Order [5 0 R 6 0 R] >> >> ',
      ['<< /Type /OCG /Name (Size 38) >>', '<< /Type /OCG /Name (Size 40) >>'],
      '/Properties << /A 5 0 R /B 6 0 R >>',
    );
    const lines = expectOk(await readPrinted(bytes), 'layers');
    expect(lines.layers.map((l) => [l.name, l.on])).toEqual([
      ['Size 38', true],
      ['Size 40', false],
    ]);
    const on = (name: string) => lines.strokes.filter((s) => s.layer === lines.layers.find((l) => l.name === name)?.id);
    expect(on('Size 38').map((s) => pathLength(s.path) / PT)[0]).toBeCloseTo(100, 3);
    expect(on('Size 40').map((s) => pathLength(s.path) / PT)[0]).toBeCloseTo(200, 3);
    expect(lines.strokes.filter((s) => s.layer === '')).toHaveLength(1);
  });

  it('takes rotation, user units and matrices as they are shown', async () => {
    const draw = '1 0 0 1 0 0 cm q 2 0 0 2 0 0 cm 10 20 m 60 20 l S Q';
    const plain = expectOk(await readPrinted(pagesPdf([draw], [400, 300])), 'plain');
    expect(pathLength(plain.strokes[0]?.path as never)).toBeCloseTo(100 * PT, 4);
    // From the upper left corner, y downwards: 300 − 40 points from the top.
    expect(plain.strokes[0]?.path.start.x).toBeCloseTo(20 * PT, 4);
    expect(plain.strokes[0]?.path.start.y).toBeCloseTo(260 * PT, 4);
    const unit = expectOk(await readPrinted(pagesPdf([draw], [400, 300], '/UserUnit 2 ')), 'unit');
    expect(pathLength(unit.strokes[0]?.path as never)).toBeCloseTo(200 * PT, 4);
    expect(unit.pages[0]?.width).toBeCloseTo(800 * PT, 4);
    const turned = expectOk(await readPrinted(pagesPdf([draw], [400, 300], '/Rotate 90 ')), 'turned');
    expect(turned.pages[0]).toMatchObject({ width: 300 * PT, height: 400 * PT });
    const s = turned.strokes[0]?.path;
    expect(s?.start.x).toBeCloseTo(s?.segments[0]?.to.x ?? NaN, 4);
  });

  it('leaves out what a page does not show, and keeps what it shows a part of whole', async () => {
    const bytes = pagesPdf(['q 50 50 100 100 re W n 60 60 m 390 60 l S 200 200 m 300 300 l S Q'], [400, 400]);
    const lines = expectOk(await readPrinted(bytes), 'window');
    expect(lines.strokes).toHaveLength(1);
    expect(pathLength(lines.strokes[0]?.path as never)).toBeCloseTo(330 * PT, 3);
  });

  it('lays tiles together by the lines that run on over their frames, and heals the joins', async () => {
    // A 500 by 260 rectangle over three by two windows of 200 by 150 points, each page cut to its own window.
    const [w, h] = [200, 150];
    const rect = [
      [20, 20, 520, 20],
      [520, 20, 520, 280],
      [520, 280, 20, 280],
      [20, 280, 20, 20],
    ] as const;
    const pages: string[] = [];
    for (let row = 0; row < 2; row++)
      for (let column = 0; column < 3; column++) {
        const inside = rect.flatMap(([ax, ay, bx, by]) => {
          const [x0, y0] = [column * w, row * h];
          const clip = (v: number, lo: number, hi: number): number => Math.max(lo, Math.min(hi, v));
          const hits = ax === bx ? ax >= x0 && ax <= x0 + w : ay >= y0 && ay <= y0 + h;
          const [px, py, qx, qy] = [
            clip(ax, x0, x0 + w),
            clip(ay, y0, y0 + h),
            clip(bx, x0, x0 + w),
            clip(by, y0, y0 + h),
          ];
          if (!hits || (px === qx && py === qy)) return [];
          // Half a point is lost at every join; y runs upwards in the file.
          const nip = (v: number, edge: number): number => (v === edge && edge % w === 0 ? v - 0.5 : v);
          return [
            `${20 + nip(px, x0 + w) - x0} ${180 - (py - y0)} m ${20 + nip(qx, x0 + w) - x0} ${180 - (qy - y0)} l S`,
          ];
        });
        pages.push(`20 30 ${w} ${h} re S ${inside.join(' ')}`);
      }
    const lines = expectOk(await readPrinted(pagesPdf(pages, [240, 210])), 'tiles');
    const tiles = proposeTiles(lines);
    expect(tiles.by).toBe('runsOn');
    expect(tiles.placing.map((p) => [Math.round((p?.x ?? 0) / (w * PT)), Math.round((p?.y ?? 0) / (h * PT))])).toEqual([
      [0, 0],
      [1, 0],
      [2, 0],
      [0, 1],
      [1, 1],
      [2, 1],
    ]);
    const sheet = laidTogether(lines);
    const ring = expectOk(ringThrough(sheet.strokes, 0), 'rectangle');
    const b = boxOf(ring.path);
    expect(b.maxX - b.minX).toBeCloseTo(500 * PT, 0);
    expect(b.maxY - b.minY).toBeCloseTo(260 * PT, 0);
    expect(ring.healed.length).toBeGreaterThan(0);
    expect(spansOf(ring.path).length).toBeGreaterThanOrEqual(4);
  });

  it('snaps a dragged page frame to frame', () => {
    const window = { minX: 10, minY: 10, maxX: 200, maxY: 287 };
    const placing = [
      { x: 0, y: 0 },
      { x: 999, y: 999 },
    ];
    expect(snapPage(placing, 1, { x: 195, y: -6 }, window)).toEqual({ x: 190, y: 0 });
    expect(snapPage(placing, 1, { x: 300, y: 30 }, window)).toEqual({ x: 300, y: 30 });
  });
});

describe('files that hold no pattern', () => {
  const code = async (bytes: Uint8Array): Promise<string> => {
    const result = await readPrinted(bytes);
    return result.ok ? 'read' : result.error.code;
  };
  it('says when a file is locked, broken, empty of lines, or pictures only', async () => {
    const locked = await new Promise<Uint8Array>((resolve) => {
      const doc = new PDFDocument({ userPassword: 'secret', pdfVersion: '1.7' });
      const chunks: Uint8Array[] = [];
      doc.on('data', (c: Uint8Array) => chunks.push(c));
      doc.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))));
      doc.moveTo(0, 0).lineTo(100, 100).stroke();
      doc.end();
    });
    expect(await code(locked)).toBe('pdf-locked');
    expect(await code(new TextEncoder().encode('%PDF-1.7\nnothing'))).toBe('pdf-broken');
    expect(await code(pagesPdf([''], [200, 200]))).toBe('lines-none');
    const picture = pagesPdf(['q 100 0 0 100 0 0 cm BI /W 1 /H 1 /CS /G /BPC 8 ID \xff EI Q'], [200, 200]);
    expect(await code(picture)).toBe('pdf-only-pictures');
  });
  it('is not drowned by more lines than any pattern has', async () => {
    const many = `0 0 m ${'1 1 l 2 0 l '.repeat(620_000)}S`;
    expect(await code(pagesPdf([many], [200, 200]))).toBe('lines-too-many');
  });
  it('reads or refuses our own file however it is damaged', async () => {
    const whole = await printed(sampleIn('causeway-side', '5').pieces.slice(0, 1));
    let seed = 3;
    const next = (n: number): number => {
      seed = (Math.imul(seed, 1103515245) + 12345) >>> 0;
      return seed % n;
    };
    for (let round = 0; round < 12; round++) {
      const bytes = whole.slice(0, round % 3 === 0 ? next(whole.length) : whole.length);
      for (let k = 0; k < 30; k++) bytes[next(bytes.length)] = next(256);
      const result = await readPrinted(bytes);
      if (result.ok) for (const s of result.value.strokes) expect(Number.isFinite(boxOf(s.path).maxX)).toBe(true);
      else expect(result.error.code).toMatch(/^(pdf|lines)-/);
    }
  });
});
