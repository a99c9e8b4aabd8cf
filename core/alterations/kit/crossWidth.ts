import {
  add,
  distance,
  endOf,
  endTangent,
  pathLength,
  rotateAbout,
  scale,
  startTangent,
  sub,
  unit,
  type Point,
} from '../../geometry/index.ts';
import { solveBetween } from '../../numeric/index.ts';
import { requireEdge } from '../../pattern/index.ts';
import { isStraightPath, moveEnd, moveStart, stretchFrom } from '../../paper/truing/index.ts';
import { TOL, ok, type Result } from '../../units/index.ts';
import type {
  AlterationDefinition,
  Context,
  Example,
  Instruction,
  Message,
  Program,
  Under,
  Values,
} from '../contract.ts';
import { choiceOf, numberOf } from '../engine/values.ts';
import { blockOf, type Block, type Half } from './block.ts';
import { choice, define, held, length, tenth } from './define.ts';
import { fitBy } from './fitBy.ts';
import { amountGrip } from './grip.ts';
import { keepShoulderCorners, placeOn, shoulderTo } from './shoulder.ts';
import { asBefore, mark, match, moveCorner, rule, slash } from '../operations/index.ts';

/** Ease across the back or front, whole body, mm: half of it on each piece. */
const CROSS_EASE = 20;
const WIDTH = length('by', -60, 60, 16, true);

/** Up or down the side from where the underarm was carried to, so far that the side is as long as it was. */
function underarmHeld(block: Block, moved: Point): Point {
  const path = requireEdge(block.piece, block.side).path;
  const foot = block.on.neckFirst ? endOf(path) : path.start;
  if (isStraightPath(path)) return add(foot, scale(unit(sub(moved, foot)), distance(foot, block.underarm)));
  const down = block.on.neckFirst ? startTangent(path) : scale(endTangent(path), -1);
  const reach = stretchFrom(block.piece, block.side, block.on.neckFirst ? 'start' : 'end');
  const drawn = (to: Point): number =>
    pathLength(block.on.neckFirst ? moveStart(path, to, reach) : moveEnd(path, to, reach));
  const over = (by: number): number => drawn(add(moved, scale(down, by))) - pathLength(path);
  const most = 20;
  return over(-most) > 0 === over(most) > 0
    ? moved
    : add(moved, scale(down, solveBetween(over, -most, most, TOL.solve)));
}

/** Where everything of the block goes: slid by half the amount, or turned about the shoulder pin. */
interface Way {
  readonly slide: boolean;
  readonly by: number;
  /** The notch's level, where half the amount opens. */
  readonly at: Point;
  readonly shift: Point;
  readonly angle: number;
  readonly place: (p: Point) => Point;
}

function wayOf({ on, cut, out }: Block, values: Values): Way {
  const by = numberOf(values, 'by');
  const slide = choiceOf(values, 'way') === 'slide';
  const at = { x: cut.x, y: on.hinge.at.y };
  const shift = { x: (out * by) / 2, y: 0 };
  const angle = slide ? 0 : solveBetween((a) => (rotateAbout(at, cut, a).x - at.x) * out - by / 2, -0.6, 0.6, TOL.zero);
  return { slide, by, at, shift, angle, place: (p) => (slide ? add(p, shift) : rotateAbout(p, cut, angle)) };
}

