import { describe, expect, it } from 'vitest';
import { rotateAbout, distance, pointOn } from '../geometry/index.ts';
import { inspectPiece } from '../paper/guard/index.ts';
import { slashPiece } from '../paper/slash/index.ts';
import { rectangle } from '../testing/shapes.ts';
import { expectOk } from '../units/index.ts';
import {
  aroundDoubleDart,
  bustLineLength,
  doubleDartsOf,
  doubleDartShape,
  mapMark,
  mirrorPiece,
  widthAt,
  type DoubleDart,
  type Piece,
} from './index.ts';

/** From (100, 200) down to (100, 500), 30 wide at y = 320. */
const dart: DoubleDart = {
  kind: 'doubleDart',
  id: 'd',
  upper: { x: 100, y: 200 },
  lower: { x: 100, y: 500 },
  widest: 0.4,
  width: 30,
  curve: 0,
};
const box: Piece = { ...rectangle(200, 600), marks: [dart] };
const widths = (piece: Piece, ...levels: readonly number[]): readonly number[] =>
  levels.map((y) => expectOk(widthAt(piece, y), `at ${y}`).width);

describe('a dart without a mouth', () => {
  it('is taken off at every level it crosses', () => {
    // Half-way from tip to widest line 15, at the tips and beyond them nothing.
    const expected = [200, 200, 185, 170, 185, 200, 200];
    widths(box, 150, 200, 260, 320, 410, 500, 550).forEach((w, i) => expect(w).toBeCloseTo(expected[i]!, 9));
  });

  it('with curved legs takes off by hand: w·t·(1 + c·(1 − t)), and as much at tips and widest line', () => {
    // Half-way to the widest line 30 · 0.5 · (1 + c / 2): 22.5 bowed fully out, 7.5 hollow; a quarter below it at t = 0.75.
    for (const curve of [1, -1, 0.4]) {
      const curved: Piece = { ...box, marks: [{ ...dart, curve }] };
      const at = (t: number): number => 200 - 30 * t * (1 + curve * (1 - t));
      widths(curved, 200, 260, 320, 365, 410, 500).forEach((w, i) =>
        expect(w).toBeCloseTo(at([0, 0.5, 1, 0.75, 0.5, 0][i]!), 6),
      );
      const front: Piece = {
        ...curved,
        part: 'front',
        half: true,
        marks: [...curved.marks, { kind: 'level', id: 'b', name: 'bust', at: { x: 5, y: 260 } }],
      };
      expect(bustLineLength(front)).toBeCloseTo(at(0.5), 1);
      expect(inspectPiece(curved)).toEqual([]);
      // Its legs are alike on both sides of the line between its tips, and run level over the widest line at 1.
      const [down, , , up] = aroundDoubleDart({ ...dart, curve });
      for (const t of [0.2, 0.5, 0.9]) expect(pointOn(down, t).x + pointOn(up, 1 - t).x).toBeCloseTo(200, 9);
      if (curve === 1) expect(pointOn(down, 0.999).x).toBeCloseTo(85, 4);
    }
  });

  it('is skipped by the tape around the bust', () => {
    const front: Piece = {
      ...box,
      part: 'front',
      half: true,
      marks: [dart, { kind: 'level', id: 'b', name: 'bust', at: { x: 5, y: 260 } }],
    };
    expect(bustLineLength(front)).toBeCloseTo(185, 9);
    expect(bustLineLength({ ...front, marks: front.marks.slice(1) })).toBeCloseTo(200, 9);
  });

  it('keeps its shape where the piece is turned over or moved', () => {
    const over = doubleDartsOf(mirrorPiece(box, 100))[0]!;
    expect(over).toEqual(dart);
    const turned = mapMark(dart, (p) => rotateAbout(p, { x: 0, y: 0 }, 1));
    const [a, b] = [dart, turned].map((d) => doubleDartShape(d));
    for (const [i, end] of a!.ends.entries())
      expect(distance(rotateAbout(end, { x: 0, y: 0 }, 1), b!.ends[i]!)).toBeLessThan(1e-9);
  });

  it('is wider by what opens along it, its tips in the middle of the gap', () => {
    const run = slashPiece(box, {
      cuts: [
        {
          id: 'c',
          points: [
            { x: 100, y: 0 },
            { x: 100, y: 600 },
          ],
        },
      ],
      hinges: [],
      panels: [
        { id: 'left', seed: { x: 50, y: 300 }, motion: { kind: 'rest' }, stage: 'open' },
        { id: 'right', seed: { x: 150, y: 300 }, motion: { kind: 'shift', by: { x: 20, y: 0 } }, stage: 'open' },
      ],
    });
    const [wider] = doubleDartsOf(expectOk(run, 'opened').piece);
    expect(wider).toEqual({ ...dart, upper: { x: 110, y: 200 }, lower: { x: 110, y: 500 }, width: 50 });
  });

  it('is drawn again with legs alike where a fold goes across it', () => {
    const run = slashPiece(box, {
      cuts: [
        {
          id: 'c',
          points: [
            { x: 0, y: 260 },
            { x: 200, y: 260 },
          ],
        },
      ],
      hinges: [],
      panels: [
        { id: 'upper', seed: { x: 50, y: 100 }, motion: { kind: 'rest' }, stage: 'open' },
        { id: 'lower', seed: { x: 50, y: 400 }, motion: { kind: 'shift', by: { x: 6, y: 10 } }, stage: 'open' },
      ],
    });
    const [drawn] = doubleDartsOf(expectOk(run, 'lengthened').piece);
    expect(drawn).toMatchObject({ upper: { x: 100, y: 200 }, lower: { x: 106, y: 510 }, width: 30 });
    const { upper, lower, ends } = doubleDartShape(drawn!);
    for (const tip of [upper, lower]) expect(distance(tip, ends[0])).toBeCloseTo(distance(tip, ends[1]), 9);
    expect(doubleDartShape(drawn!).middle.y).toBeCloseTo(330, 0);
  });

  it('makes a piece unfit where it runs out of the paper or across another dart', () => {
    const fault = (...darts: readonly Partial<DoubleDart>[]) =>
      inspectPiece({ ...box, marks: darts.map((d, i) => ({ ...dart, ...d, id: `d${i}` })) }).map((f) => f.code);
    expect(fault({})).toEqual([]);
    expect(fault({ lower: { x: 100, y: 610 } })).toEqual(['dart-tip-outside']);
    expect(fault({ width: 202 })).toEqual(['dart-leaves-piece']);
    expect(fault({}, { upper: { x: 110, y: 220 }, lower: { x: 110, y: 480 } })).toEqual(['darts-cross']);
    expect(fault({}, { upper: { x: 150, y: 220 }, lower: { x: 150, y: 480 } })).toEqual([]);
  });
});
