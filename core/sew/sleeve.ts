import { armTube, onTube, shoulderTopOf, type Figure, type Vec3 } from '../form/index.ts';
import type { Point } from '../geometry/index.ts';
import { edgesWithRole, partsOfSide, type EdgeRole, type Seam } from '../pattern/index.ts';
import { edgeKey, type Panel, type Toile } from './toile.ts';

/** How far off the arm a sleeve is laid on it, mm. */
export const OFF_ARM = 12;

export const isSleeve = ({ piece }: Pick<Panel, 'piece'>): boolean => piece.part === 'sleeve';

/**
 * Lays a sleeve around the left arm, into `out` (m), but for the points of its cap that the bodice has laid already (`set`): its
 * middle on the outer side of the arm, its underarm seam on the inner, as far down as the paper reaches.
 */
export function layOnArm(
  figure: Figure,
  panel: Panel,
  toile: Toile,
  seams: readonly Seam[],
  set: ReadonlySet<number>,
  out: Float64Array,
): void {
  const tube = armTube(figure);
  const of = (role: EdgeRole): readonly Point[] =>
    edgesWithRole(panel.piece, role).flatMap((e) =>
      [...(toile.edges.get(edgeKey(panel.piece.id, e.id)) ?? [])].map((i) => panel.places[panel.points.indexOf(i)]!),
    );
  const raglan = of('raglan');
  const [cap, hem] = [raglan.length > 0 ? raglan : of('cap'), of('sleeveHem')];
  if (cap.length === 0) return;
  const top = Math.min(...(raglan.length > 0 ? of('neck') : cap).map((p) => p.y));
  const biceps = span(cap);
  const below = hem.length > 0 ? span(hem) : biceps;
  const front = frontOf(panel, toile, seams, (biceps.from + biceps.to) / 2);
  // The cap begins where the rounded top of the arm does; a raglan sleeve as far before it as the shoulder is long.
  const begins = top + (raglan.length > 0 ? shoulderOf(figure) : tube.radiusAt(0));
  panel.points.forEach((i, k) => {
    if (set.has(i)) return;
    const { x, y } = panel.places[k]!;
    const down = below.y > biceps.y ? Math.min(1, Math.max(0, (y - biceps.y) / (below.y - biceps.y))) : 0;
    const [from, to] = [biceps.from + down * (below.from - biceps.from), biceps.to + down * (below.to - biceps.to)];
    const share = (2 * x - from - to) / (to - from);
    const along = y - begins;
    const radius = Math.max(tube.radiusAt(along), (to - from) / (2 * Math.PI)) + OFF_ARM;
    const angle = front * share * Math.PI;
    const p =
      along < 0 && raglan.length > 0 ? overShoulder(figure, -along, angle, radius) : onTube(tube, along, angle, radius);
    out.set([p.x / 1000, p.y / 1000, p.z / 1000], 3 * i);
  });
}

/** From the neck to the shoulder bone, mm. */
const shoulderOf = (f: Figure): number => Math.hypot(f.shoulder - f.neckHalf, f.shoulderDrop);

/** A place of a raglan sleeve over the shoulder: so far in from the bone, and to the front or the back by an angle about the shoulder. */
function overShoulder(f: Figure, inward: number, angle: number, radius: number): Vec3 {
  const share = Math.min(1, inward / shoulderOf(f));
  const { y, z } = shoulderTopOf(f);
  return {
    x: f.shoulder + share * (f.neckHalf - f.shoulder),
    y: y + share * f.shoulderDrop + OFF_ARM - radius * (1 - Math.cos(angle)),
    z: z + radius * Math.sin(angle),
  };
}

/** From where to where a row of points reaches, and how low its ends lie, mm. */
function span(points: readonly Point[]): { readonly from: number; readonly to: number; readonly y: number } {
  const xs = points.map((p) => p.x);
  return { from: Math.min(...xs), to: Math.max(...xs), y: Math.max(...points.map((p) => p.y)) };
}

/** On which side of its middle a sleeve has its front on the paper: +1 to the right. */
function frontOf({ piece, points, places }: Panel, toile: Toile, seams: readonly Seam[], middle: number): 1 | -1 {
  const fronts = new Set(
    toile.panels.filter((p) => p.piece.part === 'front' || p.piece.part === 'sideFront').map((p) => p.piece.id),
  );
  for (const s of seams.filter((x) => x.kind === 'armhole' || x.kind === 'raglan')) {
    const sides = [s.first, s.second].flatMap(partsOfSide);
    const own = sides.find((side) => side.piece === piece.id);
    if (!own || !sides.some((side) => fronts.has(side.piece))) continue;
    const xs = own.edges.flatMap((e) =>
      [...(toile.edges.get(edgeKey(piece.id, e)) ?? [])].map((i) => places[points.indexOf(i)]!.x),
    );
    return xs.reduce((a, b) => a + b, 0) / xs.length > middle ? 1 : -1;
  }
  return 1;
}
