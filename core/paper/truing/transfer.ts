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
  const sliver = cutSliver(g.on, neck, shoulder);
  const joined = joinSliver(t.on, sliver, shoulder);
  const back = (piece: Piece, turned: boolean): Piece => (turned ? mirrorPiece(piece) : piece);
  const flip = (path: Path, turned: boolean): Path => (turned ? mapPath(path, (p) => ({ x: -p.x, y: p.y })) : path);
  return {
    giver: back(sliver.giver, g.turned),
    taker: back(joined.taker, t.turned),
    taken: flip(ring(reversePath(sliver.neckCut), sliver.armCut), g.turned),
    given: flip(ring(joined.neckGiven, reversePath(joined.armGiven)), t.turned),
  };
}

interface Sliver {
  readonly giver: Piece;
  /** The ends of the giver's seam as it was, at the neck and at the armhole. */
  readonly neckEnd: Point;
  readonly armEnd: Point;
  /** What was cut off the neckline and off the armhole, as the outline ran. */
  readonly neckCut: Path;
  readonly armCut: Path;
}

function cutSliver({ piece, edges }: SeamOn, neck: number, shoulder: number): Sliver {
  const seam = edges[0] ?? '';
  const path = requireEdge(piece, seam).path;
  const neckEdge = edgeBefore(piece, seam);
  const armhole = edgeAfter(piece, seam);
  const neckPath = requireEdge(piece, neckEdge).path;
  const [neckKept, neckCut] = splitAtLength(neckPath, pathLength(neckPath) - neck);
  const [armCut, armKept] = splitAtLength(requireEdge(piece, armhole).path, shoulder);
  const shorter = replaceEdge(piece, neckEdge, neckKept);
  const ruled = replaceEdge(shorter, seam, polyline([endOf(neckKept), armKept.start]));
  const giver = shiftNotches(replaceEdge(ruled, armhole, armKept), armhole, -shoulder);
  return { giver, neckEnd: path.start, armEnd: endOf(path), neckCut, armCut };
}

interface Joined {
  readonly taker: Piece;
  readonly neckGiven: Path;
  readonly armGiven: Path;
}

function joinSliver({ piece, edges }: SeamOn, sliver: Sliver, shoulder: number): Joined {
  const seam = closeSeam(piece, edges);
  const firstId = edges[0] ?? '';
  const lastId = edges.at(-1) ?? '';
  const first = requireEdge(piece, firstId).path;
  const last = requireEdge(piece, lastId).path;
  const neckEnd = first.start;
  const armEnd = shutPoint(seam, endOf(last));
  // Along the seam from the neck, and across it: into the giver becomes out of the taker.
  const u0 = unit(sub(sliver.armEnd, sliver.neckEnd));
  const u1 = unit(sub(armEnd, neckEnd));
  const over =
    (origin0: Point, origin1: Point) =>
    (p: Point): Point => {
      const d = sub(p, origin0);
      return add(origin1, add(scale(u1, dot(d, u0)), scale(left(u1), -dot(d, left(u0)))));
    };
  const neckGiven = mapPath(reversePath(sliver.neckCut), over(sliver.neckEnd, neckEnd));
  const armGiven = mapPath(reversePath(sliver.armCut), over(sliver.armEnd, armEnd));
  const armOpen = mapPath(armGiven, (p) => openPoint(seam, p));
  const neckEdge = edgeBefore(piece, firstId);
  const armhole = edgeAfter(piece, lastId);
  const longer = (a: Path, b: Path): Path => joinPaths([a, b].filter((p) => p.segments.length > 0));
  let taker = replaceEdge(piece, neckEdge, longer(requireEdge(piece, neckEdge).path, neckGiven));
  taker = replaceEdge(taker, armhole, longer(armOpen, requireEdge(piece, armhole).path));
  taker = shiftNotches(taker, armhole, shoulder);
  const whole = edges.length === 1;
  taker = replaceEdge(taker, firstId, polyline([endOf(neckGiven), whole ? armOpen.start : endOf(first)]));
  if (!whole) taker = replaceEdge(taker, lastId, polyline([last.start, armOpen.start]));
  return { taker: ruleSeam(taker, edges), neckGiven, armGiven };
}

/** The outline of a sliver: along the neck, the new seam, back along the armhole and the old seam. */
const ring = (neckPart: Path, armPart: Path): Path =>
  joinPaths(
    [
      neckPart,
      polyline([endOf(neckPart), endOf(armPart)]),
      reversePath(armPart),
      polyline([armPart.start, neckPart.start]),
    ].filter((p) => distance(p.start, endOf(p)) > 0),
  );

const shiftNotches = (piece: Piece, edge: string, by: number): Piece => ({
  ...piece,
  marks: piece.marks.map((m): Mark =>
    m.kind === 'notch' && m.edge === edge ? { ...m, at: Math.max(0, m.at + by) } : m,
  ),
});
