import { describe, expect, it } from 'vitest';
import { cuttingLine, mirrorPiece, type EdgeRole, type Piece } from '../../pattern/index.ts';
import { pathLength, polyline, type Path } from '../../geometry/index.ts';
import { dartShape } from '../../pattern/index.ts';
import { ALLOWANCE, draftedNest, withAllowance } from '../../testing/printAtHome/index.ts';
import { contextOn } from '../../testing/samples.ts';
import { pieceIn, work } from '../../testing/work.ts';
import type { SampleId } from '../../blocks/index.ts';
import { plainChoices, tracePiece, type Stroke } from './index.ts';

const line = (path: Path): Stroke => ({ path, closed: false, layer: '', style: '', page: 0, kind: null, block: '' });

/** Legs of the darts drawn on over the allowance. */
const legsOf = (piece: Piece): readonly Stroke[] =>
  piece.darts.flatMap((d) => {
    const { tip, start, end } = dartShape(piece, d);
    return [start, end].map((p) => {
      const size = Math.hypot(p.x - tip.x, p.y - tip.y);
      const k = (size + ALLOWANCE + 2) / size;
      return line(polyline([tip, { x: tip.x + (p.x - tip.x) * k, y: tip.y + (p.y - tip.y) * k }]));
    });
  });

/** How long a piece is by the roles of its edges, mm; darts left out. */
function byRole(piece: Piece): Readonly<Partial<Record<EdgeRole, number>>> {
  const out: Partial<Record<EdgeRole, number>> = {};
  for (const e of piece.edges) if (e.role !== 'dart') out[e.role] = (out[e.role] ?? 0) + pathLength(e.path);
  return out;
}

const KINDS: readonly (readonly [SampleId, readonly string[]])[] = [
  ['causeway-side', ['front', 'back']],
  ['causeway', ['front', 'back', 'sleeve', 'skirtFront', 'skirtBack']],
  ['landing', ['trouserFront', 'trouserBack']],
  ['causeway-shirt', ['front', 'back']],
  ['causeway-french', ['front', 'back']],
  ['skerry-shoulder', ['front', 'sideFront', 'sideBack', 'back']],
  ['skerry-armhole', ['front', 'sideFront', 'sideBack', 'back']],
  ['ebb', ['front', 'back', 'sleeve']],
  ['quay', ['yoke', 'back']],
];

describe('what each edge of a piece is', () => {
  // Nothing is told but which part it is: no fold, and the piece lies either way round.
  it.each(KINDS.flatMap(([sample, ids]) => ids.map((id) => [sample, id] as const)))(
    'is read off the shape of %s %s, in every size, as drawn and turned over',
    (sample, id) => {
      for (const [size, drafted] of draftedNest(sample, id))
        for (const piece of [drafted, mirrorPiece(drafted)]) {
          const ring = { path: cuttingLine(piece), strokes: [], healed: [] };
          const choices = { ...plainChoices(id, id), part: piece.part, allowance: ALLOWANCE };
          // A fold has no allowance: without it being told, the centre is taken 10 mm in.
          const fold = piece.edges.find((e) => e.id === piece.fold)?.path;
          const at = fold ? { x: fold.start.x, y: (fold.start.y + (fold.segments.at(-1)?.to.y ?? 0)) / 2 } : null;
          const said = at ? [{ at, fold: true }] : [];
          const traced = tracePiece(ring, legsOf(piece), { ...choices, said });
          expect(traced.notes.filter((n) => n.code === 'allowance-missed')).toEqual([]);
          const found = byRole(traced.piece);
          const truth = byRole(piece);
          expect(Object.keys(found).sort(), `${size}`).toEqual(Object.keys(truth).sort());
          for (const [role, long] of Object.entries(truth))
            expect(Math.abs((found[role as EdgeRole] ?? 0) - long), `${size} ${role}`).toBeLessThan(1);
        }
    },
  );

  it('is a waist below a side that is long by its open dart alone', () => {
    // 100 over the front opens the side dart wide: from the underarm down the paper measures more than a sewn side.
    for (const size of ['3', '8']) {
      const run = work('full-bust-side-dart', contextOn('causeway', size), { total: 100, whose: 'pattern' });
      const front = withAllowance(pieceIn(run, 'front'), ALLOWANCE);
      const side = front.edges.filter((e) => e.role === 'side').map((e) => e.path);
      const down = Math.max(...side.map((p) => p.segments.at(-1)!.to.y)) - Math.min(...side.map((p) => p.start.y));
      expect(down).toBeGreaterThan(250);
      const fold = front.edges.find((e) => e.id === front.fold)!.path;
      const at = { x: fold.start.x, y: (fold.start.y + fold.segments.at(-1)!.to.y) / 2 };
      const traced = tracePiece({ path: cuttingLine(front), strokes: [], healed: [] }, legsOf(front), {
        ...plainChoices('front', 'Front'),
        part: 'front',
        allowance: ALLOWANCE,
        said: [{ at, fold: true }],
      });
      expect(Object.keys(byRole(traced.piece)).sort()).toEqual(Object.keys(byRole(front)).sort());
    }
  });

  it('is read with nothing told at all of backs and fronts without a dart', () => {
    for (const [sample, id] of [
      ['causeway-side', 'back'],
      ['causeway-shirt', 'front'],
      ['ebb', 'back'],
    ] as const)
      for (const [, drafted] of draftedNest(sample, id))
        for (const piece of [drafted, mirrorPiece(drafted)]) {
          const ring = { path: cuttingLine(piece), strokes: [], healed: [] };
          const found = tracePiece(ring, [], { ...plainChoices(id, id), part: piece.part, allowance: ALLOWANCE }).piece;
          expect(Object.keys(byRole(found)).sort()).toEqual(Object.keys(byRole(piece)).sort());
          const centre = id === 'front' ? 'centreFront' : 'centreBack';
          expect((byRole(found)[centre] ?? 0) / (byRole(piece)[centre] ?? 1)).toBeCloseTo(1, 1);
        }
  });
});
