import { describe, expect, it } from 'vitest';
import { CATALOGUE, runAlteration } from '../alterations/index.ts';
import { boundsOf, endOf, flatten, nearestOnPath, pathLength, polyline, type Point } from '../geometry/index.ts';
import { inspectPiece } from '../paper/guard/index.ts';
import { farApart } from '../testing/drawn.ts';
import { contextOn } from '../testing/samples.ts';
import { expectOk } from '../units/index.ts';
import {
  asCut,
  buttonsOf,
  centreEdgeOf,
  cuttingLine,
  levelOf,
  mirrorPiece,
  paperOutline,
  partAtCentre,
  pieceArea,
  validatePiece,
  type Edge,
  type Piece,
} from './index.ts';

const EXTENSION = 18;
const FACING = 55;
const context = contextOn('causeway-buttons', '4');
const front = context.pieces[0]!;
const runOn = (id: string, values: Record<string, number | string>) =>
  runAlteration(
    CATALOGUE.find((d) => d.id === id)!,
    context,
    values,
  );
/** How far a facing folded back misses the neckline and hem it lies on, mm. */
function missesBy(piece: Piece): number {
  const fold = piece.beyond!.folds[0]!.from.x;
  const under = paperOutline(piece);
  return Math.max(
    ...piece
      .beyond!.edges.filter((e) => e.id === 'facingNeck' || e.id === 'facingHem')
      .flatMap((e) => flatten(e.path, 0.05))
      .map((p) => nearestOnPath(under, { x: 2 * fold - p.x, y: p.y }).distance),
  );
}

describe('what is cut in one with a piece beyond its centre', () => {
  it('is part of the outline that is cut, and no part of the body', () => {
    const cut = asCut(front);
    const height = pathLength(centreEdgeOf(front)!.path);
    const box = boundsOf(flatten(paperOutline(front), 0.1));
    expect(box.minX).toBeCloseTo(-EXTENSION - FACING, 6);
    // A strip as high as the centre, but for what neckline and hem take off the facing at its ends.
    expect(pieceArea(cut) - pieceArea(front)).toBeGreaterThan((EXTENSION + FACING) * height - 900);
    expect(boundsOf(flatten(cuttingLine(front), 0.1)).minX).toBeCloseTo(-EXTENSION - FACING - 10, 3);
    expect(inspectPiece(front)).toEqual([]);
    expect(missesBy(front)).toBeLessThan(0.1);
  });

  it('turns over with its piece and back again', () => {
    const there = mirrorPiece(front, 50);
    expect(validatePiece(there)).toEqual([]);
    expect(boundsOf(flatten(paperOutline(there), 0.1)).maxX).toBeCloseTo(100 + EXTENSION + FACING, 6);
    const again = mirrorPiece(there, 50);
    expect(farApart(paperOutline(again), paperOutline(front))).toBeLessThan(1e-6);
    expect(buttonsOf(again)).toEqual(buttonsOf(front));
  });

  it('grows as much longer as the centre where a line is opened across it', () => {
    const done = expectOk(runOn('length-line', { by: 24, where: 'both' }), 'longer').pieces[0]!;
    const edge = (p: Piece) => pathLength(p.beyond!.edges.find((e) => e.id === 'facingEdge')!.path);
    expect(pathLength(centreEdgeOf(done)!.path) - pathLength(centreEdgeOf(front)!.path)).toBeCloseTo(24, 6);
    expect(edge(done) - edge(front)).toBeCloseTo(24, 3);
    expect(missesBy(done)).toBeLessThan(0.1);
  });

  it('goes down with a neckline cut lower, its facing mirroring the new one', () => {
    const done = expectOk(runOn('neckline', { by: 20, backBy: 0, wide: 0 }), 'lower').pieces[0]!;
    const top = (p: Piece) => endOf(centreEdgeOf(p)!.path).y;
    expect(top(done) - top(front)).toBeCloseTo(20, 6);
    expect(missesBy(done)).toBeLessThan(0.5);
  });

  it('stays sound through every alteration of the catalogue that suits the piece', () => {
    let carried = 0;
    for (const d of CATALOGUE) {
      if (d.suits(context.pieces, context.seams).grade === 'no') continue;
      for (const example of d.examples.length > 0 ? d.examples : [{ values: {} }]) {
        const run = runAlteration(d, context, example.values);
        if (!run.ok) continue;
        const now = run.value.pieces.find((p) => p.id === 'front');
        if (!now || now === front) continue;
        carried++;
        expect(now.beyond, d.id).toBeDefined();
        expect(validatePiece(now), d.id).toEqual([]);
        expect(inspectPiece(now), d.id).toEqual([]);
        const [first, last] = [now.beyond!.edges[0]!, now.beyond!.edges.at(-1)!];
        expect(first.path.start, d.id).toEqual(centreEdgeOf(now)!.path.start);
        expect(endOf(last.path), d.id).toEqual(endOf(centreEdgeOf(now)!.path));
        expect(missesBy(now), d.id).toBeLessThan(0.5);
      }
    }
    expect(carried).toBeGreaterThan(15);
  });
});

