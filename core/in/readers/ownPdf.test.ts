import { expect, it } from 'vitest';
import { flatOf } from '../../alterations/index.ts';
import type { Path } from '../../geometry/index.ts';
import { draft } from '../../fitting/plan/index.ts';
import { samplePattern, type SampleId } from '../../blocks/index.ts';
import {
  doubleDartsOf,
  paperOutline,
  PATTERN_VERSION,
  patternSchema,
  type Pattern,
  type Piece,
} from '../../pattern/index.ts';
import { laidTogether, printed, readPrinted } from '../../testing/printed.ts';
import { wearerWith } from '../../testing/wearers.ts';
import { allRings, boxOf, plainChoices, readWhole, tracePiece, withPiece, type Stroke } from '../tracing/index.ts';
import { expectOk } from '../../units/index.ts';

/** Our own seam lines, by colour and width: dashed, whatever the dashes. */
const isSewing = (s: Stroke): boolean => s.style.startsWith('line #2b4c9b 0.35 dashed');
const SIZE = '4';

/**
 * Every piece of a sheet of our own, traced along its seam line; told which part it is and, with `refused`, that what was
 * found as darts with two points are none.
 */
async function broughtIn(pieces: readonly Piece[], refused = false): Promise<readonly Piece[]> {
  const sheet = laidTogether(expectOk(await readPrinted(await printed(pieces)), 'pages'));
  const rings = allRings(sheet.strokes.filter(isSewing));
  const size = (path: Path): readonly [number, number] => {
    const b = boxOf(path);
    return [b.maxX - b.minX, b.maxY - b.minY];
  };
  return pieces.map((piece) => {
    const [wide, high] = size(paperOutline(piece));
    const ring = rings.find((r) => Math.abs(size(r.path)[0] - wide) + Math.abs(size(r.path)[1] - high) < 0.2);
    if (!ring) throw new Error(`expected the seam line of ${piece.id} on the sheet`);
    const box = boxOf(ring.path);
    const inside = (s: Stroke): boolean => {
      const b = boxOf(s.path);
      const within = b.minX > box.minX - 1 && b.maxX < box.maxX + 1 && b.minY > box.minY - 1 && b.maxY < box.maxY + 1;
      return within && !isSewing(s);
    };
    const said = { ...plainChoices(piece.id, piece.name), part: piece.part, line: 'sewing' as const };
    const lines = sheet.strokes.filter(inside);
    const found = tracePiece(ring, lines, said);
    if (!refused) return found.piece;
    return tracePiece(ring, lines, { ...said, notDarts: found.doubleDarts.map((d) => d.upper) }).piece;
  });
}

/** A pattern of one's own: the pieces as they came, and the chart as it is typed from the envelope. */
const ownOf = (pieces: readonly Piece[], sold: Pattern): Pattern =>
  pieces.reduce<Pattern>(
    (pattern, piece) => withPiece(pattern, piece, SIZE),
    patternSchema.parse({
      format: 'ample-draft/pattern',
      version: PATTERN_VERSION,
      id: 'own',
      name: 'Brought in',
      style: sold.style,
      chart: sold.chart.filter((r) => r.size === SIZE),
      sizes: {},
    }),
  );

it.each(['causeway-side', 'causeway-shirt', 'causeway-wide-neck', 'causeway-buttons', 'causeway-low-armhole'] as const)(
  'asks nothing of the body of %s when its own pages are brought in',
  async (id: SampleId) => {
    const sold = samplePattern(id, [SIZE]);
    const own = ownOf(await broughtIn(sold.sizes[SIZE] ?? []), sold);
    const body = sold.chart.find((r) => r.size === SIZE)?.body ?? {};
    const d = draft({ job: { size: null, sizeMethod: 'highBust', steps: [] }, wearer: wearerWith(body), pattern: own });
    expect(d.size).toBe(SIZE);
    expect(d.asks.map((a) => [a.alteration, a.fit.values])).toEqual([]);
    expect(d.amounts?.verdict).toBe('none');
    for (const r of d.worksheet) expect(Math.abs(r.left ?? 0), r.key).toBeLessThanOrEqual(r.within);
    expect(d.worksheet.filter((r) => r.from === 'pieces').length).toBeGreaterThan(4);
    // What was brought in measures what was drafted, from the same places of the body.
    const flats = (pattern: Pattern, pieces: readonly Piece[]) =>
      (['fullBust', 'shoulder', 'bustSpan', 'neckPointToBustPoint'] as const).map(
        (key) => flatOf({ pieces, seams: pattern.seams }, key)?.value ?? NaN,
      );
    const drafted = flats(sold, sold.sizes[SIZE] ?? []);
    flats(own, own.sizes[SIZE] ?? []).forEach((v, i) => expect(Math.abs(v - (drafted[i] ?? 0))).toBeLessThan(1));
  },
);

