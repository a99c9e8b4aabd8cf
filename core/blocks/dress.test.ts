import { describe, expect, it } from 'vitest';
import { endTangent, pathLength, startTangent } from '../geometry/index.ts';
import { edgesWithRole, levelOf, requireEdge, validatePattern, widthAt, type Piece } from '../pattern/index.ts';
import { checkPieces, cornerAngle, walkSeam } from '../paper/truing/index.ts';
import { expectOk } from '../units/index.ts';
import { SAMPLE_CHART, SAMPLE_SIZES, samplePattern } from './index.ts';

const dress = samplePattern('causeway');
const shirt = samplePattern('causeway-shirt');
const piece = (size: string, id: string, of = dress): Piece => {
  const found = of.sizes[size]?.find((p) => p.id === id);
  if (!found) throw new Error(`expected ${id} in size ${size}`);
  return found;
};
const length = (p: Piece, id: string): number => pathLength(requireEdge(p, id).path);
const row = (size: string) => SAMPLE_CHART.find((r) => r.size === size)!.body;

describe('the whole Causeway', () => {
  it('has bodice, sleeve, skirt, facings and pocket in every size, and validates', () => {
    expect(validatePattern(dress)).toEqual([]);
    expect(validatePattern(shirt)).toEqual([]);
    for (const size of SAMPLE_SIZES)
      expect(dress.sizes[size]?.map((p) => p.id)).toEqual([
        'front',
        'back',
        'sleeve',
        'skirtFront',
        'skirtBack',
        'frontFacing',
        'backFacing',
        'pocket',
      ]);
  });

  it.each(SAMPLE_SIZES)('size %s: every seam meets with its own ease, and nothing is found', (size) => {
    for (const pattern of [dress, shirt]) {
      const pieces = pattern.sizes[size] ?? [];
      for (const s of pattern.seams) expect(Math.abs(walkSeam(pieces, s).difference), s.id).toBeLessThan(1e-3);
      expect(checkPieces(pieces, pattern.seams).findings).toEqual([]);
    }
  });

  it.each(SAMPLE_SIZES)('size %s: the sleeve has 46 around the arm and 18 in the cap', (size) => {
    const sleeve = piece(size, 'sleeve');
    const width =
      requireEdge(sleeve, 'capFront').path.segments.at(-1)!.to.x - requireEdge(sleeve, 'capBack').path.start.x;
    expect(width).toBeCloseTo(row(size).upperArm! + 46, 6);
    const cap = length(sleeve, 'capBack') + length(sleeve, 'capFront');
    const armhole = length(piece(size, 'front'), 'armhole') + length(piece(size, 'back'), 'armhole');
    expect(cap - armhole).toBeCloseTo(18, 4);
    // The two halves run into one another over the top.
    const over = endTangent(requireEdge(sleeve, 'capBack').path);
    expect(over.y).toBeCloseTo(0, 9);
    expect(startTangent(requireEdge(sleeve, 'capFront').path).y).toBeCloseTo(0, 9);
  });

  it.each(SAMPLE_SIZES)('size %s: the skirt has 50 around the hip, square corners and sides of one length', (size) => {
    const halves = [piece(size, 'skirtFront'), piece(size, 'skirtBack')];
    const hip = halves.reduce((n, p) => n + 2 * expectOk(widthAt(p, levelOf(p, 'hip')!.y), 'hip').width, 0);
    expect(hip).toBeCloseTo(row(size).hip! + 50, 4);
    for (const p of halves)
      for (const at of ['start', 'end'] as const) expect(cornerAngle(p, 'side', at)).toBeCloseTo(90, 1);
    expect(length(halves[0]!, 'side')).toBeCloseTo(length(halves[1]!, 'side'), 6);
    const waist = (p: Piece) => edgesWithRole(p, 'waist').reduce((n, e) => n + pathLength(e.path), 0);
    expect(waist(halves[0]!)).toBeCloseTo(waist(piece(size, 'front')), 4);
    expect(waist(halves[1]!)).toBeCloseTo(waist(piece(size, 'back')), 4);
  });

  it('grows from size to size', () => {
    for (let i = 1; i < SAMPLE_SIZES.length; i++)
      for (const [id, edge] of [
        ['sleeve', 'capFront'],
        ['skirtFront', 'hem'],
        ['skirtBack', 'hem'],
        ['frontFacing', 'neck'],
      ] as const)
        expect(length(piece(SAMPLE_SIZES[i]!, id), edge)).toBeGreaterThan(
          length(piece(SAMPLE_SIZES[i - 1]!, id), edge),
        );
  });

  it('bands the shirt with as much as its neckline', () => {
    for (const size of SAMPLE_SIZES) {
      const neck = length(piece(size, 'front', shirt), 'neck') + length(piece(size, 'back', shirt), 'neck');
      expect(length(piece(size, 'band', shirt), 'edge')).toBeCloseTo(neck, 6);
    }
  });
});
