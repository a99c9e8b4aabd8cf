import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cross,
  distance,
  endOf,
  endTangent,
  pathFromSpans,
  pathLength,
  pointAt,
  polyline,
  startTangent,
  type Path,
} from '../../geometry/index.ts';
import { pieceArea, requireEdge, type Piece } from '../../pattern/index.ts';
import { block } from '../../testing/block.ts';
import { sampleIn } from '../../testing/samples.ts';
import { edge, line, rectangle } from '../../testing/shapes.ts';
import { expectOk } from '../../units/index.ts';
import {
  carryEdge,
  closeSeam,
  cornerAngle,
  facingOn,
  fittedCap,
  drawCorner,
  moveEnd,
  moveStart,
  raiseCentre,
  ruleSeam,
  shiftJoint,
  straightLength,
  transferSliver,
  trimEnd,
  turnCorner,
  widenSide,
  widenSquarely,
} from './index.ts';

const coordinate = fc.integer({ min: -60, max: 60 });
/** A curve from the origin that leaves to the right and ends well aside of that. */
const curves = fc
  .record({ x: fc.integer({ min: 80, max: 200 }), y: fc.integer({ min: 60, max: 200 }), a: coordinate, b: coordinate })
  .map(({ x, y, a, b }): Path =>
    pathFromSpans([
      { kind: 'cubic', a: { x: 0, y: 0 }, c1: { x: 40, y: 0 }, c2: { x: x + a / 4, y: y - 40 + b / 4 }, b: { x, y } },
    ]),
  );
const of = (piece: Piece, id: string): Path => requireEdge(piece, id).path;
const size = (piece: Piece, id: string): number => pathLength(of(piece, id));
const bodice = (id: string): Piece => sampleIn('causeway', '4').pieces.find((p) => p.id === id) as Piece;

describe('drawing a path to another end', () => {
  it('ends exactly there, begins where and as it began', () => {
    fc.assert(
      fc.property(curves, coordinate, coordinate, (path, dx, dy) => {
        const to = { x: endOf(path).x + dx / 4, y: endOf(path).y + dy / 4 };
        const drawn = moveEnd(path, to, Infinity);
        expect(distance(endOf(drawn), to)).toBeLessThan(1e-9);
        expect(drawn.start).toEqual(path.start);
        expect(Math.abs(cross(startTangent(drawn), startTangent(path)))).toBeLessThan(1e-9);
      }),
      { numRuns: 200, seed: 51 },
    );
  });
  it('leaves everything beyond the reach as it was', () => {
    fc.assert(
      fc.property(curves, fc.integer({ min: 30, max: 70 }), (path, reach) => {
        const to = { x: endOf(path).x + 6, y: endOf(path).y - 5 };
        const drawn = moveEnd(path, to, reach);
        const kept = pathLength(path) - reach;
        for (const at of [0, kept / 2, kept - 0.01])
          expect(distance(pointAt(drawn, at), pointAt(path, at))).toBeLessThan(1e-4);
      }),
      { numRuns: 60, seed: 52 },
    );
  });
  it('keeps a straight line straight, and is the same from the other end', () => {
    const straight = line([0, 0], [100, 0]);
    expect(moveEnd(straight, { x: 100, y: 30 }, Infinity)).toEqual(line([0, 0], [100, 30]));
    expect(moveStart(line([100, 0], [0, 0]), { x: 100, y: 30 }, Infinity)).toEqual(line([100, 30], [0, 0]));
    expect(moveEnd(straight, { x: 100, y: 0 }, 20)).toEqual(straight);
  });
  it('leaves a straight line smoothly where only its end is drawn again', () => {
    const drawn = moveEnd(line([0, 0], [100, 0]), { x: 100, y: 8 }, 40);
    expect(pointAt(drawn, 59).y).toBeCloseTo(0, 9);
    expect(endOf(drawn)).toEqual({ x: 100, y: 8 });
    expect(pathLength(drawn)).toBeLessThan(101.5);
  });
});