describe('buttons', () => {
  it('lie on the centre: the highest and lowest where drafted, one level with the bust, one at the waist', () => {
    const at = buttonsOf(front);
    const centre = centreEdgeOf(front)!.path;
    expect(at).toHaveLength(8);
    expect(at.every((p) => p.x === 0)).toBe(true);
    expect(at[0]!.y - endOf(centre).y).toBeCloseTo(12, 6);
    expect(centre.start.y - at.at(-1)!.y).toBeCloseTo(60, 6);
    const bust = front.marks.find((m) => m.kind === 'bustPoint')!;
    expect(at.some((p) => Math.abs(p.y - (bust.kind === 'bustPoint' ? bust.at.y : 0)) < 1e-6)).toBe(true);
    expect(at.some((p) => Math.abs(p.y - levelOf(front, 'waist')!.y) < 1e-6)).toBe(true);
    const pitch = at.slice(1).map((p, i) => p.y - at[i]!.y);
    // 17.6, 17.0 and 9.0 between neck, bust, waist and last: shared 3, 3 and 1.
    expect(Math.max(...pitch) / Math.min(...pitch)).toBeLessThan(1.7);
  });

  it('follow when the front becomes longer', () => {
    const done = expectOk(runOn('length-line', { by: 24, where: 'belowBust' }), 'longer').pieces[0]!;
    const [was, now] = [buttonsOf(front), buttonsOf(done)];
    expect(now).toHaveLength(8);
    expect(now.at(-1)!.y - was.at(-1)!.y).toBeCloseTo(24, 6);
    expect(now[0]).toEqual(was[0]);
    expect(now.some((p) => Math.abs(p.y - levelOf(done, 'waist')!.y) < 1e-6)).toBe(true);
  });
});

const withoutBeyond = ({ beyond: _strip, buttons: _buttons, ...piece }: Piece): Piece => piece;

describe('a piece parted at its centre by hand', () => {
  /** As a file gives it: the strip in the outline, its outer edge taken for the centre. */
  const asFile: Piece = {
    ...asCut(front),
    edges: asCut(front).edges.map((e) => (e.id === 'facingEdge' ? { ...e, role: 'centreFront' as const } : e)),
  };

  it('gives back the body and the strip, to a hundredth of a millimetre', () => {
    const done = expectOk(partAtCentre(asFile, { centre: EXTENSION + FACING, fold: FACING }), 'parted');
    expect(validatePiece(done)).toEqual([]);
    expect(pieceArea(done)).toBeCloseTo(pieceArea(front), 1);
    expect(pieceArea(asCut(done))).toBeCloseTo(pieceArea(asFile), 2);
    expect(done.beyond!.folds[0]!.from.x).toBeCloseTo(-EXTENSION, 6);
  });

  it('leaves out the notches that marked centre and fold, and keeps the others where they were', () => {
    const edge = (id: string, role: Edge['role'], ...points: Point[]): Edge => ({
      id,
      role,
      path: polyline(points),
      allowance: 15,
    });
    const p = (x: number, y: number): Point => ({ x, y });
    const notch = (id: string, on: string, at: number) => ({ kind: 'notch' as const, id, edge: on, at, count: 1 });
    const drawn: Piece = {
      ...front,
      darts: [],
      edges: [
        edge('neck', 'neck', p(0, 0), p(150, 0)),
        edge('shoulder', 'shoulder', p(150, 0), p(250, 40)),
        edge('armhole', 'armhole', p(250, 40), p(300, 200)),
        edge('side', 'side', p(300, 200), p(300, 500)),
        edge('hem', 'hem', p(300, 500), p(0, 500)),
        edge('centre', 'centreFront', p(0, 500), p(0, 0)),
      ],
      // The centre 60 inside, the fold 45: on the hem, which runs inward out, at 240 and 255.
      marks: [
        notch('neck centre', 'neck', 60),
        notch('neck fold', 'neck', 45),
        notch('neck', 'neck', 100),
        notch('hem centre', 'hem', 240),
        notch('hem fold', 'hem', 255),
        notch('hem', 'hem', 100),
      ],
    };
    const done = expectOk(partAtCentre(withoutBeyond(drawn), { centre: 60, fold: 45 }), 'parted');
    expect(validatePiece(done)).toEqual([]);
    expect(done.marks).toEqual([notch('neck', 'neck', 40), notch('hem', 'hem', 100)]);
    expect(pieceArea(asCut(done)) - pieceArea(done)).toBeCloseTo(60 * 500, 6);
  });

  it('is refused where the line misses the piece, with nothing changed', () => {
    for (const centre of [0, -5, 4000])
      expect(partAtCentre(asFile, { centre, fold: null })).toMatchObject({
        ok: false,
        error: { code: 'centre-not-inside' },
      });
  });
});
