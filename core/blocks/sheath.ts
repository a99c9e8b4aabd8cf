import {
  add,
  blend,
  midpoint,
  pathFromSpans,
  pathLength,
  scale,
  sub,
  unit,
  type CubicSpan,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { mirrorPiece, type ChartRow, type Mark, type Piece } from '../pattern/index.ts';
import { capDart } from '../paper/truing/index.ts';
import { TOL } from '../units/index.ts';
import { bodyOf, NAPE_DROP, neckDepth, neckWidth, underarmBelowNeck, type Body } from './body.ts';
import { BODICE_EASE } from './bodice.ts';
import { bustPointOn, DART_BELOW, hem, SETBACK } from './frame.ts';
import { armholeCurve, edge, leaning, line, neckCurve, openDart, rad } from './parts.ts';
import { HIP_EASE } from './skirt.ts';

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
  },
  ...marks,
];

/** Sewn waist of the front half, mm; the back takes the rest. */
const frontWaist = (b: Body): number => (b.waist + BODICE_EASE.waist) / 4 + 6;

/** A sheath in one from shoulder to hem, its waist shaped by a dart without a mouth in each half; opening at the back. */
export function draftSheath(row: ChartRow): readonly [Piece, Piece] {
  const b = bodyOf(row);
  const { piece: front, side, underarm } = draftFront(b);
  const back = draftBack(b, underarm, side);
  return [front, mirrorPiece(back, (b.bust + BODICE_EASE.bust) / 2 - underarm.x)];
}

