import { describe, expect, it } from 'vitest';
import { SAMPLE_SIZES } from '../../../blocks/index.ts';
import { endOf, nearestOnPath, pathLength, type Path, type Point } from '../../../geometry/index.ts';
import { edgesWithRole, mirrorPiece, type Piece } from '../../../pattern/index.ts';
import { cutOnFacing, walkSeam } from '../../../paper/truing/index.ts';
import { codeOn, contextOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { facingDepth } from '../../kit/facing.ts';
import { runAlteration } from '../../index.ts';
import { facingWidth as d } from './definition.ts';

const frontOf = (pieces: readonly Piece[]): Piece => pieces.find((p) => p.part === 'front') as Piece;

describe(d.id, () => {
  it('a cut-on facing is so much wider or narrower, and lies under neckline and hem as before; nothing else changes', () => {
    for (const size of SAMPLE_SIZES)
      for (const by of [-30, 12, 25]) {
        const was = frontOf(sampleIn('causeway-buttons', size).pieces);
        const run = expectOk(runOn(d, 'causeway-buttons', size, { by }), `${size} ${by}`);
        const now = frontOf(run.pieces);
        expect(cutOnFacing(now)!.width).toBeCloseTo(cutOnFacing(was)!.width + by, 6);
        expect(now.edges).toEqual(was.edges);
        expect(now.beyond!.folds).toEqual(was.beyond!.folds);
        // Folded under, its ends lie on neckline and hem: mirrored across the fold they are points of them.
        const { foldX, outer, beyond } = cutOnFacing(now)!;
        const edge = beyond.edges[outer]!.path;
        const neck = edgesWithRole(was, 'neck')[0]!.path;
        const hem = edgesWithRole(was, 'hem')[0]!.path;
        const under = (p: Point): Point => ({ x: 2 * foldX - p.x, y: p.y });
        const near = (path: Path, p: Point): number => nearestOnPath(path, p).distance;
        for (const [p, path] of [
          [edge.start, hem],
          [endOf(edge), neck],
        ] as const)
          expect(near(path, under(p))).toBeLessThan(1e-6);
      }
  });

  it('there and back is where it was; turned over it comes to the mirror image', () => {
    const there = expectOk(runOn(d, 'causeway-buttons', '4', { by: 22 }), 'there');
    const back = expectOk(runOn(d, 'causeway-buttons', '4', { by: -22 }, there), 'back');
    const [was, now] = [sampleIn('causeway-buttons', '4').pieces, back.pieces].map(frontOf);
    now!.beyond!.edges.forEach((e, i) =>
      expect(pathLength(e.path)).toBeCloseTo(pathLength(was!.beyond!.edges[i]!.path), 4),
    );
    const context = contextOn('causeway-buttons', '4');
    const over = context.pieces.map((p) => mirrorPiece(p, 37));
    const run = expectOk(runAlteration(d, { ...context, pieces: over, original: over }, { by: 22 }), 'over');
    expect(cutOnFacing(frontOf(run.pieces))!.width).toBeCloseTo(cutOnFacing(frontOf(there.pieces))!.width, 6);
  });

  it('neck facings are drawn again so much deeper, and walk along the neckline as before', () => {
    const was = sampleIn('causeway', '4');
    const run = expectOk(runOn(d, 'causeway', '4', { by: 14 }), 'deeper');
    for (const part of ['facingFront', 'facingBack'] as const) {
      const [a, b] = [was.pieces, run.pieces].map((all) => all.find((p) => p.part === part) as Piece);
      expect(facingDepth(b!)).toBeCloseTo(facingDepth(a!) + 14, 6);
    }
    for (const seam of was.seams.filter((s) => s.id.startsWith('facing')))
      expect(Math.abs(walkSeam(run.pieces, seam).difference), seam.id).toBeLessThan(0.35);
  });

  it('refuses what would be no facing, and a pattern without one', () => {
    expect(codeOn(d, 'causeway-buttons', { by: -45 })).toBe('facing-too-narrow');
    expect(codeOn(d, 'causeway-shirt')).toBe('facing-not-found');
    // Past the neckline it goes on under the shoulder.
    expect(codeOn(d, 'causeway-buttons', { by: 60 })).toBe('ran');
  });
});
