import { bowOf, doubleDartShape, type Piece } from '../../../pattern/index.ts';
import { sub, unit } from '../../../geometry/index.ts';
import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type {
  AlterationDefinition,
  Context,
  Fit,
  Instruction,
  Message,
  Program,
  Under,
  Values,
} from '../../contract.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { choice, define, length, tenth } from '../../kit/define.ts';
import { fitBy, USUAL_EASE } from '../../kit/fitBy.ts';
import { amountGrip } from '../../kit/grip.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import { mark, match, shapeDart } from '../../operations/index.ts';
import type { DoubleDartDrawn } from '../../operations/shapeDart.ts';
import { bowedBy, doubleDartsOn, inTwo, lengthenedBy, mostGiven, movedBy, timesSewn, type OnPiece } from './layout.ts';

const BY = length('by', -160, 160, 20, true);
const FRONTS: readonly Piece['part'][] = ['front', 'sideFront'];
const BACKS: readonly Piece['part'][] = ['back', 'sideBack'];
const PARTS = { front: FRONTS, back: BACKS, both: [...FRONTS, ...BACKS] } as const;

interface Asked {
  readonly by: number;
  readonly each: number;
  readonly out: number;
  readonly down: number;
  readonly above: number;
  readonly below: number;
  readonly apart: number;
  readonly bow: number;
}

function asked(values: Values, sewn: number): Asked {
  const by = numberOf(values, 'by');
  return {
    by,
    each: by / sewn,
    out: numberOf(values, 'out'),
    down: numberOf(values, 'down'),
    above: numberOf(values, 'longerAbove'),
    below: numberOf(values, 'longerBelow'),
    apart: numberOf(values, 'apart'),
    bow: numberOf(values, 'bow'),
  };
}

const wayOf = (by: number): string => (by === 0 ? 'none' : by > 0 ? 'more' : 'less');
/** How far each thing goes, and which way. */
const whichWay = (ask: Asked): Readonly<Record<string, string | number>> =>
  Object.fromEntries(
    (['out', 'down', 'above', 'below'] as const).flatMap((key) => [
      [key, Math.abs(ask[key])],
      [`${key}Way`, wayOf(ask[key])],
    ]),
  );

/** What is drawn for one dart: moved, longer, wider, in two, each said where it is asked for. */
function drawn(on: OnPiece, ask: Asked, say: (code: Under<'doubleDart'>) => Message): Result<readonly Instruction[]> {
  const out: Instruction[] = [];
  const draw = (code: Under<'doubleDart'>, ...as: readonly [DoubleDartDrawn, ...DoubleDartDrawn[]]): void =>
    void out.push(shapeDart({ piece: on.piece.id, message: say(code), dart: on.dart.id, as }));
  let now: DoubleDartDrawn = on.dart;
  if (ask.out !== 0 || ask.down !== 0) {
    now = movedBy(now, on.out * ask.out, ask.down);
    draw('move', now);
  }
  if (ask.above !== 0 || ask.below !== 0) {
    const longer = lengthenedBy(on, now, ask.above, ask.below);
    if (!longer.ok) return longer;
    now = longer.value;
    draw('tips', now);
  }
  if (ask.by !== 0 || out.length === 0) {
    now = { ...now, width: now.width - ask.each };
    draw(ask.by < 0 ? 'wider' : 'narrower', now);
  }
  if (ask.bow !== 0) {
    const curved = bowedBy(on, now, ask.bow);
    if (!curved.ok) return curved;
    now = curved.value;
    draw('bow', now);
  }
  if (ask.apart > 0) draw('split', ...inTwo(now, on.out, ask.apart));
  return ok(out);
}

function plan(context: Context, values: Values): Result<Program> {
  const over = choiceOf(values, 'over') as keyof typeof PARTS;
  const on = doubleDartsOn(context.pieces, PARTS[over]);
  const [first] = on;
  if (!first) return refuse('no-double-dart', { piece: context.pieces[0]?.name ?? '' });
  const sewn = timesSewn(on);
  const ask = asked(values, sewn);
  if (ask.by > mostGiven(on)) return refuse('dart-cannot-give', { wanted: ask.by, most: mostGiven(on) });
  const bowed = bowOf(first.dart) + ask.bow;
  const data = {
    by: ask.by,
    each: Math.abs(ask.each),
    leg: Math.abs(ask.each) / 2,
    darts: sewn,
    byWay: wayOf(ask.by),
    ...whichWay(ask),
    apart: ask.apart,
    bow: Math.abs(bowed),
    bowWay: wayOf(Math.abs(bowed) < TOL.same ? 0 : bowed),
  };
  const say = (code: Under<'doubleDart'>): Message => ({ code: `doubleDart.${code}`, data });
  const instructions: Instruction[] = [mark({ message: say('mark') })];
  for (const one of on) {
    const steps = drawn(one, ask, say);
    if (!steps.ok) return steps;
    instructions.push(...steps.value);
  }
  instructions.push(match({ message: say('match'), kinds: ['side'] }));
  const { ends, middle } = doubleDartShape(first.dart);
  return ok({
    piece: first.piece.id,
    instructions,
    grips: [
      amountGrip({
        piece: first.piece.id,
        shown: 'drawn',
        from: ends[0],
        axis: unit(sub(middle, ends[0])),
        value: ask.by,
        limits: BY,
        per: 2 * sewn,
      }),
    ],
  });
}

/** As far as the darts can give it. */
function fits(context: Context): Fit | null {
  const fit = fitBy(context, 'waist', 1, (by) => ({ by: tenth(by) }), USUAL_EASE.waist);
  const by = fit?.values['by'];
  return typeof by === 'number' && by <= mostGiven(doubleDartsOn(context.pieces, PARTS.both)) ? fit : null;
}

export const doubleDart: AlterationDefinition = define({
  id: 'double-dart',
  family: 'dart',
  params: [
    BY,
    choice('over', 'both', 'front', 'back'),
    length('out', -60, 60, 0, true),
    length('down', -60, 60, 0, true),
    length('longerAbove', -80, 80, 0, true),
    length('longerBelow', -80, 80, 0, true),
    length('apart', 0, 80, 0),
    length('bow', -12, 12, 0, true),
  ],
  amounts: ['by', 'out', 'down', 'longerAbove', 'longerBelow', 'apart', 'bow'],
  requires: ['waist', 'side'],
  refusals: ['no-double-dart', 'dart-cannot-give', 'dart-too-short', 'dart-legs-too-curved'],
  examples: [
    { name: 'narrower waist', on: 'jetty', values: { by: -24 } },
    { name: 'moved and longer', on: 'jetty', values: { by: 0, over: 'back', out: 8, longerBelow: 25 } },
    { name: 'hollow legs', on: 'jetty', values: { by: 0, over: 'back', bow: -3 } },
    { name: 'in two', on: 'jetty', values: { by: -40, over: 'back', apart: 34 } },
  ],
  source:
    'The whole waist difference divided by the number of darts, half on each leg at the widest line; tips, place, number and the curve of the legs by themselves.',
  why: 'why.double-dart',
  needs: ({ pieces }) =>
    doubleDartsOn(pieces, PARTS.both).length > 0
      ? ok(true)
      : refuse('no-double-dart', { piece: pieces[0]?.name ?? '' }),
  reads: ['waist'],
  offered: true,
  fits,
  plan,
  holds: seamsHold,
});
