import { describe, expect, it } from 'vitest';
import { samplePattern } from '../../blocks/index.ts';
import { mapPath } from '../../geometry/index.ts';
import { pieceArea, type Piece } from '../../pattern/index.ts';
import { wearerWith } from '../../testing/wearers.ts';
import { draft, planStep, type Draft } from './index.ts';

const pattern = samplePattern('quay');
const row = pattern.chart.find((r) => r.size === '4')!.body;

/** A piece so many times as wide. */
const widened = (p: Piece, times: number): Piece => ({
  ...p,
  edges: p.edges.map((e) => ({ ...e, path: mapPath(e.path, (q) => ({ x: q.x * times, y: q.y })) })),
});

/** The shirt with one step on it, on both sides or on the left. */
const made = (alteration: string, by: number, side: 'both' | 'left'): Draft =>
  draft({
    job: {
      size: null,
      sizeMethod: 'highBust',
      steps: [{ ...planStep('s', alteration), values: { by }, side }],
    },
    wearer: wearerWith(row),
    pattern,
  });
const byId = (pieces: readonly Piece[], id: string): Piece => pieces.find((p) => p.id === id) as Piece;

describe('a job with a yoke', () => {
  it('starts from the pattern’s own pieces, and hands back those that no step touched', () => {
    const d = draft({ job: { size: null, sizeMethod: 'highBust', steps: [] }, wearer: wearerWith(row), pattern });
    for (const p of d.pieces) expect(pattern.sizes['4']).toContain(p);
    expect(d.pieces).toEqual(d.untouched);
    // Let out at the side, the back changes and the yoke does not.
    const wider = made('side-add', 40, 'both');
    expect(pattern.sizes['4']).toContain(byId(wider.pieces, 'yoke'));
    expect(pattern.sizes['4']).not.toContain(byId(wider.pieces, 'back'));
  });

  it('altered on one side, yoke and back are opened out, each half with its own area', () => {
    for (const [alteration, by] of [
      ['shoulder-slash', -8],
      ['shoulder-slope', 8],
    ] as const) {
      const [one, both] = [made(alteration, by, 'left'), made(alteration, by, 'both')];
      expect(one.faults).toEqual([]);
      expect(one.pieces.map((p) => p.id)).toEqual(expect.arrayContaining(['yoke whole', 'back whole', 'front left']));
      for (const id of ['yoke', 'back']) {
        const halves = pieceArea(byId(both.pieces, id)) + pieceArea(byId(one.untouched, id));
        expect(pieceArea(byId(one.pieces, `${id} whole`))).toBeCloseTo(halves, 3);
      }
    }
  });

  it('says so where a yoke cannot be pinned, as with a pleat below it, and never otherwise', () => {
    const pleated = {
      ...pattern,
      sizes: Object.fromEntries(
        Object.entries(pattern.sizes).map(([size, pieces]) => [
          size,
          pieces.map((p) => (p.id === 'back' ? widened(p, 1.2) : p)),
        ]),
      ),
    };
    const job = { size: null, sizeMethod: 'highBust' as const, steps: [] };
    const told = (of: typeof pattern) =>
      draft({ job, wearer: wearerWith(row), pattern: of }).drafted.filter((f) => f.code === 'yoke-apart');
    expect(told(pleated)).toMatchObject([{ grade: 'look', piece: 'yoke' }]);
    expect(told(pattern)).toEqual([]);
  });

  it('tells the hands to pin it on before, and to take it off after', () => {
    const { outcome } = made('shoulder-slash', -8, 'both').steps[0]!;
    const codes = (outcome.ok ? outcome.value.frames : []).map((f) => f.messages.map((m) => m.code));
    expect(codes[0]?.[0]).toBe('across.yoke.pin');
    expect(codes.at(-1)?.at(-1)).toBe('across.yoke.apart');
    // The collar is altered without it.
    const collar = made('collar-height', -4, 'both').steps[0]!.outcome;
    expect(JSON.stringify(collar.ok && collar.value.frames)).not.toContain('across.yoke');
  });

  it('says so where the halves of the back no longer meet on the fold', () => {
    const codes = made('yoke-round-back', 10, 'left').check.findings.map((f) => f.code);
    expect(codes).toContain('halves-differ');
  });
});