describe('corners', () => {
  it('moves a corner with both its edges; notches stay where the other end has them', () => {
    const piece = {
      ...rectangle(200, 300),
      marks: [{ kind: 'notch' as const, id: 'n', edge: 'bottom', at: 150, count: 1 }],
    };
    const moved = drawCorner(piece, ['right', 'bottom'], { x: 220, y: 310 });
    expect(endOf(of(moved, 'right'))).toEqual({ x: 220, y: 310 });
    expect(of(moved, 'bottom').start).toEqual({ x: 220, y: 310 });
    // 50 from the far end, as before.
    const notch = moved.marks[0] as { at: number };
    expect(size(moved, 'bottom') - notch.at).toBeCloseTo(50, 9);
  });
  it('turns a curve with the straight edge it meets', () => {
    const front = bodice('front');
    const moved = drawCorner(
      front,
      ['shoulder', 'armhole'],
      { x: endOf(of(front, 'shoulder')).x - 4, y: endOf(of(front, 'shoulder')).y + 9 },
      [undefined, 80],
    );
    expect(cornerAngle(moved, 'armhole', 'start')).toBeCloseTo(cornerAngle(front, 'armhole', 'start'), 6);
    expect(endOf(of(moved, 'armhole'))).toEqual(endOf(of(front, 'armhole')));
  });
  it('turns an end to an angle and holds the length', () => {
    const front = bodice('front');
    for (const angle of [84, 88, 93, 97]) {
      const turned = turnCorner(front, 'armhole', 'start', angle, 45);
      expect(cornerAngle(turned, 'armhole', 'start')).toBeCloseTo(angle, 6);
      expect(Math.abs(size(turned, 'armhole') - size(front, 'armhole'))).toBeLessThan(0.05);
      expect(endOf(of(turned, 'armhole'))).toEqual(endOf(of(front, 'armhole')));
    }
  });
  it('leaves a notch where it lies on the paper, at whichever end the edge is cut shorter', () => {
    const piece = {
      ...rectangle(200, 300),
      marks: [{ kind: 'notch' as const, id: 'n', edge: 'top', at: 150, count: 1 }],
    };
    for (const [at, along] of [
      ['start', 138],
      ['end', 150],
    ] as const) {
      const trimmed = trimEnd(piece, 'top', { at, by: 12, reach: 100 });
      expect(trimmed.marks).toMatchObject([{ at: along }]);
      expect(pointAt(of(trimmed, 'top'), along).x).toBeCloseTo(150, 9);
    }
  });
  it('cuts an edge shorter and draws its neighbour there', () => {
    const trimmed = trimEnd(rectangle(200, 300), 'top', { at: 'end', by: 12, reach: 100 });
    expect(endOf(of(trimmed, 'top'))).toEqual({ x: 188, y: 0 });
    expect(of(trimmed, 'right').start).toEqual({ x: 188, y: 0 });
    expect(pointAt(of(trimmed, 'right'), size(trimmed, 'right') - 150).x).toBeCloseTo(200, 9);
  });
});

describe('carrying', () => {
  it('shifts an edge without changing it when both ends go alike', () => {
    const front = bodice('front');
    const by = { x: -3, y: 11 };
    const moved = carryEdge(front, 'armhole', by, by);
    expect(size(moved, 'armhole')).toBeCloseTo(size(front, 'armhole'), 9);
    expect(distance(endOf(of(moved, 'shoulder')), endOf(of(front, 'shoulder')))).toBeCloseTo(Math.hypot(3, 11), 9);
    expect(endOf(of(moved, 'armhole'))).toEqual(of(moved, 'sideUpper').start);
  });
  it('moves a joint along two edges, nothing else: a notch goes to the edge that runs through it', () => {
    const sleeve = bodice('sleeve');
    const moved = shiftJoint(sleeve, 'capBack', 12);
    expect(size(moved, 'capBack') - size(sleeve, 'capBack')).toBeCloseTo(12, 4);
    expect(size(moved, 'capBack') + size(moved, 'capFront')).toBeCloseTo(
      size(sleeve, 'capBack') + size(sleeve, 'capFront'),
      4,
    );
    expect(pieceArea(moved)).toBeCloseTo(pieceArea(sleeve), 4);
    const far = shiftJoint(sleeve, 'capBack', 140);
    expect(far.marks.filter((m) => m.kind === 'notch').map((m) => m.edge)).toEqual(['capBack', 'capBack']);
  });
});

describe('seams with darts folded shut', () => {
  it('measures and rules the shoulder of a back as it is sewn', () => {
    const back = bodice('back');
    const edges = ['shoulderArm', 'shoulderNeck'];
    // Drafted straight across its dart: 122 in size 4.
    expect(straightLength(back, closeSeam(back, edges))).toBeCloseTo(122, 3);
    const ruled = ruleSeam(back, edges);
    for (const id of edges) expect(size(ruled, id)).toBeCloseTo(size(back, id), 3);
  });
  it('takes edges that simply run on, as an eased dart leaves them', () => {
    const piece: Piece = {
      ...rectangle(200, 100),
      edges: [
        edge('a', 'shoulder', line([0, 0], [80, 6])),
        edge('b', 'shoulder', line([80, 6], [200, 0])),
        ...rectangle(200, 100).edges.slice(1),
      ],
    };
    const ruled = ruleSeam(piece, ['a', 'b']);
    expect(endOf(of(ruled, 'a')).y).toBeCloseTo(0, 9);
    expect(size(ruled, 'a') + size(ruled, 'b')).toBeCloseTo(200, 9);
    expect(() => closeSeam(piece, ['a', 'right'])).toThrow(/expected a dart before "right"/);
  });
  it('passes a sliver over a dart: the taker gains it and what its dart opens by', () => {
    const front = bodice('front');
    const back = bodice('back');
    const done = transferSliver(
      { piece: front, edges: ['shoulder'] },
      { piece: back, edges: ['shoulderArm', 'shoulderNeck'] },
      3,
      10,
    );
    expect(size(done.giver, 'shoulder')).toBeCloseTo(
      straightLength(done.taker, closeSeam(done.taker, ['shoulderArm', 'shoulderNeck'])),
      4,
    );
    expect(size(done.taker, 'neck') - size(back, 'neck')).toBeCloseTo(3, 4);
    expect(size(done.taker, 'armhole') - size(back, 'armhole')).toBeCloseTo(10, 4);
    expect(pieceArea(done.taker) - pieceArea(back)).toBeGreaterThan(pieceArea(front) - pieceArea(done.giver) - 1e-6);
  });
});

