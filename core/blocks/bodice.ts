import { add, midpoint, pathLength, scale, sub, unit, type Point } from '../geometry/index.ts';
import { mirrorPiece, type ChartRow, type Piece } from '../pattern/index.ts';
import { capDart } from '../paper/truing/index.ts';
import { bodyOf, NAPE_DROP, neckDepth, neckWidth, underarmBelowNeck } from './body.ts';
import { armholeCurve, edge, layOutWaist, leaning, line, neckCurve, openDart, rad } from './parts.ts';

/** Ease on the whole body, mm, drafted into the block. */
export const BODICE_EASE = { bust: 50, waist: 30 } as const;
/** Where the side dart leaves the side seam, below the underarm. */
const DART_BELOW = 55;
const SETBACK = 25;

/** The front: side dart and waist dart aimed at the bust point; centre front at x = 0, neck point at y = 0. */
export function draftFront(row: ChartRow): Piece {
  const b = bodyOf(row);
  const neckPoint: Point = { x: neckWidth(b), y: 0 };
  const centreNeck: Point = { x: 0, y: neckDepth(b) };
  const slope = rad(20);
  const along = { x: Math.cos(slope), y: Math.sin(slope) };
  const shoulderPoint = add(neckPoint, scale(along, b.shoulder));
  const underarm: Point = { x: b.bust / 4 + BODICE_EASE.bust / 4 + 8, y: underarmBelowNeck(b) };
  const side = leaning(rad(-2));
  const across = b.bustSpan / 2 - neckPoint.x;
  const bustPoint: Point = { x: b.bustSpan / 2, y: Math.sqrt(b.bustHeight ** 2 - across ** 2) };
  const intake = 21 + b.bust / 200;

  // The dart's centre line must run to the bust point: settle tip and legs against each other.
  let tip = add(bustPoint, { x: SETBACK, y: 0 });
  let dart = openDart(underarm, side, DART_BELOW, b.sideWaist - DART_BELOW, tip, intake);
  for (let i = 0; i < 40; i++) {
    tip = add(bustPoint, scale(unit(sub(midpoint(dart.a, dart.b), bustPoint)), SETBACK));
    dart = openDart(underarm, side, DART_BELOW, b.sideWaist - DART_BELOW, tip, intake);
  }
  const waist = layOutWaist(
    dart.end,
    dart.alongAfter,
    bustPoint.x,
    bustPoint.y + SETBACK,
    (b.waist + BODICE_EASE.waist) / 4 + 6,
  );
  const centreWaist: Point = { x: 0, y: waist.height };
  const pitch: Point = { x: b.crossFront / 2, y: shoulderPoint.y + 0.55 * (underarm.y - shoulderPoint.y) };
  const armhole = armholeCurve(shoulderPoint, along, pitch, underarm, side);
  const piece: Piece = {
    id: 'front',
    name: 'Bodice front',
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
      edge('sideLower', 'side', line(dart.b, dart.end)),
      edge('waistSide', 'waist', waist.sidePart),
      edge('waistDart', 'dart', line(waist.sideLeg, waist.centreLeg)),
      edge('waistCentre', 'waist', line(waist.centreLeg, centreWaist)),
      edge('centreFront', 'centreFront', line(centreWaist, centreNeck)),
    ],
    darts: [
      { id: 'sideDart', kind: 'side', mouth: 'sideDart', tip, foldToward: 'end' },
      { id: 'waistDart', kind: 'waist', mouth: 'waistDart', tip: waist.tip, foldToward: 'end' },
    ],
    marks: [
      { kind: 'bustPoint', id: 'bustPoint', at: bustPoint },
      { kind: 'level', id: 'bust', name: 'bust', at: { x: 6, y: bustPoint.y } },
      { kind: 'level', id: 'waist', name: 'waist', at: { x: 6, y: waist.height } },
      { kind: 'level', id: 'lengthenShorten', name: 'lengthenShorten', at: { x: 6, y: waist.height - 62 } },
      { kind: 'grain', id: 'grain', from: { x: 20, y: centreNeck.y + 40 }, to: { x: 20, y: waist.height - 40 } },
      { kind: 'notch', id: 'armholeFront', edge: 'armhole', at: armhole.notchAt, count: 1 },
      { kind: 'notch', id: 'side', edge: 'sideLower', at: 60, count: 1 },
    ],
  };
  return piece.darts.reduce(capDart, piece);
}

