import { describe, expect, it } from 'vitest';
import { mirrorPiece, type MeasurementKey, type Piece } from '../../pattern/index.ts';
import { straightTrousers } from '../../testing/shapes.ts';
import { flatOf } from './flat.ts';
import { trousersOn } from './trousers.ts';

const measured = (pieces: readonly Piece[], key: MeasurementKey) => flatOf({ pieces, seams: [] }, key)?.value ?? null;
const bare = (p: Piece): Piece => ({ ...p, marks: p.marks.filter((m) => m.kind !== 'level') });

describe('trousers of straight lines', () => {
  const pieces = straightTrousers();
  it.each([
    ['waist', 800],
    ['hip', 800],
    ['crotchDepth', 280],
    // Front 100 + 200, back 100 + 220.
    ['crotchLength', 620],
    // 25 below the crotch line each inseam has come in by 25/720 of 80 and of 100: 260 − 2.7778 and 280 − 3.4722.
    ['thigh', 533.75],
    // At the knee by 320/720: 260 − 35.5556 and 280 − 44.4444.
    ['knee', 460],
    ['waistToKnee', 600],
    ['outsideLeg', 1000],
  ] as const)('measure %s as %d', (key, value) => {
    expect(measured(pieces, key)).toBeCloseTo(value, 6);
    // The back lies turned over on many a pattern.
    expect(measured([pieces[0], mirrorPiece(pieces[1], 100)], key)).toBeCloseTo(value, 6);
  });

  it('are known by their seams where no line is drawn: the crotch line by the fork, hip and knee by the usual shares', () => {
    const plain = pieces.map(bare);
    const on = trousersOn(plain);
    if (!on.ok) throw new Error(on.error.code);
    expect(on.value.front).toMatchObject({ fork: { x: -60, y: 280 }, centre: { x: 0, y: 0 }, crotchLine: 280, out: 1 });
    expect(on.value.front.hip).toBeCloseTo(0.72 * 280, 9);
    expect(on.value.front.knee).toBeCloseTo((280 + 1000) / 2 - 50, 9);
    expect(measured(plain, 'crotchDepth')).toBeCloseTo(280, 9);
  });

  it('tell nothing with one half missing, or without a crotch seam', () => {
    const seamless = {
      ...pieces[0],
      edges: pieces[0].edges.map((e) => (e.id === 'crotch' ? { ...e, role: 'other' as const } : e)),
    };
    expect(trousersOn([pieces[0]])).toMatchObject({ ok: false, error: { code: 'trousers-not-found' } });
    expect(trousersOn([seamless, pieces[1]])).toMatchObject({
      ok: false,
      error: { code: 'crotch-not-found', data: { piece: 'Front' } },
    });
    for (const key of ['crotchDepth', 'crotchLength', 'thigh', 'outsideLeg'] as const)
      expect(measured([seamless, pieces[1]], key)).toBeNull();
  });
});
