import { describe, expect, it } from 'vitest';
import { SAMPLE_SIZES } from '../../../blocks/index.ts';
import { pathLength } from '../../../geometry/index.ts';
import { edgesWithRole, levelOf, widthAt, type Piece } from '../../../pattern/index.ts';
import { walkSeam } from '../../../paper/truing/index.ts';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { targetAt } from '../../kit/sides.ts';
import { hipCurve as d } from './definition.ts';
import { sidesOverHip } from './layout.ts';

const width = (piece: Piece, y: number): number => expectOk(widthAt(piece, y), piece.id).width;
const on = (pieces: readonly Piece[], id: string): Piece => pieces.find((p) => p.id === id) as Piece;

describe(d.id, () => {
  it.each(['causeway', 'jetty', 'landing'])(
    '%s: a quarter of the amount on each piece where it is fullest, nothing at waist and hip, sides as alike as before',
    (sample) => {
      for (const size of SAMPLE_SIZES)
        for (const by of [-16, 20])
          for (const fullest of [0.35, 0.5]) {
            const { pieces, seams } = sampleIn(sample, size);
            const name = `${sample} ${size} ${by} ${fullest}`;
            const run = expectOk(runOn(d, sample, size, { by, fullest }), name);
            for (const over of sidesOverHip(pieces)) {
              const { side, waist, hip } = over;
              const now = on(run.pieces, side.piece.id);
              const { y } = targetAt(side, waist + fullest * (hip - waist), 0);
              expect(width(now, y) - width(side.piece, y), name).toBeCloseTo(by / 4, 2);
              const hipAt = levelOf(side.piece, 'hip')?.y;
              if (hipAt !== undefined) expect(width(now, hipAt) - width(side.piece, hipAt), name).toBeCloseTo(0, 2);
              const sewn = (p: Piece): number => edgesWithRole(p, 'waist').reduce((n, e) => n + pathLength(e.path), 0);
              expect(sewn(now) - sewn(side.piece), name).toBeCloseTo(0, 1);
            }
            for (const seam of seams.filter((s) => s.kind === 'side')) {
              const off = (all: readonly Piece[]): number => walkSeam(all, seam).difference;
              expect(off(run.pieces) - off(pieces), name).toBeCloseTo(0, 3);
            }
          }
    },
  );

  it('has nothing to do on a bodice that ends at the waist', () => {
    expect(codeOn(d, 'causeway-waist')).toBe('hip-missing');
  });
});
