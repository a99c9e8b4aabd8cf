import { pointAt, type Point } from '../geometry/index.ts';
import type { Piece } from '../pattern/index.ts';
import type { Sheet } from '../cloth/index.ts';
import { ok, refuse, TOL, type Result } from '../units/index.ts';
import { cutOf, type Cut, type Spot, type Stretch } from './cut.ts';
import { garmentOf, type Garment } from './garment.ts';
import { layersOn } from './intake.ts';
import { pairsOfDarts, pairsOfSeam } from './pairs.ts';
import { triangulate, type Triangles } from './triangulate.ts';

/** Where the triangles of one piece stand in a toile, and its points on paper. */
export interface Panel {
  readonly piece: Piece;
  readonly from: number;
  readonly to: number;
  /** The point of the toile that each point of the piece is, and where it lies on the paper, mm. */
  readonly points: Int32Array;
  readonly places: readonly Point[];
  /** Three of its own points for every triangle. */
  readonly triangles: Int32Array;
}

/** Pieces sewn together: the wearer’s left half of a garment that is alike on both sides. */
export interface Toile {
  readonly sheet: Sheet;
  readonly panels: readonly Panel[];
  /** The points along every edge of every piece, in outline order, by piece and edge. */
  readonly edges: ReadonlyMap<string, Int32Array>;
  /** Lines of points that are sewn, for a drawing. */
  readonly seams: readonly Int32Array[];
}

export const edgeKey = (piece: string, edge: string): string => `${piece} ${edge}`;

/** A piece as triangles, and what each of its points is called: its stretch and how far along. */
interface Meshed {
  readonly cut: Cut;
  readonly mesh: Triangles;
  /** Of each stretch its points, by how far along it they lie, from its start to its end. */
  readonly along: ReadonlyMap<string, readonly { readonly at: number; readonly point: number }[]>;
}

function meshed(cut: Cut, spots: readonly Spot[], edge: number): Meshed {
  const along = new Map<string, { at: number; point: number }[]>();
  let next = 0;
  const loops = [cut.outline, ...cut.holes].map((stretches) => {
    const first = next;
    const points = stretches.flatMap((s) => {
      const ats = samples(s, spots, edge);
      along.set(
        s.id,
        ats.map((at, i) => ({ at, point: next + i })),
      );
      next += ats.length - 1;
      return ats.slice(0, -1).map((at) => pointAt(s.path, at));
    });
    // The last stretch ends where the first began.
    along.get(stretches.at(-1)!.id)!.at(-1)!.point = first;
    return points;
  });
  return { cut, mesh: triangulate(loops, edge), along };
}

/** Where a stretch gets points: its ends, what is sewn to others, and no gap much longer than an edge of the mesh. */
function samples(s: Stretch, spots: readonly Spot[], edge: number): readonly number[] {
  const sewn = spots.filter((p) => p.stretch === s.id).map((p) => p.at);
  const sorted = [0, ...sewn, s.length]
    .sort((a, b) => a - b)
    .filter((at, i, all) => i === 0 || at - all[i - 1]! > TOL.join);
  if (s.length - sorted.at(-1)! < TOL.join) sorted[sorted.length - 1] = s.length;
  if (sewn.length > 0) return sorted;
  const count = Math.max(1, Math.round(s.length / edge));
  return Array.from({ length: count + 1 }, (_, k) => (s.length * k) / count);
}

/** A mesh that the triangulation stumbles over is tried again with edges so many times as long. */
const TRIES = [1, 1.04, 0.97] as const;

/**
 * Sews the pieces of a garment that is alike on both sides, with a mesh whose edges are about `edge` long, mm. Refused where
 * pieces do not make a garment: a centre is missing, a side is open, a piece hangs loose.
 */
export function sew(whole: Garment, edge: number): Result<Toile> {
  const garment = garmentOf(whole);
  if (!garment.ok) return garment;
  for (const times of TRIES) {
    const toile = sewnWith(garment.value, edge * times);
    if (toile) return toile;
  }
  return refuse('form-mesh-fails');
}

