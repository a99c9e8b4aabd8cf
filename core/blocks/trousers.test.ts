import { describe, expect, it } from 'vitest';
import { endOf, pathLength } from '../geometry/index.ts';
import { edgesWithRole, levelOf, requireEdge, widthAt, type Piece } from '../pattern/index.ts';
import { checkPieces, cornerAngle, walkSeam } from '../paper/truing/index.ts';
import { flatOf } from '../alterations/index.ts';
import { expectOk } from '../units/index.ts';
import { SAMPLE_CHART, SAMPLE_SIZES, samplePattern } from './index.ts';

const landing = samplePattern('landing');
const piece = (size: string, id: string): Piece => {
  const found = landing.sizes[size]?.find((p) => p.id === id);
  if (!found) throw new Error(`expected ${id} in size ${size}`);
  return found;
};
const length = (p: Piece, id: string): number => pathLength(requireEdge(p, id).path);
const body = (size: string) => SAMPLE_CHART.find((r) => r.size === size)!.body;
const flat = (size: string, key: 'waist' | 'hip' | 'crotchDepth' | 'crotchLength' | 'thigh' | 'knee' | 'outsideLeg') =>
  flatOf({ pieces: landing.sizes[size] ?? [], seams: landing.seams }, key)!.value;

describe('Landing', () => {
  it('has front, back, waistband, fly facing and pocket', () => {
    expect(landing.garment).toBe('bottom');
    expect(landing.sizes['4']?.map((p) => p.part)).toEqual([
      'trouserFront',
      'trouserBack',
      'waistband',
      'flyFacing',
      'pocket',
    ]);
  });

  it.each(SAMPLE_SIZES)('size %s: every seam meets, and nothing is found', (size) => {
    const pieces = landing.sizes[size] ?? [];
    for (const s of landing.seams) {
      const walk = walkSeam(pieces, s);
      expect(Math.abs(walk.difference), s.id).toBeLessThan(1e-6);
      expect(walk.apart, s.id).toBeLessThan(1e-3);
    }
    expect(checkPieces(pieces, landing.seams).findings).toEqual([]);
  });

  it.each(SAMPLE_SIZES)(
    'size %s: 30 around the waist, 50 around the hip, 15 under the seat, 38 between the legs',
    (size) => {
      expect(flat(size, 'waist') - Number(body(size).waist)).toBeCloseTo(30, 6);
      expect(flat(size, 'hip') - Number(body(size).hip)).toBeCloseTo(50, 6);
      expect(flat(size, 'crotchDepth') - Number(body(size).crotchDepth)).toBeCloseTo(15, 9);
      expect(Math.abs(flat(size, 'crotchLength') - Number(body(size).crotchLength) - 38)).toBeLessThan(1);
      expect(flat(size, 'knee') - Number(body(size).knee)).toBeCloseTo(62, 6);
      // Room to sit: more than the 50 a thigh needs.
      expect(flat(size, 'thigh') - Number(body(size).thigh)).toBeGreaterThan(70);
    },
  );

  it.each(SAMPLE_SIZES)(
    'size %s: the crotch runs on smoothly from front to back, longer behind; the waist is square',
    (size) => {
      const [front, back] = [piece(size, 'trouserFront'), piece(size, 'trouserBack')];
      // Front and back are each square to the inseam there, so that the curve has no point between the legs.
      expect(cornerAngle(front, 'crotch', 'start')).toBeCloseTo(90, 6);
      expect(cornerAngle(back, 'crotch', 'end')).toBeCloseTo(90, 6);
      const behind = length(back, 'crotch') - length(front, 'crotch');
      expect(behind).toBeGreaterThan(80);
      expect(behind).toBeLessThan(130);
      expect(cornerAngle(front, 'crotch', 'end')).toBeCloseTo(90, 6);
      expect(cornerAngle(back, 'crotch', 'start')).toBeCloseTo(90, 6);
      for (const p of [front, back]) {
        const [hem] = edgesWithRole(p, 'hem');
        expect(endOf(hem!.path).y).toBeCloseTo(hem!.path.start.y, 9);
        // A leg that narrows all the way down.
        const at = (y: number): number => expectOk(widthAt(p, y), 'width').width;
        const [crotch, knee] = [levelOf(p, 'crotch')!.y, levelOf(p, 'knee')!.y];
        const down = [crotch + 25, crotch + 120, knee, (knee + hem!.path.start.y) / 2, hem!.path.start.y - 1].map(at);
        expect(down).toEqual([...down].sort((a, b) => b - a));
      }
    },
  );

  it('grows from size to size', () => {
    for (let i = 1; i < SAMPLE_SIZES.length; i++)
      for (const key of ['waist', 'hip', 'crotchDepth', 'crotchLength', 'thigh', 'knee', 'outsideLeg'] as const)
        expect(flat(SAMPLE_SIZES[i]!, key)).toBeGreaterThan(flat(SAMPLE_SIZES[i - 1]!, key));
  });
});
