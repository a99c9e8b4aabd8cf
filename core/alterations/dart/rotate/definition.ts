import { choice, define, share } from '../../kit/define.ts';
import type { EdgeRole } from '../../../pattern/index.ts';
import { rotation } from '../../../paper/truing/index.ts';
import { degrees, ok, type Result } from '../../../units/index.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import { NEW_DART, type AlterationDefinition, type Context, type Program, type Values } from '../../contract.ts';
import { DART, DART_REFUSALS, findDart, PART, ROTATION_REFUSALS, suitsDarts } from '../../kit/dart/find.ts';
import { findPlace } from '../../kit/dart/place.ts';
import { choiceOf, numberOf, pointOf } from '../../engine/values.ts';
import { capDart, mark, match, turnDart } from '../../operations/index.ts';

const PLACES = ['side', 'waist', 'hem', 'armhole', 'raglan', 'shoulder', 'neck', 'centreFront'] as const;

function plan(context: Context, values: Values): Result<Program> {
  const found = findDart(context, values);
  if (!found.ok) return found;
  const { piece, dart, aim, setback } = found.value;
  const share = numberOf(values, 'share');
  const place = findPlace(
    piece,
    dart,
    choiceOf(values, 'to') as EdgeRole,
    numberOf(values, 'at'),
    pointOf(values, 'toPoint'),
    choiceOf(values, 'merge') === 'merge',
  );
  if (!place.ok) return place;
  const { target } = place.value;
  const turn = rotation(piece, dart.id, target, aim, share);
  if (!turn.ok) return turn;
  const r = turn.value;
  const data = {
    dart: dart.kind,
    role: place.value.role,
    degrees: degrees(r.angle),
    share: Math.round(share * 100),
    setback,
  };
  const whole = r.closes;
  const into = target.kind === 'dart';
  return ok({
    piece: piece.id,
    instructions: [
      mark({
        message: { code: into ? 'rotate.mark.into' : 'rotate.mark', data },
        lines: [{ id: 'line1', label: '1', points: [r.line[0], r.pivot] }],
        points: [
          { id: 'pivot', kind: 'hinge', at: r.pivot },
          { id: 'bustPoint', kind: 'bustPoint', at: aim },
        ],
      }),
      mark({ stage: 'cut', message: { code: 'rotate.cut', data } }),
      turnDart({
        message: { code: whole ? 'rotate.turn.whole' : 'rotate.turn.part', data },
        dart: dart.id,
        target,
        about: aim,
        share,
        bustPoint: aim,
        setback,
      }),
      mark({ stage: 'dart', message: { code: whole ? 'rotate.dart' : 'rotate.darts', data } }),
      capDart({ message: { code: 'dart.cap', data }, dart: NEW_DART }),
      capDart({ message: { code: 'dart.cap', data }, dart: dart.id }),
      match({ message: { code: 'dart.match', data }, kinds: ['side', 'shoulder', 'princess', 'raglan', 'waist'] }),
    ],
    grips: [
      { kind: 'outline', id: 'target', key: 'toPoint', piece: piece.id, stages: ['mark', 'cut'], at: place.value.at },
    ],
  });
}

export const dartRotate: AlterationDefinition = define({
  id: 'dart-rotate',
  family: 'dart',
  params: [
    PART,
    DART,
    { kind: 'choice', key: 'to', options: PLACES, initial: 'shoulder' },
    share('at', 0.05, 0.95, 0.5),
    { kind: 'point', key: 'toPoint', initial: null },
    choice('merge', 'merge', 'new'),
    share('share', 0.05, 1, 1),
  ],
  amount: 'share',
  requires: ['dart'],
  refusals: [...DART_REFUSALS, ...ROTATION_REFUSALS, 'no-such-seam', 'dart-on-fold'],
  examples: [
    { name: 'sideToWaist', on: 'causeway', values: { dart: 'side', to: 'waist' } },
    { name: 'sideToArmhole', on: 'causeway', values: { dart: 'side', to: 'armhole', at: 0.5 } },
    { name: 'halfToShoulder', on: 'causeway', values: { dart: 'side', to: 'shoulder', share: 0.5 } },
    { name: 'neckToSide', on: 'causeway-neck', values: { dart: 'neck', to: 'side', at: 0.3 } },
  ],
  source: 'Cut from the new place to the bust point, fold the old dart shut, and the new place opens.',
  suits: suitsDarts(),
  plan,
  holds: seamsHold,
});
