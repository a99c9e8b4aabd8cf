import { describe, expect, it } from 'vitest';
import { NEST, PLAIN, printAtHome, sheetOf } from '../../testing/printAtHome/index.ts';
import { readPrinted } from '../../testing/printed.ts';
import { expectOk } from '../../units/index.ts';

const WORDS = ['Front', 'Size 36 38 40', 'cut 1 on fold', 'Seam allowance 1 cm included'];
const top = sheetOf('causeway-side', [
  ['front', WORDS],
  ['back', ['Back', 'cut 1 on fold']],
]);
const read = async (making: Partial<typeof PLAIN> = {}) =>
  expectOk(await readPrinted(printAtHome(top, { ...PLAIN, ...making })), 'file');

describe('a file that another program printed', () => {
  it('keeps sizes of one colour apart that differ only in their dashes', async () => {
    const lines = await read();
    // Solid, 6 and 3, 2 and 2 points: one look for each size, each with both outlines in it.
    const long = lines.strokes.filter((s) => s.path.segments.length > 8);
    const looks = new Set(long.map((s) => s.style));
    expect(looks.size).toBe(NEST.length);
    expect(lines.styles.map((s) => s.dash)).toEqual([[], [2.1, 1.1], [0.7, 0.7]]);
  });
});
