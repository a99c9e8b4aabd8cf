import { describe, expect, it } from 'vitest';
import { draftSample, type SampleId } from '../../../blocks/index.ts';
import { distance, mapPath } from '../../../geometry/index.ts';
import type { Piece } from '../../../pattern/index.ts';
import {
  differences,
  draftedNest,
  NEST,
  notchesOf,
  PLAIN,
  printAtHome,
  sheetOf,
  type Making,
} from '../../../testing/printAtHome/index.ts';
import { laidTogether, readPrinted } from '../../../testing/printed.ts';
import { expectOk } from '../../../units/index.ts';
import { PIECE_WORDS } from '../../../words/index.ts';
import { flatOf } from '../../../alterations/index.ts';
import { PATTERN_VERSION, patternSchema } from '../../../pattern/index.ts';
import { tracePiece } from '../trace.ts';
import { readWhole, SURE, withRead, type ReadFile, type Wanted } from './index.ts';

const patternOf = () =>
  patternSchema.parse({
    format: 'ample-draft/pattern',
    version: PATTERN_VERSION,
    id: 'p',
    name: 'P',
    chart: [{ size: '1', body: {} }],
    sizes: {},
  });

const FOR_ALL = ['Size 36 38 40', 'Seam allowance 1 cm included'];

interface Printed {
  readonly making?: Partial<Making>;
  readonly whole?: boolean;
  /** What is printed on the first piece for all of them. */
  readonly forAll?: readonly string[];
  /** No words on the pieces themselves. */
  readonly nameless?: boolean;
}

async function read(sample: SampleId, printed: Printed, wanted: Wanted = { size: '38' }): Promise<ReadFile> {
  const pieces = draftSample(sample, NEST[1][1]);
  const words = (p: Piece): readonly string[] =>
    printed.nameless ? [] : [PIECE_WORDS[p.part], p.fold ? (printed.whole ? 'cut 1' : 'cut 1 on fold') : 'cut 2'];
  const sheet = sheetOf(
    sample,
    pieces.map((p, i) => [p.id, [...words(p), ...(i === 0 ? (printed.forAll ?? FOR_ALL) : [])]] as const),
    printed.whole,
  );
  const bytes = printAtHome(sheet, { ...PLAIN, ...printed.making });
  return readWhole(laidTogether(expectOk(await readPrinted(bytes), 'file')), wanted);
}

/** Every piece drawn, and what came of it. */
function judged(sample: SampleId, file: ReadFile) {
  return draftSample(sample, NEST[1][1]).map((p) => {
    const drawn = (draftedNest(sample, p.id)[1] as readonly [string, Piece])[1];
    const got = file.pieces.find((r) => r.sure >= SURE && r.traced.piece.part === p.part);
    return { id: p.id, drawn, got, off: got ? differences(drawn, got.traced.piece) : null };
  });
}

const VARIANTS: Readonly<Record<string, Printed>> = {
  'sizes by their dashes': {},
  'all sizes in one look': { making: { sizesBy: 'same' } },
  'sizes by colour': { making: { sizesBy: 'colour' } },
  'sizes on layers': { making: { sizesBy: 'layers' } },
  'outlines in bits with gaps of half a millimetre': { making: { gap: 0.5 } },
  'curves as chords': { making: { curves: { chord: 1.5 } } },
  'lines as filled slivers': { making: { curves: { sliver: 0.5 } } },
  'A4, every page drawn whole': { making: { page: 'a4' } },
  'Letter, every page drawn whole': { making: { page: 'letter' } },
  'pages stored on their side': { making: { page: 'a4', turned: true } },
  'one path for all outlines': { making: { oneObject: true } },
  'lettering across the lines': { making: { across: true } },
  'shrunk to 97 %': { making: { scale: 0.97 } },
  'cut at the frame': { making: { page: 'a4', cut: true } },
  'cut at the frame, 10 mm over each other': { making: { page: 'a4', cut: true, overlap: 10 } },
  'cut without frames': { making: { page: 'a4', cut: true, overlap: 10, frame: false } },
  'cut without frames or labels': { making: { page: 'a4', cut: true, overlap: 10, frame: false, labels: 'none' } },
  'cut on Letter, labels turned about': { making: { page: 'letter', cut: true, overlap: 12.7, labels: '1A' } },
  'pieces drawn whole, not on the fold': { whole: true },
};
const SAMPLES: readonly SampleId[] = [
  'causeway',
  'causeway-side',
  'causeway-neck',
  'skerry-armhole',
  'skerry-shoulder',
  'ebb',
];

