import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { writeDxf, writeSvg } from '@ample/core/out';
import { draftSample } from '@ample/core/blocks';
import { patternSchema, validatePiece } from '@ample/core/pattern';
import { draftedNest, PLAIN, printAtHome, roleLengths, sheetOf } from '@ample/core/testing/printAtHome';
import { main } from './main.ts';

let folder = '';
const put = (name: string, bytes: Uint8Array | string): string => {
  const path = join(folder, name);
  writeFileSync(path, bytes);
  return path;
};
const ample = (...args: string[]) => main(args, '2026-11-28');
const printed = (forAll: readonly string[], titles: readonly [string, string] = ['Front', 'Back']) =>
  printAtHome(
    sheetOf('causeway-side', [
      ['front', [titles[0], ...forAll, 'cut 1 on fold']],
      ['back', [titles[1], 'cut 1 on fold']],
    ]),
  );

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'ample-take-'));
});

describe('bring --take', () => {
  it('gives every piece of a size with its lengths on the seam line, and writes the pattern in all sizes', async () => {
    const file = put('top.pdf', printed(['Size 36 38 40', 'Seam allowance 1 cm included']));
    const out = join(folder, 'out');
    const done = await ample('bring', file, '--take', '--size', '38', '--out', out);
    expect([done.code, done.err]).toEqual([0, '']);
    const report = JSON.parse(done.out);
    expect(report).toMatchObject({ scale: 1, size: '38', sizes: ['36', '38', '40'], questions: [] });
    for (const piece of report.pieces) {
      const drawn = draftedNest('causeway-side', piece.id)[1]![1];
      expect(piece).toMatchObject({ part: drawn.part, cut: 1, onFold: true, allowance: 10 });
      for (const [role, length] of roleLengths(drawn)) {
        const edges = piece.edges.filter((e: { role: string }) => e.role === role);
        const sum = edges.reduce((s: number, e: { length: number }) => s + e.length, 0);
        if (role !== 'dart') expect(Math.abs(sum - length), `${piece.id} ${role}`).toBeLessThan(0.3);
      }
    }
    const front = report.pieces.find((p: { id: string }) => p.id === 'front');
    expect(front.darts).toHaveLength(1);
    expect(front.darts[0].legs[0]).toBeCloseTo(front.darts[0].legs[1], 0);
    const side = report.seams.find((s: { id: string }) => s.id === 'side');
    expect(Math.abs(side.difference)).toBeLessThan(0.5);

    const pattern = patternSchema.parse(JSON.parse(readFileSync(join(out, 'pattern.json'), 'utf8')));
    expect(Object.keys(pattern.sizes).sort()).toEqual(['36', '38', '40']);
    expect(pattern.chart.map((r) => r.size)).toEqual(['36', '38', '40']);
    for (const pieces of Object.values(pattern.sizes)) {
      expect(pieces.map((p) => p.id).sort()).toEqual(['back', 'front']);
      expect(pieces.flatMap((p) => validatePiece(p))).toEqual([]);
    }
  });

  it('reads the size chart where it stands in the file as text, in the unit it names', async () => {
    const pieces = sheetOf('causeway-side', [
      ['front', ['Front', 'Size 36 38 40', 'Seam allowance 1 cm included', 'cut 1 on fold']],
    ]);
    const chart = [
      ['Body measurements in inches'],
      ['Size', 'Bust', 'Waist', 'Hips'],
      ['36', '33 1/8', '26', '36'],
      ['38', '34 5/8', '27 1/2', '37 1/2'],
      ['40', '36 1/4', '29 1/8', '39'],
    ];
    const file = put('chart.pdf', printAtHome(pieces, { ...PLAIN, page: 'a4', cut: true, overlap: 10, chart }));
    const out = join(folder, 'chart');
    const done = await ample('bring', file, '--take', '--size', '38', '--out', out);
    expect([done.code, done.err]).toEqual([0, '']);
    const { chart: rows } = patternSchema.parse(JSON.parse(readFileSync(join(out, 'pattern.json'), 'utf8')));
    expect(rows.map((r) => r.size)).toEqual(['36', '38', '40']);
    // 34 5/8 inches are 879.475 mm.
    expect(rows[1]?.body.fullBust).toBeCloseTo(879.475, 3);
    expect(rows[2]?.body.hip).toBeCloseTo(39 * 25.4, 3);
    expect(JSON.parse(done.out).chart).toHaveLength(3);
  });

  it('asks instead of guessing: a piece without a name, an allowance nobody told', async () => {
    const file = put('nameless.pdf', printed(['Size 36 38 40'], ['7', 'Back']));
    const asked = await ample('bring', file, '--take', '--size', '38');
    expect(asked.code).toBe(3);
    const report = JSON.parse(asked.out);
    expect(report.pieces).toEqual([]);
    expect(report.questions.map((q: { code: string }) => q.code)).toEqual(
      expect.arrayContaining(['which-part', 'which-allowance']),
    );
    // Told the allowance, the back is sure; the nameless one is still asked about.
    const told = await ample('bring', file, '--take', '--size', '38', '--allowance', '10');
    expect(told.code).toBe(3);
    expect(JSON.parse(told.out).pieces.map((p: { id: string }) => p.id)).toEqual(['back']);
  });

  it('refuses a size the file does not have, a file without a piece, and an allowance that is none', async () => {
    const file = put('sizes.pdf', printed(['Size 36 38 40', 'Seam allowance 1 cm included']));
    const size = await ample('bring', file, '--take', '--size', '46');
    expect([size.code, size.err]).toEqual([1, 'file-no-size: The file has no size 46. It has 36, 38, 40.\n']);
    const line = put(
      'line.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="300mm" viewBox="0 0 300 300"><path d="M10 10 L200 10"/></svg>',
    );
    expect((await ample('bring', line, '--take')).err).toMatch(/^file-no-piece: No closed outline/);
    expect((await ample('bring', file, '--take', '--allowance', 'wide')).code).toBe(2);
  });

  it.each(['svg', 'dxf'] as const)('takes the pieces of a %s of our own as they are', async (kind) => {
    const pieces = draftSample('causeway-side', '4');
    const file = put(
      `own.${kind}`,
      kind === 'svg' ? writeSvg(pieces, { title: 'own' }) : writeDxf([{ size: '4', pieces }]),
    );
    const done = await ample('bring', file, '--take');
    expect(done.err).toBe('');
    const report = JSON.parse(done.out);
    for (const drawn of pieces) {
      const got = report.pieces.find((p: { part: string }) => p.part === drawn.part);
      expect(got?.onFold, drawn.id).toBe(drawn.fold !== null);
      expect(got?.darts, drawn.id).toHaveLength(drawn.darts.length);
    }
  });
});
