import { pointAt } from '../geometry/index.ts';
import type { Piece } from '../pattern/index.ts';
import { ok, refuse, TOL, type Result } from '../units/index.ts';
import { bandsOn, sidesOf, type Banded } from './bands.ts';
import { centresOf } from './centre.ts';
import { cutOf, type Cut, type Spot, type Stretch } from './cut.ts';
import { garmentOf, type Garment } from './garment.ts';
import { pairsOfDarts, pairsOfSeam } from './pairs.ts';
import { sheetOf } from './sheet.ts';
import { edgeKey, type Panel, type Sewn, type Toile } from './toile.ts';
import { triangulate, type Triangles } from './triangulate.ts';

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

/** Bands are low: edges of their mesh are no longer than this, mm, or they could not bend as cloth does. */
const BAND_EDGE = 12;

/** A mesh that the triangulation stumbles over is tried again with edges so many times as long. */
const TRIES = [1, 1.04, 0.97] as const;

/**
 * Sews the pieces of a garment that is alike on both sides, with a mesh whose edges are about `edge` long, mm. Refused where
 * pieces do not make a garment: a centre is missing, a side is open, a piece hangs loose.
 */
export function sew(whole: Garment, edge: number): Result<Toile> {
  const garment = garmentOf(whole);
  if (!garment.ok) return garment;
  const banded = bandsOn(garment.value.pieces, whole.pieces, whole.seams);
  // A garment hangs without a band that cannot be divided.
  for (const bands of banded.bands.length > 0 ? [banded, BARE] : [BARE])
    for (const times of TRIES) {
      const toile = sewnWith(garment.value, bands, edge * times);
      if (toile) return toile;
    }
  return refuse('form-mesh-fails');
}
const BARE: Banded = { bands: [], seams: [] };

/** The pieces of a garment that are not in its toile: facings, pockets, sleeves that are not asked for, and bands sewn in a way that is not known. */
export const leftOut = ({ pieces }: Garment, { panels }: Toile): readonly Piece[] =>
  pieces.filter((p) => panels.every((q) => q.piece.id !== p.id));

/** A garment’s points, its triangles and what is sewn; null where the triangulation stumbles. */
function sewnWith(garment: Garment, banded: Banded, edge: number): Result<Toile> | null {
  const pieces = [...garment.pieces, ...banded.bands.map((b) => b.piece)];
  const seams = [...garment.seams, ...banded.seams];
  const byId = new Map(pieces.map((p) => [p.id, p]));
  const cuts = pieces.map(cutOf);
  const narrow = new Set(banded.bands.map((b) => b.piece.id));
  const edgeOn = (...ids: readonly string[]): number =>
    ids.some((id) => narrow.has(id)) ? Math.min(edge, BAND_EDGE) : edge;
  const lines = [
    ...seams.map((s) => pairsOfSeam(byId, s, edgeOn(...sidesOf(s).map((x) => x.piece)))),
    ...cuts.flatMap((c) => pairsOfDarts(c, edge)),
  ];
  const spots = lines.flat(2);
  const meshes = meshesOf(cuts, spots, edgeOn);
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
  const bands = banded.bands.map((band): Sewn => {
    const i = meshes.findIndex((m) => m.cut.piece === band.piece);
    return { ...band, line: lineOf(meshes[i]!, band.edges, (k) => of[first[i]! + k]!) };
  });
  const sheet = sheetOf(panels, points, drawn, bands);
  return ok({ sheet, panels, edges, seams: drawn, bands, centres: centresOf(panels, edges, bands) });
}

/** Points along edges that follow on one another. */
function lineOf({ cut, along }: Meshed, edges: readonly string[], pointOf: (k: number) => number): Sewn['line'] {
  let from = 0;
  return edges.flatMap((id, n) => {
    const points = along.get(id)!.map(({ at, point }) => ({ at: from + at, point: pointOf(point) }));
    from += cut.outline.find((s) => s.id === id)!.length;
    return n === 0 ? points : points.slice(1);
  });
}

function meshesOf(
  cuts: readonly Cut[],
  spots: readonly Spot[],
  edgeOn: (piece: string) => number,
): readonly Meshed[] | null {
  try {
    return cuts.map((c) =>
      meshed(
        c,
        spots.filter((p) => p.piece === c.piece.id),
        edgeOn(c.piece.id),
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
