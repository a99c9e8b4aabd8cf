import { describe, expect, it } from 'vitest';
import { SAMPLE_IDS, samplePattern } from '../../blocks/index.ts';
import { pathLength, polyline } from '../../geometry/index.ts';
import { requireEdge, type Mark, type Piece } from '../../pattern/index.ts';
import { wrongWith } from '../../testing/fuzz/index.ts';
import { pieceOf } from '../../testing/samples.ts';
import { edge, line, rectangle, workedFront } from '../../testing/shapes.ts';
import { inspectPiece, inspectSeams, isSoundRing, newFaults } from './index.ts';

const codes = (piece: Piece) => inspectPiece(piece).map((f) => f.code);
const withEdge = (piece: Piece, id: string, change: Partial<Piece['edges'][number]>): Piece => ({
  ...piece,
  edges: piece.edges.map((e) => (e.id === id ? { ...e, ...change } : e)),
});

describe('the guard', () => {
  it('passes every sample in every size, as the search’s own judge does', () => {
    for (const id of SAMPLE_IDS)
      for (const [size, pieces] of Object.entries(samplePattern(id).sizes))
        for (const piece of pieces) {
          expect(inspectPiece(piece), `${id} ${size} ${piece.id}`).toEqual([]);
          expect(wrongWith(piece), `${id} ${size} ${piece.id}`).toEqual([]);
        }
  });

  it('says where edges do not join, and by how much', () => {
    const torn = withEdge(rectangle(200, 100), 'right', { path: line([203, 4], [200, 100]) });
    const [fault] = inspectPiece(torn);
    expect(fault).toMatchObject({ code: 'edges-do-not-join', grade: 'fault', piece: 'box', at: { x: 200, y: 0 } });
    expect(fault?.data['gap']).toBeCloseTo(5, 9);
  });

  it('does not let a place pass that is no number', () => {
    const lost = withEdge(rectangle(200, 100), 'right', { path: line([NaN, 0], [200, 100]) });
    expect(codes(lost)).toContain('edges-do-not-join');
  });

  it('finds names given twice, edges without length and a fold that is gone', () => {
    const box = rectangle(200, 100);
    expect(codes({ ...box, edges: box.edges.map((e) => ({ ...e, id: 'same' })) })).toContain('id-repeated');
    expect(codes({ ...box, fold: 'gone' })).toContain('fold-missing');
    const flat = { ...box, edges: [edge('dot', 'hem', line([0, 0], [0, 0])), ...box.edges] };
    expect(codes(flat)).toContain('edge-without-length');
  });

  it('finds an outline that crosses itself, runs the wrong way, or holds no paper', () => {
    const bow = withEdge(withEdge(rectangle(200, 100), 'right', { path: line([200, 0], [0, 100]) }), 'bottom', {
      path: line([0, 100], [200, 100]),
    });
    expect(codes(withEdge(bow, 'left', { path: line([200, 100], [0, 0]) }))).toEqual(['outline-crosses']);
    const box = rectangle(200, 100);
    const turned = {
      ...box,
      edges: [
        edge('a', 'neck', line([0, 0], [0, 100])),
        edge('b', 'side', line([0, 100], [200, 100])),
        edge('c', 'hem', line([200, 100], [200, 0])),
        edge('d', 'other', line([200, 0], [0, 0])),
      ],
    };
    expect(codes(turned)).toEqual(['outline-inside-out']);
    expect(codes(rectangle(9, 9))).toEqual(['piece-too-small']);
  });

  it('keeps darts on the piece and apart', () => {
    const front = workedFront();
    const tip = (x: number, y: number): Piece => ({
      ...front,
      darts: front.darts.map((d) => ({ ...d, tip: { x, y } })),
    });
    expect(codes(tip(-20, 261))).toEqual(['dart-tip-outside']);
    // Straight to the neck: inside, but the legs cross the armhole.
    expect(codes(tip(150, 60))).toEqual(['dart-leaves-piece']);
    const causeway = pieceOf('front');
    const crossed = {
      ...causeway,
      darts: causeway.darts.map((d) => (d.kind === 'waist' ? { ...d, tip: { x: d.tip.x + 60, y: d.tip.y - 40 } } : d)),
    };
    expect(codes(crossed)).toEqual(['darts-cross']);
  });

  it('keeps notches on their edges, to a fiftieth of a millimetre', () => {
    const front = workedFront();
    const size = pathLength(requireEdge(front, 'a').path);
    const at = (place: number): Piece => ({
      ...front,
      marks: front.marks.map((m): Mark => (m.kind === 'notch' ? { ...m, at: place } : m)),
    });
    expect(codes(at(size))).toEqual([]);
    expect(codes(at(size + 3))).toEqual(['notch-off-edge']);
    expect(inspectPiece(at(-2))[0]?.data['past']).toBeCloseTo(2, 9);
  });

  it('looks at the cutting line only when it has the time, and reports how far it is off', () => {
    // Two notches cut into a hem, closer together than their allowances: the line between them must not run inside.
    const narrow = withEdge(rectangle(200, 100), 'bottom', {
      path: polyline([
        { x: 200, y: 100 },
        { x: 110, y: 100 },
        { x: 100, y: 40 },
        { x: 90, y: 100 },
        { x: 0, y: 100 },
      ]),
    });
    expect(codes(narrow)).toEqual([]);
    expect(inspectPiece({ ...narrow }, 'quick')).toEqual([]);
  });

  it('sees a leg that leaves the piece right beside its mouth', () => {
    // A wedge cut out beside the mouth, from (70, 0) in to (96, 12) and back to the leg's end at (90, 0).
    const slit = {
      ...rectangle(200, 100),
      edges: [
        edge('top', 'neck', line([0, 0], [70, 0], [96, 12], [90, 0])),
        edge('mouth', 'dart', line([90, 0], [110, 0])),
        edge('rest', 'neck', line([110, 0], [200, 0])),
        edge('right', 'side', line([200, 0], [200, 100])),
        edge('bottom', 'hem', line([200, 100], [0, 100])),
        edge('left', 'centreFront', line([0, 100], [0, 0])),
      ],
      darts: [{ id: 'd', kind: 'neck', mouth: 'mouth', tip: { x: 100, y: 80 }, foldToward: 'end' } as const],
    };
    expect(inspectPiece(slit, 'quick').map((f) => f.code)).toContain('dart-leaves-piece');
  });

  it('names seams whose edges or notches are gone', () => {
    const front = pieceOf('front');
    const side = { piece: 'front', edges: ['sideUpper', 'gone'], reversed: false };
    const seam = { id: 's', kind: 'side', ease: 0, first: side, second: { ...side, edges: ['sideUpper'] } } as const;
    expect(inspectSeams([front], [seam]).map((f) => [f.code, f.piece, f.data['kind']])).toEqual([
      ['seam-broken', 'front', 'side'],
    ]);
  });

  it('holds a step to what it did itself', () => {
    const torn = inspectPiece({ ...rectangle(9, 9) });
    expect(newFaults(torn, torn)).toEqual([]);
    expect(newFaults([], torn)).toHaveLength(1);
  });

  it('tells a patch that can be cut out from one that cannot', () => {
    const square = [
      { x: 0, y: 0 },
      { x: 40, y: 0 },
      { x: 40, y: 40 },
      { x: 0, y: 40 },
    ];
    expect(isSoundRing(square)).toBe(true);
    expect(isSoundRing([square[0]!, square[2]!, square[1]!, square[3]!])).toBe(false);
    expect(isSoundRing(square.map((p) => ({ x: p.x / 20, y: p.y / 20 })))).toBe(false);
  });
});
