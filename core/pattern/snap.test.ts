import { describe, expect, it } from 'vitest';
import { draftSample } from '../blocks/index.ts';
import { distance, endOf, pathLength, pointAt } from '../geometry/index.ts';
import { rectangle } from '../testing/shapes.ts';
import {
  alongSeamLine,
  edgeOf,
  seamsAfterSplit,
  snapPlaces,
  snapTo,
  snapToGrain,
  splitEdge,
  type Seam,
} from './index.ts';

const box = rectangle(90, 60);
const at = (x: number, y: number) => ({ x, y });

describe('what draws a drag', () => {
  it('is every notch, the thirds of every edge and the corners, none on a dart', () => {
    expect(
      snapPlaces(box)
        .filter((s) => s.kind === 'third')
        .map((s) => [s.at.x, s.at.y]),
    ).toContainEqual([30, 0]);
    const front = draftSample('causeway', '4')[0]!;
    const notches = front.marks.filter((m) => m.kind === 'notch');
    const places = snapPlaces(front);
    expect(places.filter((s) => s.kind === 'notch')).toHaveLength(notches.length);
    expect(places.some((s) => s.role === 'dart')).toBe(false);
  });
  it('draws only within its radius, to the nearest', () => {
    const places = snapPlaces(box);
    expect(snapTo(places, at(31, 1), 5)?.at).toEqual(at(30, 0));
    expect(snapTo(places, at(45, 30), 5)).toBeNull();
  });
  it('keeps a drag straight along the grain, or square to it, not both', () => {
    expect(snapToGrain(at(10, 10), at(12, 50), 4)).toEqual({ kind: 'grain', at: at(10, 50) });
    expect(snapToGrain(at(10, 10), at(60, 8), 4)).toEqual({ kind: 'across', at: at(60, 10) });
    expect(snapToGrain(at(10, 10), at(12, 12), 4)).toBeNull();
    expect(snapToGrain(at(10, 10), at(40, 40), 4)).toBeNull();
  });
});

describe('the tape along the seam line', () => {
  it('takes the shorter way round', () => {
    expect(alongSeamLine(box, at(20, 0), at(90, 30), 1)).toEqual({ length: 100, skipsDart: false });
    expect(alongSeamLine(box, at(10, 0), at(0, 20), 1)?.length).toBeCloseTo(30, 9);
    expect(alongSeamLine(box, at(45, 30), at(0, 20), 1)).toBeNull();
  });
  it('leaves the open end of a dart out', () => {
    const front = draftSample('causeway', '4')[0]!;
    const upper = edgeOf(front, 'sideUpper')!.path;
    const lower = edgeOf(front, 'sideLower')!.path;
    const walked = alongSeamLine(front, upper.start, endOf(lower), 1)!;
    expect(walked.skipsDart).toBe(true);
    expect(walked.length).toBeCloseTo(pathLength(upper) + pathLength(lower), 4);
  });
});

describe('splitting an edge', () => {
  const notched = { ...box, marks: [{ kind: 'notch' as const, id: 'n', edge: 'top', at: 70, count: 1 }] };
  it('keeps the line, moves notches to the part they lie on, and names the opening between', () => {
    const { piece, parts } = splitEdge(notched, 'top', 20, 10, 'mouth');
    expect(piece.edges.slice(0, 3).map((e) => [e.id, e.role, Math.round(pathLength(e.path))])).toEqual([
      ['top', edgeOf(box, 'top')!.role, 20],
      ['mouth', 'dart', 10],
      ['top 2', edgeOf(box, 'top')!.role, 60],
    ]);
    const notch = piece.marks[0] as { edge: string; at: number };
    expect([notch.edge, notch.at]).toEqual(['top 2', 40]);
    expect(
      distance(pointAt(edgeOf(piece, notch.edge)!.path, notch.at), pointAt(edgeOf(box, 'top')!.path, 70)),
    ).toBeLessThan(1e-9);
    expect(parts).toEqual(['top', 'top 2']);
    expect(() => splitEdge(box, 'top', 0)).toThrow(/expected 0 </);
  });
  it('lets seams name both parts in the order they are walked', () => {
    const seam: Seam = {
      id: 's',
      kind: 'side',
      ease: 0,
      first: { piece: 'box', edges: ['top'], reversed: true },
      second: { piece: 'other', edges: ['top'], reversed: false },
    };
    const [after] = seamsAfterSplit([seam], 'box', splitEdge(box, 'top', 20));
    expect(after!.first.edges).toEqual(['top 2', 'top']);
    expect(after!.second.edges).toEqual(['top']);
  });
});
