import { add, endOf, scale, sub, unit, type Point } from '../../../geometry/index.ts';
import { requireEdge, type Piece } from '../../../pattern/index.ts';
import type { Instruction, Message } from '../../contract.ts';
import { centreEdge, upperEnd } from '../../kit/across.ts';
import { placeOn, shoulderAtNeck, type ShoulderOn } from '../../kit/shoulder.ts';
import { moveCorner } from '../../operations/index.ts';

/** The neck end of the centre moved along it: down above nothing. */
export function atCentre(piece: Piece, neck: string, by: number, message: Message): readonly Instruction[] {
  const centre = centreEdge(piece);
  if (!centre || by === 0) return [];
  const top = upperEnd(centre);
  const down = unit(sub(top === centre.path.start ? endOf(centre.path) : centre.path.start, top));
  return [moveCorner({ piece: piece.id, message, between: [neck, centre.id], to: add(top, scale(down, by)) })];
}

/** The neck point moved out along the shoulder, towards its end. */
export function atShoulder(on: ShoulderOn, by: number, message: Message): readonly Instruction[] {
  if (by === 0) return [];
  const to: Point = on.edges.length === 1 ? placeOn(on, by) : alongFirst(on, by);
  return [moveCorner({ piece: on.piece.id, message, between: [on.neck, shoulderAtNeck(on)], to })];
}

function alongFirst(on: ShoulderOn, by: number): Point {
  const { path } = requireEdge(on.piece, shoulderAtNeck(on));
  const way = on.neckFirst ? sub(endOf(path), path.start) : sub(path.start, endOf(path));
  return add(on.neckPoint, scale(unit(way), by));
}
