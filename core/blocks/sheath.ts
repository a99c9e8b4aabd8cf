import {
  add,
  blend,
  endOf,
  pathFromSpans,
  pathLength,
  scale,
  sub,
  unit,
  type CubicSpan,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { mirrorPiece, type ChartRow, type Edge, type Mark, type Piece } from '../pattern/index.ts';
import { capDart } from '../paper/truing/index.ts';
import { TOL } from '../units/index.ts';
import { bodyOf, NAPE_DROP, type Body } from './body.ts';
import { DART_BELOW, hem, SETBACK } from './frame.ts';
import { edge, leaning, line, rad } from './parts.ts';
import { HIP_EASE } from './skirt.ts';
import { BACK, backUpper, BODICE_EASE, FRONT, frontUpper, frontWaist } from './upper.ts';

/** From the waist to the hip and to the hem, at the centre, mm. */
const HIP_DEPTH = 200;
const LENGTH = 600;
/** A sheath narrows a little from the hip to the hem. */
const TAPER = rad(1.2);
/** How far the side is hollowed at the waist beyond a straight line, mm. */
const HOLLOW = 6;
const DOWN = leaning(TAPER);

/** The side from where it begins through the waist to the hip and down. */
interface Side {
  readonly path: Path;
  /** Along it to the waist, to the hip and to its end. */
  readonly toWaist: number;
  readonly toHip: number;
  readonly bottom: Point;
}

function sideThrough(from: Point, leave: Point, waist: Point, hip: Point, below: number): Side {
  const along = unit(add(unit(sub(waist, from)), unit(sub(hip, waist))));
  const upper: CubicSpan = blend(from, leave, waist, along);
  const lower: CubicSpan = blend(waist, along, hip, DOWN, 0.36);
  const bottom = add(hip, scale(DOWN, below));
  const toWaist = pathLength(pathFromSpans([upper]));
  return {
    path: pathFromSpans([upper, lower, { kind: 'line', a: hip, b: bottom }]),
    toWaist,
    toHip: toWaist + pathLength(pathFromSpans([lower])),
    bottom,
  };
}

/** How far below the hip the side ends when the hem, square to it, meets the centre `level` below the waist's origin. */
const lengthBelow = (hip: Point, level: number): number => {
  const k = Math.tan(TAPER / 2);
  return (level - hip.y + hip.x * k) / (Math.cos(TAPER) + Math.sin(TAPER) * k);
};

interface Half {
  readonly waistLevel: number;
  readonly bustLevel: number;
  readonly neck: Point;
  readonly marks: readonly Mark[];
  readonly dart: { readonly x: number; readonly upper: number; readonly lower: number; readonly width: number };
}
/** What front and back carry alike: levels, grain, and the dart that shapes the waist. */
const marksOf = ({ waistLevel, bustLevel, neck, marks, dart }: Half): readonly Mark[] => [
  { kind: 'level', id: 'bust', name: 'bust', at: { x: 6, y: bustLevel } },
  { kind: 'level', id: 'waist', name: 'waist', at: { x: 6, y: waistLevel } },
  { kind: 'level', id: 'hip', name: 'hip', at: { x: 6, y: waistLevel + HIP_DEPTH } },
  { kind: 'level', id: 'lengthenShorten', name: 'lengthenShorten', at: { x: 6, y: waistLevel - 62 } },
  { kind: 'grain', id: 'grain', from: { x: 20, y: neck.y + 60 }, to: { x: 20, y: waistLevel + LENGTH - 90 } },
  {
    kind: 'doubleDart',
    id: 'waistDart',
    upper: { x: dart.x, y: dart.upper },
    lower: { x: dart.x, y: dart.lower },
    widest: (waistLevel - dart.upper) / (dart.lower - dart.upper),
    width: dart.width,
    curve: 0,
  },
  ...marks,
];

/** A sheath in one from shoulder to hem, its waist shaped by a dart without a mouth in each half; opening at the back. */
export function draftSheath(row: ChartRow): readonly [Piece, Piece] {
  const b = bodyOf(row);
  const { piece: front, side, underarm } = draftFront(b);
  const back = draftBack(b, underarm, side);
  return [front, mirrorPiece(back, (b.bust + BODICE_EASE.bust) / 2 - underarm.x)];
}

function draftFront(b: Body): { readonly piece: Piece; readonly side: Side; readonly underarm: Point } {
  const upper = frontUpper(b);
  const { bustPoint, centreNeck, dart, underarm } = upper;
  const after = b.sideWaist - DART_BELOW;
  let waist = { x: dart.end.x - HOLLOW, y: dart.end.y };
  const sideTo = (w: Point): Side => {
    const hip = { x: (b.hip + HIP_EASE) / 4 - 3, y: w.y + HIP_DEPTH };
    return sideThrough(dart.b, dart.alongAfter, w, hip, lengthBelow(hip, w.y + LENGTH));
  };
  let side = sideTo(waist);
  while (Math.abs(side.toWaist - after) > TOL.zero) {
    waist = { x: waist.x, y: waist.y + after - side.toWaist };
    side = sideTo(waist);
  }
  const piece: Piece = {
    ...FRONT,
    name: 'Dress front',
    edges: [...upper.edges, edge('sideLower', 'side', side.path), ...hemAndCentre(side, 'centreFront', centreNeck)],
    darts: [upper.sideDart],
    marks: marksOf({
      waistLevel: waist.y,
      bustLevel: bustPoint.y,
      neck: centreNeck,
      marks: [
        { kind: 'bustPoint', id: 'bustPoint', at: bustPoint },
        { kind: 'notch', id: 'armholeFront', edge: 'armhole', at: upper.armhole.notchAt, count: 1 },
        { kind: 'notch', id: 'sideWaist', edge: 'sideLower', at: side.toWaist, count: 1 },
        { kind: 'notch', id: 'sideHip', edge: 'sideLower', at: side.toHip, count: 1 },
      ],
      dart: {
        x: bustPoint.x,
        upper: bustPoint.y + SETBACK + 12,
        lower: waist.y + 95,
        width: waist.x - frontWaist(b),
      },
    }),
  };
  return { piece: piece.darts.reduce(capDart, piece), side, underarm };
}

/** The hem from the side to the centre, and the centre up to the neck. */
function hemAndCentre(side: Side, centre: 'centreFront' | 'centreBack', neck: Point): readonly Edge[] {
  const path = hem(side.bottom, DOWN);
  return [edge('hem', 'hem', path, 40), edge(centre, centre, line(endOf(path), neck))];
}

/** Drafted with the centre back at x = 0. Its side is as long as the front's with the dart closed, part by part. */
function draftBack(b: Body, frontUnderarm: Point, frontSide: Side): Piece {
  const upper = backUpper(b, frontUnderarm);
  const { nape, width, bustBelow } = upper;
  const level = NAPE_DROP + b.napeToWaist;
  const waist: Point = { x: width - b.sideWaist * Math.sin(upper.lean) - HOLLOW, y: level };
  const hip: Point = { x: (b.hip + HIP_EASE) / 4 + 3, y: level + HIP_DEPTH };
  let underarm: Point = { x: width, y: level - b.sideWaist };
  const whole = frontSide.toWaist + DART_BELOW;
  const sideTo = (below: number): Side => sideThrough(underarm, upper.side, waist, hip, below);
  let side = sideTo(1);
  while (Math.abs(side.toWaist - whole) > TOL.zero) {
    underarm = { x: width, y: underarm.y + side.toWaist - whole };
    side = sideTo(1);
  }
  side = sideTo(pathLength(frontSide.path) - frontSide.toWaist - (side.toHip - side.toWaist));
  const armhole = upper.armholeTo(underarm);
  const piece: Piece = {
    ...BACK,
    name: 'Dress back',
    edges: [...upper.edgesTo(armhole.path), edge('side', 'side', side.path), ...hemAndCentre(side, 'centreBack', nape)],
    darts: [upper.shoulderDart],
    marks: marksOf({
      waistLevel: level,
      bustLevel: underarm.y + bustBelow,
      neck: nape,
      marks: [
        { kind: 'notch', id: 'armholeBack', edge: 'armhole', at: armhole.notchAt, count: 2 },
        { kind: 'notch', id: 'sideWaist', edge: 'side', at: side.toWaist, count: 1 },
        { kind: 'notch', id: 'sideHip', edge: 'side', at: frontSide.toHip + DART_BELOW, count: 1 },
      ],
      dart: {
        x: 0.44 * width,
        upper: underarm.y + bustBelow + 10,
        lower: level + 135,
        width: waist.x - ((b.waist + BODICE_EASE.waist) / 2 - frontWaist(b)),
      },
    }),
  };
  return piece.darts.reduce(capDart, piece);
}
