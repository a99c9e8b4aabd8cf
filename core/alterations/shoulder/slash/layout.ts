import {
  add,
  distance,
  intersectPaths,
  lerp,
  midpoint,
  pathLength,
  pointAt,
  polyline,
  rotateAbout,
  scale,
  sub,
  unit,
  type Point,
} from '../../../geometry/index.ts';
import { solveBetween } from '../../../numeric/index.ts';
import { requireEdge } from '../../../pattern/index.ts';
import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type { Instruction, Message, StepCode } from '../../contract.ts';
import { cutPlace, keepShoulderCorners, smoothHinge, type ShoulderOn } from '../../kit/shoulder.ts';
import { mark, rule, slash } from '../../operations/index.ts';

/** The outer part turns about the pin on the armhole no farther than this, radians. */
const MOST = 0.6;

/** How far up the armhole the pin is moved at a time, mm, and how near to the shoulder it may come, as a share. */
const STEP = 4;

const HIGHEST = 0.25;

/** The pin at notch height; where the armhole is so hollow that the slash would cross it, as much higher as it takes. */
function clearPin(on: ShoulderOn, cut: Point): ShoulderOn['hinge'] | null {
  const path = requireEdge(on.piece, on.armhole).path;
  const size = pathLength(path);
  for (let reach = on.hinge.reach; reach > size * HIGHEST; reach -= STEP) {
    const at = reach === on.hinge.reach ? on.hinge.at : pointAt(path, on.neckFirst ? reach : size - reach);
    const line = polyline([cut, at]);
    const met = on.piece.edges.flatMap((e) => intersectPaths(line, e.path));
    if (met.every((h) => distance(h.point, cut) < TOL.join || distance(h.point, at) < TOL.join)) return { at, reach };
  }
  return null;
}

export function onOne(on: ShoulderOn, by: number, data: Message['data']): Result<readonly Instruction[]> {
  const cut = cutPlace(on);
  const hinge = clearPin(on, cut);
  if (!hinge) return refuse('slash-leaves-armhole', { piece: on.piece.name });
  const pin = hinge.at;
  const lengthAt = (angle: number): number =>
    distance(on.shut.neckPoint, on.close(rotateAbout(on.shoulderPoint, pin, angle)));
  const over = (angle: number): number => lengthAt(angle) - on.length - by;
  if (over(-MOST) > 0 === over(MOST) > 0) return refuse('shoulder-too-short', { by, length: on.length });
  const angle = solveBetween(over, -MOST, MOST, TOL.zero);
  const inward = unit(sub(pin, midpoint(cut, on.shoulderPoint)));
  const seed = add(lerp(cut, on.shoulderPoint, 0.6), scale(inward, 3));
  const other = add(lerp(cut, on.shoulderPoint, -0.06), scale(inward, 6));
  const piece = on.piece.id;
  const say = (code: StepCode): Message => ({
    code,
    data: { ...data, pinned: requireEdge(on.piece, on.armhole).role },
  });
  return ok([
    mark({
      piece,
      message: say('shoulder.mark.slash'),
      lines: [{ id: `slash ${piece}`, label: '1', points: [cut, pin] }],
      points: [{ id: `pin ${piece}`, kind: 'hinge', at: pin }],
    }),
    slash({
      piece,
      messages: {
        cut: say('shoulder.cut.slash'),
        open: say(by < 0 ? 'shoulder.lap' : 'shoulder.open'),
      },
      spec: {
        cuts: [{ id: 'slash', points: [cut, pin] }],
        hinges: [{ id: 'pin', at: pin, panels: ['outer', 'body'] }],
        panels: [
          { id: 'outer', seed, motion: { kind: 'turn', about: pin, angle }, stage: 'open' },
          { id: 'body', seed: other, motion: { kind: 'rest' }, stage: 'open' },
        ],
      },
      dimensions: [{ id: `gap ${piece}`, from: cut, to: rotateAbout(cut, pin, angle), value: Math.abs(by) }],
    }),
    rule({ piece, message: say('shoulder.rule'), edges: on.edges }),
    smoothHinge({ ...on, hinge }, say('shoulder.smooth')),
    ...keepShoulderCorners(on, say('shoulder.smooth')),
  ]);
}
