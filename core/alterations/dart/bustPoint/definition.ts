import { choice, define } from '../../kit/define.ts';
import { distance } from '../../../geometry/index.ts';
import { bustPointOf, edgesWithRole, isInside, sideDirection, type Dart } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import { findBustPoint } from '../../kit/bust/landmarks.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import { pick } from '../../kit/bust/params.ts';
import type { AlterationDefinition, Context, Instruction, Program, StepCode, Values } from '../../contract.ts';
import { choiceOf } from '../../engine/values.ts';
import { capDart, landmark, mark, match, retip } from '../../operations/index.ts';

const TIP: Readonly<Partial<Record<Dart['kind'], StepCode>>> = {
  side: 'bustPoint.tip.side',
  french: 'bustPoint.tip.french',
  waist: 'bustPoint.tip.waist',
};

/** Finds the bust point, or moves it to the wearer's own; the tips of the darts go with it where asked. */
function plan(context: Context, values: Values): Result<Program> {
  const piece = context.pieces.find((p) => p.part === 'front');
  if (!piece) return refuse('front-not-found');
  if (edgesWithRole(piece, 'centreFront').length === 0) return refuse('centre-front-missing', { piece: piece.name });
  const dart = (kind: Dart['kind']) => piece.darts.find((d) => d.kind === kind) ?? null;
  const front = {
    piece,
    dir: sideDirection(piece),
    hingeEdges: [],
    sides: [],
    sideDart: dart('side'),
    goal: dart('french'),
    waistDart: dart('waist'),
  };
  const found = findBustPoint(front, context, { ...values, setback: 25 });
  if (!found) return refuse('bust-point-unknown', { piece: piece.name });
  if (!isInside(piece, found.at)) return refuse('bust-point-outside', { piece: piece.name });
  const was = bustPointOf(piece) ?? found.at;
  const follow = choiceOf(values, 'tips');
  const data = {
    source: found.source,
    by: distance(was, found.at),
    across: (found.at.x - was.x) * front.dir,
    down: found.at.y - was.y,
  };
  const moves = piece.darts.filter(
    (d) =>
      d.kind in TIP &&
      (follow === 'together' ||
        (follow === 'side' && d.kind !== 'waist') ||
        (follow === 'waist' && d.kind === 'waist')),
  );
  const steps: Instruction[] = [
    mark({ message: { code: 'bustPoint.mark', data }, points: [{ id: 'bustPoint', kind: 'bustPoint', at: found.at }] }),
    landmark({
      stage: 'dart',
      message: { code: 'bustPoint.moved', data },
      bustPoint: found.at,
      levels: { bust: found.at.y },
    }),
    ...moves.flatMap((d): readonly Instruction[] => [
      retip({
        message: { code: TIP[d.kind] ?? 'bustPoint.moved', data: { ...data, setback: back(d, was) } },
        dart: d.id,
        to: { bustPoint: found.at, setback: back(d, was) },
      }),
      capDart({ message: { code: 'dart.cap', data }, dart: d.id }),
    ]),
    match({ message: { code: 'dart.match', data }, kinds: ['side', 'shoulder', 'waist'] }),
  ];
  return ok({
    piece: piece.id,
    instructions: steps,
    grips: [
      {
        kind: 'point',
        id: 'bustPoint',
        key: 'bustPoint',
        piece: piece.id,
        stages: ['mark', 'cut', 'open', 'level', 'dart', 'true', 'match'],
        at: found.at,
      },
    ],
  });
}

/** How far a tip stays from the bust point it was drawn to. */
const back = (dart: Dart, was: { x: number; y: number }): number => Math.max(10, distance(dart.tip, was));

export const bustPoint: AlterationDefinition = define({
  id: 'bust-point',
  phase: 'bustPoint',
  family: 'dart',
  params: [...pick('whose', 'bustPoint'), choice('tips', 'together', 'side', 'waist', 'stay')],
  amount: null,
  requires: ['centreFront'],
  refusals: ['front-not-found', 'centre-front-missing', 'bust-point-unknown', 'bust-point-outside'],
  examples: [
    { name: 'lowered', on: 'causeway', values: { bustPoint: { x: 98, y: 272 } } },
    { name: 'found', on: 'causeway', values: { whose: 'darts', tips: 'stay' } },
  ],
  source: 'Bust height and span measured on the body, or the crossing of the darts’ middle lines.',
  suits: (pieces) =>
    pieces.some((p) => p.part === 'front' && edgesWithRole(p, 'princess').length === 0)
      ? { grade: 'possible', why: { code: 'why.bustPoint', data: {} } }
      : { grade: 'no', why: { code: 'front-has-princess', data: { piece: 'front' } } },
  plan,
  holds: seamsHold,
});
