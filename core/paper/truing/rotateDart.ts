import { distance, pathLength, polyline, endOf, type Point } from '../../geometry/index.ts';
import { replaceEdge, requireEdge, type Dart, type Piece, type SplitEdge } from '../../pattern/index.ts';
import { DONE, slashPiece } from '../slash/index.ts';
import { ok, type Result } from '../../units/index.ts';
import { capDart, retipDart } from './dart.ts';
import { openDart, rotation, type Rotation, type RotationError, type RotationTarget } from './rotate.ts';

export interface RotatedDart {
  readonly piece: Piece;
  readonly rotation: Rotation;
  /** The dart that took up the opening, and the edge that was split for it, where it is new. */
  readonly dart: Dart;
  readonly split: SplitEdge | null;
}

/**
 * The bookkeeping after the paper has turned: the opening becomes a dart (or the other dart is wider), its tip
 * for now at the pivot; mouths run straight across until they are capped.
 */
export function settleRotation(
  before: Piece,
  turned: Piece,
  target: RotationTarget,
  source: string,
  found: Rotation,
): { readonly piece: Piece; readonly dart: Dart; readonly split: SplitEdge | null } {
  const straight = (piece: Piece, id: string): Piece => {
    const dart = piece.darts.find((d) => d.id === id);
    if (!dart) return piece;
    const mouth = requireEdge(piece, dart.mouth).path;
    return replaceEdge(piece, dart.mouth, polyline([mouth.start, endOf(mouth)]));
  };
  const piece = straight(turned, source);
  if (target.kind === 'dart') {
    const wide = straight(piece, target.dart);
    const dart = { ...(wide.darts.find((d) => d.id === target.dart) as Dart), tip: found.pivot };
    return { piece: { ...wide, darts: wide.darts.map((d) => (d.id === dart.id ? dart : d)) }, dart, split: null };
  }
  const grown = pathLength(requireEdge(piece, target.edge).path) - pathLength(requireEdge(before, target.edge).path);
  return openDart(piece, target.edge, target.at, grown, found.pivot);
}

/** Sets the tips of a turned dart, and of what is left of the old one, back from the bust point, legs equal. */
export function tipsAfterRotation(
  before: Piece,
  settled: { readonly piece: Piece; readonly dart: Dart },
  source: string,
  bustPoint: Point,
  setback: number,
): Piece {
  const turned = retipDart(settled.piece, settled.dart, bustPoint, setback).piece;
  const left = turned.darts.find((d) => d.id === source);
  const was = before.darts.find((d) => d.id === source);
  return left && was ? retipDart(turned, left, bustPoint, distance(was.tip, bustPoint)).piece : turned;
}

/** Turns a dart into another place and finishes it: tips set back from the bust point, legs equal, ends capped. */
export function rotateDart(
  piece: Piece,
  source: string,
  target: RotationTarget,
  bustPoint: Point,
  share = 1,
  setback?: number,
): Result<RotatedDart, RotationError> {
  const found = rotation(piece, source, target, bustPoint, share);
  if (!found.ok) return found;
  const turned = slashPiece(piece, found.value.spec, DONE);
  if (!turned.ok) return turned;
  const settled = settleRotation(piece, turned.value.piece, target, source, found.value);
  const was = piece.darts.find((d) => d.id === (target.kind === 'dart' ? target.dart : source)) as Dart;
  const back = setback ?? distance(was.tip, bustPoint);
  let out = tipsAfterRotation(piece, settled, source, bustPoint, back);
  for (const dart of out.darts) if (dart.id === source || dart.id === settled.dart.id) out = capDart(out, dart);
  const dart = out.darts.find((d) => d.id === settled.dart.id) as Dart;
  return ok({ piece: out, rotation: found.value, dart, split: settled.split });
}
