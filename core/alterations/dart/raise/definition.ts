import { amountGrip } from '../../kit/grip.ts';
import { choice, define, length } from '../../kit/define.ts';
import { add } from '../../../geometry/index.ts';
import { dartShape, type Dart } from '../../../pattern/index.ts';
import { ok, type Result } from '../../../units/index.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import type { AlterationDefinition, Context, Instruction, Program, Values } from '../../contract.ts';
import { boxSlide } from '../../kit/dart/boxSlide.ts';
import { DART, DART_REFUSALS, findDart, suitsDarts } from '../../kit/dart/find.ts';
import { fitsFallen } from '../../kit/fallen.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { capDart, fair, landmark, mark, match, retip, rule, slash } from '../../operations/index.ts';

const AIMED: readonly Dart['kind'][] = ['side', 'french', 'waist'];

const BY = length('by', -80, 80, -15, true);

/** Raises or lowers a dart: the whole of it in a box, or only its tip. */
function plan(context: Context, values: Values): Result<Program> {
  const found = findDart(context, { ...values, part: 'front' });
  if (!found.ok) return found;
  const { piece, dart, aim } = found.value;
  const by = numberOf(values, 'by');
  const data = { dart: dart.kind, by: Math.abs(by) };
  const up = by >= 0;
  const shape = dartShape(piece, dart);
  // The other dart's tip aims at the bust point too: it goes with it unless asked to stay.
  const others =
    choiceOf(values, 'others') === 'follow'
      ? piece.darts.filter((d) => d.id !== dart.id && AIMED.includes(d.kind))
      : [];
  const follow = others.flatMap((d): readonly Instruction[] => [
    retip({ message: { code: 'raise.others', data }, dart: d.id, to: { tip: add(d.tip, { x: 0, y: -by }) } }),
    capDart({ message: { code: 'dart.cap', data }, dart: d.id }),
  ]);
  const finish: readonly Instruction[] = [
    ...follow,
    capDart({ message: { code: 'dart.cap', data }, dart: dart.id }),
    match({ message: { code: 'dart.match', data }, kinds: ['side', 'shoulder', 'waist'] }),
  ];
  const bustPoint = add(aim, { x: 0, y: -by });
  const points = [{ id: 'bustPoint', kind: 'bustPoint' as const, at: bustPoint }];
  if (choiceOf(values, 'way') === 'retip') {
    const tip = add(shape.tip, { x: 0, y: -by });
    return ok({
      piece: piece.id,
      instructions: [
        mark({ message: { code: up ? 'raise.mark.tip' : 'lower.mark.tip', data }, points }),
        retip({ message: { code: 'raise.retip', data }, dart: dart.id, to: { tip } }),
        landmark({
          stage: 'dart',
          message: { code: 'raise.bustPoint', data },
          bustPoint,
          levels: { bust: bustPoint.y },
        }),
        ...finish,
      ],
    });
  }
  const slide = boxSlide(piece, dart, by);
  if (!slide.ok) return slide;
  const s = slide.value;
  const first = s.corners[0] ?? shape.start;
  return ok({
    piece: piece.id,
    instructions: [
      mark({
        message: { code: up ? 'raise.mark.box' : 'lower.mark.box', data },
        lines: [{ id: 'box', label: '1', points: s.corners }],
        points,
      }),
      slash({
        spec: s.spec,
        messages: { cut: { code: 'raise.cut', data }, open: { code: up ? 'raise.slide' : 'lower.slide', data } },
        dimensions: [{ id: 'slide', from: first, to: add(first, s.shift), value: Math.abs(by) }],
      }),
      landmark({ stage: 'dart', message: { code: 'raise.bustPoint', data }, bustPoint, levels: { bust: bustPoint.y } }),
      ...s.trued.map(({ edge, curve }) =>
        curve
          ? fair({ message: { code: 'raise.true.curve', data }, edge, ...curve })
          : rule({ message: { code: 'raise.true', data }, edges: [edge], each: true }),
      ),
      ...finish,
    ],
    grips: [
      amountGrip({ piece: piece.id, shown: 'moving', from: shape.tip, axis: { x: 0, y: -1 }, value: by, limits: BY }),
    ],
  });
}

export const dartRaise: AlterationDefinition = define({
  id: 'dart-raise',
  family: 'dart',
  params: [DART, BY, choice('way', 'box', 'retip'), choice('others', 'follow', 'stay')],
  requires: ['dart'],
  refusals: [...DART_REFUSALS, 'box-needs-side-dart', 'no-room-to-slide', 'overlap-too-large', 'cut-leaves-piece'],
  examples: [
    { name: 'lowered', on: 'causeway', values: { dart: 'side', by: -15 } },
    { name: 'loweredOnShapedSide', on: 'jetty', values: { dart: 'side', by: -12 } },
    { name: 'raised', on: 'causeway-side', values: { dart: 'side', by: 12 } },
    { name: 'tipOnly', on: 'causeway', values: { dart: 'side', by: 10, way: 'retip' } },
  ],
  source: 'A box cut around the dart and slid, or the tip alone drawn anew.',
  reads: ['neckPointToBustPoint'],
  fits: fitsFallen,
  offered: true,
  suits: suitsDarts(['front']),
  plan,
  holds: seamsHold,
});
