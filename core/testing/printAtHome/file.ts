import { boundsOf, flatten, polyline, type Path, type Point } from '../../geometry/index.ts';
import { pagesPdf } from '../handPdf.ts';
import { stroke, word, type Pen, type ToPage } from './pen.ts';
import { arrow, type DrawnPiece } from './sheet.ts';

/** How a file is made: on which pages, and how sizes are distinguished. */
export interface Making extends Pen {
  readonly page: 'a4' | 'letter' | 'a0';
  /** How far neighbouring pages run over one another, mm; the drawing is cut off at the frame. */
  readonly overlap: number;
  readonly frame: boolean;
  /** Lines end at the edge of their page instead of being clipped there. */
  readonly cut: boolean;
  /** How pages are named: A1, 1A, by row and column, or not at all. */
  readonly labels: 'A1' | '1A' | 'words' | 'none';
  readonly sizesBy: 'dash' | 'same' | 'colour' | 'layers';
  /** Pages stored on their side and turned back by the viewer. */
  readonly turned: boolean;
  /** Every outline of the sheet in one path object. */
  readonly oneObject: boolean;
  /** Titles set across the lines of the pieces. */
  readonly across: boolean;
  /** A first page with the house's size chart, as rows of cells; null for none. */
  readonly chart: readonly (readonly string[])[] | null;
  /** 1 is true; a printer driver's “fit to page” makes it 0.97. */
  readonly scale: number;
}

export const PLAIN: Making = {
  page: 'a0',
  curves: 'bezier',
  gap: null,
  overlap: 0,
  frame: true,
  cut: false,
  labels: 'A1',
  sizesBy: 'dash',
  turned: false,
  oneObject: false,
  across: false,
  chart: null,
  scale: 1,
};

/** Pages in mm, and the margin of the frame drawn on them. */
const PAGES = { a4: [210, 297], letter: [215.9, 279.4], a0: [1189, 841] } as const;
const MARGIN = 10;
const PT = 72 / 25.4;

const DASHES = ['[] 0 d', '[6 3] 0 d', '[2 2] 0 d', '[8 2 2 2] 0 d'];
const COLOURS = ['0 0 0 RG', '0.8 0 0 RG', '0 0 0.8 RG', '0 0.5 0 RG'];

const rectangle = (x: number, y: number, w: number, h: number): Path =>
  polyline([
    { x, y },
    { x: x + w, y },
    { x: x + w, y: y + h },
    { x, y: y + h },
    { x, y },
  ]);

/** Everything on the sheet, as operators placed on a page. */
function contents(pieces: readonly DrawnPiece[], square: Point, making: Making, to: ToPage): string {
  const ops: string[] = ['0.6 w 0 0 0 RG 0 0 0 rg'];
  const draw = (path: Path): string => stroke(making, to, path);
  const sizes = [...new Set(pieces.flatMap((p) => p.sizes.map((s) => s.size)))];
  sizes.forEach((size, k) => {
    const drawn = pieces.flatMap((p) => p.sizes.filter((s) => s.size === size));
    const look = making.sizesBy === 'dash' ? DASHES[k] : making.sizesBy === 'colour' ? COLOURS[k] : '';
    const outlines = drawn.map((d) => draw(d.cutting));
    const one = making.oneObject ? `${outlines.map((o) => o.replace(/\nS$/, '')).join('\n')}\nS` : outlines.join('\n');
    const body = [
      `q ${look ?? ''}`,
      one,
      'Q',
      ...drawn.flatMap((d) => [...d.notches, ...d.darts, ...d.inner]).map((p) => `q ${look ?? ''}\n${draw(p)}\nQ`),
    ];
    ops.push(...(making.sizesBy === 'layers' ? [`/OC /L${k} BDC`, ...body, 'EMC'] : body));
  });
  for (const p of pieces) {
    ops.push(...arrow(p.grain).map(draw));
    p.words.forEach((w, i) => {
      const at = { x: p.at.x - (making.across ? 60 : 0), y: p.at.y + 9 * i };
      ops.push(word(to, at, w, making.across ? 14 : 5));
    });
  }
  ops.push(draw(rectangle(square.x, square.y, 100, 100)));
  const beside = { x: square.x + 10, y: square.y + 50 };
  ops.push(word(to, beside, '10 cm x 10 cm (4 in)'));
  return ops.join('\n');
}

