import { describe, expect, it } from 'vitest';
import { distance, endOf, endTangent, lineMeet, midpoint, pathLength, startTangent, sub } from '../geometry/index.ts';
import { dartShape, edgeOf, validatePattern, type Piece } from '../pattern/index.ts';
import { cornerAngle } from '../paper/truing/index.ts';
import { CAUSEWAY_SIZES, causewayPattern, draftCauseway, SAMPLE_CHART } from './index.ts';

const pattern = causewayPattern();
const front = (size: string): Piece => pattern.sizes[size]![0]!;
const back = (size: string): Piece => pattern.sizes[size]![1]!;
const length = (piece: Piece, id: string) => pathLength(edgeOf(piece, id)!.path);

describe('the block drafter', () => {
  it('drafts eight sizes that validate', () => {
    expect(CAUSEWAY_SIZES).toEqual(['1', '2', '3', '4', '5', '6', '7', '8']);
    expect(validatePattern(pattern)).toEqual([]);
  });

  it.each(CAUSEWAY_SIZES)('size %s follows its chart', (size) => {
    const body = SAMPLE_CHART.find((r) => r.size === size)!.body;
    expect(length(front(size), 'shoulder')).toBeCloseTo(body.shoulder!, 6);
    expect(length(back(size), 'shoulderNeck') + length(back(size), 'shoulderArm')).toBeCloseTo(body.shoulder!, 6);
    expect(length(back(size), 'centreBack')).toBeCloseTo(body.napeToWaist!, 3);
    expect(length(back(size), 'side')).toBeCloseTo(body.sideWaist!, 6);
    const bustPoint = front(size).marks.find((m) => m.kind === 'bustPoint') as { at: { x: number; y: number } };
    expect(distance(bustPoint.at, edgeOf(front(size), 'shoulder')!.path.start)).toBeCloseTo(
      body.neckPointToBustPoint!,
      6,
    );
    expect(bustPoint.at.x).toBeCloseTo(body.bustSpan! / 2, 9);
  });

  it('grows with every size: armhole, side, shoulder, width', () => {
    for (let i = 1; i < CAUSEWAY_SIZES.length; i++) {
      const small = CAUSEWAY_SIZES[i - 1]!;
      const large = CAUSEWAY_SIZES[i]!;
      for (const id of ['armhole', 'shoulder', 'sideLower', 'neck'])
        expect(length(front(large), id)).toBeGreaterThan(length(front(small), id));
    }
  });

  it('aims both darts of the front at the bust point', () => {
    for (const size of CAUSEWAY_SIZES) {
      const piece = front(size);
      const [a, b] = piece.darts.map((d) => {
        const s = dartShape(piece, d);
        return { from: midpoint(s.start, s.end), tip: s.tip };
      });
      const meet = lineMeet(a!.from, sub(a!.tip, a!.from), b!.from, sub(b!.tip, b!.from))!;
      const bustPoint = piece.marks.find((m) => m.kind === 'bustPoint') as { at: { x: number; y: number } };
      expect(distance(meet.point, bustPoint.at)).toBeLessThan(0.01);
    }
  });

  it('lets the side seam run straight on when its dart is closed', () => {
    const piece = front('4');
    const dart = piece.darts.find((d) => d.kind === 'side')!;
    const s = dartShape(piece, dart);
    const opening = Math.acos(
      ((s.start.x - s.tip.x) * (s.end.x - s.tip.x) + (s.start.y - s.tip.y) * (s.end.y - s.tip.y)) /
        (distance(s.start, s.tip) * distance(s.end, s.tip)),
    );
    const upper = endTangent(edgeOf(piece, 'sideUpper')!.path);
    const lower = startTangent(edgeOf(piece, 'sideLower')!.path);
    expect(Math.acos(upper.x * lower.x + upper.y * lower.y)).toBeCloseTo(opening, 9);
  });

  it('squares neck, armhole and waist where the body needs it', () => {
    for (const size of CAUSEWAY_SIZES)
      for (const [piece, edges] of [
        [front(size), ['shoulder', 'sideUpper']],
        [back(size), ['shoulderNeck', 'side']],
      ] as const)
        for (const id of edges)
          for (const end of ['start', 'end'] as const)
            if (!['dart'].includes(neighbourRole(piece, id, end)))
              expect(cornerAngle(piece, id, end)).toBeCloseTo(90, 2);
  });

  it('carries the same allowance everywhere and an armhole that a sleeve could be drafted to', () => {
    for (const size of CAUSEWAY_SIZES) {
      const around = length(front(size), 'armhole') + length(back(size), 'armhole');
      expect(around).toBeGreaterThan(SAMPLE_CHART.find((r) => r.size === size)!.body.upperArm! * 1.35);
      expect(new Set([...front(size).edges, ...back(size).edges].map((e) => e.allowance))).toEqual(new Set([15]));
    }
  });

  it('refuses a size that is not in the chart', () => {
    expect(() => draftCauseway('9')).toThrow(/expected a size of 1, 2/);
    expect(endOf(edgeOf(front('1'), 'centreFront')!.path)).toEqual(edgeOf(front('1'), 'neck')!.path.start);
  });
});

function neighbourRole(piece: Piece, id: string, end: 'start' | 'end'): string {
  const i = piece.edges.findIndex((e) => e.id === id);
  const n = piece.edges.length;
  return piece.edges[(i + (end === 'start' ? n - 1 : 1)) % n]!.role;
}
