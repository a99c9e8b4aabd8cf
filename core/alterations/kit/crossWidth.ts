import {
  add,
  distance,
  endOf,
  pathLength,
  rotateAbout,
  scale,
  solveBetween,
  sub,
  unit,
  type Point,
} from '../../geometry/index.ts';
import { requireEdge, type Piece } from '../../pattern/index.ts';
import { edgeAfter, edgeBefore } from '../../truing/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type {
  AlterationDefinition,
  Context,
  Example,
  Fit,
  Instruction,
  Message,
  Program,
  Values,
} from '../contract.ts';
import { choiceOf, numberOf } from '../values.ts';
import { meetingOn, meetings } from './across.ts';
import { choice, define, difference, held, length, tenth } from './define.ts';
import { amountGrip } from './grip.ts';
import { cutPlace, keepShoulderCorners, placeOn, shoulderPair, shoulderTo, type ShoulderOn } from './shoulder.ts';

/** The block's lower edge runs into the side this far below the underarm, mm. */
const BELOW_UNDERARM = 26;
/** Ease across the back or front, whole body, mm: half of it on each piece. */
const CROSS_EASE = 20;
const WIDTH = length('by', -60, 60, 16, true);

export type Half = 'front' | 'back';

interface Block {
  readonly on: ShoulderOn;
  readonly piece: Piece;
  readonly side: string;
  /** Where the block is cut from the shoulder, and where it runs into the side. */
  readonly cut: Point;
  readonly foot: Point;
  readonly underarm: Point;
  /** +1 where the side lies to the right. */
  readonly out: 1 | -1;
}

/** The armhole block of a front or back: between the shoulder seam, the side seam and a line down from the shoulder. */
function blockOf(context: Pick<Context, 'pieces' | 'seams'>, half: Half): Result<Block> {
  const pair = shoulderPair(context);
  if (!pair.ok) return pair;
  const on = pair.value[half];
  const piece = on.piece;
  const after = edgeAfter(piece, on.armhole);
  const side = on.neckFirst ? after : edgeBefore(piece, on.armhole);
  const path = requireEdge(piece, side);
  if (path.role !== 'side') return refuse('underarm-missing', { piece: piece.name });
  const underarm = on.neckFirst ? path.path.start : endOf(path.path);
  const below = Math.min(BELOW_UNDERARM, pathLength(path.path) * 0.5);
  const foot = meetingOn(piece, underarm.y + below, ['side']);
  if (!foot) return refuse('underarm-missing', { piece: piece.name });
  return ok({ on, piece, side, cut: cutPlace(on), foot: foot.at, underarm, out: on.neckFirst ? 1 : -1 });
}

/** Half the width across at mid-armhole, on this piece. */
function acrossAt(on: ShoulderOn): number {
  const y = on.hinge.at.y;
  const all = meetings(on.piece, y);
  const [first, last] = [all[0], all.at(-1)];
  return first && last ? last.at.x - first.at.x : 0;
}

function fitsCross(context: Context, half: Half): Fit | null {
  const key = half === 'back' ? 'crossBack' : 'crossFront';
  const body = context.wearer[key];
  const block = blockOf(context, half);
  if (body === undefined || !block.ok) return null;
  return difference(key, body, CROSS_EASE, 2 * acrossAt(block.value.on), 1 / 2, (by) => ({ by: tenth(by) }));
}

/** The side above the block's foot drawn straight from the moved underarm, as long as it was. */
function underarmHeld(block: Block, moved: Point): Point {
  const path = requireEdge(block.piece, block.side).path;
  const foot = block.on.neckFirst ? endOf(path) : path.start;
  return add(foot, scale(unit(sub(moved, foot)), distance(foot, block.underarm)));
}

function crossWidth(context: Context, values: Values, half: Half): Result<Program> {
  const found = blockOf(context, half);
  if (!found.ok) return found;
  const block = found.value;
  const { on, piece, cut, foot, out } = block;
  const by = numberOf(values, 'by');
  const each = by / 2;
  const slide = choiceOf(values, 'way') === 'slide';
  const data = { by: Math.abs(by), each: Math.abs(each) };
  const say = (code: string): Message => ({ code: `cross.${code}`, data });
  const corner: Point = { x: cut.x, y: foot.y };
  const points = [cut, corner, foot];
  const level = on.hinge.at.y;
  const hingeAngle = (): number => {
    const at = { x: cut.x, y: level };
    return solveBetween((a) => (rotateAbout(at, cut, a).x - at.x) * out - each, -0.6, 0.6, 1e-9);
  };
  const angle = slide ? 0 : hingeAngle();
  const shift = { x: out * each, y: 0 };
  const place = (p: Point): Point => (slide ? add(p, shift) : rotateAbout(p, cut, angle));
  const seed = { x: cut.x + out * 6, y: level };
  const id = piece.id;
  const under = underarmHeld(block, place(block.underarm));
  const cornerEdge = on.neckFirst ? block.side : on.armhole;
  const truing: readonly Instruction[] = slide
    ? // The shoulder goes back to its length: the armhole takes the step, from nothing at the notch.
      shoulderTo(on, placeOn(on, on.length), on.hinge.reach, { stage: 'true', message: say('true.shoulder') })
    : [{ op: 'rule', stage: 'true', piece: id, message: say('true.rule'), edges: on.edges }];
  const instructions: Instruction[] = [
    {
      op: 'mark',
      stage: 'mark',
      piece: id,
      message: say(slide ? 'mark.slide' : 'mark.hinge'),
      lines: [{ id: 'block', label: '1', points }],
      points: slide ? [] : [{ id: 'pin', kind: 'hinge', at: cut }],
    },
    {
      op: 'slash',
      stage: 'cut',
      piece: id,
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
            seed,
            motion: slide ? { kind: 'shift', by: shift } : { kind: 'turn', about: cut, angle },
            stage: 'open',
          },
          { id: 'body', seed: { x: cut.x - out * 6, y: level }, motion: { kind: 'rest' }, stage: 'open' },
        ],
      },
      dimensions: [
        { id: 'gap', from: { x: cut.x, y: level }, to: place({ x: cut.x, y: level }), value: Math.abs(each) },
      ],
    },
    { op: 'straighten', stage: 'true', piece: id, message: say('true.side'), edges: [block.side] },
    { op: 'corner', stage: 'true', piece: id, message: say('true.side'), edge: cornerEdge, to: under },
    ...truing,
    {
      op: 'keepCorner',
      stage: 'true',
      piece: id,
      message: say('true.smooth'),
      edge: on.armhole,
      at: on.neckFirst ? 'end' : 'start',
      reach: 45,
    },
    ...keepShoulderCorners(on, say('true.smooth')),
    { op: 'match', stage: 'match', message: say('match'), kinds: ['shoulder', 'side', 'armhole'] },
  ];
  return ok({
    piece: id,
    instructions,
    grips: [
      amountGrip({
        piece: id,
        shown: 'opened',
        from: { x: cut.x, y: level },
        axis: { x: out, y: 0 },
        value: by,
        per: 2,
        limits: WIDTH,
      }),
    ],
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
    fits: (context) => fitsCross(context, half),
    plan: (context, values) => crossWidth(context, values, half),
    holds: held({ part: [half], role: 'shoulder' }, { part: [half], role: 'neck' }),
  });
