import { describe, expect, it } from 'vitest';
import { causewayPattern, draftCauseway } from '../blocks/index.ts';
import { flatten } from '../geometry/index.ts';
import { cuttingLine } from '../pattern/index.ts';
import { workedFront } from '../testing/shapes.ts';
import { expectOk } from '../units/index.ts';
import {
  JOB_VERSION,
  jsonSchema,
  parseJson,
  readJob,
  readPattern,
  readWearer,
  writeDocument,
} from '../documents/index.ts';
import { MARGIN, OVERLAP, pageMap, paperFrom, PAPERS, rowLabel } from './pages.ts';
import { writeSvg } from './svg.ts';

const code = (r: { ok: boolean; error?: { code: string } }) => (r.ok ? 'ok' : r.error?.code);
const round = (value: unknown) => JSON.parse(writeDocument(value)) as unknown;
const wearer = { format: 'ample-draft/wearer', version: 1, id: 'w', name: 'W', sets: [] };
const job = { format: 'ample-draft/job', version: 1, id: 'j', wearer, pattern: { sample: 'causeway' } };

describe('documents', () => {
  it('read back what they wrote, patterns to the last digit', () => {
    const pattern = causewayPattern(['4']);
    const read = readPattern(round(pattern));
    expect(read).toMatchObject({ ok: true });
    if (read.ok) expect(round(read.value)).toEqual(round(pattern));
  });

  it('fill in what may be left out', () => {
    expect(readJob(job)).toMatchObject({
      ok: true,
      value: { size: null, sizeMethod: 'highBust', steps: [], demo: false },
    });
  });

  it.each([
    ['document-wrong-format', () => readWearer({ hello: 1 })],
    ['document-wrong-format', () => readWearer(job)],
    ['document-wrong-format', () => readJob(null)],
    ['document-newer', () => readWearer({ ...wearer, version: 2 })],
    ['document-invalid', () => readWearer({ ...wearer, name: '' })],
    ['document-invalid', () => readWearer({ ...wearer, sets: [{ id: 's', date: 'yesterday', readings: {} }] })],
    ['document-invalid', () => readJob({ ...job, steps: [{ id: 'x' }] })],
    [
      'pattern-invalid',
      () =>
        readPattern({
          ...causewayPattern(['4']),
          seams: [
            { id: 's', kind: 'side', first: { piece: 'no', edges: ['a'] }, second: { piece: 'back', edges: ['side'] } },
          ],
        }),
    ],
    [
      'document-invalid',
      () => readPattern({ ...causewayPattern(['4']), sizes: { '4': [{ ...workedFront(), edges: [] }] } }),
    ],
    ['document-not-json', () => parseJson('{"format": ')],
  ])('refuse with %s', (expected, read) => {
    expect(code(read())).toBe(expected);
  });

  it('say where inside an inline wearer the mistake is, and never take it for a reference', () => {
    const wrong = readJob({
      ...job,
      wearer: { ...wearer, sets: [{ id: 's', date: '2026-01-01', readings: { waist: ['wide'] } }] },
    });
    expect(wrong).toMatchObject({
      ok: false,
      error: { code: 'document-invalid', data: { where: 'wearer.sets.0.readings.waist.0' } },
    });
  });

  it('publish a JSON Schema of each kind', () => {
    for (const kind of ['wearer', 'pattern', 'job'] as const) {
      const schema = jsonSchema(kind) as { type: string; required: string[]; properties: Record<string, unknown> };
      expect(schema.type).toBe('object');
      expect(schema.required).toEqual(expect.arrayContaining(['format', 'version', 'id']));
      expect(schema.required).not.toContain('notes');
    }
  });
});

