import { add, endOf, pathLength, scale, sub, unit, type Point } from '../../../geometry/index.ts';
import { requireEdge } from '../../../pattern/index.ts';
import { slashPiece, type SlashSpec } from '../../../paper/slash/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { Instruction, Message, StepCode } from '../../contract.ts';
import { cutPlace, keepShoulderCorners, type ShoulderOn } from '../../kit/shoulder.ts';
import { fair, mark, rule, slash } from '../../operations/index.ts';

/** How far along the armhole, to either side of the step the block leaves, it is drawn again. */
const BLEND = 62;

/** The way the outer part of the shoulder runs, away from the neck. */
export function outward(on: ShoulderOn): Point {
  const outer = requireEdge(on.piece, on.neckFirst ? (on.edges.at(-1) ?? '') : (on.edges[0] ?? '')).path;
  const way = unit(sub(endOf(outer), outer.start));
  return on.neckFirst ? way : scale(way, -1);
}

export function onOne(on: ShoulderOn, by: number, data: Message['data']): Result<readonly Instruction[]> {
  const cut = cutPlace(on);
  const pin = on.hinge.at;
  const corner = { x: cut.x, y: pin.y };
  const room = Math.abs(pin.x - cut.x);
  if (Math.abs(by) > room - 5) return refuse('no-room-to-slide', { wanted: Math.abs(by), most: Math.max(0, room - 5) });
  const way = outward(on);
  const piece = on.piece.id;
  const say = (code: StepCode): Message => ({ code, data });
  const total = pathLength(requireEdge(on.piece, on.armhole).path);
  const at = on.neckFirst ? on.hinge.reach : total - on.hinge.reach;
  const points = [cut, corner, pin];
  const spec: SlashSpec = {
    cuts: [{ id: 'block', points }],
    hinges: [],
    panels: [
      {
        id: 'block',
        seed: { x: cut.x + Math.sign(pin.x - cut.x) * 4, y: pin.y - 4 },
        motion: { kind: 'shift', by: scale(way, by) },
        stage: 'open',
      },
    ],
  };
  const slid = slashPiece(on.piece, spec);
  if (!slid.ok) return slid;
  // The step that the block leaves in the armhole lies between what it carried and what stayed.
  const jog = pathLength(requireEdge(slid.value.piece, on.armhole).path) - total;
  return ok([
    mark({ piece, message: say('shoulder.mark.slide'), lines: [{ id: `block ${piece}`, label: '1', points }] }),
    slash({
      piece,
      messages: { cut: say('shoulder.cut.slide'), open: say(by < 0 ? 'shoulder.slide.in' : 'shoulder.slide.out') },
      spec,
      dimensions: [{ id: `gap ${piece}`, from: cut, to: add(cut, scale(way, by)), value: Math.abs(by) }],
    }),
    rule({ piece, message: say('shoulder.rule'), edges: on.edges }),
    fair({
      piece,
      message: say('shoulder.blend'),
      edge: on.armhole,
      from: Math.max(1, at - BLEND),
      to: Math.min(total + jog - 1, at + jog + BLEND),
      free: true,
    }),
    ...keepShoulderCorners(on, say('shoulder.blend')),
  ]);
}