/** A garment’s points, its triangles and what is sewn; null where the triangulation stumbles. */
function sewnWith({ pieces, seams }: Garment, edge: number): Result<Toile> | null {
  const byId = new Map(pieces.map((p) => [p.id, p]));
  const cuts = pieces.map(cutOf);
  const lines = [...seams.map((s) => pairsOfSeam(byId, s, edge)), ...cuts.flatMap((c) => pairsOfDarts(c, edge))];
  const spots = lines.flat(2);
  const meshes = meshesOf(cuts, spots, edge);
  if (!meshes) return null;
  const first: number[] = [];
  let count = 0;
  for (const m of meshes) {
    first.push(count);
    count += m.mesh.points.length;
  }
  const pointOf = (spot: Spot): number => {
    const i = meshes.findIndex((m) => m.cut.piece.id === spot.piece);
    const list = meshes[i]!.along.get(spot.stretch)!;
    const found = list.reduce((best, p) => (Math.abs(p.at - spot.at) < Math.abs(best.at - spot.at) ? p : best));
    return first[i]! + found.point;
  };
  const sewn = lines.map((line) => line.map((pair): readonly [number, number] => [pointOf(pair[0]), pointOf(pair[1])]));
  const { points, of } = welded(count, sewn.flat());
  const panels = panelsOf(meshes, first, of);
  const sheet = sheetOf(panels, points);
  const loose = looseIn(panels, points);
  if (loose) return refuse('form-piece-loose', { piece: loose.name });
  const edges = new Map(
    meshes.flatMap((m, i) =>
      m.cut.piece.edges.flatMap((e) => {
        const list = m.along.get(e.id);
        const key = edgeKey(m.cut.piece.id, e.id);
        return list ? [[key, Int32Array.from(list, (p) => of[first[i]! + p.point]!)] as const] : [];
      }),
    ),
  );
  const drawn = sewn.filter((line) => line.length > 0).map((line) => Int32Array.from(line, ([a]) => of[a]!));
  return ok({ sheet, panels, edges, seams: drawn });
}

function meshesOf(cuts: readonly Cut[], spots: readonly Spot[], edge: number): readonly Meshed[] | null {
  try {
    return cuts.map((c) =>
      meshed(
        c,
        spots.filter((p) => p.piece === c.piece.id),
        edge,
      ),
    );
  } catch {
    return null;
  }
}

function panelsOf(meshes: readonly Meshed[], first: readonly number[], of: Int32Array): readonly Panel[] {
  let from = 0;
  return meshes.map(({ cut, mesh }, i) => {
    const to = from + mesh.triangles.length;
    const panel: Panel = {
      ...{ piece: cut.piece, from, to, places: mesh.points },
      points: Int32Array.from(mesh.points, (_, k) => of[first[i]! + k]!),
      triangles: Int32Array.from(mesh.triangles.flat()),
    };
    from = to;
    return panel;
  });
}

function sheetOf(panels: readonly Panel[], points: number): Sheet {
  const [triangles, flat, layers]: [number[], number[], number[]] = [[], [], []];
  for (const panel of panels) {
    const turned = grainTurn(panel.piece);
    const layersAt = layersOn(panel.piece);
    for (const k of panel.triangles) {
      triangles.push(panel.points[k]!);
      flat.push(...turned(panel.places[k]!));
    }
    for (let t = 0; t < panel.triangles.length; t += 3) {
      const corners = [0, 1, 2].map((k) => panel.places[panel.triangles[t + k]!]!);
      const mean = (d: 'x' | 'y'): number => corners.reduce((sum, c) => sum + c[d], 0) / 3;
      layers.push(layersAt({ x: mean('x'), y: mean('y') }));
    }
  }
  return {
    points,
    triangles: Int32Array.from(triangles),
    flat: Float64Array.from(flat),
    layers: Float64Array.from(layers),
  };
}

/** A piece that nothing joins to the first one. */
function looseIn(panels: readonly Panel[], points: number): Piece | null {
  const joined = new Uint8Array(points);
  panels[0]?.points.forEach((i) => (joined[i] = 1));
  let left = panels.slice(1);
  for (;;) {
    const next = left.find((p) => p.points.some((i) => joined[i]));
    if (!next) return left[0]?.piece ?? null;
    next.points.forEach((i) => (joined[i] = 1));
    left = left.filter((p) => p !== next);
  }
}

/** Points that are sewn to each other are one: how many are left, and which each is. */
function welded(count: number, pairs: readonly (readonly [number, number])[]): { points: number; of: Int32Array } {
  const parent = Int32Array.from({ length: count }, (_, i) => i);
  const root = (i: number): number => {
    let at = i;
    while (parent[at] !== at) at = parent[at] = parent[parent[at]!]!;
    return at;
  };
  for (const [a, b] of pairs) {
    const [p, q] = [root(a), root(b)];
    parent[Math.max(p, q)] = Math.min(p, q);
  }
  const of = new Int32Array(count);
  let points = 0;
  for (let i = 0; i < count; i++) of[i] = root(i) === i ? points++ : of[root(i)]!;
  return { points, of };
}

/** From a place on the paper, mm, to across and along the grain, m. */
export function grainTurn(piece: Piece): (p: Point) => readonly [number, number] {
  const grain = piece.marks.find((m) => m.kind === 'grain');
  const [dx, dy] = grain ? [grain.to.x - grain.from.x, grain.to.y - grain.from.y] : [0, 1];
  const size = Math.hypot(dx, dy) || 1;
  const [gx, gy] = [dx / size / 1000, dy / size / 1000];
  return (p) => [p.x * gy - p.y * gx, p.x * gx + p.y * gy];
}
