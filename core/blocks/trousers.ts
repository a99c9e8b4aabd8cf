import { bisect } from '../numeric/index.ts';
import {
  add,
  blend,
  distance,
  endOf,
  move,
  movePath,
  pathFromSpans,
  pathLength,
  rotate,
  scale,
  sub,
  unit,
  type CubicSpan,
  type Path,
  type Point,
  type Rigid,
} from '../geometry/index.ts';
import { mirrorPiece, type ChartRow, type Edge, type Mark, type Piece } from '../pattern/index.ts';
import { capDart } from '../paper/truing/index.ts';
import { TOL } from '../units/index.ts';
import { bodyOf, type Body } from './body.ts';
import { curve, edge, leaning, rad } from './parts.ts';
import { POCKET } from './skirt.ts';
import { draftToHip, type HalfToHip } from './toHip.ts';

/** Room at waist and hip, whole body, under the seat, around the knee; how much narrower the hem is than the knee, mm. */
const EASE = { waist: 30, hip: 50, depth: 15, knee: 62 } as const;
const TO_HEM = 30;
/** From the waist to the hip, and how far the hem lies below the ankle bone, mm. */
const HIP_DEPTH = 200;
const BELOW_ANKLE = 15;
/** How much narrower the front is than the back, at hip, knee and hem, mm; at the waist it is wider by `WAIST`. */
const FRONT_LESS = { hip: 16, leg: 16 } as const;
const WAIST = 10;
/** The end of the fly's opening below the waist, mm. */
const FLY_END = 150;
/** Notches at the two ends of the fly. */
export const FLY = { top: 'flyTop', end: 'flyEnd' } as const;

/** What front and back of one size share: heights below the level of the front waist at the centre, mm. */
interface Leg {
  readonly b: Body;
  readonly crotch: number;
  readonly knee: number;
  readonly hem: number;
}

/** How one half is shaped, drawn with its centre to the left. */
interface Half {
  readonly part: 'trouserFront' | 'trouserBack';
  readonly waist: number;
  readonly hip: number;
  readonly dart: { readonly x: number; readonly length: number; readonly intake: number };
  /** The fork: from the upright through the centre at the hip to the inseam; how far it lies below the crotch line. */
  readonly fork: number;
  readonly drop: number;
  /** How much the centre leans to the side above the hip, and how far above the hip line it ends along its slant. */
  readonly lean: number;
  readonly rise: number;
  /** How much the inseam leans at its upper end. */
  readonly inseamLean: number;
  readonly knee: number;
  readonly hem: number;
  /** How far the middle of the leg lies from the middle of the crotch line, towards the side. */
  readonly aside: number;
  /** How far below the hip line the centre begins to curve. */
  readonly straight: number;
}

/** Straight-legged trousers to the waist: front and back, one dart in each, the side square to the hip. */
export function draftTrousers(row: ChartRow): readonly [Piece, Piece] {
  const b = bodyOf(row);
  const frontShape = frontOf(b);
  const corner = endOf(toHip(frontShape).waistSide).y;
  const leg: Leg = {
    b,
    crotch: b.crotchDepth + EASE.depth + corner,
    knee: b.waistToKnee + corner,
    hem: b.outsideLeg + BELOW_ANKLE + corner,
  };
  const front = linesOf(leg, frontShape);
  const back = backOf(leg, front);
  const middle = back.shape.hip / 2;
  return [pieceOf(leg, front, front), mirrorPiece(pieceOf(leg, back, front), middle)];
}

const frontOf = (b: Body): Half => {
  const waist = (b.waist + EASE.waist) / 4 + WAIST / 2;
  return {
    part: 'trouserFront',
    waist,
    hip: (b.hip + EASE.hip) / 4 - FRONT_LESS.hip / 2,
    dart: { x: 0.5 * waist, length: 90, intake: 16 },
    ...{ fork: 0.05 * b.hip, drop: 0, lean: 0, rise: HIP_DEPTH, inseamLean: rad(9), straight: 10 },
    ...{ knee: (b.knee + EASE.knee - FRONT_LESS.leg) / 2, hem: (b.knee + EASE.knee - TO_HEM - FRONT_LESS.leg) / 2 },
    aside: 0,
  };
};

