import { pathLength } from '../../geometry/index.ts';
import { dartShape, type Piece } from '../../pattern/index.ts';
import type { LengthChange } from '../../paper/slash/index.ts';
import { measureDart } from '../../paper/truing/index.ts';
import { degrees } from '../../units/index.ts';
import type { DartReport } from '../contract.ts';

/** Every edge's length before and after; 0 where it did not exist. */
export function lengthChanges(before: Piece, after: Piece): Readonly<Record<string, LengthChange>> {
  const length = (piece: Piece, id: string): number => {
    const edge = piece.edges.find((e) => e.id === id);
    return edge ? pathLength(edge.path) : 0;
  };
  const ids = new Set([...before.edges, ...after.edges].map((e) => e.id));
  return Object.fromEntries([...ids].map((id) => [id, { before: length(before, id), after: length(after, id) }]));
}

export function dartReports(piece: Piece): readonly DartReport[] {
  return piece.darts.map((dart) => {
    const shape = dartShape(piece, dart);
    const m = measureDart(shape);
    return {
      dart: dart.id,
      kind: dart.kind,
      tip: shape.tip,
      legEnds: [shape.start, shape.end] as const,
      legs: [m.startLeg, m.endLeg] as const,
      intake: m.intake,
      openingDegrees: degrees(m.opening),
    };
  });
}
