import { describe, expect, it } from 'vitest';
import { mapPath, pathLength, polyline, type Path } from '../../geometry/index.ts';
import { outlineOf, requireEdge, type Piece } from '../../pattern/index.ts';
import { closedStroke, linesOf, outlinesApart, rect } from '../../testing/drawn.ts';
import { knowing } from '../../testing/knowing.ts';
import { pieceOf } from '../../testing/samples.ts';
import { expectOk } from '../../units/index.ts';
import {
  allRings,
  sameInOtherSizes,
  lineInside,
  linesOfSize,
  otherSizes,
  plainChoices,
  ringThrough,
  traceLike,
  tracePiece,
  type Ring,
  type Stroke,
} from './index.ts';

const ringOf = (path: Path): Ring => expectOk(ringThrough([closedStroke(path)], 0), 'ring');

describe('traceLike', () => {
  it.each(['3', '8'])('names every edge, dart and mark of size %s as in the base, so that one may grade', (size) => {
    for (const id of ['front', 'back', 'sleeve', 'skirtBack']) {
      const trace = (of: Piece) => {
        const [cut, ...others] = linesOf(of);
        return { ring: expectOk(ringThrough([cut as never], 0), id), others };
      };
      const base = pieceOf(id, '5');
      const choices = knowing(base);
      const mine = trace(base);
      const traced = tracePiece(mine.ring, mine.others, choices);
      const other = pieceOf(id, size);
      const theirs = trace(other);
      const like = expectOk(
        traceLike({ ring: mine.ring, choices, traced }, theirs.ring, theirs.others),
        `${id} ${size}`,
      );
      expect(like.piece.edges.map((e) => e.id)).toEqual(traced.piece.edges.map((e) => e.id));
      expect(like.piece.darts.map((d) => d.id)).toEqual(traced.piece.darts.map((d) => d.id));
      if (id !== 'back') expect(outlinesApart(other, like.piece)).toBeLessThan(0.15);
      for (const e of like.piece.edges) {
        const was = requireEdge(traced.piece, e.id);
        expect(e.role).toBe(was.role);
        expect(Math.abs(pathLength(e.path) - pathLength(was.path))).toBeLessThan(60);
      }
    }
  });

  it('refuses an outline with other corners', () => {
    const ring = ringOf(rect(200, 300));
    const choices = plainChoices('p', 'P');
    const traced = tracePiece(ring, [], choices);
    const five = ringOf(
      polyline([
        { x: 0, y: 0 },
        { x: 100, y: -40 },
        { x: 200, y: 0 },
        { x: 200, y: 300 },
        { x: 0, y: 300 },
      ]),
    );
    const result = traceLike({ ring, choices, traced }, five, []);
    expect(result.ok ? '' : result.error.code).toBe('nest-corners-differ');
  });
});

describe('sizes drawn upon one another', () => {
  const nest = ['4', '5', '6'].flatMap((size) => linesOf(pieceOf('front', size)).map((s) => ({ ...s, style: size })));
  const of = (size: string): readonly Stroke[] => nest.filter((s) => s.style === size);
  const ring = allRings(of('5'))[0] as Ring;

  it('are told apart by their look, and each keeps the darts that are its own', () => {
    const others = otherSizes(ring, nest);
    expect(others.map((o) => o.look).sort()).toEqual(['|4', '|6']);
    expect(linesOfSize('|5', others, nest)).toEqual(of('5'));
    const choices = knowing(pieceOf('front', '5'));
    const mine = (strokes: readonly Stroke[]): readonly Stroke[] => strokes.filter((s) => !s.closed);
    expect(tracePiece(ring, mine(linesOfSize('|5', others, nest)), choices).darts).toHaveLength(2);
    // Lines in a look of their own, such as marks common to all, stay.
    const common = { ...(of('5')[1] as Stroke), style: 'black' };
    expect(linesOfSize('|5', others, [...nest, common])).toContain(common);
  });

  it('are not confused with a seam line, or with another piece', () => {
    const front = pieceOf('front', '5');
    const sewn = closedStroke(outlineOf(front), { style: 'sewn' });
    const far = linesOf(pieceOf('back', '5')).map((s) => ({
      ...s,
      style: 'back',
      path: mapPath(s.path, (p) => ({ x: p.x + 500, y: p.y })),
    }));
    expect(otherSizes(ring, [...of('5'), sewn, ...far])).toEqual([]);
  });
});

describe('lineInside', () => {
  const seamOf = (p: Piece): Ring =>
    expectOk(
      ringThrough(
        [
          closedStroke({
            start: p.edges[0]?.path.start ?? { x: 0, y: 0 },
            segments: p.edges.flatMap((e) => e.path.segments),
          }),
        ],
        0,
      ),
      'seam',
    );
  const cutOf = (p: Piece): Ring => expectOk(ringThrough([linesOf(p)[0] as never], 0), 'cut');
  it('knows the seam line inside a cutting line, and the allowance between them', () => {
    for (const id of ['front', 'sleeve', 'skirtFront'])
      expect(lineInside(cutOf(pieceOf(id)), [seamOf(pieceOf(id))])?.allowance, id).toBeCloseTo(15, 0);
  });
  it('does not take the next size for a seam line', () => {
    for (const id of ['front', 'back', 'sleeve'])
      expect(lineInside(cutOf(pieceOf(id, '6')), [cutOf(pieceOf(id, '5'))]), id).toBeNull();
  });
});

describe('sizes of one piece', () => {
  const square = (size: number, x = 0): Path =>
    polyline([
      { x: x - size, y: -size },
      { x: x + size, y: -size },
      { x: x + size, y: size },
      { x: x - size, y: size },
      { x: x - size, y: -size },
    ]);
  it('lie in each other and are of one order of size: a pocket drawn in the middle of a front is no size of it', () => {
    const base = ringOf(square(100));
    const [larger, pocket, aside] = [ringOf(square(120)), ringOf(square(30)), ringOf(square(104, 400))];
    expect(sameInOtherSizes(base, [base, larger, pocket, aside], 50)).toEqual([larger]);
    // And from the small one's side as well.
    expect(sameInOtherSizes(pocket, [base, larger, pocket], 50)).toEqual([]);
  });
});
