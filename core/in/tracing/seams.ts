import { distance, endOf, type Point } from '../../geometry/index.ts';
import {
  edgesWithRole,
  pinYokes,
  type Edge,
  type EdgeRole,
  type Piece,
  type Seam,
  type SeamSide,
} from '../../pattern/index.ts';
import { walkSeam, type Walk } from '../../paper/truing/index.ts';
import { last, nth, cyclic } from '../../units/index.ts';

/** More difference than this between two edges is hardly meant to be sewn, as a share of the shorter. */
const UNLIKE = 0.35;
/** A sleeve's head is drafted longer than its armhole by up to this, mm. */
const CAP_EASE_MOST = 60;

const all = (pieces: readonly Piece[], part: Piece['part']): Piece | undefined => pieces.find((p) => p.part === part);

/** The end of a run of edges that lies nearest to (or farthest from) something. */
const ends = (edges: readonly Edge[]): readonly [Point, Point] => [nth(edges, 0).path.start, endOf(last(edges).path)];

/** Edges of a role in outline order, begun where the run begins even if the list wraps around. */
function runOf(piece: Piece, role: EdgeRole): readonly Edge[] {
  const n = piece.edges.length;
  const has = (i: number): boolean => {
    const e = cyclic(piece.edges, i + n);
    return e.role === role || e.role === 'dart';
  };
  const start = piece.edges.findIndex((e, i) => e.role === role && !has(i - 1));
  const from = start < 0 ? piece.edges.findIndex((e) => e.role === role) : start;
  if (from < 0) return [];
  const out: Edge[] = [];
  for (let k = 0; k < n && has(from + k); k++) out.push(cyclic(piece.edges, from + k));
  const own = out.filter((e) => e.role === role);
  return own.length > 0 ? own : edgesWithRole(piece, role);
}

/** One side of a seam, walked from the end nearer to `from`. */
function side(piece: Piece, edges: readonly Edge[], from: Point): SeamSide {
  const [a, b] = ends(edges);
  const reversed = distance(b, from) < distance(a, from);
  const order = reversed ? [...edges].reverse() : edges;
  return { piece: piece.id, edges: order.map((e) => e.id), reversed };
}

const top = (piece: Piece): Point => {
  const points = piece.edges.map((e) => e.path.start);
  return points.reduce((best, p) => (p.y < best.y ? p : best), nth(points, 0));
};
/** A point of the piece far out at one of its centre lines. */
function centreOf(piece: Piece): Point {
  const edge = piece.edges.find((e) => e.role === 'centreFront' || e.role === 'centreBack');
  return edge ? edge.path.start : top(piece);
}
const neckOf = (piece: Piece): Point => {
  const neck = edgesWithRole(piece, 'neck')[0];
  return neck ? endOf(neck.path) : centreOf(piece);
};
const upperOf = (edges: readonly Edge[]): Point => {
  const [a, b] = ends(edges);
  return a.y <= b.y ? a : b;
};

interface Wanted {
  readonly id: string;
  readonly kind: Seam['kind'];
  readonly one: readonly [Piece | undefined, EdgeRole];
  readonly two: readonly [Piece | undefined, EdgeRole];
  readonly from: (piece: Piece, edges: readonly Edge[]) => Point;
}

/** A seam proposed between traced pieces, and how its two sides walk. */
export interface ProposedSeam {
  readonly seam: Seam;
  readonly walk: Walk;
}

function together(w: Wanted): Seam | null {
  const [p, q] = [w.one[0], w.two[0]];
  if (!p || !q) return null;
  const [a, b] = [runOf(p, w.one[1]), runOf(q, w.two[1])];
  if (a.length === 0 || b.length === 0) return null;
  return {
    id: w.id,
    kind: w.kind,
    ease: 0,
    first: side(p, a, w.from(p, a)),
    second: side(q, b, w.from(q, b)),
  };
}

/** The halves of a sleeve's head: the front one is the one whose notch is single, or the right one. */
function capHalves(sleeve: Piece): { readonly front: Edge; readonly back: Edge } | null {
  const caps = edgesWithRole(sleeve, 'cap');
  const [a, b] = caps;
  if (!a || !b || caps.length !== 2) return null;
  const doubled = (e: Edge): boolean => sleeve.marks.some((m) => m.kind === 'notch' && m.edge === e.id && m.count > 1);
  const right = a.path.start.x + endOf(a.path).x > b.path.start.x + endOf(b.path).x ? a : b;
  const left = right === a ? b : a;
  return doubled(right) && !doubled(left) ? { front: left, back: right } : { front: right, back: left };
}

function armholeSeam(id: string, piece: Piece | undefined, sleeve: Piece, cap: Edge): Seam | null {
  if (!piece) return null;
  const armhole = runOf(piece, 'armhole');
  if (armhole.length === 0) return null;
  return {
    id,
    kind: 'armhole',
    ease: 0,
    first: side(piece, armhole, upperOf(armhole)),
    second: side(sleeve, [cap], upperOf([cap])),
  };
}

