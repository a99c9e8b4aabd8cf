import { pathLength, pointAt } from '../../../geometry/index.ts';
import { edgesWithRole, requireEdge } from '../../../pattern/index.ts';
import { edgeAfter, transferSliver } from '../../../paper/truing/index.ts';
import type { Context, Instruction, Message } from '../../contract.ts';
import { type ShoulderOn } from '../../kit/shoulder.ts';
import { redraw } from '../../operations/index.ts';

/** A place on the neck or armhole, so far from the shoulder seam. */
export function from(on: ShoulderOn, edge: string, by: number) {
  const path = requireEdge(on.piece, edge).path;
  const atStart = edge === on.armhole ? on.neckFirst : !on.neckFirst;
  return pointAt(path, atStart ? by : pathLength(path) - by);
}

/** The shoulder notch of a set-in sleeve: the joint of its two cap edges. Forward makes the back's half longer. */
export function jointOnCap(
  context: Context,
  front: string,
): { readonly sleeve: string; readonly edge: string; readonly backFirst: boolean } | null {
  const seam = context.seams.find((s) => s.kind === 'armhole' && s.first.piece === front);
  const sleeve = context.pieces.find((p) => p.id === seam?.second.piece);
  const caps = sleeve ? edgesWithRole(sleeve, 'cap') : [];
  const [first, second] = caps;
  if (!seam || !sleeve || !first || !second || caps.length !== 2) return null;
  // In outline order: the one after which the other begins.
  const [one, two] = edgeAfter(sleeve, first.id) === second.id ? [first, second] : [second, first];
  return { sleeve: sleeve.id, edge: one.id, backFirst: seam.second.edges.includes(two.id) };
}

/** The sliver along the seam taken from one piece and joined to the other. */
export function passSliver(
  giver: ShoulderOn,
  taker: ShoulderOn,
  { neck, shoulder }: { readonly neck: number; readonly shoulder: number },
  message: Message,
): readonly Instruction[] {
  const done = transferSliver(giver, taker, neck, shoulder);
  return [
    redraw({
      stage: 'open',
      piece: giver.piece.id,
      message,
      as: done.giver,
      paper: { outline: done.taken, gained: false },
    }),
    redraw({
      stage: 'open',
      piece: taker.piece.id,
      message,
      as: done.taker,
      paper: { outline: done.given, gained: true },
    }),
  ];
}
