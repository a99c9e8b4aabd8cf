import {
  add,
  distance,
  endOf,
  nearestLength,
  pathLength,
  pointAt,
  rotate,
  scale,
  sub,
  unit,
  type Point,
} from '../../geometry/index.ts';
import {
  edgeOf,
  edgesWithRole,
  mirrorPiece,
  requireEdge,
  type Edge,
  type Piece,
  type Seam,
} from '../../pattern/index.ts';
import { closeSeam, edgeAfter, edgeBefore, openPoint, shutPoint } from '../../paper/truing/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { Context, Instruction, Message, Stage } from '../contract.ts';
import { asBefore, fair, moveCorner, rule, smooth } from '../operations/index.ts';

/**
 * One piece's side of a shoulder seam that runs from the neck (or a panel seam) to the armhole. Points without a word are where the
 * paper has them; "shut" ones lie in a frame that runs from the neck outward with the darts of the seam folded.
 */
export interface ShoulderOn {
  readonly piece: Piece;
  /** In outline order. */
  readonly edges: readonly string[];
  readonly armhole: string;
  /** The neckline; on a side panel the seam to the panel nearer the neck. */
  readonly neck: string;
  readonly neckFirst: boolean;
  readonly neckPoint: Point;
  readonly shoulderPoint: Point;
  /** Sewn length on this piece, darts folded. */
  readonly length: number;
  /** How much of the shoulder lies on the panel nearer the neck, mm. */
  readonly before: number;
  /** Where the shoulder is cut: the share of its outermost edge, from that edge's start. */
  readonly cutShare: number;
  readonly shut: { readonly neckPoint: Point; readonly shoulderPoint: Point; readonly along: Point };
  /** From the shut frame back to the paper, for points beyond the last dart. */
  readonly open: (p: Point) => Point;
  /** From the paper to the shut frame, for points beyond the last dart. */
  readonly close: (p: Point) => Point;
  /** The pin on the armhole seam line at notch height: where it is, and how far along from the shoulder. */
  readonly hinge: { readonly at: Point; readonly reach: number };
}

export interface ShoulderPair {
  readonly seam: Seam;
  readonly front: ShoulderOn;
  readonly back: ShoulderOn;
}

const LOWER_THIRD = 0.55;
/** How far from the neck the shoulder point lies on an overarm seam where nothing tells, mm. */
export const USUAL_SHOULDER = 125;

/** What lies at the two ends of a shoulder seam: nearer the neck, and nearer the arm. */
type Ends = readonly [inner: Edge['role'], outer: Edge['role']];
const WHOLE: Ends = ['neck', 'armhole'];
const ON_PANEL: Ends = ['princess', 'armhole'];
/** A sleeve cut on: the seam runs on over the arm to the sleeve's hem. */
const OVERARM: Ends = ['neck', 'sleeveHem'];

function onPiece(piece: Piece, edges: readonly string[], [inner, outer]: Ends, beside: number): ShoulderOn | null {
  const role = (id: string): Edge['role'] | undefined => edgeOf(piece, id)?.role;
  const before = edgeBefore(piece, edges[0] ?? '');
  const after = edgeAfter(piece, edges.at(-1) ?? '');
  const neckFirst = role(before) === inner && role(after) === outer;
  if (!neckFirst && !(role(before) === outer && role(after) === inner)) return null;
  // With a sleeve cut on, the underarm curve is to the arm what an armhole is.
  const arm = outer === 'armhole' ? (neckFirst ? after : before) : edgesWithRole(piece, 'underarm')[0]?.id;
  if (arm === undefined) return null;
  const turned = neckFirst ? piece : mirrorPiece(piece);
  const ordered = neckFirst ? edges : [...edges].reverse();
  const seam = closeSeam(turned, ordered);
  const flip = (p: Point): Point => (neckFirst ? p : { x: -p.x, y: p.y });
  const neckPoint = requireEdge(turned, ordered[0] ?? '').path.start;
  const point = endOf(requireEdge(turned, ordered.at(-1) ?? '').path);
  const shut = shutPoint(seam, point);
  const path = requireEdge(turned, arm).path;
  const notch = turned.marks.find((m) => m.kind === 'notch' && m.edge === arm);
  const reach = notch?.kind === 'notch' && notch.at > 20 ? notch.at : pathLength(path) * LOWER_THIRD;
  return {
    piece,
    edges,
    armhole: arm,
    neck: neckFirst ? before : after,
    neckFirst,
    neckPoint: flip(neckPoint),
    shoulderPoint: flip(point),
    length: distance(neckPoint, shut),
    before: beside,
    cutShare: cutShareOf(
      edges.length,
      neckFirst,
      outer === 'sleeveHem' ? USUAL_SHOULDER / distance(neckPoint, shut) : 1,
    ),
    shut: { neckPoint, shoulderPoint: shut, along: unit(sub(shut, neckPoint)) },
    open: (p) => flip(openPoint(seam, p)),
    close: (p) => shutPoint(seam, flip(p)),
    hinge: { at: flip(pointAt(path, reach)), reach },
  };
}

/** In the middle of the stretch between the last dart (or the neck) and the shoulder point, which lies at `share` of the seam. */
const cutShareOf = (edges: number, neckFirst: boolean, share: number): number => {
  const fromNeck = edges > 1 ? 0.35 : 0.5 * share;
  return neckFirst ? fromNeck : 1 - fromNeck;
};