const NO_SEAMS: readonly Seam[] = [];
/** The seam between a yoke and the back below it. */
function yokeSeam(pieces: readonly Piece[]): readonly Seam[] {
  const [back, yoke] = [all(pieces, 'back'), all(pieces, 'yoke')];
  const seam = together({ id: 'yoke', kind: 'other', one: [back, 'yoke'], two: [yoke, 'yoke'], from: seamCentre });
  return seam ? [seam] : NO_SEAMS;
}

/** The end of a yoke seam at the centre back. */
function seamCentre(piece: Piece, edges: readonly Edge[]): Point {
  const [a, b] = ends(edges);
  const centre = edgesWithRole(piece, 'centreBack').flatMap((e) => [e.path.start, endOf(e.path)]);
  const away = (p: Point): number => Math.min(...centre.map((c) => distance(c, p)));
  return away(a) <= away(b) ? a : b;
}

/**
 * The seams that pieces of these parts are sewn together by, walked: shoulder, side, waist, sleeve, skirt, facings.
 * A head of a sleeve that is longer than its armhole by what heads are eased in is taken to be meant so. What differs
 * too much to be a seam is left out; the rest shows by its walk whether the pieces were traced alike.
 */
export function proposeSeams(drawn: readonly Piece[]): readonly ProposedSeam[] {
  // A yoke is looked at with its back: shoulder, neck and armhole are whole then.
  const { pieces, asDrawn } = pinYokes(drawn, NO_SEAMS);
  const [front, back, sleeve] = [all(pieces, 'front'), all(pieces, 'back'), all(pieces, 'sleeve')];
  const [skirtFront, skirtBack] = [all(pieces, 'skirtFront'), all(pieces, 'skirtBack')];
  const [legFront, legBack] = [all(pieces, 'trouserFront'), all(pieces, 'trouserBack')];
  const [facingFront, facingBack] = [all(pieces, 'facingFront'), all(pieces, 'facingBack')];
  const wanted: readonly Wanted[] = [
    { id: 'shoulder', kind: 'shoulder', one: [front, 'shoulder'], two: [back, 'shoulder'], from: neckOf },
    { id: 'side', kind: 'side', one: [front, 'side'], two: [back, 'side'], from: (_, e) => upperOf(e) },
    { id: 'waist front', kind: 'waist', one: [front, 'waist'], two: [skirtFront, 'waist'], from: centreOf },
    { id: 'waist back', kind: 'waist', one: [back, 'waist'], two: [skirtBack, 'waist'], from: centreOf },
    { id: 'skirt side', kind: 'side', one: [skirtFront, 'side'], two: [skirtBack, 'side'], from: (_, e) => upperOf(e) },
    { id: 'outside leg', kind: 'side', one: [legFront, 'side'], two: [legBack, 'side'], from: (_, e) => upperOf(e) },
    { id: 'inseam', kind: 'inseam', one: [legFront, 'inseam'], two: [legBack, 'inseam'], from: (_, e) => upperOf(e) },
    { id: 'facing front', kind: 'neck', one: [front, 'neck'], two: [facingFront, 'neck'], from: centreOf },
    { id: 'facing back', kind: 'neck', one: [back, 'neck'], two: [facingBack, 'neck'], from: centreOf },
    {
      id: 'facing shoulder',
      kind: 'shoulder',
      one: [facingFront, 'shoulder'],
      two: [facingBack, 'shoulder'],
      from: neckOf,
    },
  ];
  const seams = wanted.flatMap((w) => together(w) ?? []);
  if (sleeve) {
    const halves = capHalves(sleeve);
    if (halves)
      seams.push(
        ...[
          armholeSeam('armhole front', front, sleeve, halves.front),
          armholeSeam('armhole back', back, sleeve, halves.back),
        ].flatMap((s) => s ?? []),
      );
    const [a, b] = edgesWithRole(sleeve, 'underarm');
    if (a && b)
      seams.push({
        id: 'sleeve underarm',
        kind: 'other',
        ease: 0,
        first: side(sleeve, [a], upperOf([a])),
        second: side(sleeve, [b], upperOf([b])),
      });
  }
  return [...yokeSeam(drawn), ...asDrawn(seams)].flatMap((seam) => {
    const walk = walkSeam(drawn, seam);
    const shorter = Math.min(walk.first.length, walk.second.length);
    if (Math.abs(walk.difference) > UNLIKE * shorter) return [];
    const cap = seam.kind === 'armhole' && walk.difference > 0 && walk.difference <= CAP_EASE_MOST;
    const eased = cap ? { ...seam, ease: Math.round(walk.difference * 100) / 100 } : seam;
    return [{ seam: eased, walk: cap ? walkSeam(drawn, eased) : walk }];
  });
}
