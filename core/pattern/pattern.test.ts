import { describe, expect, it } from 'vitest';
import { draftCauseway, causewayPattern } from '../blocks/index.ts';
import { endOf, isSimplePolygon, flatten, pathLength, polyline } from '../geometry/index.ts';
import { edge, line, rectangle, workedFront } from '../testing/shapes.ts';
import { expectOk } from '../units/index.ts';
import {
  cuttingLine,
  edgeOf,
  flatMeasure,
  levelOf,
  mirrorPiece,
  normalisePiece,
  pieceArea,
  validatePattern,
  validatePiece,
  widthAt,
  type Piece,
} from './index.ts';

const problems = (piece: Piece) => validatePiece(piece).map((x) => x.code);

describe('validation names what is wrong and where', () => {
  const box = rectangle(100, 80);
  const withEdge = (i: number, e: Piece['edges'][number]): Piece => ({
    ...box,
    edges: box.edges.map((old, k) => (k === i ? e : old)),
  });

  it('finds nothing in a sound piece', () => {
    expect(problems(box)).toEqual([]);
    expect(problems(workedFront())).toEqual([]);
  });

  it.each<[string, Piece]>([
    ['edges-do-not-join', withEdge(1, edge('right', 'side', line([101, 0], [100, 80])))],
    ['outline-open', withEdge(3, edge('left', 'centreFront', line([0, 80], [0, 5])))],
    ['edge-repeated', withEdge(1, edge('top', 'side', line([100, 0], [100, 80])))],
    [
      'outline-crosses',
      {
        ...box,
        edges: [
          edge('a', 'other', line([0, 0], [100, 80])),
          edge('b', 'other', line([100, 80], [100, 0])),
          edge('c', 'other', line([100, 0], [0, 80])),
          edge('d', 'other', line([0, 80], [0, 0])),
        ],
      },
    ],
    ['fold-edge-missing', { ...box, fold: 'nowhere' }],
    [
      'dart-mouth-missing',
      { ...box, darts: [{ id: 'd', kind: 'side', mouth: 'gone', tip: { x: 50, y: 40 }, foldToward: 'end' }] },
    ],
    [
      'dart-tip-outside',
      { ...box, darts: [{ id: 'd', kind: 'side', mouth: 'right', tip: { x: 150, y: 40 }, foldToward: 'end' }] },
    ],
    ['notch-edge-missing', { ...box, marks: [{ kind: 'notch', id: 'n', edge: 'gone', at: 3, count: 1 }] }],
    ['notch-off-edge', { ...box, marks: [{ kind: 'notch', id: 'n', edge: 'top', at: 130, count: 1 }] }],
  ])('%s', (code, piece) => {
    expect(problems(piece)).toContain(code);
  });

  it('says how far apart two edges are', () => {
    expect(validatePiece(withEdge(1, edge('right', 'side', line([101, 0], [100, 80]))))[0]).toMatchObject({
      code: 'edges-do-not-join',
      data: { edge: 'top', next: 'right', gap: 1 },
    });
  });

  it('finds seams that name what is not there', () => {
    const p = causewayPattern(['4']);
    const broken = { ...p, seams: [{ ...p.seams[0]!, second: { piece: 'cuff', edges: ['cap'], reversed: false } }] };
    expect(validatePattern(broken).map((x) => x.code)).toEqual(['seam-piece-missing']);
  });
});

