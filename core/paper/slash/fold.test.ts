import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance, endOf, flatten, isSimplePolygon, rotateAbout, type Point } from '../../geometry/index.ts';
import { edgeOf, outlineOf, pieceArea, type Piece } from '../../pattern/index.ts';
import { rectangle } from '../../testing/shapes.ts';
import { expectOk } from '../../units/index.ts';
import { DONE, slashPiece, type SlashSpec } from './index.ts';

/** A box 200 by 120 whose right side holds a dart 20 wide at the middle, its tip at the centre of the box. */
const darted = (): Piece => {
  const box = rectangle(200, 120);
  const line = (a: Point, b: Point) => ({ start: a, segments: [{ kind: 'line' as const, to: b }] });
  const right = edgeOf(box, 'right');
  if (!right) throw new Error('expected a right edge');
  return {
    ...box,
    edges: box.edges.flatMap((e) =>
      e.id !== 'right'
        ? [e]
        : [
            { ...right, id: 'upper', path: line({ x: 200, y: 0 }, { x: 200, y: 50 }) },
            { ...right, id: 'mouth', role: 'dart' as const, path: line({ x: 200, y: 50 }, { x: 200, y: 70 }) },
            { ...right, id: 'lower', path: line({ x: 200, y: 70 }, { x: 200, y: 120 }) },
          ],
    ),
    darts: [{ id: 'dart', kind: 'side', mouth: 'mouth', tip: { x: 100, y: 60 }, foldToward: 'end' }],
  };
};
const PIVOT: Point = { x: 100, y: 60 };
const OPENING = 2 * Math.atan(10 / 100);

/** Fold the wedge, cut up to the top edge at x, turn what lies between by a share of the opening. */
const turned = (x: number, share: number): SlashSpec => ({
  cuts: [
    { id: 'old', points: [{ x: 200, y: 50 }, PIVOT, { x: 200, y: 70 }] },
    { id: 'new', points: [{ x, y: 0 }, PIVOT] },
  ],
  hinges: [{ id: 'pivot', at: PIVOT, panels: ['turns', 'rests'] }],
  panels: [
    { id: 'wedge', seed: { x: 150, y: 60 }, motion: { kind: 'rest' }, stage: 'open', fold: true },
    {
      id: 'turns',
      seed: { x: 190, y: 10 },
      motion: { kind: 'turn', about: PIVOT, angle: OPENING * share },
      stage: 'open',
    },
    { id: 'rests', seed: { x: 10, y: 60 }, motion: { kind: 'rest' }, stage: 'open' },
  ],
});

describe('a folded wedge', () => {
  it('vanishes when it is folded shut: its edge and its dart are gone, its neighbours meet', () => {
    const done = expectOk(slashPiece(darted(), turned(120, 1), DONE), 'fold').piece;
    expect(done.darts).toEqual([]);
    expect(done.edges.map((e) => e.id)).toEqual(['top', 'upper', 'lower', 'bottom', 'left']);
    const upper = edgeOf(done, 'upper');
    const lower = edgeOf(done, 'lower');
    expect(distance(endOf(upper!.path), lower!.path.start)).toBe(0);
    expect(lower!.path.start).toEqual({ x: 200, y: 70 });
  });

  it('leaves a straight mouth as wide as what was not folded', () => {
    const done = expectOk(slashPiece(darted(), turned(120, 0.25), DONE), 'fold').piece;
    const mouth = edgeOf(done, 'mouth')!.path;
    const moved = rotateAbout({ x: 200, y: 50 }, PIVOT, OPENING * 0.25);
    expect(distance(mouth.start, moved)).toBeLessThan(1e-9);
    expect(distance(mouth.start, endOf(mouth))).toBeCloseTo(
      2 * Math.hypot(100, 10) * Math.sin((OPENING * 0.75) / 2),
      9,
    );
    expect(done.darts).toHaveLength(1);
  });

  it('accounts for every square millimetre, whatever is folded and wherever it opens', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 180 }), fc.integer({ min: 1, max: 100 }), (x, percent) => {
        const before = darted();
        const done = expectOk(slashPiece(before, turned(x, percent / 100), DONE), 'fold');
        const gaps = done.gaps.reduce((sum, g) => sum + g.area, 0);
        expect(pieceArea(done.piece)).toBeCloseTo(pieceArea(before) + gaps, 6);
        expect(isSimplePolygon(flatten(outlineOf(done.piece), 0.1))).toBe(true);
        const folded = done.gaps.filter((g) => g.fold).reduce((sum, g) => sum + g.area, 0);
        expect(folded).toBeLessThan(1e-6);
      }),
      { seed: 61, numRuns: 60 },
    );
  });

  it('does nothing at the beginning of its movement', () => {
    const start = expectOk(slashPiece(darted(), turned(120, 1), { open: 0, level: 0, close: 0 }), 'fold');
    expect(start.piece).toEqual(darted());
  });
});

describe('what a panel does later on', () => {
  const spec: SlashSpec = {
    cuts: [
      {
        id: 'cut',
        points: [
          { x: 120, y: 0 },
          { x: 120, y: 120 },
        ],
      },
    ],
    hinges: [],
    panels: [
      {
        id: 'right',
        seed: { x: 190, y: 100 },
        motion: { kind: 'shift', by: { x: 10, y: 0 } },
        stage: 'open',
        after: { motion: { kind: 'shift', by: { x: 0, y: 7 } }, stage: 'close' },
      },
    ],
  };
  it('waits for its own stage, and adds to what it did before', () => {
    const at = (open: number, close: number) => {
      const done = expectOk(slashPiece(rectangle(200, 120), spec, { open, level: 0, close }), 'later');
      const { x, y } = done.panels.find((p) => p.id === 'right')!.motion;
      return [x, y];
    };
    expect(at(1, 0)).toEqual([10, 0]);
    expect(at(1, 0.5)).toEqual([10, 3.5]);
    expect(at(1, 1)).toEqual([10, 7]);
  });
});
