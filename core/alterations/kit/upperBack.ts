import { pathLength } from '../../geometry/index.ts';
import { type Piece } from '../../pattern/index.ts';
import { ok, refuse, TOL, type Result } from '../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program } from '../contract.ts';
import { numberOf } from '../values.ts';
import { centreEdge, meetingOn, upperEnd } from './across.ts';
import { define, held, length } from './define.ts';
import { amountGrip } from './grip.ts';
import { keepShoulderCorners, shoulderPair, type ShoulderOn } from './shoulder.ts';
import { turnAcross } from './turnAcross.ts';
import { backOf } from './wedge.ts';

/** How far below the neck at the centre back the line is drawn, mm. */
const BELOW_NECK = 95;
export const UPPER_BACK = [length('by', 0, 40, 10), length('belowNeck', 60, 140, BELOW_NECK)] as const;

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
export function upperBackTurn(context: Context, by: number, below: number, words: string): Result<Program> {
  const found = upperBackOf(context);
  if (!found.ok) return found;
  const { piece, on } = found.value;
  const edge = centreEdge(piece);
  if (!edge) return refuse('back-not-found', {});
  const y = upperEnd(edge).y + below;
  const pin = meetingOn(piece, y, ['armhole']);
  const centre = meetingOn(piece, y, ['centreBack']);
  if (!pin || !centre) return refuse('line-off-piece', { piece: piece.name, y });
  const reach = on.neckFirst ? pin.along : lengthFromEnd(piece, on.armhole, pin.along);
  // A pin in the shoulder point would turn the whole shoulder.
  if (reach < TOL.touches) return refuse('line-off-piece', { piece: piece.name, y });
  const turned = turnAcross({
    piece: piece.id,
    centre: centre.at,
    pin: pin.at,
    by,
    turns: 'upper',
    words,
    share: 1 / 4,
  });
  if (!turned.ok) return turned;
  const { data } = turned.value;
  const say = (code: string): Message => ({ code: `${words}.${code}`, data });
  const id = piece.id;
  const onFold = piece.fold === edge.id;
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
          from: Math.max(1, centre.along - 55 - Math.max(0, -by)),
          toFromEnd: Math.max(1, pathLength(edge.path) - centre.along - 55 - Math.max(0, -by)),
        },
      ];
  const instructions: Instruction[] = [
    ...turned.value.instructions,
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
  return ok({
    piece: id,
    instructions,
    grips: [
      amountGrip({
        piece: id,
        shown: 'opened',
        from: centre.at,
        axis: { x: 0, y: by < 0 ? 1 : -1 },
        value: Math.abs(by),
        limits: UPPER_BACK[0],
      }),
    ],
  });
}

function lengthFromEnd(piece: Piece, edge: string, along: number): number {
  const path = piece.edges.find((e) => e.id === edge)?.path;
  return path ? pathLength(path) - along : along;
}

/** The high round back and the flat upper back: one turn, up or down. */
export const upperBackDefinition = (id: string, words: string, sign: 1 | -1, source: string): AlterationDefinition =>
  define({
    id,
    family: 'back',
    params: UPPER_BACK,
    requires: ['centreBack', 'neck', 'shoulder', 'armhole'],
    refusals: ['back-not-found', 'shoulder-seam-missing', 'line-off-piece', 'wedge-too-large'],
    examples: [
      { name: 'with a centre back seam', on: 'causeway', values: { by: 10 } },
      { name: 'on the fold', on: 'causeway-side', values: { by: 8 } },
    ],
    source,
    why: `why.${id}`,
    needs: upperBackOf,
    plan: (context, values) =>
      upperBackTurn(context, sign * numberOf(values, 'by'), numberOf(values, 'belowNeck'), words),
    holds: held(
      { part: ['back'], role: 'neck', slack: TOL.seam },
      { part: ['back'], role: 'shoulder' },
      { part: ['back'], role: 'armhole', slack: 1 },
      { part: ['back'], role: 'side' },
    ),
  });
