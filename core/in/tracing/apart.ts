import { allRings, type Ring } from './chain.ts';
import { grouped } from './grouped.ts';
import { lineInside } from './inner.ts';
import { boxOf, type Stroke } from './lines.ts';
import { sameInOtherSizes } from './nest.ts';

/** The same piece in another size may lie so far off in a nest, mm. */
const NEST = 90;
/** Boxes that differ by less belong to one outline drawn twice, mm. */
const SAME_BOX = 0.5;

/** What distinguishes a line from those of other sizes: its layer and its style. */
export const lookOf = (s: Stroke): string => `${s.layer}|${s.style}`;

export interface OtherSize {
  /** Layer and look of its lines. */
  readonly look: string;
  readonly ring: Ring;
  /** The lines its own are numbered in. */
  readonly from: readonly Stroke[];
}

const sameBox = (a: Ring, b: Ring): boolean => {
  const [p, q] = [boxOf(a.path), boxOf(b.path)];
  return (
    Math.abs(p.minX - q.minX) + Math.abs(p.maxX - q.maxX) + Math.abs(p.minY - q.minY) + Math.abs(p.maxY - q.maxY) <
    SAME_BOX
  );
};

/**
 * The same piece in other sizes of a nest: in each layer and look the outline whose middle lies nearest to the one given
 * and whose area is of its order. Its own seam line, and the cutting line around it, are no other size.
 */
export function otherSizes(of: Ring, strokes: readonly Stroke[]): readonly OtherSize[] {
  return [...grouped(strokes, lookOf)].flatMap(([look, from]) => {
    const rings = allRings(from);
    const ring = sameInOtherSizes(of, rings, NEST)[0];
    if (!ring || rings.some((r) => sameBox(r, of))) return [];
    return lineInside(of, [ring]) || lineInside(ring, [of]) ? [] : [{ look, ring, from }];
  });
}

/** The lines that may belong to one size: its own look's, and those of a look that no other size is drawn in. */
export const linesOfSize = (
  look: string,
  others: readonly OtherSize[],
  strokes: readonly Stroke[],
): readonly Stroke[] => {
  const rivals = new Set(others.map((o) => o.look).filter((l) => l !== look));
  return strokes.filter((s) => !rivals.has(lookOf(s)));
};
