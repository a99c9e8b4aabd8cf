import { describe, expect, it } from 'vitest';
import { endOf, joinPaths, pathLength, polyline, type Path, type Point } from '../../../geometry/index.ts';
import { expectOk, TOL } from '../../../units/index.ts';
import { ringThrough } from '../chain.ts';
import { tablesIn } from '../chartText.ts';
import type { Lettering, Lines, Stroke } from '../lines.ts';
import { layTogether } from '../together.ts';
import { lettersJoined } from './lettersJoined.ts';
import { scaleOf, scaleSaid } from './scaleSaid.ts';
import { welded } from './weld.ts';

const line = (points: readonly Point[], style = 'solid', page = 0, closed = false): Stroke => ({
  path: polyline(points),
  closed,
  layer: '',
  style,
  page,
  kind: null,
  block: '',
});
/** A word 2 mm wide for each of its letters. */
const word = (text: string, x: number, y: number, page = 0): Lettering => ({
  text,
  at: { x, y },
  middle: { x: x + text.length, y },
  page,
  layer: '',
  block: '',
});
const drawn = (strokes: readonly Stroke[], letters: readonly Lettering[], pages = 1): Lines => ({
  source: 'pdf',
  strokes,
  letters,
  layers: [],
  styles: [],
  pages: Array.from({ length: pages }, () => ({ width: 210, height: 297 })),
  unit: { name: 'mm', stated: true },
  repairs: [],
  pieces: [],
});

describe('where a page ends', () => {
  const corner = { x: 200, y: 100 };
  const above = polyline([{ x: 0, y: 100 }, { x: 0, y: 0 }, { x: 200, y: 0 }, corner]);
  const below = polyline([corner, { x: 200, y: 250 }, { x: 0, y: 250 }, { x: 0, y: 100 }]);
  it('a crumb of a curve that points back leaves no crossing in the outline', () => {
    // What is left of a curve cut off 3 nanometres before its end may head anywhere.
    const end = { x: 200, y: 100 + 3e-6 };
    const [c1, c2] = [
      { x: 200, y: 100 - 2e-6 },
      { x: 200 + 1e-6, y: 100 + 5e-6 },
    ];
    const crumb: Path = { start: corner, segments: [{ kind: 'cubic', c1, c2, to: end }] };
    const whole = joinPaths([above, crumb, { ...below, start: end }]);
    const ring = expectOk(ringThrough([{ ...line([corner]), path: whole, closed: true }], 0), 'ring');
    expect(ring.path.segments.every((g) => g.kind === 'line')).toBe(true);
    expect(endOf(ring.path)).toEqual(ring.path.start);
    expect(pathLength(ring.path)).toBeCloseTo(900, 4);
  });
  it('a line that only touches the next page leaves nothing there', () => {
    const notch = line([
      { x: 50, y: 94 },
      { x: 50, y: 100.0001 },
    ]);
    const across = line([
      { x: 80, y: 90 },
      { x: 80, y: 110 },
    ]);
    const next = { x: 0, y: -400 };
    const laid = layTogether(drawn([notch, across], [], 2), {
      placing: [{ x: 0, y: 0 }, next],
      full: null,
      window: {
        minX: 0,
        minY: 100,
        maxX: 210,
        maxY: 297,
      },
    });
    expect(laid.strokes.map((s) => s.path.start.x)).toEqual([80]);
    expect(pathLength(laid.strokes[0]!.path)).toBeCloseTo(10, 6);
    expect(laid.strokes.every((s) => pathLength(s.path) > TOL.meets)).toBe(true);
  });

  it('a page at the edge of the sheet keeps its overlap: no other page draws what stands there', () => {
    const short = (x: number, page: number) =>
      line(
        [
          { x, y: 50 },
          { x, y: 80 },
        ],
        'solid',
        page,
      );
    // Two pages of 200 beside each other, over each other by 10: the strip of the first is the second's to draw.
    const sheet = drawn([short(195, 0), short(195, 1)], [], 2);
    const placing = [
      { x: 0, y: 0 },
      { x: 190, y: 0 },
    ];
    const full = { minX: 0, minY: 0, maxX: 200, maxY: 280 };
    const laid = layTogether(sheet, { placing, window: { ...full, maxX: 190, maxY: 270 }, full });
    expect(laid.strokes.map((s) => s.path.start.x)).toEqual([385]);
  });
});

