import { describe, expect, it } from 'vitest';
import { distance, pathLength, rotateAbout } from '../../geometry/index.ts';
import { edgesWithRole, hipOf, waistOf } from '../../pattern/index.ts';
import { block } from '../../testing/block.ts';
import { contextOn } from '../../testing/samples.ts';
import { edge, line } from '../../testing/shapes.ts';
import { pieceIn } from '../../testing/work.ts';
import { expectOk } from '../../units/index.ts';
import type { Row } from './acrossPanels.ts';
import { centreEdge, highest, lowest, meetingOn, meetings } from './across.ts';
import { followings, wantedLength } from './follow.ts';
import { draftedSide, lineHeight } from './levels.ts';
import { cutPlace, placeOn, shoulderPair } from './shoulder.ts';
import { alongAt, notchAlong, sideOn, sidesOf, solveKnot, targetAt } from './sides.ts';
import { turnAcross } from './turnAcross.ts';
import { downSide } from './underarm.ts';

const b = block({ skirt: true });
const front = pieceIn(b, 'front');
const back = pieceIn(b, 'back');

describe('where a level meets a piece', () => {
  it('lists every crossing from left to right, with how far along each seam line', () => {
    const met = meetings(front, 260);
    expect(met.map((m) => [m.edge.role, m.at.x])).toEqual([
      ['centreFront', 0],
      ['side', 200],
    ]);
    expect(met[1]?.along).toBeCloseTo(100, 9);
    expect(meetings(front, 900)).toEqual([]);
    expect(meetingOn(front, 100, ['armhole'])?.at).toEqual({ x: 160, y: 100 });
    expect([highest(front), lowest(front), centreEdge(back)?.id]).toEqual([0, 360, 'centreBack']);
  });
});

describe('the shoulder pair', () => {
  const pair = expectOk(shoulderPair(b), 'pair');
  it('is found on both halves, whichever way their outlines run', () => {
    expect([pair.front.neckFirst, pair.back.neckFirst]).toEqual([true, false]);
    for (const on of [pair.front, pair.back]) {
      expect(on.length).toBeCloseTo(100, 9);
      expect(distance(on.neckPoint, on.shoulderPoint)).toBeCloseTo(100, 9);
      expect(on.hinge.reach).toBeCloseTo(80, 9);
      expect(distance(placeOn(on, on.length), on.shoulderPoint)).toBeLessThan(1e-9);
      expect(distance(on.open(on.close(on.hinge.at)), on.hinge.at)).toBeLessThan(1e-9);
    }
    // The mirrored back has its neck at x = 140 and its shoulder end at x = 40.
    expect(pair.back.shoulderPoint.x).toBeCloseTo(40, 9);
    expect(downSide(back, 'armhole')?.y).toBe(1);
  });
  it('cuts beyond the dart of a back that has one', () => {
    const dress = expectOk(shoulderPair(contextOn('causeway', '4')), 'pair');
    const [arm] = edgesWithRole(dress.back.piece, 'shoulder').filter((e) => e.id === 'shoulderArm');
    const at = cutPlace(dress.back);
    expect(distance(at, dress.back.shoulderPoint)).toBeGreaterThan(30);
    expect(distance(at, dress.back.shoulderPoint)).toBeLessThan(65);
    expect(arm).toBeDefined();
    expect(dress.back.length).toBeCloseTo(122, 3);
  });
  it('is not there on a raglan, and says so', () => {
    expect(shoulderPair(contextOn('ebb', '4'))).toMatchObject({ ok: false, error: { code: 'shoulder-seam-missing' } });
  });
});

