import {
  add,
  distance,
  dot,
  endOf,
  joinPaths,
  left,
  mapPath,
  pathLength,
  polyline,
  reversePath,
  scale,
  splitAtLength,
  sub,
  unit,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { mirrorPiece, replaceEdge, requireEdge, type Mark, type Piece } from '../../pattern/index.ts';
import { closeSeam, openPoint, ruleSeam, shutPoint } from './closed.ts';
import { edgeAfter, edgeBefore } from './corner.ts';

/** A seam as it lies on one piece: its edges in outline order. */
export interface SeamOn {
  readonly piece: Piece;
  readonly edges: readonly string[];
}

export interface Transferred {
  readonly giver: Piece;
  readonly taker: Piece;
  /** The sliver where it lay and where it lies now, closed. */
  readonly taken: Path;
  readonly given: Path;
}

/** Runs from the neck to the armhole; mirrored halves are mirrored back first. */
function canonical(on: SeamOn): { readonly on: SeamOn; readonly turned: boolean } {
  const before = on.piece.edges.find((e) => e.id === edgeBefore(on.piece, on.edges[0] ?? ''));
  if (before?.role === 'neck') return { on, turned: false };
  return { on: { piece: mirrorPiece(on.piece), edges: [...on.edges].reverse() }, turned: true };
}

/**
 * Moves a shoulder seam: the sliver between it and a line `neck` along the neckline and `shoulder` along the armhole
 * is taken from one piece and joined to the other along the seam, as it is, turned over. Nothing is lost: the two
 * areas, the two necklines and the two armholes together stay what they were. The giver's seam must be one straight
 * edge; darts in the taker's are folded shut for the work and their legs run on into the sliver.
 */
export function transferSliver(from: SeamOn, to: SeamOn, neck: number, shoulder: number): Transferred {
  const g = canonical(from);
  const t = canonical(to);
  const giverEdge = requireEdge(g.on.piece, g.on.edges[0] ?? '').path;
  const n0 = giverEdge.start;
  const s0 = endOf(giverEdge);
  const giverNeck = edgeBefore(g.on.piece, g.on.edges[0] ?? '');
  const giverArmhole = edgeAfter(g.on.piece, g.on.edges[0] ?? '');
  const neckPath = requireEdge(g.on.piece, giverNeck).path;
  const armPath = requireEdge(g.on.piece, giverArmhole).path;
  const [neckKept, neckCut] = splitAtLength(neckPath, pathLength(neckPath) - neck);
  const [armCut, armKept] = splitAtLength(armPath, shoulder);
  const giver = shiftNotches(
    replaceEdge(
      replaceEdge(
        replaceEdge(g.on.piece, giverNeck, neckKept),
        g.on.edges[0] ?? '',
        polyline([endOf(neckKept), armKept.start]),
      ),
      giverArmhole,
      armKept,
    ),
    giverArmhole,
    -shoulder,
  );

  const seam = closeSeam(t.on.piece, t.on.edges);
  const first = requireEdge(t.on.piece, t.on.edges[0] ?? '').path;
  const last = requireEdge(t.on.piece, t.on.edges.at(-1) ?? '').path;
  const n1 = first.start;
  const s1 = shutPoint(seam, endOf(last));
  // Along the seam from the neck, and across it: into the giver becomes out of the taker.
  const u0 = unit(sub(s0, n0));
  const u1 = unit(sub(s1, n1));
  const over =
    (origin0: Point, origin1: Point) =>
    (p: Point): Point => {
      const d = sub(p, origin0);
      return add(origin1, add(scale(u1, dot(d, u0)), scale(left(u1), -dot(d, left(u0)))));
    };
  const byNeck = over(n0, n1);
  const byShoulder = over(s0, s1);
  const neckGiven = mapPath(reversePath(neckCut), byNeck);
  const armGiven = mapPath(reversePath(armCut), byShoulder);
  const open = (p: Point): Point => openPoint(seam, p);
  const armOpen = mapPath(armGiven, open);
  const takerNeck = edgeBefore(t.on.piece, t.on.edges[0] ?? '');
  const takerArmhole = edgeAfter(t.on.piece, t.on.edges.at(-1) ?? '');
  const longer = (a: Path, b: Path): Path => joinPaths([a, b].filter((p) => p.segments.length > 0));
  let taker = replaceEdge(t.on.piece, takerNeck, longer(requireEdge(t.on.piece, takerNeck).path, neckGiven));
  taker = replaceEdge(taker, takerArmhole, longer(armOpen, requireEdge(t.on.piece, takerArmhole).path));
  taker = shiftNotches(taker, takerArmhole, shoulder);
  const whole = t.on.edges.length === 1;
  taker = replaceEdge(taker, t.on.edges[0] ?? '', polyline([endOf(neckGiven), whole ? armOpen.start : endOf(first)]));
  if (!whole) taker = replaceEdge(taker, t.on.edges.at(-1) ?? '', polyline([last.start, armOpen.start]));
  taker = ruleSeam(taker, t.on.edges);

  const back = (piece: Piece, turned: boolean): Piece => (turned ? mirrorPiece(piece) : piece);
  const flip = (path: Path, turned: boolean): Path => (turned ? mapPath(path, (p) => ({ x: -p.x, y: p.y })) : path);
  const ring = (neckPart: Path, armPart: Path): Path =>
    joinPaths(
      [
        neckPart,
        polyline([endOf(neckPart), endOf(armPart)]),
        reversePath(armPart),
        polyline([armPart.start, neckPart.start]),
      ].filter((p) => distance(p.start, endOf(p)) > 0),
    );
  return {
    giver: back(giver, g.turned),
    taker: back(taker, t.turned),
    taken: flip(ring(reversePath(neckCut), armCut), g.turned),
    given: flip(ring(neckGiven, reversePath(armGiven)), t.turned),
  };
}

const shiftNotches = (piece: Piece, edge: string, by: number): Piece => ({
  ...piece,
  marks: piece.marks.map((m): Mark =>
    m.kind === 'notch' && m.edge === edge ? { ...m, at: Math.max(0, m.at + by) } : m,
  ),
});
