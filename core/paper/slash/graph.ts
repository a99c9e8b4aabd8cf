import {
  angleOf,
  distance,
  dot,
  endTangent,
  flatten,
  hullBox,
  intersectPaths,
  joinPaths,
  lerp,
  lineMeet,
  nearestOnPath,
  norm,
  polyline,
  scale,
  signedArea,
  spansOf,
  splitPath,
  startTangent,
  sub,
  type Path,
  type PathPlace,
  type Point,
} from '../../geometry/index.ts';
import type { Piece } from '../../pattern/index.ts';
import { ok, refuse, TOL, type Result, nth, cyclic } from '../../units/index.ts';

export interface Cut {
  readonly id: string;
  /** A polyline; each end lies on the seam line, on another cut, or inside the piece. */
  readonly points: readonly Point[];
}

export type GraphError = 'cut-too-short' | 'cut-leaves-piece' | 'cut-divides-nothing';

/** A part of an edge between two cut ends; `node` is the cut node at its end, or −1. */
export interface Portion {
  readonly edge: string;
  readonly path: Path;
  readonly node: number;
}

/** A directed side of the planar graph: a run of outline portions, or one side of a cut segment. */
export interface HalfEdge {
  readonly from: number;
  readonly to: number;
  readonly path: Path;
  /** Indices into `portions` for the outline; empty for cuts. */
  readonly portions: readonly number[];
  /** The other side, for cuts; −1 for the outline. */
  readonly twin: number;
  readonly cut: string | null;
}

/** The piece divided: faces have the interior on their right. */
export interface SlashGraph {
  readonly nodes: readonly Point[];
  readonly portions: readonly Portion[];
  readonly halfEdges: readonly HalfEdge[];
  /** For each half-edge, the face on its right. */
  readonly faceOf: readonly number[];
  readonly faces: readonly (readonly number[])[];
  readonly rings: readonly (readonly Point[])[];
}

/** Cuts broken at every meeting with each other, as straight segments between shared points. */
function brokenCuts(cuts: readonly Cut[]): readonly { readonly a: Point; readonly b: Point; readonly cut: string }[] {
  const raw = cuts.flatMap((c) => c.points.slice(1).map((b, i) => ({ a: nth(c.points, i), b, cut: c.id })));
  return raw.flatMap((s, i) => {
    const u = sub(s.b, s.a);
    const size = norm(u);
    const stops = [0, 1];
    raw.forEach((o, j) => {
      if (i === j) return;
      const v = sub(o.b, o.a);
      const meet = lineMeet(s.a, u, o.a, v);
      if (
        meet &&
        meet.s * size > -TOL.node &&
        (meet.s - 1) * size < TOL.node &&
        meet.r * norm(v) > -TOL.node &&
        (meet.r - 1) * norm(v) < TOL.node
      )
        stops.push(meet.s);
      for (const p of [o.a, o.b]) {
        const t = dot(sub(p, s.a), u) / (size * size);
        if (t > 0 && t < 1 && distance(lerp(s.a, s.b, t), p) < TOL.node) stops.push(t);
      }
    });
    const sorted = [...new Set(stops)].filter((t) => t >= 0 && t <= 1).sort((p, q) => p - q);
    return sorted.slice(1).flatMap((t, k) => {
      const t0 = nth(sorted, k);
      return (t - t0) * size < TOL.node ? [] : [{ a: lerp(s.a, s.b, t0), b: lerp(s.a, s.b, t), cut: s.cut }];
    });
  });
}

/** A quick no: the point is outside the box of the path's control points, so it is not on the path. */
function mayTouch(path: Path, p: Point): boolean {
  return spansOf(path).some((s) => {
    const b = hullBox(s);
    return p.x >= b.minX - TOL.join && p.x <= b.maxX + TOL.join && p.y >= b.minY - TOL.join && p.y <= b.maxY + TOL.join;
  });
}

interface CutSegment {
  readonly from: number;
  readonly to: number;
  readonly cut: string;
}
type OnOutline = ReadonlyMap<number, { readonly edge: number; readonly place: PathPlace }>;

