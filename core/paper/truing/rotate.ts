import {
  add,
  angleOf,
  distance,
  endTangent,
  intersectPaths,
  midpoint,
  pathLength,
  pointAt,
  polyline,
  rotate,
  scale,
  startTangent,
  sub,
  unit,
  type Point,
} from '../../geometry/index.ts';
import {
  dartShape,
  edgesWithRole,
  freshId,
  isInside,
  requireEdge,
  splitEdge,
  type Dart,
  type Edge,
  type Piece,
  type SplitEdge,
} from '../../pattern/index.ts';
import { cutPiece, type SlashError, type SlashSpec } from '../slash/index.ts';
import { ok, refuse, TOL, type Result, cyclic } from '../../units/index.ts';
import { balancedTip } from './dart.ts';

/** Where a dart is to go: into another dart, or to a new place on the outline. */
export type RotationTarget =
  | { readonly kind: 'dart'; readonly dart: string }
  | { readonly kind: 'edge'; readonly edge: string; readonly at: number };

export interface Rotation {
  readonly spec: SlashSpec;
  readonly pivot: Point;
  /** How far the paper turns, radians, and how wide the dart is seen from the pivot. */
  readonly angle: number;
  readonly opening: number;
  readonly closes: boolean;
  /** The line to draw: from the new place to the pivot. */
  readonly line: readonly [Point, Point];
}

export type RotationError =
  SlashError | 'dart-not-found' | 'rotation-same-place' | 'rotation-line-blocked' | 'pivot-outside' | 'dart-too-small';

const TURN = 2 * Math.PI;
/** The clockwise sweep from one direction to another, 0..2π. */
const sweep = (from: Point, to: Point): number => (((angleOf(to) - angleOf(from)) % TURN) + TURN) % TURN;

/**
 * Turns a dart into another place about a pivot, the bust point as a rule: its legs are drawn on to the pivot,
 * the paper is cut from the new place to the pivot, and the part between the two that does not carry the centre
 * (or the grainline) turns until `share` of the dart is closed. Closed wholly, the pivot is first set onto the
 * dart's own middle line, so that both legs are equal and the seam runs on without a step. Works for a dart
 * anywhere on the outline. Refuses where the line would leave the piece.
 */
export function rotation(
  piece: Piece,
  dartId: string,
  target: RotationTarget,
  about: Point,
  share: number,
): Result<Rotation, RotationError> {
  const dart = piece.darts.find((d) => d.id === dartId);
  if (!dart) return refuse('dart-not-found', { dart: dartId, piece: piece.name });
  const { start, end } = dartShape(piece, dart);
  const closes = share > 1 - TOL.zero;
  const pivot = closes ? balancedTip(start, end, about) : about;
  if (!isInside(piece, pivot)) return refuse('pivot-outside', { piece: piece.name });
  const other = target.kind === 'dart' ? piece.darts.find((d) => d.id === target.dart) : undefined;
  if (target.kind === 'dart' && (!other || other.id === dart.id))
    return refuse('dart-not-found', { dart: target.dart, piece: piece.name });
  const edge = requireEdge(piece, target.kind === 'edge' ? target.edge : (other as Dart).mouth);
  const place = target.kind === 'edge' ? pointAt(edge.path, target.at) : null;
  if (edge.id === dart.mouth) return refuse('rotation-same-place', { dart: dart.kind });
  const goal = other ? dartShape(piece, other) : { start: place as Point, end: place as Point };
  const legs: readonly Point[][] = [
    [start, pivot, end],
    ...(other ? [[goal.start, pivot, goal.end]] : [[goal.start, pivot]]),
  ];
  // A line that meets the outline before its end would cut off more than is meant.
  for (const leg of legs)
    for (const p of leg)
      if (p !== pivot && blocked(piece, p, pivot)) return refuse('rotation-line-blocked', { piece: piece.name });
  const opening = sweep(sub(start, pivot), sub(end, pivot));
  if (opening < TOL.noWedge || opening > Math.PI) return refuse('dart-too-small', { dart: dart.kind });
  const angle = opening * share;

  const seed = (from: Point, to: Point): Point => {
    const u = unit(sub(from, pivot));
    return add(pivot, scale(rotate(u, sweep(u, sub(to, pivot)) / 2), 2));
  };
  const cuts = legs.map((points, i) => ({ id: i === 0 ? 'old' : 'new', points }));
  const afterDart = { id: 'after', seed: seed(end, goal.start) };
  const beforeDart = { id: 'before', seed: seed(goal.end, start) };
  const wedges = [
    { id: 'wedge', seed: seed(start, end) },
    ...(other ? [{ id: 'goal', seed: seed(goal.start, goal.end) }] : []),
  ].map((w) => ({ ...w, motion: { kind: 'rest' as const }, stage: 'open' as const, fold: true }));
  const still = [afterDart, beforeDart].map((p) => ({
    ...p,
    motion: { kind: 'rest' as const },
    stage: 'open' as const,
  }));
  const divided = cutPiece(piece, { cuts, panels: [...wedges, ...still] });
  if (!divided.ok) return divided;
  const centre = [...edgesWithRole(piece, 'centreFront'), ...edgesWithRole(piece, 'centreBack')][0];
  const grain = piece.marks.findIndex((m) => m.kind === 'grain');
  const fixed = centre
    ? divided.value.names[divided.value.graph.faceOf[faceOfEdge(divided.value.graph, centre.id)] ?? 0]
    : divided.value.names[divided.value.markFaces[grain]?.[0]?.[0] ?? 0];
  const turns = fixed === 'after' ? 'before' : 'after';
  const spec: SlashSpec = {
    cuts,
    hinges: [{ id: 'pivot', at: pivot, panels: ['before', 'after'] }],
    panels: [
      ...wedges,
      ...still.map((p) =>
        p.id === turns
          ? { ...p, motion: { kind: 'turn' as const, about: pivot, angle: turns === 'after' ? -angle : angle } }
          : p,
      ),
    ],
  };
  return ok({ spec, pivot, angle, opening, closes, line: [midpoint(goal.start, goal.end), pivot] });
}

