import { describe, expect, it } from 'vitest';
import { samplePattern } from '../../../blocks/index.ts';
import { signedArea, spansOf } from '../../../geometry/index.ts';
import { outlineOf, type Piece } from '../../../pattern/index.ts';
import { expectOk } from '../../../units/index.ts';
import { alterationById, runAlteration, type AlterationDefinition } from '../../index.ts';

const forward = alterationById('forward-shoulder') as AlterationDefinition;
const pattern = samplePattern('causeway');
const pieces = pattern.sizes['4'] as readonly Piece[];
const area = (piece: Piece): number => Math.abs(signedArea(spansOf(outlineOf(piece))));

describe('a shoulder seam moved forward', () => {
  it('gives one piece the very paper that it takes from the other', () => {
    const context = { pieces, seams: pattern.seams, original: pieces, originalSeams: pattern.seams, wearer: {} };
    const run = expectOk(runAlteration(forward, context, { by: 8 }), 'forward shoulder');
    const frames = run.frames.flatMap((f) => f.pieces);
    const slivers = ['front', 'back'].map((part) => {
      const before = pieces.find((p) => p.part === part) as Piece;
      const frame = frames.findLast((f) => f.piece.id === before.id);
      if (!frame) throw new Error(`expected ${part}`);
      const paper = frame.gaps.reduce((sum, g) => sum + g.area, 0);
      // What is taped on or cut off with the seam is by far the most of what the piece has gained or lost.
      expect(Math.sign(paper)).toBe(Math.sign(area(frame.piece) - area(before)));
      return paper;
    });
    expect(slivers[0]).toBeLessThan(-100);
    expect(slivers[1]).toBeGreaterThan(100);
    expect((slivers[0] ?? 0) + (slivers[1] ?? 0)).toBeCloseTo(0, 0);
  });
});
