import { ok, refuse, type Result } from '../../../units/index.ts';
import type { Context, Instruction, Message } from '../../contract.ts';
import { waistRow, type OnWaist } from '../../kit/waistRow.ts';
import { backOf } from '../../kit/wedge.ts';
import { restoreWidth } from '../../operations/index.ts';

/** A back that is cut at the waist, in one piece or in panels. */
export function waistBack(context: Pick<Context, 'pieces' | 'seams'>): Result<readonly [OnWaist, ...OnWaist[]]> {
  const back = backOf(context.pieces, ['back']);
  if (!back.ok) return back;
  const row = waistRow(context, back.value);
  return row ? ok(row) : refuse('no-waist-seam', { piece: back.value.name });
}

/** Without darts to take it up, what the waist has gained on the slant is given back at the side. */
export function heldAtSide(row: readonly OnWaist[], message: Message): readonly Instruction[] {
  const last = row.at(-1);
  if (!last || row.length === 1) return [];
  const others = row.filter((o) => o !== last).map((o) => o.piece.id);
  const { outer: side } = last.panel;
  return [restoreWidth({ piece: last.piece.id, message, side, role: 'waist', shape: 'curved', others })];
}