describe('sides', () => {
  const front = block().pieces[0] as Piece;
  it('runs through its knots and nothing beyond the outermost', () => {
    const wide = widenSide(
      front,
      ['side'],
      [
        { at: 50, by: 0 },
        { at: 120, by: 9 },
        { at: 200, by: 4 },
      ],
      1,
      null,
    );
    const path = of(wide, 'side');
    expect(path.start).toEqual({ x: 200, y: 160 });
    expect(pointAt(path, 50).x).toBeCloseTo(200, 9);
    expect(endOf(path)).toEqual({ x: 204, y: 360 });
    const at = path.segments.map((s) => s.to.x);
    expect(Math.max(...at)).toBeCloseTo(209, 9);
    expect(of(wide, 'waist').start).toEqual({ x: 204, y: 360 });
  });
  it('holds its length when asked, corners as they were', () => {
    fc.assert(
      fc.property(fc.integer({ min: -14, max: 25 }), fc.integer({ min: -14, max: 25 }), (a, b) => {
        const done = widenSquarely(
          front,
          ['side'],
          [
            { at: 100, by: a },
            { at: 200, by: b },
          ],
          { out: 1, hold: true, round: 20 },
        );
        expect(size(done, 'side')).toBeCloseTo(200, 4);
      }),
      { numRuns: 60, seed: 53 },
    );
  });
  it('puts a notch straight across on the new line', () => {
    const wide = widenSide(
      front,
      ['side'],
      [
        { at: 0, by: 0 },
        { at: 200, by: 10 },
      ],
      1,
      null,
    );
    const notch = wide.marks.find((m) => m.kind === 'notch' && m.id === 'side') as { at: number };
    expect(pointAt(of(wide, 'side'), notch.at).y).toBeCloseTo(260, 3);
  });
  it('raises a waist at the centre only, and lowers it again to where it was', () => {
    const up = raiseCentre(front, 12);
    expect(size(up, 'centreFront')).toBeCloseTo(288, 9);
    expect(of(up, 'waist').start).toEqual({ x: 200, y: 360 });
    expect(cornerAngle(up, 'waist', 'end')).toBeCloseTo(90, 6);
    const back = raiseCentre(up, -12);
    expect(pieceArea(back)).toBeCloseTo(pieceArea(front), 3);
  });
});

describe('what follows a neck or an armhole', () => {
  it('makes each half of a cap as long as asked, on the same biceps', () => {
    const sleeve = bodice('sleeve');
    fc.assert(
      fc.property(fc.integer({ min: -18, max: 18 }), fc.integer({ min: -18, max: 18 }), (f, b) => {
        const goal = { capFront: size(sleeve, 'capFront') + f, capBack: size(sleeve, 'capBack') + b };
        const done = expectOk(fittedCap(sleeve, goal), 'cap').piece;
        for (const id of ['capFront', 'capBack'] as const) expect(size(done, id)).toBeCloseTo(goal[id], 4);
        expect(of(done, 'capBack').start).toEqual(of(sleeve, 'capBack').start);
        expect(Math.abs(endTangent(of(done, 'capBack')).y)).toBeLessThan(1e-9);
      }),
      { numRuns: 40, seed: 54 },
    );
    expect(fittedCap(sleeve, { capFront: 900, capBack: 900 })).toMatchObject({
      ok: false,
      error: { code: 'cap-cannot-follow' },
    });
  });
  it('draws a facing as deep along shoulder and centre as asked, past a dart too', () => {
    for (const depth of [40, 50, 70])
      for (const id of ['front', 'back']) {
        const edges = Object.fromEntries(facingOn(bodice(id), depth).map((e) => [e.id, e.path]));
        const centre = id === 'front' ? 'centreFront' : 'centreBack';
        expect(pathLength(edges['shoulder'] as Path)).toBeCloseTo(depth, 4);
        expect(pathLength(edges[centre] as Path)).toBeCloseTo(depth, 4);
        expect(pathLength(edges['neck'] as Path)).toBeCloseTo(size(bodice(id), 'neck'), 9);
        expect(pathLength(edges['outer'] as Path)).toBeGreaterThan(size(bodice(id), 'neck'));
      }
    expect(() => facingOn(rectangle(10, 10), 5)).toThrow(/expected neck, shoulder and centre/);
  });
  it('closes its outline', () => {
    const edges = facingOn(bodice('back'), 50);
    edges.forEach((e, i) =>
      expect(distance(endOf(e.path), (edges[(i + 1) % edges.length] as typeof e).path.start)).toBeLessThan(1e-3),
    );
    expect(polyline([{ x: 0, y: 0 }]).segments).toEqual([]);
  });
});
