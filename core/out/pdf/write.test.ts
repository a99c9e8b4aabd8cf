import { describe, expect, it } from 'vitest';
import { draftCauseway } from '../../blocks/index.ts';
import { pageMap } from '../pages.ts';
import { POINT, TEST_SQUARE, TEST_SQUARE_INCH, writePdf, type PdfConstructor } from './index.ts';

type Call = readonly [string, ...unknown[]];
/** Stands in for the PDF library and writes down what it was told. */
function recorder(): { readonly calls: Call[]; readonly Doc: PdfConstructor } {
  const calls: Call[] = [];
  class Doc {
    listeners: Record<string, (chunk: Uint8Array) => void> = {};
    constructor(options: unknown) {
      calls.push(['new', options]);
      return new Proxy(this, {
        get: (target, name: string, self) => {
          if (name === 'on') return (event: string, f: (chunk: Uint8Array) => void) => (target.listeners[event] = f);
          if (name === 'page') return { resources: { data: {} } };
          if (name === '_root') return { data: {} };
          if (name === 'ref') return () => ({ end: () => undefined });
          if (name === 'heightOfString') return () => 10 * POINT;
          if (name === 'end')
            return () => {
              target.listeners['data']?.(new Uint8Array([1, 2]));
              target.listeners['data']?.(new Uint8Array([3]));
              target.listeners['end']?.(new Uint8Array());
            };
          return (...args: unknown[]) => {
            calls.push([name, ...args]);
            return self as unknown;
          };
        },
      });
    }
  }
  return { calls, Doc };
}

const pieces = draftCauseway('4');
async function write(paper: 'a4' | 'letter', original = pieces) {
  const { calls, Doc } = recorder();
  const map = pageMap(pieces, paper);
  const bytes = await writePdf(Doc, {
    map,
    label: {
      wearer: 'Marit',
      pattern: 'Causeway',
      size: '4',
      date: '2026-11-23',
      changes: { front: 'Full bust: +4.8 cm' },
      words: { front: 'cut once, pocket side' },
    },
    original,
    notes: ['Cut on the grain.'],
    fonts: { text: new Uint8Array(), bold: new Uint8Array() },
  });
  return { calls, map, bytes, named: (name: string) => calls.filter((c) => c[0] === name) };
}

describe('the PDF', () => {
  it.each([
    ['a4', 210, 297],
    ['letter', 215.9, 279.4],
  ] as const)('has one page for the map and one for each tile, %s at true size', async (paper, width, height) => {
    const { named, map } = await write(paper);
    expect(named('addPage')).toHaveLength(map.pageCount);
    for (const [, options] of named('addPage')) {
      const { size } = options as { size: [number, number] };
      expect(size[0] / POINT).toBeCloseTo(width, 9);
      expect(size[1] / POINT).toBeCloseTo(height, 9);
    }
  });

  it('draws a square of 100 mm and one of 4 inches', async () => {
    const { named } = await write('a4');
    const squares = named('rect')
      .filter(([, , , w, h]) => w === h)
      .map(([, , , w]) => (w as number) / POINT);
    expect(squares[0]).toBeCloseTo(TEST_SQUARE, 9);
    expect(squares[1]).toBeCloseTo(TEST_SQUARE_INCH, 9);
    expect(TEST_SQUARE_INCH).toBeCloseTo(101.6, 9);
  });

  it('puts every tile where the map says, so that neighbours agree to the point', async () => {
    const { named, map } = await write('a4');
    // The names on the map of the first page come before the tiles.
    const shifts = named('translate')
      .slice(map.placed.length)
      .map(([, x, y]) => [(x as number) / POINT, (y as number) / POINT]);
    map.tiles.forEach((tile, i) =>
      map.placed.forEach((p, k) => {
        const [x, y] = shifts[i * map.placed.length + k]!;
        expect(x).toBeCloseTo(10 - tile.column * map.step.width + p.dx, 9);
        expect(y).toBeCloseTo(10 - tile.row * map.step.height + p.dy, 9);
      }),
    );
  });

  it('labels pieces with who, what, when and what was changed, and names the neighbours of each page', async () => {
    const { named } = await write('a4');
    const text = named('text').map(([, t]) => String(t));
    for (const wanted of [
      'Bodice front',
      'Full bust: +4.8 cm',
      'as drafted',
      'Marit · 2026-11-23',
      'place on the fold',
      'This square measures 100 mm.',
      'joins A2',
      'joins B1',
      'A1',
      'Cut on the grain.',
      'cut once, pocket side',
    ])
      expect(text).toContain(wanted);
    expect(text.some((t) => /page 2 of \d+/.test(t))).toBe(true);
  });

  it('leaves the untouched outline out when it is not asked for', async () => {
    const dashes = async (original: typeof pieces) =>
      (await write('a4', original))
        .named('dash')
        .filter(([, length]) => Math.abs((length as number) / POINT - 1) < 1e-9).length;
    expect(await dashes([...pieces])).toBeGreaterThan(0);
    expect(await dashes([])).toBe(0);
  });

  it('hands back all the bytes in order, and asks the library for no built-in font', async () => {
    const { bytes, named } = await write('a4');
    expect([...bytes]).toEqual([1, 2, 3]);
    expect(named('new')[0]?.[1]).toMatchObject({ autoFirstPage: false, font: null, pdfVersion: '1.7' });
  });
});