describe('a file of another program, read whole', () => {
  const tally: (readonly [number, number])[] = [];
  it.each(Object.entries(VARIANTS))('%s: right with no word said, or asked about', async (_, printed) => {
    const wrong: string[] = [];
    const asked: string[] = [];
    let [all, right] = [0, 0];
    for (const sample of SAMPLES) {
      const file = await read(sample, printed);
      for (const { id, off } of judged(sample, file)) {
        all++;
        if (off?.length === 0) right++;
        else if (off) wrong.push(`${sample} ${id}: ${off.join(', ')}`);
        else asked.push(`${sample} ${id}`);
      }
    }
    expect(wrong).toEqual([]);
    // One piece misread is asked about on every side of its seams, so that a variant may lose a whole garment.
    expect(right / all, `asked about: ${asked.join(', ')}`).toBeGreaterThanOrEqual(0.75);
    tally.push([right, all]);
  });

  it('needs no correction on nine pieces of ten, over all of these', () => {
    expect(tally).toHaveLength(Object.keys(VARIANTS).length);
    const [right, all] = tally.reduce<readonly [number, number]>(([a, b], [r, n]) => [a + r, b + n], [0, 0]);
    expect(right / all).toBeGreaterThanOrEqual(0.95);
  });

  it('reads trousers as trousers: legs, fly and pocket with no word said, a pattern that hangs from the waist', async () => {
    const file = await read('landing', {});
    const legs = judged('landing', file).filter((j) => j.id.startsWith('trouser'));
    expect(legs.map((j) => [j.id, j.off])).toEqual([
      ['trouserFront', []],
      ['trouserBack', []],
    ]);
    const made = withRead(patternOf(), file.pieces);
    expect(made.garment).toBe('bottom');
    expect(made.seams.map((s) => s.id)).toEqual(['outside leg', 'inseam']);
    const on = { pieces: made.sizes['38'] ?? [], seams: made.seams };
    const drafted = { pieces: legs.map((j) => j.drawn), seams: [] };
    // Nothing marks hip or crotch line: the crotch line lies where crotch seam and inseam meet.
    for (const key of ['crotchDepth', 'crotchLength', 'outsideLeg', 'waist'] as const)
      expect(Math.abs(flatOf(on, key)!.value - flatOf(drafted, key)!.value), key).toBeLessThan(1);
  });

  it('takes along every size for grading, and each notch with its own', async () => {
    for (const sizesBy of ['dash', 'same'] as const) {
      const file = await read('causeway-side', { making: { sizesBy } });
      expect(file.sizes).toEqual(['36', '38', '40']);
      for (const { traced, sizes } of file.pieces) {
        const drawn = draftedNest('causeway-side', traced.piece.id);
        expect(sizes.map((s) => s.size).sort()).toEqual(['36', '38', '40']);
        for (const [size, piece] of drawn) {
          const got = sizes.find((s) => s.size === size)?.piece;
          expect(got && differences(piece, got), `${traced.piece.id} ${size}`).toEqual([]);
          expect(got && notchesOf(got)).toBe(notchesOf(piece));
        }
      }
    }
  });

  it('takes away just the dart that is meant, however near the tips of other sizes lie', async () => {
    const bytes = printAtHome(sheetOf('causeway-side', [['front', ['Front', ...FOR_ALL, 'cut 1 on fold']]]));
    const lines = laidTogether(expectOk(await readPrinted(bytes), 'file'));
    const [front] = readWhole(lines, { size: '38' }).pieces;
    // With the lines of every size the darts of all three are found; two of their tips lie within 6 mm of each other.
    const all = tracePiece(
      front!.ring,
      lines.strokes.filter((s) => !s.closed),
      front!.choices,
    );
    expect(all.darts).toHaveLength(3);
    expect(distance(all.darts[0]!.tip, all.darts[1]!.tip)).toBeLessThan(6);
    const less = tracePiece(
      front!.ring,
      lines.strokes.filter((s) => !s.closed),
      {
        ...front!.choices,
        notDarts: [all.darts[0]!.tip],
      },
    );
    expect(less.darts.map((d) => d.tip)).toEqual(all.darts.slice(1).map((d) => d.tip));
  });

  it('asks what no word tells: which piece it is, whether it lies on the fold, how wide the allowance is', async () => {
    const file = await read('causeway-side', { nameless: true, forAll: [] });
    expect(file.allowanceOpen).toBe(true);
    expect(file.pieces.every((p) => p.sure < SURE)).toBe(true);
    expect(file.pieces[0]?.asks.map((a) => a.code)).toEqual(
      expect.arrayContaining(['which-allowance', 'which-part', 'on-fold']),
    );
    // Sizes without names are counted from the smallest.
    expect([file.sizes, file.sizesBy]).toEqual([['1', '2', '3'], 'order']);
  });

  it('takes an allowance that is told before one that is printed', async () => {
    const file = await read('causeway-side', { forAll: ['Size 36 38 40'] }, { size: '40', allowance: 10 });
    expect(file.size).toBe('40');
    for (const { traced } of file.pieces) {
      const drawn = draftedNest('causeway-side', traced.piece.id)[2] as readonly [string, Piece];
      expect(differences(drawn[1], traced.piece)).toEqual([]);
    }
  });

  it('makes a shrunken print true by the words in its square, and leaves a true one alone', async () => {
    expect((await read('causeway-side', { making: { scale: 0.97 } })).scale).toBeCloseTo(1 / 0.97, 4);
    expect((await read('causeway-side', {})).scale).toBe(1);
  });

  it('asks about both sides of a seam that cannot be sewn: one of them was hardly read right', async () => {
    const pieces = draftSample('causeway-side', NEST[1][1]);
    const sheet = sheetOf('causeway-side', [
      [pieces[0]!.id, ['Front', 'Size 36 38 40', 'Seam allowance 1 cm included', 'cut 1 on fold']],
      [pieces[0]!.id, ['Back', 'cut 1 on fold']],
    ]);
    const bytes = printAtHome(sheet);
    const file = readWhole(laidTogether(expectOk(await readPrinted(bytes), 'file')), { size: '38' });
    // The front drawn twice, once called a back: its side has a dart and matches, its shoulder too. Nothing is off.
    expect(file.pieces.flatMap((p) => p.asks)).toEqual([]);
    const other = draftSample('causeway-cut-on', NEST[1][1])[1]!;
    const mixed = [
      sheetOf('causeway-side', [['front', ['Front', 'Size 36 38 40', 'Seam allowance 1 cm', 'cut 1 on fold']]])[0]!,
      ...sheetOf('causeway-cut-on', [[other.id, ['Back', 'cut 1 on fold']]]).map((p) => ({
        ...p,
        at: { ...p.at, x: p.at.x + 400 },
        grain: p.grain.map((g) => ({ ...g, x: g.x + 400 })) as unknown as typeof p.grain,
        sizes: p.sizes.map((s) => ({
          ...s,
          cutting: moved(s.cutting, 400),
          notches: s.notches.map((n) => moved(n, 400)),
        })),
      })),
    ];
    const odd = readWhole(laidTogether(expectOk(await readPrinted(printAtHome(mixed)), 'file')), { size: '38' });
    expect(odd.pieces).toHaveLength(2);
    for (const p of odd.pieces) expect(p.asks.map((a) => a.code)).toContain('seam-differs');
  });
});

const moved = (path: Parameters<typeof mapPath>[0], by: number) => mapPath(path, (p) => ({ x: p.x + by, y: p.y }));