type OnPieces = Pick<Context, 'pieces' | 'seams'>;

function pairBetween(
  context: OnPieces,
  ends: Ends,
  before: (part: Piece['part']) => number = () => 0,
): ShoulderPair | null {
  const outline = (s: Seam['first']): readonly string[] => (s.reversed ? [...s.edges].reverse() : s.edges);
  for (const seam of context.seams) {
    if (seam.kind !== 'shoulder') continue;
    const one = context.pieces.find((p) => p.id === seam.first.piece);
    const two = context.pieces.find((p) => p.id === seam.second.piece);
    if (!one || !two) continue;
    const first = onPiece(one, outline(seam.first), ends, before(one.part));
    const second = onPiece(two, outline(seam.second), ends, before(two.part));
    if (!first || !second) continue;
    const frontFirst = one.part === 'front' || one.part === 'sideFront';
    return { seam, front: frontFirst ? first : second, back: frontFirst ? second : first };
  }
  return null;
}

/** The shoulder seam between a front and a back that both run from neck to armhole. */
export function shoulderPair(context: OnPieces): Result<ShoulderPair> {
  const pair = pairBetween(context, WHOLE);
  return pair ? ok(pair) : refuse('shoulder-seam-missing', {});
}

/** The part of the shoulder that ends at the armhole: the whole seam, or what of it lies on the side panels. */
export function outerShoulders(context: OnPieces): Result<ShoulderPair> {
  const nearNeck = (part: Piece['part']): number => {
    const kin = context.pieces.find((p) => p.part === (part === 'sideFront' ? 'front' : 'back'));
    return kin ? edgesWithRole(kin, 'shoulder').reduce((n, e) => n + pathLength(e.path), 0) : 0;
  };
  const pair = pairBetween(context, WHOLE) ?? pairBetween(context, ON_PANEL, nearNeck);
  if (pair) return ok(pair);
  const raglan = context.pieces.some((p) => edgesWithRole(p, 'raglan').length > 0);
  return raglan ? refuse('shoulder-in-sleeve', {}) : refuse('shoulder-seam-missing', {});
}

/** As `outerShoulders`, or the overarm seam of a sleeve cut on. */
export function shouldersOrOverarms(context: OnPieces): Result<ShoulderPair> {
  const pair = outerShoulders(context);
  const over = pair.ok ? null : pairBetween(context, OVERARM);
  return over ? ok(over) : pair;
}

/** The shoulder point put somewhere else, the armhole drawn again from nothing at `reach`. */
export function shoulderTo(
  on: ShoulderOn,
  to: Point,
  reach: number,
  said: { readonly stage: Stage; readonly message: Message },
): readonly Instruction[] {
  const outer = (on.neckFirst ? on.edges.at(-1) : on.edges[0]) ?? '';
  return [
    moveCorner({ piece: on.piece.id, ...said, between: [on.armhole, outer], to, reach: [reach, undefined] }),
    rule({ piece: on.piece.id, ...said, edges: on.edges }),
  ];
}

/** A place on the shut shoulder, so far from the neck and so far below the line, where the paper has it. */
export const placeOn = (on: ShoulderOn, along: number, below = 0): Point =>
  on.open(add(on.shut.neckPoint, add(scale(on.shut.along, along), scale(rotate(on.shut.along, Math.PI / 2), below))));

/** The part of the shoulder that meets the neckline. */
export const shoulderAtNeck = (on: ShoulderOn): string => (on.neckFirst ? on.edges[0] : on.edges.at(-1)) ?? '';

/** Where the shoulder is cut, and a block slid from. */
export function cutPlace(on: ShoulderOn): Point {
  const outer = requireEdge(on.piece, on.neckFirst ? (on.edges.at(-1) ?? '') : (on.edges[0] ?? '')).path;
  return pointAt(outer, pathLength(outer) * on.cutShare);
}

/** How much of the seam is drawn again to either side of the hinge, mm. */
const SMOOTHED = 40;

/** Armhole smoothed where it was hinged; an underarm seam, sewn to the other half as it lies, keeps its length exactly. */
export function smoothHinge(on: ShoulderOn, message: Message): Instruction {
  const said = { piece: on.piece.id, message };
  const edge = on.armhole;
  const { path, role } = requireEdge(on.piece, on.armhole);
  if (role === 'armhole') return smooth({ ...said, at: { edge, near: on.hinge.at }, reach: SMOOTHED });
  const at = nearestLength(path, on.hinge.at);
  const whole = pathLength(path);
  return fair({ ...said, edge, from: Math.max(1, at - SMOOTHED), toFromEnd: Math.max(1, whole - at - SMOOTHED) });
}

/** The corners at both ends of the shoulder brought back to the angles they were drafted with. */
export const keepShoulderCorners = (on: ShoulderOn, message: Message): readonly Instruction[] => [
  asBefore({ piece: on.piece.id, message, what: { edge: on.armhole, at: on.neckFirst ? 'start' : 'end', reach: 45 } }),
  // A seam between panels is left as it lies: both sides of it must stay alike.
  ...(on.before > 0
    ? []
    : [
        asBefore({
          piece: on.piece.id,
          message,
          what: { edge: on.neck, at: on.neckFirst ? ('end' as const) : ('start' as const), reach: 30 },
        }),
      ]),
];
