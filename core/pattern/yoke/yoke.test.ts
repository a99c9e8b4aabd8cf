import { describe, expect, it } from 'vitest';
import { samplePattern, SAMPLE_SIZES } from '../../blocks/index.ts';
import { distance, endOf, mapPath, pathLength, rotate, type Point } from '../../geometry/index.ts';
import { walkSeam } from '../../paper/truing/index.ts';
import { edge, line } from '../../testing/shapes.ts';
import { pieceArea, requireEdge } from '../access.ts';
import { mapMark } from '../marks.ts';
import { inView } from '../views.ts';
import { mirrorPiece } from '../mirror.ts';
import type { Piece, Seam } from '../types.ts';
import { cutApart, pinYokes, yokeLineOf } from './index.ts';

const quay = inView(samplePattern('quay'), null);
const sold = (size: string): readonly Piece[] => quay.sizes[size] ?? [];
const byId = (pieces: readonly Piece[], id: string): Piece => {
  const found = pieces.find((p) => p.id === id);
  if (!found) throw new Error(`expected ${id}`);
  return found;
};
/** A piece laid elsewhere on the table: turned about the origin and shifted. */
function laidElsewhere(piece: Piece): Piece {
  const to = (p: Point): Point => {
    const r = rotate(p, 0.7);
    return { x: r.x + 900, y: r.y - 333 };
  };
  return {
    ...piece,
    edges: piece.edges.map((e) => ({ ...e, path: mapPath(e.path, to) })),
    marks: piece.marks.map((m) => (m.kind === 'notch' ? m : mapMark(m, to))),
  };
}