describe('normalising', () => {
  it('turns an anticlockwise outline round without moving anything', () => {
    const front = workedFront();
    const against: Piece = {
      ...front,
      edges: [...front.edges].reverse().map((e) => ({
        ...e,
        path: {
          start: endOf(e.path),
          segments: [...e.path.segments].reverse().map((_, i, all) => ({
            kind: 'line' as const,
            to:
              i === all.length - 1
                ? e.path.start
                : (e.path.segments[e.path.segments.length - 2 - i] as { to: { x: number; y: number } }).to,
          })),
        },
      })),
    };
    expect(pieceArea(against)).toBeCloseTo(-pieceArea(front), 6);
    const back = normalisePiece(against);
    expect(pieceArea(back)).toBeCloseTo(pieceArea(front), 6);
    expect(back.darts[0]?.foldToward).toBe('start');
  });

  it('reads a mouth drawn along the dart legs as a mouth drawn across', () => {
    const front = workedFront();
    const drawn: Piece = {
      ...front,
      edges: front.edges.map((e) => (e.id === 'mouth' ? { ...e, path: line([225, 255], [120, 261], [228, 275]) } : e)),
    };
    expect(edgeOf(normalisePiece(drawn), 'mouth')?.path).toEqual(
      polyline([
        { x: 225, y: 255 },
        { x: 228, y: 275 },
      ]),
    );
  });

  it('closes the thousandths a file loses', () => {
    const box = rectangle(100, 80);
    const loose: Piece = {
      ...box,
      edges: box.edges.map((e, i) => (i === 1 ? { ...e, path: line([100.001, 0], [100, 80]) } : e)),
    };
    expect(edgeOf(normalisePiece(loose), 'right')?.path.start).toEqual({ x: 100, y: 0 });
  });

  it('mirrors twice to the same piece', () => {
    const front = draftCauseway('4')[0]!;
    const twice = mirrorPiece(mirrorPiece(front, 120), 120);
    expect(pieceArea(mirrorPiece(front, 120))).toBeCloseTo(pieceArea(front), 6);
    expect(twice.darts[0]?.tip.x).toBeCloseTo(front.darts[0]!.tip.x, 9);
    expect(twice.marks.find((m) => m.kind === 'notch')).toMatchObject({ edge: 'armhole' });
  });
});

describe('flat measurement', () => {
  it('folds an upright dart out of a level line', () => {
    const box: Piece = {
      ...rectangle(100, 80),
      edges: [
        edge('top', 'neck', line([0, 0], [100, 0])),
        edge('right', 'side', line([100, 0], [100, 80])),
        edge('h1', 'hem', line([100, 80], [60, 80])),
        edge('m', 'dart', line([60, 80], [40, 80])),
        edge('h2', 'hem', line([40, 80], [0, 80])),
        edge('left', 'centreFront', line([0, 80], [0, 0])),
      ],
      darts: [{ id: 'd', kind: 'waist', mouth: 'm', tip: { x: 50, y: 40 }, foldToward: 'end' }],
    };
    // Half-way down the dart half of its 20 mm intake is folded out.
    expect(expectOk(widthAt(box, 60), 'width').width).toBeCloseTo(90, 9);
    expect(expectOk(widthAt(box, 30), 'width').width).toBeCloseTo(100, 9);
    expect(widthAt(box, 300).ok).toBe(false);
  });

  it('goes on from the other leg of a side dart', () => {
    const front = workedFront();
    const at = expectOk(widthAt(front, 263), 'width');
    expect(at.runs.length).toBe(2);
    expect(at.width).toBeGreaterThan(215);
    expect(at.width).toBeLessThan(228);
  });

  it('gives the draft’s own ease back at bust and waist, in every size', () => {
    const pattern = causewayPattern();
    for (const row of pattern.chart) {
      const pieces = pattern.sizes[row.size] ?? [];
      expect(Math.abs(expectOk(flatMeasure(pieces, 'bust'), 'bust') - (row.body.fullBust ?? 0) - 50)).toBeLessThan(3);
      expect(expectOk(flatMeasure(pieces, 'waist'), 'waist')).toBeCloseTo((row.body.waist ?? 0) + 30, 3);
    }
  });

  it('refuses a level that no piece carries', () => {
    expect(flatMeasure([rectangle(10, 10)], 'hip')).toMatchObject({ ok: false, error: { code: 'level-not-on-piece' } });
  });
});

describe('the cutting line', () => {
  it('lies outside by each edge’s allowance, none on the fold, simple in every size', () => {
    const pattern = causewayPattern();
    for (const pieces of Object.values(pattern.sizes))
      for (const piece of pieces) {
        const ring = flatten(cuttingLine(piece), 0.1);
        expect(isSimplePolygon(ring)).toBe(true);
        if (piece.fold !== null) expect(Math.min(...ring.map((q) => q.x))).toBeCloseTo(0, 6);
      }
  });

  it('adds 15 mm round a box', () => {
    const box = rectangle(100, 80);
    expect(pathLength(cuttingLine(box))).toBeCloseTo(2 * (130 + 110), 6);
    expect(levelOf(box, 'waist')).toBeUndefined();
  });
});
