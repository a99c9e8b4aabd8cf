import { describe, expect, it } from 'vitest';
import { pathLength } from '../../geometry/index.ts';
import { cuttingLine, type Piece } from '../../pattern/index.ts';
import { ALLOWANCE, draftedNest, NEST, PLAIN, printAtHome, sheetOf } from '../../testing/printAtHome/index.ts';
import { pagesPdf } from '../../testing/handPdf.ts';
import { laidTogether, readPrinted } from '../../testing/printed.ts';
import {
  allRings,
  boxOf,
  firstGuess,
  lettersIn,
  otherSizes,
  plainChoices,
  sizeOf,
  tracePiece,
  type Lines,
  type Traced,
} from '../tracing/index.ts';
import { expectOk } from '../../units/index.ts';

const WORDS = ['Front', 'Size 36 38 40', 'cut 1 on fold', 'Seam allowance 1 cm included'];
type Sample = 'causeway-side';
const sheet = (sample: Sample) =>
  sheetOf(sample, [
    ['front', WORDS],
    ['back', ['Back', 'cut 1 on fold']],
  ]);
const read = async (sample: Sample, making: Partial<typeof PLAIN> = {}): Promise<Lines> =>
  laidTogether(expectOk(await readPrinted(printAtHome(sheet(sample), { ...PLAIN, ...making })), 'file'));

/** The piece as drafted in the middle size of the nest. */
const truthOf = (sample: Sample, id: string): Piece => (draftedNest(sample, id)[1] as readonly [string, Piece])[1];

/** The outline of the middle size traced by its size, its fold told, and nothing else. */
function traced(lines: Lines, truth: Piece): Traced {
  const b = boxOf(cuttingLine(truth));
  const ring = allRings(lines.strokes).find(({ path }) => {
    const c = boxOf(path);
    return Math.abs(c.maxX - c.minX - b.maxX + b.minX) + Math.abs(c.maxY - c.minY - b.maxY + b.minY) < 2;
  });
  if (!ring) throw new Error(`expected the outline of ${truth.id}`);
  const box = boxOf(ring.path);
  const x = truth.part === 'front' ? box.minX : box.maxX;
  return tracePiece(ring, [], {
    ...plainChoices(truth.id, truth.name),
    part: truth.part,
    allowance: ALLOWANCE,
    said: truth.fold ? [{ at: { x, y: (box.minY + box.maxY) / 2 }, fold: true }] : [],
  });
}

const roleOf = (piece: Piece, role: Piece['edges'][number]['role']): number =>
  piece.edges.filter((e) => e.role === role).reduce((sum, e) => sum + pathLength(e.path), 0);

describe('a file that another program printed', () => {
  it('keeps sizes of one colour apart that differ only in their dashes', async () => {
    const lines = await read('causeway-side');
    // Solid, 6 and 3, 2 and 2 points: one look for each size, each with both outlines in it.
    const long = lines.strokes.filter((s) => s.path.segments.length > 8);
    expect(new Set(long.map((s) => s.style)).size).toBe(NEST.length);
    expect(lines.styles.map((s) => s.dash)).toEqual([[], [2.1, 1.1], [0.7, 0.7]]);
  });

  it.each([
    ['curves as they are', {}],
    ['curves as chords of 1.5 mm', { curves: { chord: 1.5 } }],
    ['lines as filled slivers half a millimetre wide', { curves: { sliver: 0.5 } }],
  ] as const)('comes in at its true lengths: %s', async (_, making) => {
    const lines = await read('causeway-side', making);
    for (const id of ['front', 'back']) {
      const truth = truthOf('causeway-side', id);
      const { piece, notes } = traced(lines, truth);
      for (const role of ['neck', 'shoulder', 'armhole', 'centreFront', 'centreBack'] as const)
        expect(Math.abs(roleOf(piece, role) - roleOf(truth, role)), `${id} ${role}`).toBeLessThan(0.3);
      expect(notes.filter((n) => n.code === 'allowance-missed')).toEqual([]);
    }
  });

  it('lists a line drawn as a sliver once, not by both its rims; the test square measures what it says', async () => {
    const lines = await read('causeway-side', { curves: { sliver: 0.5 } });
    const squares = allRings(lines.strokes).filter(({ path }) => {
      const b = boxOf(path);
      return Math.abs(b.maxX - b.minX - 100) < 2 && Math.abs(b.maxY - b.minY - 100) < 2;
    });
    expect(squares).toHaveLength(1);
    expect(pathLength(squares[0]!.path)).toBeCloseTo(400, 1);
  });

  it('is taken by the words printed on it: which piece, on the fold, its allowance, its size by its place in the nest', async () => {
    const lines = await read('causeway-side');
    const rings = allRings(lines.strokes);
    for (const [id, part, centre] of [
      ['front', 'front', 'centreFront'],
      ['back', 'back', 'centreBack'],
    ] as const) {
      for (const [size, truth] of draftedNest('causeway-side', id)) {
        const b = boxOf(cuttingLine(truth));
        const ring = rings.find(({ path }) => {
          const c = boxOf(path);
          return Math.abs(c.maxX - c.minX - b.maxX + b.minX) + Math.abs(c.maxY - c.minY - b.maxY + b.minY) < 2;
        });
        if (!ring) throw new Error(`expected ${id} ${size}`);
        const printed = { letters: lettersIn(lines, ring.path), file: lines.letters };
        const choices = firstGuess(ring, [], printed, plainChoices('piece', 'Piece'));
        // The front alone says the allowance and the sizes: they are those of all pieces of the file.
        expect(choices).toMatchObject({ part, cut: 1, allowance: ALLOWANCE });
        // The fold has no allowance: nothing is taken off there.
        const { piece } = tracePiece(ring, [], choices);
        expect(piece.edges.find((e) => e.id === piece.fold)?.role).toBe(centre);
        expect(Math.abs(roleOf(piece, centre) - roleOf(truth, centre))).toBeLessThan(0.3);
        expect(sizeOf(ring, otherSizes(ring, lines.strokes), printed)).toBe(size);
      }
    }
  });

  it('reads a line by its middle whether it runs out and back or comes as two rims, and leaves other shapes alone', async () => {
    const read = async (ops: string) => expectOk(await readPrinted(pagesPdf([ops], [600, 600])), 'shapes').strokes;
    // A frame of 360 and one of 357 points in one filled shape: a line of 1.5 points, 358.5 each way.
    const [frame, ...more] = await read('100 100 360 360 re 101.5 101.5 357 357 re f*');
    expect(more).toEqual([]);
    expect(pathLength(frame!.path)).toBeCloseTo((4 * 358.5 * 25.4) / 72, 1);
    // Out and back in four corners: a line 300 points long.
    const [bar] = await read('100 100 300 1.5 re f');
    expect(pathLength(bar!.path)).toBeCloseTo((300 * 25.4) / 72, 1);
    // Thin shapes beside each other are lines of their own; a solid square is a square.
    expect(await read('100 100 300 1.5 re 100 103 300 1.5 re 100 106 300 1.5 re f')).toHaveLength(3);
    const [square] = await read('100 100 200 200 re f');
    expect(pathLength(square!.path)).toBeCloseTo((800 * 25.4) / 72, 2);
  });
});