/** The block cut out along the level of the notch and moved its way; the rest of the piece stays. */
function cutOut({ piece, cut, foot, out }: Block, way: Way, say: Say): readonly Instruction[] {
  const { slide, by, at, shift, angle } = way;
  const points = [cut, { x: cut.x, y: foot.y }, foot];
  return [
    mark({
      piece: piece.id,
      message: say(slide ? 'mark.slide' : 'mark.hinge'),
      lines: [{ id: 'block', label: '1', points }],
      points: slide ? [] : [{ id: 'pin', kind: 'hinge', at: cut }],
    }),
    slash({
      piece: piece.id,
      messages: {
        cut: say(slide ? 'cut.slide' : 'cut.hinge'),
        open: say(by < 0 ? (slide ? 'in' : 'turn.in') : slide ? 'out' : 'turn.out'),
      },
      spec: {
        cuts: [{ id: 'block', points }],
        hinges: slide ? [] : [{ id: 'pin', at: cut, panels: ['block', 'body'] }],
        panels: [
          {
            id: 'block',
            seed: { x: cut.x + out * 6, y: at.y },
            motion: slide ? { kind: 'shift', by: shift } : { kind: 'turn', about: cut, angle },
            stage: 'open',
          },
          { id: 'body', seed: { x: cut.x - out * 6, y: at.y }, motion: { kind: 'rest' }, stage: 'open' },
        ],
      },
      dimensions: [{ id: 'gap', from: at, to: way.place(at), value: Math.abs(by / 2) }],
    }),
  ];
}

type Say = (code: Under<'cross'>) => Message;

/** Side, shoulder and armhole put right once the block has moved. */
function trued(block: Block, way: Way, say: Say): readonly Instruction[] {
  const { on, piece } = block;
  const to = underarmHeld(block, way.place(block.underarm));
  return [
    asBefore({ piece: piece.id, message: say('true.side'), what: { edges: [block.side] } }),
    moveCorner({ piece: piece.id, message: say('true.side'), between: [on.armhole, block.side], to }),
    ...(way.slide
      ? // The shoulder goes back to its length: the armhole takes the step, from nothing at the notch.
        shoulderTo(on, placeOn(on, on.length), on.hinge.reach, { stage: 'true', message: say('true.shoulder') })
      : [rule({ piece: piece.id, message: say('true.rule'), edges: on.edges })]),
    asBefore({
      piece: piece.id,
      message: say('true.smooth'),
      what: { edge: on.armhole, at: on.neckFirst ? 'end' : 'start', reach: 45 },
    }),
    ...keepShoulderCorners(on, say('true.smooth')),
    match({ message: say('match'), kinds: ['shoulder', 'side', 'armhole'] }),
  ];
}

function crossWidth(context: Context, values: Values, half: Half): Result<Program> {
  const found = blockOf(context, half);
  if (!found.ok) return found;
  const block = found.value;
  const way = wayOf(block, values);
  const data = { by: Math.abs(way.by), each: Math.abs(way.by / 2) };
  const say: Say = (code) => ({ code: `cross.${code}`, data });
  const grip = {
    shown: 'opened',
    from: way.at,
    axis: { x: block.out, y: 0 },
    value: way.by,
    per: 2,
    limits: WIDTH,
  } as const;
  return ok({
    piece: block.piece.id,
    instructions: [...cutOut(block, way, say), ...trued(block, way, say)],
    grips: [amountGrip({ piece: block.piece.id, ...grip })],
  });
}

/** Broad and narrow across the back, or the front. */
export const crossDefinition = (half: Half, examples: readonly Example[]): AlterationDefinition =>
  define({
    id: `${half}-width`,
    family: 'back',
    params: [WIDTH, choice('way', 'slide', 'hinge')],
    requires: ['shoulder', 'armhole', 'side'],
    refusals: ['shoulder-seam-missing', 'underarm-missing'],
    examples,
    source:
      'The armhole block slid out or in by half the difference, or turned about a hinge on the shoulder seam line.',
    why: `why.${half}-width`,
    needs: (context) => blockOf(context, half),
    reads: [half === 'back' ? 'crossBack' : 'crossFront'],
    fits: (context) =>
      fitBy(context, half === 'back' ? 'crossBack' : 'crossFront', 1 / 2, (by) => ({ by: tenth(by) }), CROSS_EASE),
    plan: (context, values) => crossWidth(context, values, half),
    holds: held({ part: [half], role: 'shoulder' }, { part: [half], role: 'neck' }),
  });
