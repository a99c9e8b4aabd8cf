import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { flatten, pathLength } from '../../geometry/index.ts';
import { sampleIn } from '../../testing/samples.ts';
import { boxOf, type Lines } from '../tracing/index.ts';
import { expectOk, type Result } from '../../units/index.ts';
import { sayFileRefusal, sayRepair } from '../../words/index.ts';
import { writeDxf } from '../../out/dxf.ts';
import { writeSvg } from '../../out/svg.ts';
import { readDxf, readSvg } from './index.ts';

const UNITS = { unit: 'cm', fraction: 8 } as const;
const svg = (inside: string, head = 'width="200mm" height="100mm" viewBox="0 0 200 100"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${head}>${inside}</svg>`;
const svgLines = (inside: string, head?: string): Lines => expectOk(readSvg(svg(inside, head)), 'svg');
const lengths = (l: Lines): readonly number[] => l.strokes.map((s) => pathLength(s.path));
const codeOf = (r: Result<unknown>): string => (r.ok ? 'read' : r.error.code);
const tags = (...pairs: readonly (readonly [number, string | number])[]): string =>
  pairs.map(([c, v]) => `${c}\n${v}`).join('\n');
const entities = (...pairs: readonly (readonly [number, string | number])[]): string =>
  tags([0, 'SECTION'], [2, 'ENTITIES'], ...pairs, [0, 'ENDSEC'], [0, 'EOF']);

describe('readSvg', () => {
  it.each([
    ['width="200mm" viewBox="0 0 200 100"', 50],
    ['width="20cm" viewBox="0 0 400 200"', 25],
    ['width="4in" viewBox="0 0 288 144"', (50 * 25.4) / 72],
    ['width="400" height="200"', (50 * 25.4) / 96],
    ['viewBox="0 0 400 200"', (50 * 25.4) / 96],
  ])('takes the scale from %s', (head, length) => {
    expect(lengths(svgLines('<path d="M0 0H50" stroke="#000"/>', head))[0]).toBeCloseTo(length, 9);
  });

  it('draws every shape, with transforms from the inside out', () => {
    const lines = svgLines(
      '<g transform="translate(10 20) rotate(90)"><line x1="0" y1="0" x2="30" y2="0"/></g>' +
        '<rect x="1" y="2" width="30" height="20"/><circle cx="50" cy="50" r="10"/><polygon points="0,0 30,0 30,40"/>' +
        '<path d="m0 0 q 10 10 20 0 t 20 0 s 5 5 10 0 a 5 5 0 0 1 10 0 z"/>',
    );
    const [line, rect, circle, triangle] = lines.strokes;
    expect(line?.path).toMatchObject({ start: { x: 10, y: 20 } });
    expect(line?.path.segments[0]?.to.x).toBeCloseTo(10, 9);
    expect(line?.path.segments[0]?.to.y).toBeCloseTo(50, 9);
    expect(
      lengths(lines)
        .slice(1, 4)
        .map((n) => Math.round(n * 10) / 10),
    ).toEqual([100, 62.8, 120]);
    expect([rect?.closed, circle?.closed, triangle?.closed]).toEqual([true, true, true]);
    expect(lines.strokes).toHaveLength(5);
  });

  it('keeps layers, colours and dashes, from attributes, style and classes', () => {
    const lines = svgLines(
      '<style>.a{stroke:#F00;stroke-dasharray:2 1} .b{display:none}</style>' +
        '<g id="Size 38"><path class="a" d="M0 0H9"/></g><g id="Size 40" style="display:none"><path d="M0 0H9" style="stroke:rgb(0,0,255)"/></g>' +
        '<path class="b" d="M0 0H9"/>',
    );
    expect(lines.layers).toEqual([
      { id: 'Size 38', name: 'Size 38', on: true },
      { id: 'Size 40', name: 'Size 40', on: false },
    ]);
    const style = (i: number) => lines.styles.find((s) => s.id === lines.strokes[i]?.style);
    expect(style(0)).toMatchObject({ color: '#ff0000', dash: [2, 1] });
    expect(style(1)).toMatchObject({ color: '#0000ff', dash: [] });
    expect(lines.strokes).toHaveLength(2);
  });

  it('runs nothing and fetches nothing: what could is left out and said', () => {
    const lines = svgLines(
      '<script>document.title="x"</script><foreignObject><p>hi</p></foreignObject><image href="https://example.invalid/x.png"/>' +
        '<use href="https://example.invalid/y.svg#a"/><path d="M0 0H50" onclick="alert(1)"/>',
    );
    expect(lines.strokes).toHaveLength(1);
    expect(lines.repairs.map((r) => [r.code, r.data['count']])).toEqual([
      ['repair-active-content', 2],
      ['repair-outside-reference', 2],
    ]);
    for (const r of lines.repairs) expect(sayRepair(r, UNITS)).toMatch(/left out/);
  });

  it('is not unfolded by references into references, however they nest', () => {
    const bomb = Array.from(
      { length: 40 },
      (_, i) => `<g id="g${i}">${`<use href="#g${i + 1}"/>`.repeat(10)}</g>`,
    ).join('');
    const t = performance.now();
    const result = readSvg(svg(`<path d="M0 0H50"/>${bomb}<g id="g40"><path d="M0 0H9"/></g><use href="#g0"/>`));
    expect(result.ok && result.value.repairs.some((r) => r.code === 'repair-nested')).toBe(true);
    expect(performance.now() - t).toBeLessThan(10_000);
  });

  it.each([
    [
      '<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;">]>' + svg('<text>&b;</text>'),
      'xml-entities',
    ],
    ['<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]>' + svg('<text>&x;</text>'), 'xml-entities'],
    [svg('<g>'.repeat(300) + '</g>'.repeat(300)), 'xml-too-deep'],
    [svg('<path d="M0 0H50"'), 'xml-broken'],
    ['<html><body/></html>', 'svg-not-a-drawing'],
    ['', 'xml-broken'],
    [svg('<text>only words</text>'), 'lines-none'],
    [svg('<path d="M0 0H0V0"/>'), 'lines-none'],
    [svg(`<path d="M0 0${'l1 1'.repeat(500_000)}"/>`), 'lines-too-many'],
  ])('refuses what is no drawing, in a sentence (%#)', (text, code) => {
    const result = readSvg(text);
    expect(codeOf(result)).toBe(code);
    if (!result.ok) expect(sayFileRefusal(result.error, UNITS)).toMatch(/^[A-Z“].*\.$/);
  });

  it('takes the short names some editors declare, and drops numbers that are none', () => {
    const text = `<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY ns_svg "http://www.w3.org/2000/svg">]><svg xmlns="&ns_svg;" width="100mm" viewBox="0 0 100 100"><path d="M0 0H50"/><path d="M0 NaNL5 5"/><path d="M0 0L1e999 5"/></svg>`;
    const lines = expectOk(readSvg(text), 'names');
    expect(lines.strokes.every((s) => Number.isFinite(pathLength(s.path)))).toBe(true);
    expect(lines.repairs.map((r) => r.code)).toContain('repair-not-a-number');
  });
});

describe('readDxf', () => {
  it('reads lines, bulges, arcs, circles, ellipses and splines where they are', () => {
    const lines = expectOk(
      readDxf(
        entities(
          ...([
            [0, 'LINE'],
            [8, 'a'],
            [10, 0],
            [20, 0],
            [11, 300],
            [21, 400],
          ] as const),
          ...([
            [0, 'LWPOLYLINE'],
            [8, 'a'],
            [90, 2],
            [70, 1],
            [10, 0],
            [20, 0],
            [42, 1],
            [10, 200],
            [20, 0],
            [42, 1],
          ] as const),
          ...([
            [0, 'ARC'],
            [8, 'a'],
            [10, 0],
            [20, 0],
            [40, 100],
            [50, 350],
            [51, 80],
          ] as const),
          ...([
            [0, 'CIRCLE'],
            [8, 'a'],
            [10, 5],
            [20, 5],
            [40, 50],
          ] as const),
          ...([
            [0, 'ELLIPSE'],
            [8, 'a'],
            [10, 0],
            [20, 0],
            [11, 100],
            [21, 0],
            [40, 0.5],
            [41, 0],
            [42, 6.283185307179586],
          ] as const),
        ),
      ),
      'dxf',
    );
    const [line, bulged, arc, circle, ellipse] = lengths(lines);
    expect(line).toBeCloseTo(500, 6);
    // Two half circles of 200 across; a quarter of 100; by hand.
    expect(bulged).toBeCloseTo(Math.PI * 200, 2);
    expect(arc).toBeCloseTo((Math.PI / 2) * 100, 2);
    expect(circle).toBeCloseTo(Math.PI * 100, 2);
    // Ramanujan's sum for an ellipse of 100 and 50.
    expect(ellipse).toBeCloseTo(484.42, 1);
  });

  it.each([1e300, -1e300, 1e154, 1e-12])(
    'takes a bulge of %d, whose arc nobody could draw, for a straight',
    (bulge) => {
      const corner = (x: number, y: number) => [[10, x] as const, [20, y] as const, [42, bulge] as const];
      const corners = [...corner(0, 0), ...corner(300, 0), ...corner(300, 400)];
      const drawn = readDxf(entities([0, 'LWPOLYLINE'], [8, 'a'], [90, 3], [70, 1], ...corners));
      // By hand: 300 across, 400 down and 500 back.
      expect(lengths(expectOk(drawn, 'dxf'))[0]).toBeCloseTo(1200, 6);
    },
  );

  it('reads a spline as the curve it is', () => {
    // A clamped cubic with no inner knot is one Bézier curve.
    const lines = expectOk(
      readDxf(
        entities(
          [0, 'SPLINE'],
          [8, 'a'],
          [71, 3],
          ...[0, 0, 0, 0, 1, 1, 1, 1].map((k) => [40, k] as const),
          [10, 0],
          [20, 0],
          [10, 0],
          [20, 200],
          [10, 200],
          [20, 200],
          [10, 200],
          [20, 0],
        ),
      ),
      'spline',
    );
    const points = flatten(lines.strokes[0]?.path ?? { start: { x: 0, y: 0 }, segments: [] }, 0.001);
    expect(Math.max(...points.map((p) => p.x))).toBeCloseTo(200, 2);
    // Its highest point, at half the parameter: three quarters of 200.
    const ys = points.map((p) => p.y);
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(150, 2);
    expect(lengths(lines)[0]).toBeGreaterThan(2 * Math.hypot(100, 150));
  });

  it.each([
    ['4', 440, 440, 'mm', true],
    ['1', 17, 431.8, 'in', true],
    ['5', 44, 440, 'cm', true],
    ['', 440, 440, 'mm', false],
    ['', 44, 440, 'cm', false],
    ['', 17, 431.8, 'in', false],
  ])('takes the unit the file says (%s), or the likely one for %d', (said, size, mm, name, stated) => {
    const header =
      said === '' ? '' : `${tags([0, 'SECTION'], [2, 'HEADER'], [9, '$INSUNITS'], [70, said], [0, 'ENDSEC'])}\n`;
    const text = header + entities([0, 'LINE'], [8, 'a'], [10, 0], [20, 0], [11, size], [21, 0]);
    const lines = expectOk(readDxf(text), 'unit');
    expect(lines.unit).toEqual({ name, stated });
    expect(lengths(lines)[0]).toBeCloseTo(mm, 6);
  });

  it('reads what is there of a file without an end, and says so', () => {
    const text = tags(
      [0, 'SECTION'],
      [2, 'ENTITIES'],
      [0, 'POLYLINE'],
      [8, 'a'],
      [70, 1],
      [0, 'VERTEX'],
      [8, 'a'],
      [10, 0],
      [20, 0],
      [0, 'VERTEX'],
      [8, 'a'],
      [10, 300],
      [20, 0],
      [0, 'VERTEX'],
      [8, 'a'],
      [10, 300],
      [20, 400],
    );
    const lines = expectOk(readDxf(text), 'no end');
    expect(lengths(lines)[0]).toBeCloseTo(1200, 6);
    expect(lines.repairs.map((r) => r.code)).toEqual(['repair-no-end']);
  });

  it('follows blocks in blocks only so far', () => {
    const text = tags(
      [0, 'SECTION'],
      [2, 'BLOCKS'],
      [0, 'BLOCK'],
      [2, 'A'],
      [10, 0],
      [20, 0],
      ...Array.from(
        { length: 10 },
        () =>
          [
            [0, 'INSERT'],
            [8, '0'],
            [2, 'A'],
            [10, 1],
            [20, 1],
          ] as const,
      ).flat(),
      [0, 'LINE'],
      [8, 'a'],
      [10, 0],
      [20, 0],
      [11, 300],
      [21, 0],
      [0, 'ENDBLK'],
      [0, 'ENDSEC'],
      [0, 'SECTION'],
      [2, 'ENTITIES'],
      [0, 'INSERT'],
      [8, '0'],
      [2, 'A'],
      [10, 0],
      [20, 0],
      [0, 'ENDSEC'],
      [0, 'EOF'],
    );
    const t = performance.now();
    const result = readDxf(text);
    expect(performance.now() - t).toBeLessThan(10_000);
    expect(result.ok && result.value.repairs.some((r) => r.code === 'repair-nested')).toBe(true);
  });

  it.each([
    ['hello', 'dxf-not-a-drawing'],
    ['SomeMaker Binary DXF\r\n\x1a\0', 'dxf-binary'],
    ['0\nSECTION\n2\nENTITIES\n' + '0\nPOINT\n8\na\n'.repeat(400_002), 'lines-too-many'],
    [entities(), 'lines-none'],
    [entities([0, 'LINE'], [8, 'a'], [10, 'NaN'], [20, 0], [11, 'x'], [21, 0]), 'lines-none'],
  ])('refuses what is no drawing (%#)', (text, code) => {
    const result = readDxf(text);
    expect(codeOf(result)).toBe(code);
    if (!result.ok) expect(sayFileRefusal(result.error, UNITS)).toMatch(/^[A-Z“].*\.$/);
  });
});

describe('damaged files', () => {
  const pieces = sampleIn('causeway', '5').pieces.slice(0, 2);
  const files = [
    ['svg', writeSvg(pieces, { title: 'x' }), readSvg],
    ['dxf', writeDxf([{ size: '5', pieces }]), readDxf],
  ] as const;
  it.each(files)('are refused or read, never thrown at, whatever is changed in a %s', (_, text, read) => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            at: fc.double({ min: 0, max: 1, noNaN: true }),
            take: fc.integer({ min: 0, max: 400 }),
            put: fc.oneof(
              fc.constantFrom(
                '',
                '<',
                '>',
                '"',
                '\n',
                '\0',
                'NaN',
                '1e400',
                '-',
                '<g>',
                '</g>',
                '0\nEOF\n',
                '0\nSEQEND\n',
                '&x;',
              ),
              fc.string({ maxLength: 30 }),
            ),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        (changes) => {
          let changed = text;
          for (const c of changes) {
            const at = Math.floor(c.at * changed.length);
            changed = changed.slice(0, at) + c.put + changed.slice(at + c.take);
          }
          const result = read(changed);
          if (!result.ok) {
            expect(sayFileRefusal(result.error, UNITS)).not.toBe(result.error.code);
            return;
          }
          for (const s of result.value.strokes) {
            const b = boxOf(s.path);
            expect([b.minX, b.minY, b.maxX, b.maxY].every(Number.isFinite)).toBe(true);
          }
        },
      ),
      { seed: 5, numRuns: 60 },
    );
  });
  it('reads any text as a refusal', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 400 }), (text) => {
        expect(codeOf(readSvg(text))).not.toBe('read');
        expect(codeOf(readDxf(text))).not.toBe('read');
      }),
      { seed: 6, numRuns: 200 },
    );
  });
});
