import {
  add,
  blend,
  distance,
  endOf,
  endTangent,
  left,
  nearestLength,
  pathFromSpans,
  pathLength,
  pointAt,
  reversePath,
  scale,
  splitAtLength,
  startTangent,
  tangentAt,
  type Path,
  type Point,
} from '../../../geometry/index.ts';
import { solveNear } from '../../../numeric/index.ts';
import {
  bustLineLength,
  layBustLine,
  replaceEdge,
  requireEdge,
  settledBustLine,
  type Edge,
  type Piece,
} from '../../../pattern/index.ts';
import { bulged, edgeAfter, edgeBefore, swell } from '../../../paper/truing/index.ts';
import { TOL } from '../../../units/index.ts';
import { upperEnd } from '../../kit/across.ts';
import type { Panels } from '../../kit/bust/panels.ts';

/** At an end where it comes to nothing the seam is left as it was over this, mm: the corner there stays what it was. */
const UNTOUCHED = 25;

/** The princess seam of one panel: where its apex lies along it from the upper end, and which way is out. */
export interface PanelSeam {
  readonly piece: Piece;
  readonly edge: Edge;
  readonly apexAt: number;
  readonly out: 1 | -1;
}

/** Both seams: of the side front and of the centre front. */
export function seamsOf(f: Panels): readonly [PanelSeam, PanelSeam] {
  const from = (edge: Edge, at: number): number =>
    upperEnd(edge) === edge.path.start ? at : pathLength(edge.path) - at;
  return [
    { piece: f.side, edge: f.seam, apexAt: from(f.seam, f.apexAt), out: f.dir === 1 ? -1 : 1 },
    { piece: f.centre, edge: f.centreSeam, apexAt: from(f.centreSeam, f.centreApexAt), out: f.dir },
  ];
}

/** A seam as it runs from its upper end down, or back again. */
const turned = ({ edge }: PanelSeam, path: Path): Path =>
  upperEnd(edge) === edge.path.start ? path : reversePath(path);

/** Beside the seam at its apex, square to it. */
export function besideApex(seam: PanelSeam, by: number): Point {
  const path = turned(seam, seam.edge.path);
  return add(pointAt(path, seam.apexAt), scale(left(tangentAt(path, seam.apexAt)), by * leftIs(seam, path)));
}

/** +1 where the left of the seam's way down is out. */
const leftIs = ({ apexAt, out }: PanelSeam, path: Path): 1 | -1 => (left(tangentAt(path, apexAt)).x * out > 0 ? 1 : -1);

/** The seam moved out by `by` at the apex: nothing at its upper end, nothing or as much at its lower one. Runs down. */
function movedSeam(seam: PanelSeam, by: number, runsOn: boolean): Path {
  const path = turned(seam, seam.edge.path);
  const size = pathLength(path);
  const { apexAt } = seam;
  const end = runsOn ? size : size - UNTOUCHED;
  const bulge = (at: number): number => {
    const share = at <= apexAt ? (at - UNTOUCHED) / (apexAt - UNTOUCHED) : runsOn ? 1 : (end - at) / (end - apexAt);
    return by * leftIs(seam, path) * swell(share);
  };
  return bulged(path, bulge, UNTOUCHED, end);
}

/** A path longer by so much at its end, straight on; shorter where that is below nothing. */
function longer(path: Path, by: number): Path {
  if (by <= 0) return by === 0 ? path : splitAtLength(path, pathLength(path) + by)[0];
  const to = add(endOf(path), scale(endTangent(path), by));
  return { start: path.start, segments: [...path.segments, { kind: 'line', to }] };
}

/** The panel with this seam: notches go square across to it, and what it meets below is drawn to its new end. */
function withSeam(seam: PanelSeam, down: Path): Piece {
  const { piece, edge } = seam;
  const path = turned(seam, down);
  const marks = piece.marks.map((m) =>
    m.kind === 'notch' && m.edge === edge.id ? { ...m, at: nearestLength(path, pointAt(edge.path, m.at)) } : m,
  );
  const was = endOf(turned(seam, edge.path));
  const now = endOf(down);
  const drawn = { ...replaceEdge(piece, edge.id, path), marks };
  if (distance(was, now) < TOL.zero) return drawn;
  const beside = [edgeBefore(piece, edge.id), edgeAfter(piece, edge.id)]
    .map((id) => requireEdge(piece, id))
    .find((e) => [e.path.start, endOf(e.path)].some((p) => distance(p, was) < TOL.join));
  if (!beside) return drawn;
  const { path: low } = beside;
  const [from, to] = distance(low.start, was) < TOL.join ? [now, endOf(low)] : [low.start, now];
  return replaceEdge(drawn, beside.id, pathFromSpans([blend(from, startTangent(low), to, endTangent(low))]));
}

/** The tape across a panel, mm, its ends on the seams as they are drawn. */
const tapeOn = (drawn: Piece, was: Piece): number => bustLineLength(settledBustLine(layBustLine(was, drawn))) ?? 0;

/**
 * Both panels drawn: each wider at the bust by `each`, as the tape runs. The seams become longer alike, as much as the
 * one that grows most (shrinks most where it is taken in): what the other lacks is drawn on at its lower end.
 */
export function drawnAlike(seams: readonly PanelSeam[], each: number, runsOn: boolean): readonly Piece[] {
  const moved = seams.map((seam) => {
    const goal = tapeOn(seam.piece, seam.piece) + each;
    const off = (by: number): number => tapeOn(withSeam(seam, movedSeam(seam, by, runsOn)), seam.piece) - goal;
    const path = movedSeam(seam, solveNear(off, each, TOL.solve) ?? each, runsOn);
    return { seam, path, grown: pathLength(path) - pathLength(seam.edge.path) };
  });
  const grown = moved.map((m) => m.grown);
  const alike = each < 0 ? Math.min(...grown) : Math.max(...grown);
  return moved.map(({ seam, path, grown: by }) => withSeam(seam, longer(path, alike - by)));
}