function draftFront(b: Body): { readonly piece: Piece; readonly side: Side; readonly underarm: Point } {
  const neckPoint: Point = { x: neckWidth(b), y: 0 };
  const centreNeck: Point = { x: 0, y: neckDepth(b) };
  const slope = rad(20);
  const along = { x: Math.cos(slope), y: Math.sin(slope) };
  const shoulderPoint = add(neckPoint, scale(along, b.shoulder));
  const underarm: Point = { x: b.bust / 4 + BODICE_EASE.bust / 4 + 8, y: underarmBelowNeck(b) };
  const lean = leaning(rad(-2));
  const bustPoint = bustPointOn(b);
  const after = b.sideWaist - DART_BELOW;
  let tip = add(bustPoint, { x: SETBACK, y: 0 });
  let dart = openDart(underarm, lean, DART_BELOW, after, tip, 21 + b.bust / 200);
  for (let i = 0; i < 40; i++) {
    tip = add(bustPoint, scale(unit(sub(midpoint(dart.a, dart.b), bustPoint)), SETBACK));
    dart = openDart(underarm, lean, DART_BELOW, after, tip, 21 + b.bust / 200);
  }
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
  const pitch: Point = { x: b.crossFront / 2, y: shoulderPoint.y + 0.55 * (underarm.y - shoulderPoint.y) };
  const armhole = armholeCurve(shoulderPoint, along, pitch, underarm, lean);
  const hemLine = hem(side.bottom, DOWN);
  const centreHem = hemLine.segments.at(-1)?.to ?? side.bottom;
  const piece: Piece = {
    id: 'front',
    name: 'Dress front',
    part: 'front',
    cut: 1,
    fold: 'centreFront',
    half: true,
    notes: '',
    edges: [
      edge('neck', 'neck', neckCurve(centreNeck, neckPoint, along)),
      edge('shoulder', 'shoulder', line(neckPoint, shoulderPoint)),
      edge('armhole', 'armhole', armhole.path),
      edge('sideUpper', 'side', line(underarm, dart.a)),
      edge('sideDart', 'dart', line(dart.a, dart.b)),
      edge('sideLower', 'side', side.path),
      edge('hem', 'hem', hemLine, 40),
      edge('centreFront', 'centreFront', line(centreHem, centreNeck)),
    ],
    darts: [{ id: 'sideDart', kind: 'side', mouth: 'sideDart', tip, foldToward: 'end' }],
    marks: marksOf({
      waistLevel: waist.y,
      bustLevel: bustPoint.y,
      neck: centreNeck,
      marks: [
        { kind: 'bustPoint', id: 'bustPoint', at: bustPoint },
        { kind: 'notch', id: 'armholeFront', edge: 'armhole', at: armhole.notchAt, count: 1 },
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

/** Drafted with the centre back at x = 0. Its side is as long as the front's with the dart closed, part by part. */
function draftBack(b: Body, frontUnderarm: Point, frontSide: Side): Piece {
  const neckPoint: Point = { x: neckWidth(b) + 3, y: 0 };
  const nape: Point = { x: 0, y: NAPE_DROP };
  const slope = rad(17);
  const along = { x: Math.cos(slope), y: Math.sin(slope) };
  const half = 0.46 * b.shoulder;
  const dartStart = add(neckPoint, scale(along, half));
  const shoulderTip = add(dartStart, scale({ x: -Math.sin(slope), y: Math.cos(slope) }, 78));
  const shoulder = openDart(neckPoint, along, half, b.shoulder - half, shoulderTip, 12);
  const lean = rad(4);
  const bustBelow = DART_BELOW - 8;
  const frontWidth = frontUnderarm.x + bustBelow * Math.tan(rad(2));
  const width = (b.bust + BODICE_EASE.bust) / 2 - frontWidth + bustBelow * Math.tan(lean);
  const level = NAPE_DROP + b.napeToWaist;
  const waist: Point = { x: width - b.sideWaist * Math.sin(lean) - HOLLOW, y: level };
  const hip: Point = { x: (b.hip + HIP_EASE) / 4 + 3, y: level + HIP_DEPTH };
  let underarm: Point = { x: width, y: level - b.sideWaist };
  const whole = frontSide.toWaist + DART_BELOW;
  const sideTo = (below: number): Side => sideThrough(underarm, leaning(lean), waist, hip, below);
  let side = sideTo(1);
  while (Math.abs(side.toWaist - whole) > TOL.zero) {
    underarm = { x: width, y: underarm.y + side.toWaist - whole };
    side = sideTo(1);
  }
  const below = pathLength(frontSide.path) - frontSide.toWaist - (side.toHip - side.toWaist);
  side = sideTo(below);
  const pitch: Point = { x: b.crossBack / 2 + 6, y: shoulder.end.y + 0.5 * (underarm.y - shoulder.end.y) };
  const armhole = armholeCurve(shoulder.end, shoulder.alongAfter, pitch, underarm, leaning(lean));
  const hemLine = hem(side.bottom, DOWN);
  const centreHem = hemLine.segments.at(-1)?.to ?? side.bottom;
  const x = 0.44 * width;
  const piece: Piece = {
    id: 'back',
    name: 'Dress back',
    part: 'back',
    cut: 2,
    fold: null,
    half: true,
    notes: '',
    edges: [
      edge('neck', 'neck', neckCurve(nape, neckPoint, along)),
      edge('shoulderNeck', 'shoulder', line(neckPoint, shoulder.a)),
      edge('shoulderDart', 'dart', line(shoulder.a, shoulder.b)),
      edge('shoulderArm', 'shoulder', line(shoulder.b, shoulder.end)),
      edge('armhole', 'armhole', armhole.path),
      edge('side', 'side', side.path),
      edge('hem', 'hem', hemLine, 40),
      edge('centreBack', 'centreBack', line(centreHem, nape)),
    ],
    darts: [{ id: 'shoulderDart', kind: 'shoulder', mouth: 'shoulderDart', tip: shoulderTip, foldToward: 'start' }],
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
        x,
        upper: underarm.y + bustBelow + 10,
        lower: level + 135,
        width: waist.x - ((b.waist + BODICE_EASE.waist) / 2 - frontWaist(b)),
      },
    }),
  };
  return piece.darts.reduce(capDart, piece);
}
