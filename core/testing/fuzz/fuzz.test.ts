import { describe, expect, it } from 'vitest';
import { samplePattern } from '../../blocks/index.ts';
import { readJob } from '../../documents/index.ts';
import type { Piece } from '../../pattern/index.ts';
import { cutPiece } from '../../paper/slash/index.ts';
import { rectangle, edge, line } from '../shapes.ts';
import {
  chanceFrom,
  draftBy,
  handDraft,
  jobFileOf,
  minimised,
  mismatch,
  PLAIN_HAND,
  search,
  wrongWith,
} from './index.ts';

/** So many plans from each seed: together less than a minute's search. The long one is `npm run fuzz`. */
const EACH = 120;

describe('a random search for plans that go wrong without a word', () => {
  it.each([1, 2, 3, 4])(
    'finds none from seed %i',
    (seed) => {
      const { tally, failures } = search(seed, (t) => t.drafts >= EACH);
      expect(
        failures.map((f) => [f.what, f.case.draft, f.case.steps.map((s) => [s.alteration, s.side, s.values])]),
      ).toEqual([]);
      // Most of what is tried is carried out: a search that is refused everything finds nothing.
      expect(tally.carried).toBeGreaterThan(tally.steps * 0.6);
    },
    400_000,
  );

  it('is the same search for the same seed', () => {
    const plans = (seed: number) => {
      const chance = chanceFrom(seed);
      return Array.from({ length: 12 }, () => [draftBy(chance).draft, chance.next()]);
    };
    expect(plans(9)).toEqual(plans(9));
    expect(plans(9)).not.toEqual(plans(10));
  });

  it('would find a wrong piece: its judge sees gaps, folds, lost notches and allowances cut into', () => {
    const box = rectangle(200, 120);
    expect(wrongWith(box)).toEqual([]);
    const put = (id: string, path: ReturnType<typeof line>) => ({
      ...box,
      edges: box.edges.map((e) => (e.id === id ? { ...e, path } : e)),
    });
    expect(wrongWith(put('right', line([205, 0], [200, 120])))[0]?.what).toMatch(/gap of 5\.00/);
    expect(wrongWith(put('right', line([200, 0], [-40, 60], [200, 120])))[0]?.what).toMatch(/crosses itself/);
    expect(wrongWith({ ...box, marks: [{ kind: 'notch', id: 'n', edge: 'top', at: 230, count: 1 }] })[0]?.what).toMatch(
      /notch off/,
    );
    expect(wrongWith({ ...box, edges: [...box.edges, edge('top', 'other', line([0, 0], [0, 0]))] })).not.toEqual([]);
  });

  it('knows a cut that only grazes the armhole: the kernel refuses it', () => {
    // From the side of the loose front, size 8, so near to the hollow of the armhole that it runs out and in again
    // within a hundredth of a millimetre of its end.
    const front = samplePattern('causeway-shirt', ['8']).sizes['8']?.find((p) => p.id === 'front') as Piece;
    const [from, to] = [
      { x: 310.0165418895349, y: 415.5671814909039 },
      { x: 198.3864886373391, y: 162.8726805073793 },
    ];
    const seed = (by: number) => ({ x: 254.2015 + by * 0.9147, y: 289.22 - by * 0.4041 });
    const cut = { cuts: [{ id: 'cut', points: [from, to] }], hinges: [] };
    const panels = [-2, 2].map((by, i) => ({
      id: `p${i}`,
      seed: seed(by),
      motion: { kind: 'rest' as const },
      stage: 'open' as const,
    }));
    expect(cutPiece(front, { ...cut, panels })).toMatchObject({ ok: false, error: { code: 'cut-leaves-piece' } });
  });

  it('draws its own top so that every seam of it meets', () => {
    for (const o of [{}, { sideDart: true }, { mirroredBack: false, centreBackSeam: true }]) {
      const { pieces, seams } = handDraft({ ...PLAIN_HAND, ...o });
      for (const p of pieces) expect(wrongWith(p)).toEqual([]);
      for (const s of seams) expect(Math.abs(mismatch(pieces, s) ?? 9)).toBeLessThan(0.01);
    }
  });

  it('prints what it finds as a job that opens', () => {
    const draft = draftBy(chanceFrom(3));
    const failure = { case: { ...draft, steps: [] }, what: 'a gap' };
    expect(minimised(failure)).toEqual(failure);
    expect(readJob(JSON.parse(JSON.stringify(jobFileOf(failure)))).ok).toBe(true);
  });
});