/** Divides a piece by cuts into panels. Cuts that leave the piece or divide nothing are refused. */
export function divide(piece: Piece, cuts: readonly Cut[]): Result<SlashGraph, GraphError> {
  const broken = brokenCuts(cuts);
  if (broken.length === 0) return refuse('cut-too-short');
  const { nodes, segments } = sharedNodes(broken);
  const onOutline = nodesOnOutline(piece, nodes);
  const leaves = leavingCut(piece, nodes, segments, onOutline);
  if (leaves) return refuse('cut-leaves-piece', leaves);

  const portions = portionsOf(piece, nodes, onOutline);
  const halfEdges = [...outlineHalves(portions)];
  for (const s of segments) halfEdges.push(...cutHalves(s, nodes, halfEdges.length));
  const { faceOf, faces } = traceFaces(halfEdges);
  if (faces.length < 2) return refuse('cut-divides-nothing', { piece: piece.name });
  const outlines = faces.map((f) => joinPaths(f.map((h) => nth(halfEdges, h).path)));
  const grazed = faces[outlines.findIndex((o) => Math.abs(signedArea(spansOf(o))) < TOL.panel)];
  if (grazed) {
    const cut = grazed.flatMap((h) => halfEdges[h]?.cut ?? [])[0] ?? '';
    const edge = grazed.flatMap((h) => halfEdges[h]?.portions ?? []).map((p) => portions[p]?.edge ?? '')[0] ?? '';
    return refuse('cut-leaves-piece', { cut, edge, piece: piece.name });
  }
  return ok({ nodes, portions, halfEdges, faceOf, faces, rings: outlines.map((o) => flatten(o, RING)) });
}

/** Chords of a panel's ring lie this near to it, mm: enough to tell which panel holds a point. */
const RING = 0.5;

/** The ends of the cuts as nodes, ends that lie together as one; a segment without length is none. */
function sharedNodes(broken: ReturnType<typeof brokenCuts>): { nodes: Point[]; segments: readonly CutSegment[] } {
  const nodes: Point[] = [];
  const nodeAt = (p: Point): number => {
    const found = nodes.findIndex((n) => distance(n, p) < 2 * TOL.node);
    return found >= 0 ? found : nodes.push(p) - 1;
  };
  const segments = broken.map((s) => ({ from: nodeAt(s.a), to: nodeAt(s.b), cut: s.cut }));
  return { nodes, segments: segments.filter((s) => s.from !== s.to) };
}

/** Which nodes lie on the seam line, and where. */
function nodesOnOutline(piece: Piece, nodes: readonly Point[]): OnOutline {
  const out = new Map<number, { edge: number; place: PathPlace }>();
  nodes.forEach((p, n) => {
    piece.edges.forEach((edge, e) => {
      if (out.has(n) || !mayTouch(edge.path, p)) return;
      const near = nearestOnPath(edge.path, p);
      if (near.distance < TOL.join) out.set(n, { edge: e, place: near });
    });
  });
  return out;
}

/** The first cut that crosses the seam line elsewhere than at its ends, as a refusal names it. */
function leavingCut(
  piece: Piece,
  nodes: readonly Point[],
  segments: readonly CutSegment[],
  onOutline: OnOutline,
): { readonly cut: string; readonly edge: string; readonly piece: string } | null {
  for (const s of segments)
    for (const edge of piece.edges)
      for (const hit of intersectPaths(polyline([nth(nodes, s.from), nth(nodes, s.to)]), edge.path)) {
        const ends = [s.from, s.to].filter((n) => onOutline.has(n));
        if (!ends.some((n) => distance(nth(nodes, n), hit.point) < 5 * TOL.join))
          return { cut: s.cut, edge: edge.id, piece: piece.name };
      }
  return null;
}

/**
 * The outline, edge by edge, split where cuts end; the nodes there are moved exactly onto it. A cut at a corner splits
 * nothing: it ends the portion before.
 */