const curvedTo = (pieces: readonly Piece[], curve: number): readonly Piece[] =>
  pieces.map((p) => ({ ...p, marks: p.marks.map((m) => (m.kind === 'doubleDart' ? { ...m, curve } : m)) }));

it.each([0, 0.7, -0.8])(
  'finds the darts without a mouth on our own pages, as they were drawn: curve %s',
  async (curve) => {
    const drawn = curvedTo(samplePattern('jetty', [SIZE]).sizes[SIZE] ?? [], curve);
    const back = await broughtIn(drawn);
    for (const part of ['front', 'back'] as const) {
      const [was] = drawn.filter((p) => p.part === part).flatMap(doubleDartsOf);
      const found = back.filter((p) => p.part === part).flatMap(doubleDartsOf);
      expect(found).toHaveLength(1);
      const [now] = found;
      expect(Math.abs(now!.width - was!.width)).toBeLessThan(curve === 0 ? 0.05 : 0.3);
      expect(Math.abs(now!.widest - was!.widest)).toBeLessThan(0.01);
      expect(Math.abs(now!.curve - curve)).toBeLessThan(0.05);
      expect(now!.lower.y - now!.upper.y).toBeCloseTo(was!.lower.y - was!.upper.y, 1);
      // Its tips are the dart's own, and no holes besides.
      expect(back.find((p) => p.part === part)?.marks.filter((m) => m.kind === 'drill')).toEqual([]);
    }
    // Said to be none, they are none.
    const without = await broughtIn(drawn, true);
    expect(without.flatMap(doubleDartsOf)).toEqual([]);
    expect(without.map((p) => p.darts.length)).toEqual(back.map((p) => p.darts.length));
  },
);

it('finds the centre inside a front whose facing is cut on, and the neck inside a wide neckline', async () => {
  const buttoned = samplePattern('causeway-buttons', [SIZE]).sizes[SIZE] ?? [];
  const front = (await broughtIn(buttoned))[0];
  expect(front?.beyond?.folds).toHaveLength(1);
  const sold = samplePattern('causeway-wide-neck', [SIZE]);
  const wide = ownOf(await broughtIn(sold.sizes[SIZE] ?? []), sold).sizes[SIZE] ?? [];
  for (const piece of wide) {
    const at = (pieces: readonly Piece[], kind: string) =>
      pieces.find((p) => p.part === piece.part)?.marks.filter((m) => m.kind === kind).length;
    expect([piece.part, at(wide, 'neckBase'), at(wide, 'neckCentre')]).toEqual([piece.part, 1, 1]);
  }
});

it('comes back the same where every piece was printed on pages of its own', async () => {
  const pieces = samplePattern('causeway', [SIZE]).sizes[SIZE] ?? [];
  const read = async (apart: boolean) => {
    const back = readWhole(laidTogether(expectOk(await readPrinted(await printed(pieces, [], { apart })), 'pages')));
    return new Map(back.pieces.map((p) => [p.traced.piece.name, boxOf(paperOutline(p.traced.piece))] as const));
  };
  const [together, apart] = [await read(false), await read(true)];
  expect([...apart.keys()].sort()).toEqual(pieces.map((p) => p.name).sort());
  for (const [name, b] of together) {
    const got = apart.get(name)!;
    expect(got.maxX - got.minX, name).toBeCloseTo(b.maxX - b.minX, 1);
    expect(got.maxY - got.minY, name).toBeCloseTo(b.maxY - b.minY, 1);
  }
});
