import { edgesWithRole, type EdgeRole } from '../pattern/index.ts';
import { edgeKey, type Panel, type Sewn, type Toile } from './toile.ts';

/** What is sewn to its mirror image, or cut on the fold. */
const CENTRES: readonly EdgeRole[] = ['centreFront', 'centreBack', 'crotch'];

/**
 * The edges in the plane between the halves: those of the pieces, the ends of bands that begin there, and the fold of a collar,
 * whose front is free.
 */
export function centresOf(panels: readonly Panel[], edges: Toile['edges'], bands: readonly Sewn[]): readonly string[] {
  const keys = panels.flatMap(({ piece }) =>
    CENTRES.flatMap((role) => edgesWithRole(piece, role)).map((e) => edgeKey(piece.id, e.id)),
  );
  const middle = new Set(keys.flatMap((key) => [...(edges.get(key) ?? [])]));
  for (const { piece, ends, line, falls } of bands)
    ends.forEach((end, i) => {
      const corner = line.at(i === 0 ? 0 : -1)!.point;
      if (!middle.has(corner) || (falls && end !== piece.fold)) return;
      keys.push(edgeKey(piece.id, end));
      for (const point of edges.get(edgeKey(piece.id, end)) ?? []) middle.add(point);
    });
  return keys;
}
