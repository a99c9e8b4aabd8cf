import { define, length, share } from '../../kit/define.ts';
import { endOf, pathLength } from '../../../geometry/index.ts';
import { rotation, type RotationTarget } from '../../../paper/truing/index.ts';
import { degrees, ok, refuse, type Result } from '../../../units/index.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import { NEW_DART, type AlterationDefinition, type Context, type Program, type Values } from '../../contract.ts';
import { DART, DART_REFUSALS, findDart, PART, ROTATION_REFUSALS, suitsDarts } from '../../kit/dart/find.ts';
import { neighbours } from '../../kit/dart/place.ts';
import { numberOf } from '../../engine/values.ts';
import { capDart, mark, match, turnDart } from '../../operations/index.ts';

/** The new dart must have seam on both sides. */
const CLEAR = 15;

/** Two darts that end in one point would pull it into a pucker: the new one stops this far short at least, mm. */
const SHORT = 12;

/** Part of the dart is turned to a place on the same seam beside it: two darts that each press flat. */
function plan(context: Context, values: Values): Result<Program> {
  const found = findDart(context, values);
  if (!found.ok) return found;
  const { piece, dart, aim } = found.value;
  const setback = Math.max(SHORT, found.value.setback);
  const apart = numberOf(values, 'apart');
  const [before, after] = neighbours(piece, dart);
  if (!before || !after) return refuse('no-such-seam', { piece: piece.name, role: 'side' });
  // Below the dart where there is room, else above it.
  const room = [after, before].map((e) => ({ e, size: pathLength(e.path) })).filter((x) => x.size > apart + CLEAR);
  const beside = room.sort((a, b) => endOf(b.e.path).y - endOf(a.e.path).y)[0];
  if (!beside) return refuse('no-room-to-split', { dart: dart.kind, apart });
  const target: RotationTarget = {
    kind: 'edge',
    edge: beside.e.id,
    at: beside.e === after ? apart : beside.size - apart,
  };
  const share = numberOf(values, 'share');
  const turn = rotation(piece, dart.id, target, aim, share);
  if (!turn.ok) return turn;
  const data = {
    dart: dart.kind,
    apart,
    share: Math.round(share * 100),
    degrees: degrees(turn.value.angle),
    setback,
    role: beside.e.role,
  };
  return ok({
    piece: piece.id,
    instructions: [
      mark({
        message: { code: 'split.mark', data },
        lines: [{ id: 'line1', label: '1', points: [turn.value.line[0], turn.value.pivot] }],
        points: [{ id: 'pivot', kind: 'hinge', at: turn.value.pivot }],
      }),
      mark({ stage: 'cut', message: { code: 'rotate.cut', data } }),
      turnDart({
        message: { code: 'split.turn', data },
        dart: dart.id,
        target,
        about: aim,
        share,
        bustPoint: aim,
        setback,
      }),
      mark({ stage: 'dart', message: { code: 'rotate.darts', data } }),
      capDart({ message: { code: 'dart.cap', data }, dart: NEW_DART }),
      capDart({ message: { code: 'dart.cap', data }, dart: dart.id }),
      match({ message: { code: 'dart.match', data }, kinds: ['side', 'shoulder', 'waist'] }),
    ],
  });
}

export const dartSplit: AlterationDefinition = define({
  id: 'dart-split',
  family: 'dart',
  params: [PART, DART, share('share', 0.1, 0.9, 0.5), length('apart', 15, 120, 35)],
  amount: 'share',
  requires: ['dart'],
  refusals: [...DART_REFUSALS, ...ROTATION_REFUSALS, 'no-such-seam', 'no-room-to-split'],
  examples: [
    { name: 'sideInTwo', on: 'causeway-side', values: { dart: 'side' } },
    { name: 'french', on: 'causeway-french', values: { dart: 'french', share: 0.4 } },
  ],
  source: 'Half of a wide dart turned about the bust point to a place beside it.',
  suits: suitsDarts(),
  plan,
  holds: seamsHold,
});
