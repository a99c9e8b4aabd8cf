import { describe, expect, it } from 'vitest';
import { edgesWithRole, type Piece } from '../../../pattern/index.ts';
import { block } from '../../../testing/block.ts';
import { contextOn } from '../../../testing/samples.ts';
import { lengthOf, pieceIn, refusal, work } from '../../../testing/work.ts';
import { ownLine } from '../../kit/ownLine.ts';

const bare = (piece: Piece): Piece => ({ ...piece, marks: piece.marks.filter((m) => m.kind === 'grain') });
const heights = (id: Parameters<typeof ownLine>[1], away: number, context = block({ panels: true })) =>
  Object.fromEntries([...ownLine(context, id, away)].map(([p, y]) => [p.id, Math.round(y * 1e6) / 1e6]));

describe('a line of one’s own', () => {
  // The side runs straight down from (200, 160) to the waist at 360.
  it('lies so far down the side from the corner, and is carried on to the panel beside', () => {
    expect(heights('underarm', 80)).toEqual({ front: 240, sideBack: 240, back: 240 });
    expect(heights('bottom', -60)).toEqual({ front: 300, sideBack: 300, back: 300 });
    expect(heights('notch', 10)).toEqual({ front: 270, sideBack: 270, back: 270 });
    expect(heights('underarm', -30)).toEqual({ front: 130, sideBack: 130, back: 130 });
  });
  it('needs no mark: pieces without levels and notches are cut all the same', () => {
    const context = block({ panels: true });
    const pieces = context.pieces.map(bare);
    const run = work('length-anywhere', { ...context, pieces, original: pieces }, { by: -15, away: 100 });
    expect(lengthOf(run, 'front', 'centreFront')).toBeCloseTo(285, 9);
    expect(lengthOf(run, 'back', 'centreBack')).toBeCloseTo(325, 9);
    for (const id of ['back', 'sideBack']) expect(lengthOf(run, id, 'princess')).toBeCloseTo(345, 9);
    expect(refusal('length-line', { ...context, pieces, original: pieces }, { by: -15 })).toBe('no-line-here');
    expect(refusal('length-anywhere', context, { by: 10, from: 'notch', away: 700 })).toBe('no-line-here');
  });
  it('crosses a side with a dart in it at the same place as the back’s, the dart shut', () => {
    const context = contextOn('causeway-side', '5');
    const down = (piece: Piece, y: number): number =>
      edgesWithRole(piece, 'side').reduce((sum, e) => {
        const top = Math.min(e.path.start.y, e.path.segments.at(-1)!.to.y);
        const bottom = Math.max(e.path.start.y, e.path.segments.at(-1)!.to.y);
        return sum + (y >= bottom ? 1 : y <= top ? 0 : (y - top) / (bottom - top)) * lengthOf(context, piece.id, e.id);
      }, 0);
    const lines = ownLine(context, 'underarm', 150);
    const [front, back] = ['front', 'back'].map((id) => pieceIn(context, id)) as [Piece, Piece];
    // The sides are as good as straight, so that heights tell lengths along them to half a millimetre.
    expect(down(front, lines.get(front)!)).toBeCloseTo(150, 0);
    expect(down(back, lines.get(back)!)).toBeCloseTo(150, 0);
  });
  it('may be taken as often as one likes, each line with its own amount', () => {
    const context = block();
    const first = work('length-anywhere', context, { by: 6, away: 40 });
    const second = work(
      'length-anywhere',
      { ...context, pieces: first.pieces, seams: first.seams },
      { by: 9, away: 120 },
    );
    const third = work(
      'length-anywhere',
      { ...context, pieces: second.pieces, seams: second.seams },
      { by: -3, away: -40 },
    );
    expect(lengthOf(third, 'back', 'centreBack')).toBeCloseTo(340 + 6 + 9 - 3, 9);
  });
});