describe('a yoke pinned to its back', () => {
  it.each(SAMPLE_SIZES)('size %s: is one piece with both areas, and comes apart as it was', (size) => {
    const pieces = sold(size);
    const pinned = pinYokes(pieces, quay.seams);
    const whole = byId(pinned.pieces, 'back');
    const [yoke, back] = [byId(pieces, 'yoke'), byId(pieces, 'back')];
    expect(pinned.pieces).toHaveLength(pieces.length - 1);
    expect(pieceArea(whole)).toBeCloseTo(pieceArea(yoke) + pieceArea(back), 4);
    const apart = cutApart(whole);
    expect(apart.map((p) => p.id)).toEqual(['yoke', 'back']);
    for (const [was, now] of [
      [yoke, byId(apart, 'yoke')],
      [back, byId(apart, 'back')],
    ] as const) {
      expect({ ...now, edges: [], marks: [] }).toEqual({ ...was, edges: [], marks: [] });
      for (const e of was.edges) {
        const path = requireEdge(now, e.id).path;
        expect(distance(path.start, e.path.start)).toBeLessThan(1e-6);
        expect(pathLength(path)).toBeCloseTo(pathLength(e.path), 6);
      }
      expect(now.marks.map((m) => m.id).sort()).toEqual(was.marks.map((m) => m.id).sort());
    }
  });

  it('has one armhole, walked with the sleeve as both were', () => {
    const pieces = sold('4');
    const { pieces: pinned, seams } = pinYokes(pieces, quay.seams);
    const seam = (list: readonly Seam[], id: string): Seam => list.find((s) => s.id === id)!;
    const [was, now] = [
      walkSeam(pieces, seam(quay.seams, 'armhole back sleeve')),
      walkSeam(pinned, seam(seams, 'armhole back sleeve')),
    ];
    expect(now.first.length).toBeCloseTo(was.first.length, 9);
    expect(was.first.length).toBeCloseTo(
      pathLength(requireEdge(byId(pieces, 'yoke'), 'armhole').path) +
        pathLength(requireEdge(byId(pieces, 'back'), 'armhole').path),
      9,
    );
    expect(now.first.notches.map((n) => n.at)).toEqual(was.first.notches.map((n) => expect.closeTo(n.at, 9)));
    expect(seams.some((s) => s.id === 'yoke')).toBe(false);
  });

  it('is found wherever the yoke lies on its sheet, turned over or not', () => {
    const pieces = sold('5');
    const plain = byId(pinYokes(pieces, quay.seams).pieces, 'back');
    for (const lying of [laidElsewhere, mirrorPiece, (p: Piece) => laidElsewhere(mirrorPiece(p))]) {
      const moved = pieces.map((p) => (p.id === 'yoke' ? lying(p) : p));
      const whole = byId(pinYokes(moved, quay.seams).pieces, 'back');
      expect(whole.edges.map((e) => e.role)).toEqual(plain.edges.map((e) => e.role));
      whole.edges.forEach((e, i) => expect(distance(endOf(e.path), endOf(plain.edges[i]!.path))).toBeLessThan(1e-6));
      expect(pieceArea(whole)).toBeCloseTo(pieceArea(plain), 3);
    }
  });

  it('stays apart where the seams do not cover each other, and without a yoke nothing is touched', () => {
    const pieces = sold('4');
    const wider = pieces.map((p) =>
      p.id === 'yoke'
        ? { ...p, edges: p.edges.map((e) => ({ ...e, path: mapPath(e.path, (q) => ({ x: q.x * 1.02, y: q.y })) })) }
        : p,
    );
    expect(pinYokes(wider, quay.seams).pieces).toBe(wider);
    const { sizes, seams } = samplePattern('causeway', ['4']);
    expect(pinYokes(sizes['4']!, seams).pieces).toBe(sizes['4']);
  });

  it('of straight lines: yoke 100 × 60 on a back 100 × 200, and back again', () => {
    const base = { cut: 1, half: true, notes: '', darts: [], name: 'x' } as const;
    const back: Piece = {
      ...{ ...base, id: 'back', part: 'back', fold: 'centreBack' },
      edges: [
        edge('yoke', 'yoke', line([0, 60], [100, 60])),
        edge('armhole', 'armhole', line([100, 60], [110, 120])),
        edge('side', 'side', line([110, 120], [110, 260])),
        edge('hem', 'hem', line([110, 260], [0, 260])),
        edge('centreBack', 'centreBack', line([0, 260], [0, 60])),
      ],
      marks: [{ kind: 'notch', id: 'n', edge: 'armhole', at: 20, count: 2 }],
    };
    const yoke: Piece = {
      ...{ ...base, id: 'yoke', part: 'yoke', fold: 'cb', cut: 2 },
      edges: [
        edge('neck', 'neck', line([0, 5], [40, 0])),
        edge('shoulder', 'shoulder', line([40, 0], [100, 10])),
        edge('arm', 'armhole', line([100, 10], [100, 60])),
        edge('seam', 'yoke', line([100, 60], [0, 60])),
        edge('cb', 'centreBack', line([0, 60], [0, 5])),
      ],
      marks: [{ kind: 'notch', id: 'm', edge: 'arm', at: 30, count: 1 }],
    };
    const { pieces } = pinYokes([back, yoke], []);
    const whole = pieces[0]!;
    expect(whole.edges.map((e) => [e.id, Math.round(pathLength(e.path) * 100) / 100])).toEqual([
      ['neck', 40.31],
      ['shoulder', 60.83],
      ['armhole', 110.83],
      ['side', 140],
      ['hem', 110],
      ['centreBack', 255],
    ]);
    // 30 along the yoke’s armhole stays 30; 20 along the back’s comes after the yoke’s 50.
    expect(whole.marks.flatMap((m) => (m.kind === 'notch' ? [[m.id, m.edge, m.at]] : []))).toEqual([
      ['n', 'armhole', 70],
      ['m', 'armhole', 30],
    ]);
    expect(yokeLineOf(whole)?.pinned.yoke).toMatchObject({
      id: 'yoke',
      cut: 2,
      folded: true,
      armhole: 'arm',
      centre: 'cb',
    });
    const [one, two] = cutApart(whole);
    expect(one?.marks).toMatchObject([{ id: 'm', edge: 'arm', at: 30 }]);
    expect(two?.marks).toMatchObject([{ id: 'n', edge: 'armhole', at: 20 }]);
    expect([one?.fold, two?.fold, one?.cut]).toEqual(['cb', 'centreBack', 2]);
  });
});
