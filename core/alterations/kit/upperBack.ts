import { distance, pathLength, rotateAbout } from '../../geometry/index.ts';
import { type Piece } from '../../pattern/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { Context, Instruction, Message, Program } from '../contract.ts';
import { beside, centreEdge, meetingOn, upperEnd } from './across.ts';
import { keepShoulderCorners, shoulderPair, type ShoulderOn } from './shoulder.ts';
import { backOf } from './wedge.ts';

/** How far below the neck at the centre back the line is drawn, mm. */
export const BELOW_NECK = 95;

export interface UpperBack {
  readonly piece: Piece;
  readonly on: ShoulderOn;
}

/** A back with neck, shoulder and armhole. */
export function upperBackOf(context: Pick<Context, 'pieces' | 'seams'>): Result<UpperBack> {
  const back = backOf(context.pieces, ['back']);
  if (!back.ok) return back;
  const pair = shoulderPair(context);
  if (!pair.ok) return pair;
  return pair.value.back.piece.id === back.value.id
    ? ok({ piece: back.value, on: pair.value.back })
    : refuse('shoulder-seam-missing', {});
}

/**
 * The upper part of the back turned about a pin on the armhole seam line until the centre neck has risen (`by` above
 * nothing) or sunk. With a seam the centre keeps the curve; on a fold it is drawn straight, the neckline put back in
 * its shape and the shoulder made as long as it was.
 */
export function upperBackTurn(
  context: Context,
  by: number,
  below: number,
  words: string,
  max: number,
): Result<Program> {
  const found = upperBackOf(context);
  if (!found.ok) return found;
  const { piece, on } = found.value;
  const edge = centreEdge(piece);
  if (!edge) return refuse('back-not-found', {});
  const y = upperEnd(edge).y + below;
  const pin = meetingOn(piece, y, ['armhole']);
  const centre = meetingOn(piece, y, ['centreBack']);
  if (!pin || !centre) return refuse('line-off-piece', { piece: piece.name, y });
  const width = distance(pin.at, centre.at);
  if (Math.abs(by) > width / 4) return refuse('wedge-too-large', { by: Math.abs(by), most: width / 4 });
  const way = centre.at.x > pin.at.x ? 1 : -1;
  const angle = -way * Math.asin(by / width);
  const [above, beneath] = beside(pin.at, centre.at);
  const data = { by: Math.abs(by), width, degrees: (Math.abs(angle) * 180) / Math.PI };
  const say = (code: string): Message => ({ code: `${words}.${code}`, data });
  const id = piece.id;
  const onFold = piece.fold === edge.id;
  const reach = on.neckFirst ? pin.along : lengthFromEnd(piece, on.armhole, pin.along);
  const truing: readonly Instruction[] = onFold
    ? [
        { op: 'restoreNeck', stage: 'true', piece: id, message: say('true.fold'), by, reach },
        ...keepShoulderCorners(on, say('true.fold')),
      ]
    : [
        {
          op: 'fairRun',
          stage: 'true',
          piece: id,
          message: say('true.seam'),
          edge: edge.id,
          from: Math.max(1, centre.along - 55),
          to: centre.along + Math.max(0, by) + 55,
        },
      ];
  const instructions: Instruction[] = [
    {
      op: 'mark',
      stage: 'mark',
      piece: id,
      message: say('mark'),
      lines: [{ id: 'across', label: '1', points: [centre.at, pin.at] }],
      points: [{ id: 'pin', kind: 'hinge', at: pin.at }],
    },
    {
      op: 'slash',
      stage: 'cut',
      piece: id,
      messages: { cut: say('cut'), open: say(by < 0 ? 'lap' : 'open') },
      spec: {
        cuts: [{ id: 'across', points: [centre.at, pin.at] }],
        hinges: [{ id: 'pin', at: pin.at, panels: ['upper', 'lower'] }],
        panels: [
          { id: 'upper', seed: above, motion: { kind: 'turn', about: pin.at, angle }, stage: 'open' },
          { id: 'lower', seed: beneath, motion: { kind: 'rest' }, stage: 'open' },
        ],
      },
      dimensions: [{ id: 'gap', from: centre.at, to: rotateAbout(centre.at, pin.at, angle), value: Math.abs(by) }],
    },
    ...truing,
    {
      op: 'smooth',
      stage: 'true',
      piece: id,
      message: say('true.armhole'),
      edge: on.armhole,
      near: pin.at,
      reach: 35,
    },
    { op: 'match', stage: 'match', message: say('match'), kinds: ['shoulder', 'armhole', 'neck'] },
  ];
  const sign = by < 0 ? -1 : 1;
  return ok({
    piece: id,
    instructions,
    grips: [
      {
        kind: 'amount',
        id: 'gap',
        key: 'by',
        piece: id,
        stages: ['open', 'level', 'dart', 'true', 'match'],
        at: { x: centre.at.x, y: centre.at.y - by },
        from: centre.at,
        axis: { x: 0, y: -sign },
        per: 1,
        min: 0,
        max,
      },
    ],
  });
}

function lengthFromEnd(piece: Piece, edge: string, along: number): number {
  const path = piece.edges.find((e) => e.id === edge)?.path;
  return path ? pathLength(path) - along : along;
}