function portionsOf(piece: Piece, nodes: Point[], onOutline: OnOutline): readonly Portion[] {
  const portions: Portion[] = [];
  const endLastAt = (node: number): void => {
    const last = portions.at(-1);
    if (last) portions[portions.length - 1] = { ...last, node };
  };
  piece.edges.forEach((edge, e) => {
    const here = [...onOutline]
      .filter(([, at]) => at.edge === e)
      .map(([node, at]) => ({ node, ...at.place }))
      .sort((a, b) => a.span - b.span || a.t - b.t);
    let rest = edge.path;
    for (const { node } of here) {
      const p = nth(nodes, node);
      if (distance(p, edge.path.start) < TOL.join) {
        endLastAt(node);
        continue;
      }
      const near = nearestOnPath(rest, p);
      const [head, tail] = splitPath(rest, near);
      nodes[node] = near.point;
      portions.push({ edge: edge.id, path: head, node });
      rest = tail;
    }
    if (rest.segments.length > 0) portions.push({ edge: edge.id, path: rest, node: -1 });
  });
  // A node at the very start of the outline is the end of the last portion.
  const first = piece.edges[0];
  for (const [node, at] of onOutline)
    if (first && at.edge === 0 && distance(nth(nodes, node), first.path.start) < TOL.join) endLastAt(node);
  return portions;
}

/** The outline from each node on it to the next. */
function outlineHalves(portions: readonly Portion[]): readonly HalfEdge[] {
  const stops = portions.flatMap((p, i) => (p.node >= 0 ? [i] : []));
  return stops.map((stop, k) => {
    const next = cyclic(stops, k + 1);
    const run: number[] = [];
    for (let i = (stop + 1) % portions.length; ; i = (i + 1) % portions.length) {
      run.push(i);
      if (i === next) break;
    }
    return {
      from: nth(portions, stop).node,
      to: nth(portions, next).node,
      path: joinPaths(run.map((i) => nth(portions, i).path)),
      portions: run,
      twin: -1,
      cut: null,
    };
  });
}

/** Both sides of a cut, the first of which gets the index `at`. */
function cutHalves({ from, to, cut }: CutSegment, nodes: readonly Point[], at: number): readonly HalfEdge[] {
  const [a, b] = [nth(nodes, from), nth(nodes, to)];
  return [
    { from, to, path: polyline([a, b]), portions: [], twin: at + 1, cut },
    { from: to, to: from, path: polyline([b, a]), portions: [], twin: at, cut },
  ];
}

/** Walks every face with its interior on the right: at each node take the sharpest turn to the right. */
function traceFaces(halfEdges: readonly HalfEdge[]): { readonly faceOf: number[]; readonly faces: number[][] } {
  const leaving = new Map<number, { h: number; angle: number }[]>();
  halfEdges.forEach((e, h) => {
    const list = leaving.get(e.from) ?? [];
    list.push({ h, angle: angleOf(startTangent(e.path)) });
    leaving.set(e.from, list);
  });
  const faceOf = halfEdges.map(() => -1);
  const faces: number[][] = [];
  halfEdges.forEach((_, start) => {
    if (faceOf[start] !== -1) return;
    const face: number[] = [];
    let at = start;
    while (faceOf[at] === -1) {
      faceOf[at] = faces.length;
      face.push(at);
      const edge = nth(halfEdges, at);
      const back = angleOf(scale(endTangent(edge.path), -1));
      let best = -1;
      let least = Infinity;
      for (const { h, angle } of leaving.get(edge.to) ?? []) {
        let turn = (back - angle) % (2 * Math.PI);
        if (turn < 0) turn += 2 * Math.PI;
        // Straight back along the same cut is the last resort: the end of a cut inside the piece.
        if (h === edge.twin) turn = 2 * Math.PI;
        if (turn < least) {
          least = turn;
          best = h;
        }
      }
      if (best < 0) throw new Error('slash: expected the outline to go on at a node');
      at = best;
    }
    faces.push(face);
  });
  return { faceOf, faces };
}
