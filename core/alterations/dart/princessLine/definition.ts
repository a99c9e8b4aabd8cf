import { define, share } from '../../kit/define.ts';
import { pathLength } from '../../../geometry/index.ts';
import { bustPointOf, edgesWithRole, type Piece } from '../../../pattern/index.ts';
import { rotation, type RotationTarget } from '../../../paper/truing/index.ts';
import { ok, refuse, type Result, nth } from '../../../units/index.ts';
import { crossingOfDarts } from '../../kit/bust/landmarks.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import {
  NEW_DART,
  type AlterationDefinition,
  type Context,
  type Instruction,
  type Program,
  type Values,
} from '../../contract.ts';
import { ROTATION_REFUSALS } from '../../kit/dart/find.ts';
import { upperEnd } from '../../kit/across.ts';
import { numberOf } from '../../engine/values.ts';
import { dividePiece, mark, match, turnDart } from '../../operations/index.ts';

const NAMES = {
  centre: { name: 'Centre front' },
  side: { id: 'sideFront', name: 'Side front', part: 'sideFront' },
} as const;

const dartsOf = (piece: Piece) => ({
  lower: piece.darts.find((d) => d.kind === 'waist'),
  upper: piece.darts.find((d) => d.kind !== 'waist' && d.kind !== 'other'),
});

/** The front cut in two over the bust: its upper dart turned into the armhole, both darts become one seam. */
function plan(context: Context, values: Values): Result<Program> {
  const piece = context.pieces.find((p) => p.part === 'front');
  if (!piece) return refuse('front-not-found');
  if (edgesWithRole(piece, 'princess').length > 0) return refuse('front-has-princess', { piece: piece.name });
  const { lower, upper } = dartsOf(piece);
  if (!lower || !upper) return refuse('princess-needs-two-darts', { piece: piece.name });
  const aim = bustPointOf(piece) ?? crossingOfDarts(piece);
  if (!aim) return refuse('bust-point-unknown', { piece: piece.name });
  const armholes = edgesWithRole(piece, 'armhole');
  const longest = armholes.reduce(
    (best, e) => (pathLength(e.path) > pathLength(best.path) ? e : best),
    nth(armholes, 0),
  );
  if (!longest) return refuse('armhole-missing', { piece: piece.name });
  // Counted from the shoulder, whichever way the outline runs.
  const share = numberOf(values, 'at');
  const target: RotationTarget = {
    kind: 'edge',
    edge: longest.id,
    at: pathLength(longest.path) * (upperEnd(longest) === longest.path.start ? share : 1 - share),
  };
  const data = { dart: upper.kind };
  const there = upper.kind === 'armhole';
  const turn = there ? null : rotation(piece, upper.id, target, aim, 1);
  if (turn && !turn.ok) return turn;
  const steps: Instruction[] = [
    mark({
      message: { code: 'princessLine.mark', data },
      lines: turn ? [{ id: 'line1', label: '1', points: [turn.value.line[0], turn.value.pivot] }] : [],
      points: [{ id: 'bustPoint', kind: 'bustPoint', at: aim }],
    }),
    ...(there
      ? []
      : [
          turnDart({
            message: { code: 'princessLine.turn', data },
            dart: upper.id,
            target,
            about: aim,
            share: 1,
            bustPoint: aim,
            setback: 0,
          }),
        ]),
    dividePiece({
      message: { code: 'princessLine.divide', data },
      upper: there ? upper.id : NEW_DART,
      lower: lower.id,
      meet: [aim],
      names: NAMES,
    }),
    match({ message: { code: 'princessLine.match', data }, kinds: ['princess', 'side', 'shoulder'] }),
  ];
  return ok({ piece: piece.id, instructions: steps });
}

export const princessLine: AlterationDefinition = define({
  id: 'princess-line',
  family: 'dart',
  params: [share('at', 0.2, 0.7, 0.46)],
  amount: null,
  requires: ['armhole', 'waist', 'dart'],
  refusals: [
    'front-not-found',
    'front-has-princess',
    'princess-needs-two-darts',
    'bust-point-unknown',
    'armhole-missing',
    ...ROTATION_REFUSALS,
  ],
  examples: [{ name: 'fromSideDart', on: 'causeway', values: {} }],
  source: 'Side and waist dart turned into one seam over the bust point.',
  suits: (pieces) => {
    const front = pieces.find((p) => p.part === 'front');
    const { lower, upper } = front ? dartsOf(front) : { lower: undefined, upper: undefined };
    return lower && upper
      ? { grade: 'possible', why: { code: 'why.princessLine', data: {} } }
      : { grade: 'no', why: { code: 'princess-needs-two-darts', data: { piece: front?.name ?? '' } } };
  },
  plan,
  holds: seamsHold,
});