describe('pages', () => {
  const pieces = draftCauseway('4');

  it.each(['a4', 'letter'] as const)('cover every point of every cutting line on %s, with none empty', (paper) => {
    const map = pageMap(pieces, paper);
    const inTile = (x: number, y: number) =>
      map.tiles.filter(
        (t) =>
          x >= t.column * map.step.width &&
          x <= t.column * map.step.width + map.area.width &&
          y >= t.row * map.step.height &&
          y <= t.row * map.step.height + map.area.height,
      );
    const touched = new Set<string>();
    for (const p of map.placed)
      for (const q of flatten(cuttingLine(p.drawing.piece), 0.5)) {
        const tiles = inTile(q.x + p.dx, q.y + p.dy);
        expect(tiles.length).toBeGreaterThan(0);
        tiles.forEach((t) => touched.add(t.label));
      }
    expect(map.pageCount).toBe(map.tiles.length + 1);
    expect(map.area.width).toBeCloseTo(PAPERS[paper].width - 2 * MARGIN, 9);
    expect(map.area.width - map.step.width).toBe(OVERLAP);
  });

  it('number the pages, name the rows, and keep pieces apart', () => {
    const map = pageMap(pieces, 'a4');
    expect(map.tiles.map((t) => t.page)).toEqual(map.tiles.map((_, i) => i + 2));
    expect(map.tiles[0]?.label).toBe('A1');
    expect([rowLabel(0), rowLabel(25), rowLabel(26)]).toEqual(['A', 'Z', 'AA']);
    const boxes = map.placed.map((p) => ({
      l: p.drawing.bounds.minX + p.dx,
      r: p.drawing.bounds.maxX + p.dx,
      t: p.drawing.bounds.minY + p.dy,
      b: p.drawing.bounds.maxY + p.dy,
    }));
    expect(boxes[0]!.r < boxes[1]!.l || boxes[0]!.b < boxes[1]!.t).toBe(true);
    expect(pageMap([], 'a4').pageCount).toBe(1);
    expect(code(paperFrom('A5'))).toBe('paper-unknown');
  });
});

describe('jobs of an older version', () => {
  const step = (fields: object) => ({ id: 's', alteration: 'full-bust-side-dart', revision: 1, ...fields });
  const read = (version: number, all: readonly object[]) => {
    const steps = all.map((s, i) => ({ ...s, id: `s${i}` }));
    return expectOk(
      readJob({ ...job, version, steps, versions: [{ id: 'v', name: 'v', at: '', steps, body: {} }] }),
      'job',
    );
  };
  it('keep an amount that was typed, and drop one that no longer counted', () => {
    const old = read(2, [
      step({ school: 'own', values: { total: 40, setback: 20 } }),
      step({ school: 'cup', values: { total: 40, setback: 20 } }),
      step({ alteration: 'shoulder-slash', school: 'own', values: {} }),
      step({ alteration: 'shoulder-slash', values: { by: -8 } }),
    ]);
    for (const { steps } of [old, ...old.versions])
      expect(steps.map((s) => [s.school, s.values])).toEqual([
        ['auto', { total: 40, setback: 20 }],
        ['cup', { setback: 20 }],
        ['auto', {}],
        ['auto', { by: -8 }],
      ]);
    expect(old.version).toBe(JOB_VERSION);
    // Since 3 an amount among the values is typed, whatever sum stands beside it.
    expect(read(3, [step({ school: 'cup', values: { total: 40 } })]).steps[0]?.values).toEqual({ total: 40 });
  });
});

describe('svg', () => {
  const pieces = draftCauseway('4');
  it('is in millimetres, with a named group for every piece and kind of line', () => {
    const svg = writeSvg(pieces, { title: 'A < B', original: pieces });
    expect(svg).toMatch(/width="[\d.]+mm" height="[\d.]+mm"/);
    for (const id of [
      'front',
      'front-seam',
      'front-cutting',
      'front-darts',
      'front-notches',
      'front-grain',
      'front-original',
      'back-seam',
    ])
      expect(svg).toContain(`id="${id}"`);
    expect(svg).toContain('A &lt; B');
    expect(svg).not.toMatch(/NaN|undefined/);
  });
});