/** The half-edge of the outline that carries the beginning of an edge. */
function faceOfEdge(
  graph: {
    readonly portions: readonly { edge: string }[];
    readonly halfEdges: readonly { portions: readonly number[] }[];
  },
  edge: string,
): number {
  const portion = graph.portions.findIndex((p) => p.edge === edge);
  return graph.halfEdges.findIndex((h) => h.portions.includes(portion));
}

const blocked = (piece: Piece, from: Point, to: Point): boolean =>
  piece.edges.some((e) =>
    intersectPaths(polyline([from, to]), e.path).some((h) => distance(h.point, from) > 5 * TOL.join),
  );

/** What a dart in an edge of this role is called; one low in the side that runs up to the bust is a French dart. */
export function kindOfDart(role: Edge['role'], mouth: Point, tip: Point): Dart['kind'] {
  if (role === 'side') return mouth.y - tip.y > 0.5 * Math.abs(mouth.x - tip.x) ? 'french' : 'side';
  if (role === 'waist' || role === 'hem') return 'waist';
  if (role === 'underarm') return 'elbow';
  return role === 'shoulder' || role === 'armhole' || role === 'neck' ? role : 'other';
}

/**
 * Makes a dart of an opening in an edge: the straight bridge from `at` over `width` becomes its mouth. It is
 * pressed downwards where it lies across the grain, toward the centre where it runs along it.
 */
export function openDart(
  piece: Piece,
  edgeId: string,
  at: number,
  width: number,
  tip: Point,
): { readonly piece: Piece; readonly dart: Dart; readonly split: SplitEdge } {
  const role = requireEdge(piece, edgeId).role;
  const ids = piece.darts.map((d) => d.id);
  const mouthAt = pointAt(requireEdge(piece, edgeId).path, at + width / 2);
  const kind = kindOfDart(role, mouthAt, tip);
  const id = freshId([...ids, ...piece.edges.map((e) => e.id)], `${kind}Dart`);
  const split = splitEdge(piece, edgeId, at, width, id);
  const mouth = requireEdge(split.piece, id).path;
  const start = mouth.start;
  const end = pointAt(mouth, pathLength(mouth));
  const centreX =
    [...edgesWithRole(piece, 'centreFront'), ...edgesWithRole(piece, 'centreBack')][0]?.path.start.x ?? tip.x;
  const across = Math.abs(mouthAt.x - tip.x) > Math.abs(mouthAt.y - tip.y) || kind === 'side' || kind === 'french';
  const foldToward = across
    ? start.y > end.y
      ? ('start' as const)
      : ('end' as const)
    : Math.abs(start.x - centreX) < Math.abs(end.x - centreX)
      ? ('start' as const)
      : ('end' as const);
  const dart: Dart = { id, kind, mouth: id, tip, foldToward };
  return { piece: { ...split.piece, darts: [...split.piece.darts, dart] }, dart, split };
}

/** Leaves a dart unsewn: its mouth becomes a part of the seam beside it, `intake` longer, to be eased or gathered. */
export function dartToEase(
  piece: Piece,
  dartId: string,
): { readonly piece: Piece; readonly intake: number; readonly edge: string } {
  const dart = piece.darts.find((d) => d.id === dartId);
  if (!dart) throw new Error(`dartToEase: expected a dart "${dartId}" on ${piece.id}`);
  const i = piece.edges.findIndex((e) => e.id === dart.mouth);
  const before = cyclic(piece.edges, i - 1);
  const after = cyclic(piece.edges, i + 1);
  const { start, end } = dartShape(piece, dart);
  const role = before.role === 'dart' ? after.role : before.role;
  // A straight line between seams that leave it at an angle would show a corner: bow it to run on from both.
  const u = endTangent(before.path);
  const v = startTangent(after.path);
  const third = distance(start, end) / 3;
  const path = {
    start,
    segments: [{ kind: 'cubic' as const, c1: add(start, scale(u, third)), c2: sub(end, scale(v, third)), to: end }],
  };
  return {
    piece: {
      ...piece,
      edges: piece.edges.map((e) => (e.id === dart.mouth ? { ...e, role, path } : e)),
      darts: piece.darts.filter((d) => d.id !== dartId),
    },
    intake: pathLength(path),
    edge: dart.mouth,
  };
}
