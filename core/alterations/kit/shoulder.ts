import {
  add,
  distance,
  endOf,
  pathLength,
  pointAt,
  rotate,
  scale,
  sub,
  unit,
  type Point,
} from '../../geometry/index.ts';
import { edgeOf, mirrorPiece, requireEdge, type Edge, type Piece, type Seam } from '../../pattern/index.ts';
import { closeSeam, edgeAfter, edgeBefore, openPoint, shutPoint } from '../../truing/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { Context, Instruction, Message, Redraw, Stage } from '../contract.ts';

/**
 * One piece's side of a shoulder seam that runs from the neck to the armhole. Points without a word are where the
 * paper has them; "shut" ones lie in a frame that runs from the neck outward with the darts of the seam folded.
 */
export interface ShoulderOn {
  readonly piece: Piece;
  /** In outline order. */
  readonly edges: readonly string[];
  readonly armhole: string;
  readonly neck: string;
  readonly neckFirst: boolean;
  readonly neckPoint: Point;
  readonly shoulderPoint: Point;
  /** Sewn length, darts folded. */
  readonly length: number;
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

function onPiece(piece: Piece, edges: readonly string[]): ShoulderOn | null {
  const role = (id: string): Edge['role'] | undefined => edgeOf(piece, id)?.role;
  const before = edgeBefore(piece, edges[0] ?? '');
  const after = edgeAfter(piece, edges.at(-1) ?? '');
  const neckFirst = role(before) === 'neck' && role(after) === 'armhole';
  if (!neckFirst && !(role(before) === 'armhole' && role(after) === 'neck')) return null;
  const turned = neckFirst ? piece : mirrorPiece(piece);
  const ordered = neckFirst ? edges : [...edges].reverse();
  const seam = closeSeam(turned, ordered);
  const flip = (p: Point): Point => (neckFirst ? p : { x: -p.x, y: p.y });
  const neckPoint = requireEdge(turned, ordered[0] ?? '').path.start;
  const point = endOf(requireEdge(turned, ordered.at(-1) ?? '').path);
  const shut = shutPoint(seam, point);
  const armhole = neckFirst ? after : before;
  const path = requireEdge(turned, armhole).path;
  const notch = turned.marks.find((m) => m.kind === 'notch' && m.edge === armhole);
  const reach = notch?.kind === 'notch' && notch.at > 20 ? notch.at : pathLength(path) * LOWER_THIRD;
  return {
    piece,
    edges,
    armhole,
    neck: neckFirst ? before : after,
    neckFirst,
    neckPoint: flip(neckPoint),
    shoulderPoint: flip(point),
    length: distance(neckPoint, shut),
    shut: { neckPoint, shoulderPoint: shut, along: unit(sub(shut, neckPoint)) },
    open: (p) => flip(openPoint(seam, p)),
    close: (p) => shutPoint(seam, flip(p)),
    hinge: { at: flip(pointAt(path, reach)), reach },
  };
}

/** The shoulder seam between a front and a back that both run from neck to armhole. */
export function shoulderPair(context: Pick<Context, 'pieces' | 'seams'>): Result<ShoulderPair> {
  const outline = (s: Seam['first']): readonly string[] => (s.reversed ? [...s.edges].reverse() : s.edges);
  for (const seam of context.seams) {
    if (seam.kind !== 'shoulder') continue;
    const one = context.pieces.find((p) => p.id === seam.first.piece);
    const two = context.pieces.find((p) => p.id === seam.second.piece);
    if (!one || !two) continue;
    const first = onPiece(one, outline(seam.first));
    const second = onPiece(two, outline(seam.second));
    if (!first || !second) continue;
    const frontFirst = one.part === 'front' || one.part === 'sideFront';
    return ok({ seam, front: frontFirst ? first : second, back: frontFirst ? second : first });
  }
  return refuse('shoulder-seam-missing', {});
}

/** The shoulder point put somewhere else, the armhole drawn again from nothing at `reach`. */
export function shoulderTo(
  on: ShoulderOn,
  to: Point,
  reach: number,
  said: { readonly stage: Stage; readonly message: Message },
): readonly Redraw[] {
  const corner = on.neckFirst
    ? { edge: on.armhole, reach: { second: reach } }
    : { edge: on.edges[0] ?? '', reach: { first: reach } };
  return [
    { op: 'corner', piece: on.piece.id, ...said, ...corner, to },
    { op: 'rule', piece: on.piece.id, ...said, edges: on.edges },
  ];
}

/** A place on the shut shoulder, so far from the neck and so far below the line, where the paper has it. */
export const placeOn = (on: ShoulderOn, along: number, below = 0): Point =>
  on.open(add(on.shut.neckPoint, add(scale(on.shut.along, along), scale(rotate(on.shut.along, Math.PI / 2), below))));

/** Where the middle of the stretch between the last dart (or the neck) and the shoulder point lies. */
export function cutPlace(on: ShoulderOn): Point {
  const outer = requireEdge(on.piece, on.neckFirst ? (on.edges.at(-1) ?? '') : (on.edges[0] ?? '')).path;
  const share = on.edges.length > 1 ? (on.neckFirst ? 0.35 : 0.65) : 0.5;
  return pointAt(outer, pathLength(outer) * share);
}

/** Armhole smoothed where it was hinged. */
export const smoothHinge = (on: ShoulderOn, message: Message): Instruction => ({
  op: 'smooth',
  stage: 'true',
  piece: on.piece.id,
  message,
  edge: on.armhole,
  near: on.hinge.at,
  reach: 40,
});

/** The corners at both ends of the shoulder brought back to the angles they were drafted with. */
export const keepShoulderCorners = (on: ShoulderOn, message: Message): readonly Redraw[] => [
  {
    op: 'keepCorner',
    stage: 'true',
    piece: on.piece.id,
    message,
    edge: on.armhole,
    at: on.neckFirst ? 'start' : 'end',
    reach: 45,
  },
  {
    op: 'keepCorner',
    stage: 'true',
    piece: on.piece.id,
    message,
    edge: on.neck,
    at: on.neckFirst ? 'end' : 'start',
    reach: 30,
  },
];