/** What a page is called, from its row and column. */
function labelOf(labels: Making['labels'], row: number, column: number): string {
  const letter = String.fromCharCode(65 + row);
  if (labels === 'none') return '';
  if (labels === 'words') return `row ${row + 1}, column ${column + 1}`;
  return labels === 'A1' ? `${letter}${column + 1}` : `${column + 1}${letter}`;
}

/** A page of words only: the chart, its cells in columns 30 mm wide. */
const chartPage = (rows: readonly (readonly string[])[], to: ToPage): string =>
  rows.flatMap((row, r) => row.map((cell, c) => word(to, { x: 20 + 30 * c, y: 40 + 8 * r }, cell, 4))).join('\n');

/** The file: pieces of a nest on one sheet, cut into pages where the page is smaller. */
export function printAtHome(pieces: readonly DrawnPiece[], making: Making = PLAIN): Uint8Array {
  const all = boundsOf(pieces.flatMap((p) => p.sizes.flatMap((s) => flatten(s.cutting, 0.5))));
  const square = { x: all.minX, y: all.maxY + 20 };
  const sheet = { left: all.minX - 10, top: all.minY - 10, right: all.maxX + 10, bottom: square.y + 110 };
  const [width, height] = PAGES[making.page];
  const [w, h] =
    making.page === 'a0'
      ? [sheet.right - sheet.left, sheet.bottom - sheet.top]
      : [width - 2 * MARGIN, height - 2 * MARGIN];
  const [stepX, stepY] = [w - making.overlap, h - making.overlap];
  const across = making.page === 'a0' ? 1 : Math.ceil((sheet.right - sheet.left - making.overlap) / stepX);
  const down = making.page === 'a0' ? 1 : Math.ceil((sheet.bottom - sheet.top - making.overlap) / stepY);
  const size: readonly [number, number] = making.page === 'a0' ? [w, h] : [width, height];
  const margin = making.page === 'a0' ? 0 : MARGIN;
  const first: ToPage = { left: 0, bottom: size[1], scale: 1, cut: null };
  const pages: string[] = making.chart ? [chartPage(making.chart, first)] : [];
  for (let row = 0; row < down; row++)
    for (let column = 0; column < across; column++) {
      const [left, top] = [sheet.left + column * stepX, sheet.top + row * stepY];
      const window = { minX: left, minY: top, maxX: left + w, maxY: top + h };
      const to = {
        left: left - margin,
        bottom: top + h + margin,
        scale: making.scale,
        cut: making.cut ? window : null,
      };
      const clip = `${margin * PT} ${margin * PT} ${w * PT} ${h * PT} re W n`;
      const label = labelOf(making.labels, row, column);
      const own: ToPage = { left: 0, bottom: size[1], scale: 1, cut: null };
      const drawn = [
        `q ${clip}`,
        contents(pieces, square, making, to),
        'Q',
        ...(making.frame && margin > 0
          ? [`0.3 w 0.6 0.6 0.6 RG ${stroke({ curves: 'bezier', gap: null }, own, rectangle(margin, margin, w, h))}`]
          : []),
        ...(margin > 0 && label !== '' ? [word(own, { x: margin + 4, y: margin + 8 }, label, 6)] : []),
      ].join('\n');
      pages.push(making.turned ? `0 1 -1 0 ${size[1] * PT} 0 cm\n${drawn}` : drawn);
    }
  const stored: readonly [number, number] = making.turned ? [size[1] * PT, size[0] * PT] : [size[0] * PT, size[1] * PT];
  const sizes = [...new Set(pieces.flatMap((p) => p.sizes.map((s) => s.size)))];
  // Objects of a hand-written file: catalog, pages, then two for each page; what comes after them is numbered from there.
  const after = 3 + 2 * pages.length;
  const font = '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>';
  const layers = making.sizesBy === 'layers' ? sizes.map((s) => `<< /Type /OCG /Name (Size ${s}) >>`) : [];
  const refs = layers.map((_, i) => `${after + 1 + i} 0 R`);
  return pagesPdf(
    pages,
    stored,
    making.turned ? '/Rotate 90 ' : '',
    layers.length > 0 ? `/OCProperties << /OCGs [${refs.join(' ')}] /D << /ON [${refs.join(' ')}] >> >> ` : '',
    [font, ...layers],
    `/Font << /F1 ${after} 0 R >> ${layers.length > 0 ? `/Properties << ${refs.map((r, i) => `/L${i} ${r}`).join(' ')} >>` : ''}`,
  );
}