/** The back: its side as long as the front's, its inseam too, since it lies lower by what its longer fork asks for. */
function backOf(leg: Leg, front: Lines): Lines {
  const { b } = leg;
  const waist = (b.waist + EASE.waist) / 4 - WAIST / 2;
  const shape: Half = {
    ...front.shape,
    part: 'trouserBack',
    waist,
    hip: front.shape.hip + FRONT_LESS.hip,
    dart: { x: 0.46 * waist, length: 120, intake: 28 },
    ...{ fork: 0.115 * b.hip, lean: rad(11), inseamLean: rad(17), straight: 0, aside: 12 },
    knee: front.shape.knee + FRONT_LESS.leg,
    hem: front.shape.hem + FRONT_LESS.leg,
  };
  const [side, inseam] = [pathLength(front.side), pathLength(front.inseam)];
  const rise = bisect((r) => pathLength(linesOf(leg, { ...shape, rise: r }).side) - side, 120, 300, TOL.fine);
  const drop = bisect((d) => inseam - pathLength(linesOf(leg, { ...shape, drop: d }).inseam), -20, 60, TOL.fine);
  return linesOf(leg, { ...shape, rise, drop });
}

/** From the frame of the centre seam above the hip, its upper end the origin, to the piece. */
const frameOf = ({ lean, rise }: Half): Rigid => ({
  angle: lean,
  ...add({ x: 0, y: HIP_DEPTH }, scale(leaning(lean), -rise)),
});

function toHip(shape: Half): HalfToHip {
  const frame = frameOf(shape);
  const hip = rotate(sub({ x: shape.hip, y: HIP_DEPTH }, frame), -shape.lean);
  return draftToHip({ waist: shape.waist, dart: shape.dart, hip, flare: shape.lean });
}

/** The seam lines of one half, in outline order. */
interface Lines {
  readonly shape: Half;
  readonly upper: Omit<HalfToHip, 'side'>;
  readonly side: Path;
  readonly hem: Path;
  readonly inseam: Path;
  readonly crotch: Path;
  /** Along the side down to the hip and to the knee. */
  readonly toHip: number;
  readonly toKnee: number;
  /** Along the inseam from the hem up to the knee, and along the crotch to where its curve ends. */
  readonly kneeUp: number;
  readonly curved: number;
  readonly middle: number;
}

function linesOf(leg: Leg, shape: Half): Lines {
  const frame = frameOf(shape);
  const drafted = toHip(shape);
  const moved = (path: Path): Path => movePath(path, frame);
  const upperSide = moved(pathFromSpans([drafted.side]));
  const hipPoint = { x: shape.hip, y: HIP_DEPTH };
  const middle = (shape.hip - shape.fork) / 2 + shape.aside;
  const at = (x: number, y: number): Point => ({ x: middle + x, y });
  const [kneeOut, kneeIn] = [at(shape.knee / 2, leg.knee), at(-shape.knee / 2, leg.knee)];
  const [hemOut, hemIn] = [at(shape.hem / 2, leg.hem), at(-shape.hem / 2, leg.hem)];
  const thigh = blend(hipPoint, { x: 0, y: 1 }, kneeOut, unit(sub(hemOut, kneeOut)), 0.36);
  const upperPart = pathFromSpans([thigh]);
  const fork = { x: -shape.fork, y: leg.crotch + shape.drop };
  const inner = blend(kneeIn, unit(sub(kneeIn, hemIn)), fork, scale(leaning(-shape.inseamLean), -1), 0.36);
  const below = { kind: 'line', a: kneeOut, b: hemOut } as const;
  const { path: crotch, curved } = crotchOf(shape, fork, frame);
  return {
    shape,
    upper: {
      ...{ waistCentre: moved(drafted.waistCentre), mouth: moved(drafted.mouth), waistSide: moved(drafted.waistSide) },
      tip: move(frame, drafted.tip),
    },
    side: pathFromSpans([...curveOf(upperSide), thigh, below]),
    hem: pathFromSpans([{ kind: 'line', a: hemOut, b: hemIn }]),
    inseam: pathFromSpans([{ kind: 'line', a: hemIn, b: kneeIn }, inner]),
    ...{ crotch, curved, middle },
    toHip: pathLength(upperSide),
    toKnee: pathLength(upperSide) + pathLength(upperPart),
    kneeUp: distance(hemIn, kneeIn),
  };
}

