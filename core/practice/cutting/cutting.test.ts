import { describe, expect, it } from 'vitest';
import { distance, inverse, move, signedArea, spansOf, type Point } from '../../geometry/index.ts';
import { pieceArea } from '../../pattern/index.ts';
import { rectangle } from '../../testing/shapes.ts';
import { expectOk, nth, TOL, type Result } from '../../units/index.ts';
import { LESSONS } from '../lessons/index.ts';
import { rightLines } from '../model.ts';
import { laidByHand } from '../../testing/practice.ts';
import { rightLaid } from '../rightLaid.ts';
import { taskOf } from '../task.ts';
import { cutAlong, moveBy, pinApart, restOf, shortEnds, tapeDown, type Line } from './index.ts';

const line = (id: string, points: readonly (readonly [number, number])[], start = false, end = false): Line => ({
  id,
  points: points.map(([x, y]) => ({ x, y })),
  hinge: { start, end },
});
const code = (r: Result<unknown>): string => (r.ok ? 'carried out' : r.error.code);
/** 200 wide, 300 high; its grain would run through (100, 150). */
const box = rectangle(200, 300);

describe('lines drawn by hand', () => {
  it('are cut to the paper where they run out over it, and reach the seam line where they nearly do', () => {
    const sheet = expectOk(
      cutAlong(box, [
        line('1', [
          [-30, 100],
          [196, 100],
        ]),
      ]),
      'sheet',
    );
    expect(sheet.lines[0]?.points).toEqual([
      { x: 0, y: 100 },
      { x: 200, y: 100 },
    ]);
    expect(sheet.rings).toHaveLength(2);
  });

  it('meet an earlier line where they nearly do, at its bend first', () => {
    const lines = [
      line('1', [
        [100, 300],
        [100, 120],
        [200, 40],
      ]),
      line('2', [
        [0, 118],
        [96, 117],
      ]),
    ];
    const sheet = expectOk(cutAlong(box, lines), 'sheet');
    expect(sheet.lines[1]?.points.at(-1)).toEqual({ x: 100, y: 120 });
    expect(sheet.rings).toHaveLength(3);
  });

  it('that end inside the paper cut nothing off, and it is said how far they are from the seam line', () => {
    const short = [
      line('1', [
        [0, 100],
        [150, 100],
      ]),
    ];
    expect(shortEnds(box, short)).toEqual([{ line: '1', at: { x: 150, y: 100 }, by: 50 }]);
    expect(cutAlong(box, short)).toMatchObject({
      ok: false,
      error: { code: 'practice-line-short', data: { line: 1, by: 50 } },
    });
  });

  it('are needed before anything is cut', () => {
    expect(code(cutAlong(box, []))).toBe('practice-no-line');
    expect(
      code(
        cutAlong(box, [
          line('1', [
            [10, 10],
            [10, 10],
          ]),
        ]),
      ),
    ).toBe('practice-no-line');
  });

  it('along the edge of the paper are refused', () => {
    expect(
      code(
        cutAlong(box, [
          line('1', [
            [0, 0],
            [0, 300],
          ]),
        ]),
      ),
    ).toBe('practice-cut-fails');
  });
});

