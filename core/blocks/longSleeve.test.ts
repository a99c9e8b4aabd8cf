import { describe, expect, it } from 'vitest';
import { distance, endOf, midpoint, pathLength, sub, turnBetween } from '../geometry/index.ts';
import { dartShape, edgesWithRole, levelOf, requireEdge, type Piece } from '../pattern/index.ts';
import { flatOf } from '../alterations/index.ts';
import { SAMPLE_CHART, SAMPLE_SIZES, samplePattern } from './index.ts';

const fitted = samplePattern('causeway-long-sleeve');
const shirt = samplePattern('causeway-cuff');
const piece = (of: typeof fitted, size: string, id: string): Piece => of.sizes[size]!.find((p) => p.id === id)!;
const body = (size: string) => SAMPLE_CHART.find((r) => r.size === size)!.body;
const length = (p: Piece, id: string) => pathLength(requireEdge(p, id).path);
const flat = (of: typeof fitted, size: string, key: Parameters<typeof flatOf>[1]) =>
  flatOf({ pieces: of.sizes[size]!, seams: of.seams }, key)!.value;

describe.each(SAMPLE_SIZES)('the long sleeves in size %s', (size) => {
  it('fitted: an arm with 46 around it and 64 at the wrist, as long as the body’s', () => {
    expect(flat(fitted, size, 'upperArm')).toBeCloseTo(body(size).upperArm! + 46, 6);
    expect(flat(fitted, size, 'wrist')).toBeCloseTo(body(size).wrist! + 64, 6);
    expect(flat(fitted, size, 'shoulderToElbow')).toBeCloseTo(body(size).shoulderToElbow!, 6);
    expect(Math.abs(flat(fitted, size, 'shoulderToWrist') - body(size).shoulderToWrist!)).toBeLessThan(1);
  });

  it('fitted: the elbow dart opens by 24, has legs of one length, and turns the forearm forward', () => {
    const sleeve = piece(fitted, size, 'sleeve');
    const { start, end, tip } = dartShape(sleeve, sleeve.darts[0]!);
    expect(distance(start, end)).toBeCloseTo(24, 6);
    expect(distance(start, tip)).toBeCloseTo(distance(end, tip), 9);
    const seam = (part: 'Front' | 'Back') =>
      length(sleeve, `underarm${part}Upper`) + length(sleeve, `underarm${part}Lower`);
    expect(seam('Front')).toBeCloseTo(seam('Back'), 9);
    const hem = requireEdge(sleeve, 'sleeveHem').path;
    const elbow = levelOf(sleeve, 'elbow')!;
    const forearm = sub(midpoint(hem.start, endOf(hem)), { x: 0, y: elbow.y });
    const degrees = (-turnBetween({ x: 0, y: 1 }, forearm) * 180) / Math.PI;
    expect(degrees).toBeGreaterThan(3);
    expect(degrees).toBeLessThan(8);
  });

  it('shirt: gathered by 80 into a cuff with 50 around the wrist and 25 to button over; falls 12 over the wrist', () => {
    const [sleeve, cuff] = [piece(shirt, size, 'sleeve'), piece(shirt, size, 'cuff')];
    expect(length(cuff, 'seam')).toBeCloseTo(body(size).wrist! + 50 + 25, 9);
    expect(length(sleeve, 'sleeveHem')).toBeCloseTo(body(size).wrist! + 50 + 80, 9);
    expect(flat(shirt, size, 'wrist')).toBeCloseTo(body(size).wrist! + 50, 9);
    expect(flat(shirt, size, 'shoulderToWrist')).toBeCloseTo(body(size).shoulderToWrist! + 12, 6);
    const [one, other] = edgesWithRole(sleeve, 'underarm');
    expect(pathLength(one!.path)).toBeCloseTo(pathLength(other!.path), 9);
  });
});

it('a short sleeve tells nothing of elbow and wrist', () => {
  const dress = samplePattern('causeway');
  for (const key of ['wrist', 'shoulderToElbow', 'shoulderToWrist'] as const)
    expect(flatOf({ pieces: dress.sizes['4']!, seams: dress.seams }, key)).toBeNull();
});