const curveOf = ({ start, segments }: Path): readonly CubicSpan[] =>
  segments.flatMap((s) => (s.kind === 'cubic' ? [{ ...s, a: start, b: s.to }] : []));

/** The crotch seam from the fork up to the waist: square to the inseam, hollow, then straight along its slant. */
function crotchOf(shape: Half, fork: Point, frame: Rigid): { readonly path: Path; readonly curved: number } {
  const top: Point = { x: frame.x, y: frame.y };
  const slant = leaning(shape.lean);
  const ends = add({ x: 0, y: HIP_DEPTH }, scale(slant, shape.straight));
  const across = { x: Math.cos(shape.inseamLean), y: -Math.sin(shape.inseamLean) };
  const hollow = curve(
    fork,
    add(fork, scale(across, 0.56 * shape.fork)),
    add(ends, scale(slant, 0.62 * (fork.y - ends.y))),
    ends,
  );
  return {
    path: pathFromSpans([hollow, { kind: 'line', a: ends, b: top }]),
    curved: pathLength(pathFromSpans([hollow])),
  };
}

/** Notches lie as far along both halves of a seam, where the front has them. */
function pieceOf(leg: Leg, lines: Lines, frontLines: Lines): Piece {
  const { shape, upper, side, inseam, crotch, middle } = lines;
  const front = shape.part === 'trouserFront';
  const edges: readonly Edge[] = [
    edge('waistCentre', 'waist', upper.waistCentre),
    edge('waistDart', 'dart', upper.mouth),
    edge('waistSide', 'waist', upper.waistSide),
    edge('side', 'side', side),
    edge('hem', 'hem', lines.hem, 40),
    edge('inseam', 'inseam', inseam),
    edge('crotch', 'crotch', crotch),
  ];
  const piece: Piece = {
    id: shape.part,
    name: front ? 'Trouser front' : 'Trouser back',
    part: shape.part,
    cut: 2,
    fold: null,
    half: true,
    notes: '',
    edges,
    darts: [{ id: 'waistDart', kind: 'waist', mouth: 'waistDart', tip: upper.tip, foldToward: 'start' }],
    marks: [...levels(leg, middle), ...notches(lines, frontLines)],
  };
  return piece.darts.reduce(capDart, piece);
}

const levels = (leg: Leg, middle: number): readonly Mark[] => [
  { kind: 'level', id: 'hip', name: 'hip', at: { x: middle, y: HIP_DEPTH } },
  { kind: 'level', id: 'crotch', name: 'crotch', at: { x: middle, y: leg.crotch } },
  { kind: 'level', id: 'knee', name: 'knee', at: { x: middle, y: leg.knee } },
  {
    kind: 'level',
    id: 'lengthenShorten',
    name: 'lengthenShorten',
    at: { x: middle, y: (leg.knee + leg.hem) / 2 },
  },
  { kind: 'grain', id: 'grain', from: { x: middle, y: leg.crotch - 20 }, to: { x: middle, y: leg.hem - 80 } },
];

const notch = (id: string, on: string, at: number, count = 1): Mark => ({ kind: 'notch', id, edge: on, at, count });

function notches({ shape, crotch, curved }: Lines, { toHip: hip, toKnee, kneeUp }: Lines): readonly Mark[] {
  const whole = pathLength(crotch);
  return [
    notch(POCKET.top, 'side', 40),
    notch(POCKET.end, 'side', 190),
    notch('sideHip', 'side', hip),
    notch('sideKnee', 'side', toKnee),
    notch('inseamKnee', 'inseam', kneeUp),
    ...(shape.part === 'trouserFront'
      ? [
          notch('crotchCurve', 'crotch', curved),
          notch(FLY.end, 'crotch', whole - FLY_END),
          notch(FLY.top, 'crotch', whole),
        ]
      : [notch('crotchCurve', 'crotch', curved, 2)]),
  ];
}