/** The back: shoulder dart and waist dart; drafted with the centre back at x = 0, then turned over so that it lies beside the front. */
export function draftBack(row: ChartRow, front: Piece): Piece {
  const b = bodyOf(row);
  const neckPoint: Point = { x: neckWidth(b) + 3, y: 0 };
  const nape: Point = { x: 0, y: NAPE_DROP };
  const slope = rad(17);
  const along = { x: Math.cos(slope), y: Math.sin(slope) };
  const half = 0.46 * b.shoulder;
  const dartStart = add(neckPoint, scale(along, half));
  const shoulderTip = add(dartStart, scale({ x: -Math.sin(slope), y: Math.cos(slope) }, 78));
  const shoulder = openDart(neckPoint, along, half, b.shoulder - half, shoulderTip, 12);
  const lean = rad(4);
  const side = leaning(lean);
  const frontUnderarm = front.edges.find((e) => e.id === 'sideUpper')?.path.start ?? { x: 0, y: 0 };
  const bustBelow = DART_BELOW - 8;
  const frontWidth = frontUnderarm.x + bustBelow * Math.tan(rad(2));
  const width = (b.bust + BODICE_EASE.bust) / 2 - frontWidth + bustBelow * Math.tan(lean);
  const sewnFront = front.edges.filter((e) => e.role === 'waist').reduce((sum, e) => sum + pathLength(e.path), 0);
  const wantedWaist = (b.waist + BODICE_EASE.waist) / 2 - sewnFront;
  let underarm: Point = { x: width, y: frontUnderarm.y };
  const layWaist = () =>
    layOutWaist(add(underarm, scale(side, b.sideWaist)), side, 0.44 * width, underarm.y + bustBelow, wantedWaist);
  let waist = layWaist();
  for (let i = 0; i < 40; i++) {
    underarm = { x: width, y: underarm.y + (NAPE_DROP + b.napeToWaist - waist.height) };
    waist = layWaist();
  }
  const sideWaist = add(underarm, scale(side, b.sideWaist));
  const centreWaist: Point = { x: 0, y: waist.height };
  const pitch: Point = { x: b.crossBack / 2 + 6, y: shoulder.end.y + 0.5 * (underarm.y - shoulder.end.y) };
  const armhole = armholeCurve(shoulder.end, shoulder.alongAfter, pitch, underarm, side);
  const piece: Piece = {
    id: 'back',
    name: 'Bodice back',
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
      edge('side', 'side', line(underarm, sideWaist)),
      edge('waistSide', 'waist', waist.sidePart),
      edge('waistDart', 'dart', line(waist.sideLeg, waist.centreLeg)),
      edge('waistCentre', 'waist', line(waist.centreLeg, centreWaist)),
      edge('centreBack', 'centreBack', line(centreWaist, nape)),
    ],
    darts: [
      { id: 'shoulderDart', kind: 'shoulder', mouth: 'shoulderDart', tip: shoulderTip, foldToward: 'start' },
      { id: 'waistDart', kind: 'waist', mouth: 'waistDart', tip: waist.tip, foldToward: 'end' },
    ],
    marks: [
      { kind: 'level', id: 'bust', name: 'bust', at: { x: 6, y: underarm.y + bustBelow } },
      { kind: 'level', id: 'waist', name: 'waist', at: { x: 6, y: waist.height } },
      { kind: 'level', id: 'lengthenShorten', name: 'lengthenShorten', at: { x: 6, y: waist.height - 62 } },
      { kind: 'grain', id: 'grain', from: { x: 20, y: nape.y + 60 }, to: { x: 20, y: waist.height - 40 } },
      { kind: 'notch', id: 'armholeBack', edge: 'armhole', at: armhole.notchAt, count: 2 },
      { kind: 'notch', id: 'side', edge: 'side', at: DART_BELOW + 60, count: 1 },
    ],
  };
  return mirrorPiece(piece.darts.reduce(capDart, piece), width / 2);
}