describe('bits of line', () => {
  const leg = (gap: number) =>
    [0, 60, 120].map((x) =>
      line([
        { x: x + (x > 0 ? gap : 0), y: 5 },
        { x: x + 60, y: 5 },
      ]),
    );
  it('that go straight on over gaps of half a millimetre are one line, however they are drawn', () => {
    for (const bits of [leg(0.5), leg(0), [...leg(0.5)].reverse()]) {
      const [one, ...more] = welded(bits);
      expect(more).toEqual([]);
      expect(one?.path.segments).toHaveLength(1);
      expect(pathLength(one!.path)).toBeCloseTo(180, 6);
    }
  });
  it('stay apart over a wider gap, round a corner, in another look, and where two ways go on', () => {
    expect(welded(leg(1.5))).toHaveLength(3);
    const corner = [
      line([
        { x: 0, y: 0 },
        { x: 50, y: 0 },
      ]),
      line([
        { x: 50, y: 0 },
        { x: 50, y: 40 },
      ]),
    ];
    expect(welded(corner)).toHaveLength(2);
    const looks = leg(0).map((s, i) => ({ ...s, style: i === 1 ? 'dashed' : 'solid' }));
    expect(welded(looks)).toHaveLength(3);
    const fork = [
      line([
        { x: 0, y: 0 },
        { x: 50, y: 0 },
      ]),
      line([
        { x: 50, y: 0 },
        { x: 100, y: 1 },
      ]),
      line([
        { x: 50, y: 0 },
        { x: 100, y: -1 },
      ]),
    ];
    expect(welded(fork)).toHaveLength(3);
  });
  it('keep the curve they make', () => {
    const arc = (from: number, to: number): readonly Point[] =>
      Array.from({ length: 11 }, (_, i) => {
        const t = from + ((to - from) * i) / 10;
        return { x: 100 * Math.cos(t), y: 100 * Math.sin(t) };
      });
    const [one, ...more] = welded([line(arc(0, 0.6)), line(arc(0.6, 1.2))]);
    expect(more).toEqual([]);
    expect(one?.path.segments.length).toBeGreaterThan(15);
    expect(endOf(one!.path).x).toBeCloseTo(100 * Math.cos(1.2), 6);
  });
});

describe('words in bits', () => {
  it('on one level line are one text; letters that two pages both show stand once', () => {
    const apart = lettersJoined([word('38', 20, 10), word('Size', 8, 10.2), word('40', 26, 10)]);
    expect(apart.map((l) => l.text)).toEqual(['Size 38 40']);
    // “Seam allow” ends 20 mm along, “allowance 1 cm” begins at 10: five letters are on both pages.
    const cut = lettersJoined([word('Seam allow', 0, 5), word('allowance 1 cm', 10, 5)]);
    expect(cut.map((l) => l.text)).toEqual(['Seam allowance 1 cm']);
  });
  it('stay apart across a column, or on another line', () => {
    expect(lettersJoined([word('Front', 0, 5), word('Back', 60, 5), word('Cut 2', 0, 12)])).toHaveLength(3);
  });
});

describe('a test square', () => {
  const square = (side: number, page = 0) =>
    line(
      [
        { x: 20, y: 20 },
        { x: 20 + side, y: 20 },
        { x: 20 + side, y: 20 + side },
        { x: 20, y: 20 + side },
        { x: 20, y: 20 },
      ],
      'solid',
      page,
      true,
    );
  it('makes a print true by the length beside it: of two the one it measures, else the one named first', () => {
    expect(scaleSaid(drawn([square(97)], [word('10 cm', 30, 60)]))?.scale).toBeCloseTo(100 / 97, 6);
    expect(scaleSaid(drawn([square(101.6)], [word('10 cm (4 in)', 30, 60)]))).toMatchObject({ scale: 1, said: 101.6 });
    expect(scaleSaid(drawn([square(98.5)], [word('10 cm (4 in)', 30, 60)]))?.said).toBe(100);
    expect(scaleSaid(drawn([square(97)], [word('10 cm', 160, 200)]))).toBeNull();
    expect(scaleSaid(drawn([square(97)], [word('Front', 30, 60)]))).toBeNull();
  });
  it('tells as well from a page of its own before the drawing, by the words on that page alone', () => {
    const pages = drawn([square(97, 0)], [word('10 cm', 30, 60, 0), word('5 cm', 30, 60, 1)], 2);
    expect(scaleOf(pages, drawn([], []))).toBeCloseTo(100 / 97, 6);
    expect(scaleOf(drawn([square(97, 0)], [word('10 cm', 30, 60, 1)], 2), drawn([], []))).toBe(1);
  });
});

describe('a table that stands in a file as text', () => {
  const cells = (rows: readonly (readonly string[])[], y = 40): readonly Lettering[] =>
    rows.flatMap((row, r) => row.map((text, c) => word(text, 20 + 30 * c, y + 8 * r)));
  it('is read by rows and columns, with its headings and the title above', () => {
    const rows = [
      ['Size', 'Bust', 'Waist'],
      ['36', '84', '66'],
      ['38', '88', '70'],
    ];
    const [table] = tablesIn(drawn([], [word('Body measurements in cm', 20, 30), ...cells(rows)]));
    expect(table).toBe('Body measurements in cm\nSize\tBust\tWaist\n36\t84\t66\n38\t88\t70');
  });
  it('keeps a gap where a cell is empty, and is none where numbers stand about', () => {
    const [table] = tablesIn(
      drawn(
        [],
        [
          ...cells([
            ['Size', 'Bust', 'Waist'],
            ['36', '84', '66'],
          ]),
          word('38', 20, 56),
          word('70', 80, 56),
        ],
      ),
    );
    expect(table?.split('\n').at(-1)).toBe('38\t\t70');
    expect(tablesIn(drawn([], [word('12', 20, 20), word('2026', 90, 200), word('Page 3', 20, 280)]))).toEqual([]);
  });
});
