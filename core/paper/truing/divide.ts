import { distance, endOf, fairAt, kinkAt, pathLength, polyline, type Path, type Point } from '../../geometry/index.ts';
import {
  dartShape,
  freshId,
  type Dart,
  type Edge,
  type Mark,
  type Piece,
  type Seam,
  type SeamSide,
} from '../../pattern/index.ts';
import { TOL, nth } from '../../units/index.ts';

/** Half of a piece divided along two darts: where it was cut, and how the seam between the halves is named. */
export interface DividedPiece {
  readonly centre: Piece;
  readonly side: Piece;
}

export interface DivideNames {
  readonly centre: { readonly name: string };
  readonly side: { readonly id: string; readonly name: string; readonly part: Piece['part'] };
}

/**
 * Divides a piece into two along an upper and a lower dart: out of each come the darts' legs as one seam, smooth
 * at the tips, as long on one piece as on the other. `meet` are the points the seam passes between the darts
 * (the bust point; or both tips). Throws when the two darts do not lie one after the other on the outline.
 */
export function divideAtDarts(
  piece: Piece,
  upperId: string,
  lowerId: string,
  meet: readonly Point[],
  names: DivideNames,
  reach = 80,
): DividedPiece {
  const find = (id: string): Dart => {
    const dart = piece.darts.find((d) => d.id === id);
    if (!dart) throw new Error(`divideAtDarts: expected a dart "${id}" on ${piece.id}`);
    return dart;
  };
  const upper = find(upperId);
  const lower = find(lowerId);
  const a = dartShape(piece, upper);
  const b = dartShape(piece, lower);
  const i = piece.edges.findIndex((e) => e.id === upper.mouth);
  const j = piece.edges.findIndex((e) => e.id === lower.mouth);
  const n = piece.edges.length;
  const run = (from: number, to: number): readonly Edge[] => {
    const out: Edge[] = [];
    for (let k = (from + 1) % n; k !== to; k = (k + 1) % n) out.push(nth(piece.edges, k));
    return out;
  };
  const down = meet;
  const up = [...meet].reverse();
  const after = run(i, j);
  const before = run(j, i);
  const allowance = piece.edges[i]?.allowance ?? 15;
  const first = withSeam(after, [b.start, ...up, a.end], meet.length, { reach, allowance });
  const second = withSeam(before, [a.start, ...down, b.end], 1, { reach, allowance });
  const [centre, side] = holdsCentre(after) ? [first, second] : [second, first];
  const darts = piece.darts.filter((d) => d !== upper && d !== lower);
  return {
    centre: {
      ...panelOf(piece, centre, darts, true),
      id: piece.id,
      name: names.centre.name,
      part: piece.part,
      fold: piece.fold,
      ...(piece.beyond ? { beyond: piece.beyond } : {}),
      ...(piece.buttons ? { buttons: piece.buttons } : {}),
      cut: piece.cut,
    },
    side: { ...panelOf(piece, side, darts, false), ...names.side, fold: null, cut: 2 },
  };
}

/** The edges of one panel, the new seam among them, and where the notch lies on that seam, mm from its start. */
interface Panel {
  readonly edges: readonly Edge[];
  readonly notch: number;
}

const holdsCentre = (edges: readonly Edge[]): boolean =>
  edges.some((e) => e.role === 'centreFront' || e.role === 'centreBack');

/** Closes a run of edges with a smooth seam through `corners`; the notch stands where it passes the one numbered `middle`. */
function withSeam(
  edges: readonly Edge[],
  corners: readonly Point[],
  middle: number,
  { reach, allowance }: { readonly reach: number; readonly allowance: number },
): Panel {
  const straight = polyline(corners);
  const path = fairCorners(straight, reach);
  const notch = pathLength(polyline(corners.slice(0, middle + 1))) * (pathLength(path) / pathLength(straight));
  return { edges: [...edges, { id: 'princess', role: 'princess', path, allowance }], notch };
}

/** What of a piece lies on one panel: its darts and marks, and a notch on the new seam. */
function panelOf(
  piece: Piece,
  { edges, notch }: Panel,
  darts: readonly Dart[],
  isCentre: boolean,
): Omit<Piece, 'id' | 'name' | 'part' | 'fold' | 'cut'> {
  const has = (edge: string): boolean => edges.some((e) => e.id === edge);
  const marks = piece.marks.flatMap((m): readonly Mark[] => {
    if (m.kind === 'notch') return has(m.edge) ? [m] : [];
    if (isCentre) return [m];
    if (m.kind === 'level') return [{ ...m, at: { x: insideX(edges), y: m.at.y } }];
    return [m.kind === 'grain' ? { ...m, ...grainDownMiddle(edges) } : m];
  });
  const id = freshId(
    marks.map((m) => m.id),
    'apex',
  );
  return {
    half: piece.half,
    notes: piece.notes,
    edges,
    darts: darts.filter((d) => has(d.mouth)),
    marks: [...marks, { kind: 'notch', id, edge: 'princess', at: notch, count: 2 }],
  };
}

/** A grainline in the lower half of a side panel. */
function grainDownMiddle(edges: readonly Edge[]): { readonly from: Point; readonly to: Point } {
  const x = insideX(edges);
  const ys = edges.map((e) => e.path.start.y);
  const top = Math.min(...ys);
  const height = Math.max(...ys) - top;
  return { from: { x, y: top + 0.5 * height }, to: { x, y: top + 0.85 * height } };
}

/** A line down the middle of a side panel, for its grain and its levels. */
function insideX(edges: readonly Edge[]): number {
  const xs = edges.map((e) => (e.path.start.x + endOf(e.path).x) / 2);
  return (Math.min(...xs) + Math.max(...xs)) / 2;
}

/** Every corner of a polyline made smooth, its length held. */
function fairCorners(path: Path, reach: number): Path {
  let out = path;
  let at = 0;
  path.segments.slice(0, -1).forEach((s, k) => {
    const from = k === 0 ? path.start : (path.segments[k - 1]?.to ?? path.start);
    at += distance(from, s.to);
    if (Math.abs(kinkAt(out, at)) > TOL.kinkless) out = fairAt(out, at, reach);
  });
  return out;
}

/** Seams that named edges of the undivided piece name the part that has them now; the new seam between the parts is added. */
export function seamsAfterDivision(seams: readonly Seam[], before: Piece, centre: Piece, side: Piece): readonly Seam[] {
  const follow = (s: SeamSide): SeamSide =>
    s.piece === before.id && s.edges.every((e) => side.edges.some((x) => x.id === e)) ? { ...s, piece: side.id } : s;
  const whole = (s: SeamSide): boolean => {
    const owner = [centre, side].find((p) => p.id === s.piece);
    return !owner || s.edges.every((e) => owner.edges.some((x) => x.id === e));
  };
  return [
    ...seams
      .map((s) => ({ ...s, first: follow(s.first), second: follow(s.second) }))
      .filter((s) => whole(s.first) && whole(s.second)),
    {
      id: 'princess front',
      kind: 'princess',
      ease: 0,
      first: { piece: centre.id, edges: ['princess'], reversed: false },
      second: { piece: side.id, edges: ['princess'], reversed: true },
    },
  ];
}