describe('sides', () => {
  it('are seen from their upper end, with the way out', () => {
    const sides = sidesOf(b.pieces);
    expect(sides.map((s) => [s.piece.id, s.out, s.skirt])).toEqual([
      ['front', 1, false],
      ['back', -1, false],
      ['skirtFront', 1, true],
      ['skirtBack', -1, true],
    ]);
    const [f, k] = [sideOn(front), sideOn(back)];
    if (!f || !k) throw new Error('expected sides');
    for (const s of [f, k]) {
      expect(alongAt(s, 310)).toBeCloseTo(150, 9);
      expect(notchAlong(s, 0, 200, [])).toBeCloseTo(100, 9);
      expect(notchAlong(s, 120, 200, [])).toBeNull();
      expect(
        notchAlong(
          s,
          0,
          200,
          s.piece.marks.map((m) => m.id),
        ),
      ).toBeNull();
    }
    expect(targetAt(f, 50, 6)).toEqual({ x: 206, y: 210 });
    expect(targetAt(k, 50, 6).x).toBeCloseTo(-6, 9);
    expect([waistOf(front), hipOf(pieceIn(b, 'skirtFront')), hipOf(front)]).toEqual([200, 220, null]);
  });
  it('finds how far out a side must go for a width, by drawing it', () => {
    const side = sideOn(front);
    if (!side) throw new Error('expected a side');
    const knots = (by: number) => [
      { at: 100, by: 0 },
      { at: 200, by },
    ];
    expect(solveKnot(side, 209, waistOf, knots, 20)).toBeCloseTo(9, 0);
  });
});

describe('lines to lengthen at', () => {
  it('lie as far from what they share on every piece', () => {
    const dress = contextOn('causeway', '6').pieces;
    const [f, k] = [dress[0]!, dress[1]!];
    const under = (p: typeof f) =>
      Math.max(...edgesWithRole(p, 'armhole').flatMap((e) => [e.path.start.y, ...e.path.segments.map((s) => s.to.y)]));
    for (const p of [f, k]) expect(lineHeight(dress, p, 'aboveBust')).toBeLessThan(under(p));
    expect(under(f) - lineHeight(dress, f, 'aboveBust')!).toBeCloseTo(under(k) - lineHeight(dress, k, 'aboveBust')!, 6);
    expect(lineHeight(dress, f, 'hem')).toBeNull();
    expect(lineHeight(dress, dress[2]!, 'belowBust')).toBeNull();
    expect(draftedSide(back)).toBeCloseTo(200, 9);
  });
  it('takes a panel’s line from the panel it was cut from', () => {
    const panels = contextOn('skerry-shoulder', '4').pieces;
    const of = (part: string) => panels.find((p) => p.part === part)!;
    expect(lineHeight(panels, of('sideFront'), 'belowBust')).toBe(lineHeight(panels, of('front'), 'belowBust'));
  });
});

describe('a part turned about a pin', () => {
  const straight = edge('e', 'side', line([0, 0], [0, 100]));
  const row = (reach: number): Row => [
    {
      piece: back,
      inner: { at: { x: 0, y: 50 }, edge: straight, along: 50 },
      outer: { at: { x: reach, y: 50 }, edge: straight, along: 50 },
      before: 0,
    },
  ];
  it('opens the centre by what is asked, measured square to the line', () => {
    for (const by of [12, -12])
      for (const turns of ['upper', 'lower'] as const) {
        const done = expectOk(
          turnAcross({
            row: row(160),
            by,
            turns,
            say: { mark: 'sway.mark', cut: 'sway.cut', turn: 'sway.lap' },
            share: 0.5,
          }),
          'turn',
        );
        const to = rotateAbout({ x: 0, y: 50 }, { x: 160, y: 50 }, done.angles[0]!);
        expect((to.y - 50) * (turns === 'upper' ? -1 : 1)).toBeCloseTo(by, 9);
      }
    expect(
      turnAcross({
        row: row(100),
        by: 40,
        turns: 'lower',
        say: { mark: 'sway.mark', cut: 'sway.cut', turn: 'sway.lap' },
        share: 1 / 3,
      }),
    ).toMatchObject({
      ok: false,
      error: { code: 'wedge-too-large' },
    });
  });
});

describe('what follows what', () => {
  it('reads leader and follower from the seams, with the ease they were drafted with', () => {
    const dress = contextOn('causeway', '4');
    const caps = expectOk(followings(dress, 'armhole', ['sleeve']), 'caps');
    expect(caps.map((f) => [f.leader.id, f.follower.id])).toEqual([
      ['front', 'sleeve'],
      ['back', 'sleeve'],
    ]);
    for (const f of caps) {
      const now = f.follower.edges.find((e) => e.id === f.following.edges[0])!;
      expect(wantedLength(f)).toBeCloseTo(pathLength(now.path), 3);
    }
    expect(followings(dress, 'neck', ['band'])).toMatchObject({ ok: false });
  });
});