describe('hands', () => {
  const swung = expectOk(
    cutAlong(box, [
      line(
        '1',
        [
          [0, 60],
          [200, 60],
        ],
        false,
        true,
      ),
    ]),
    'sheet',
  );
  const upper = swung.rings.findIndex((r) => r.some((p) => p.y < 1));

  it('swing paper about its hinge: pulled by its corner it goes in a circle and the hinge stays', () => {
    const corner = { x: 0, y: 60 };
    const laid = expectOk(
      moveBy(swung, restOf(swung), { kind: 'pull', panel: upper, grip: corner, to: { x: 0, y: 40 } }),
      'laid',
    );
    const now = move(nth(laid, upper), corner);
    // 200 from the hinge: drawn towards (0, 40) the corner lies on that circle, nearest to where the hand is.
    expect(distance(now, { x: 200, y: 60 })).toBeCloseTo(200, 6);
    expect(now.y).toBeCloseTo(60 - 200 * Math.sin(Math.atan2(20, 200)), 2);
    expect(pinApart(nth(swung.pins, 0), laid)).toBeLessThan(TOL.same);
  });

  it('slide paper that nothing holds, without turning it', () => {
    const loose = expectOk(
      cutAlong(box, [
        line('1', [
          [0, 60],
          [200, 60],
        ]),
      ]),
      'sheet',
    );
    const panel = loose.rings.findIndex((r) => r.some((p) => p.y < 1));
    const laid = expectOk(
      moveBy(loose, restOf(loose), { kind: 'pull', panel, grip: { x: 20, y: 20 }, to: { x: 28, y: 5 } }),
      'laid',
    );
    expect(nth(laid, panel)).toMatchObject({
      x: expect.closeTo(8, 2),
      y: expect.closeTo(-15, 2),
      angle: expect.closeTo(0, 4),
    });
  });

  it('turn paper by an angle about its hinge', () => {
    const laid = expectOk(moveBy(swung, restOf(swung), { kind: 'turn', panel: upper, by: 0.1 }), 'laid');
    expect(nth(laid, upper).angle).toBeCloseTo(0.1, 7);
    expect(distance(move(nth(laid, upper), { x: 200, y: 60 }), { x: 200, y: 60 })).toBeLessThan(TOL.same);
  });

  it('are told what paper does not do', () => {
    const held = expectOk(
      cutAlong(box, [
        line(
          '1',
          [
            [0, 60],
            [200, 60],
          ],
          true,
          true,
        ),
      ]),
      'sheet',
    );
    const panel = held.rings.findIndex((r) => r.some((p) => p.y < 1));
    expect(code(moveBy(held, restOf(held), { kind: 'turn', panel, by: 0.1 }))).toBe('practice-held');
    expect(code(moveBy(held, restOf(held), { kind: 'turn', panel: held.root, by: 0.1 }))).toBe('practice-root');
    const loose = expectOk(
      cutAlong(box, [
        line('1', [
          [0, 60],
          [200, 60],
        ]),
      ]),
      'sheet',
    );
    const away = {
      kind: 'pull',
      panel: loose.root === 0 ? 1 : 0,
      grip: { x: 20, y: 20 },
      to: { x: 20, y: -200 },
    } as const;
    expect(code(moveBy(loose, restOf(loose), away))).toBe('practice-fell');
  });

  it.each(LESSONS.map((l) => [l.id, l] as const))(
    '%s: pulled to its place by hand, all lies as the alteration lays it',
    (_, lesson) => {
      const task = expectOk(taskOf(lesson, 'free', 3), 'task');
      for (const way of task.right) {
        const sheet = expectOk(cutAlong(way.from, rightLines(way)), 'sheet');
        const right = rightLaid(way, sheet);
        const laid = laidByHand(way, sheet);
        const off = sheet.rings.flatMap((ring, i) =>
          ring.map((p) => distance(move(nth(right, i), p), move(nth(laid, i), p))),
        );
        expect(Math.max(...off)).toBeLessThan(0.02);
        for (const pin of sheet.pins) expect(pinApart(pin, laid)).toBeLessThan(TOL.same);
      }
    },
  );
});

describe('taping', () => {
  it('adds the paper that opened and nothing else: 200 × 15 for a strip, half of it for a wedge', () => {
    const cut = (end: boolean) =>
      expectOk(
        cutAlong(box, [
          line(
            '1',
            [
              [0, 60],
              [200, 60],
            ],
            false,
            end,
          ),
        ]),
        'sheet',
      );
    const grown = (end: boolean, to: Point): number => {
      const sheet = cut(end);
      const panel = sheet.rings.findIndex((r) => r.some((p) => p.y < 1));
      const laid = expectOk(moveBy(sheet, restOf(sheet), { kind: 'pull', panel, grip: { x: 0, y: 60 }, to }), 'laid');
      return pieceArea(expectOk(tapeDown(sheet, laid), 'taped').piece) - 200 * 300;
    };
    expect(grown(false, { x: 0, y: 45 })).toBeCloseTo(3000, 0);
    const angle = Math.atan2(15, 200);
    // A triangle of 200 and 200 around the hinge.
    expect(grown(true, { x: 0, y: 45 })).toBeCloseTo(0.5 * 200 * 200 * Math.sin(angle), 0);
  });

  it('keeps every panel as it was cut', () => {
    const task = expectOk(taskOf(nth(LESSONS, 0), 'free', 5), 'task');
    const way = nth(task.right, 0);
    const sheet = expectOk(cutAlong(way.from, rightLines(way)), 'sheet');
    const taped = expectOk(tapeDown(sheet, rightLaid(way, sheet)), 'taped');
    const areas = taped.panels.map((p) => signedArea(spansOf(p.outline)));
    expect(areas.reduce((a, b) => a + b)).toBeCloseTo(pieceArea(way.from), 3);
    taped.panels.forEach((p) => expect(move(inverse(p.motion), move(p.motion, { x: 3, y: 4 })).x).toBeCloseTo(3, 9));
  });
});
