import { add, pathLength, scale, type Point } from '../geometry/index.ts';
import { mirrorPiece, type ChartRow, type Piece } from '../pattern/index.ts';
import { capDart } from '../paper/truing/index.ts';
import { bodyOf, NAPE_DROP } from './body.ts';
import { DART_BELOW, SETBACK } from './frame.ts';
import { edge, layOutWaist, line } from './parts.ts';
import { BACK, backUpper, BODICE_EASE, FRONT, frontUpper, frontWaist } from './upper.ts';

/** The front: side dart and waist dart aimed at the bust point; centre front at x = 0, neck point at y = 0. */
export function draftFront(row: ChartRow): Piece {
  const b = bodyOf(row);
  const upper = frontUpper(b);
  const { bustPoint, centreNeck, dart } = upper;
  const waist = layOutWaist(dart.end, dart.alongAfter, bustPoint.x, bustPoint.y + SETBACK, frontWaist(b));
  const centreWaist: Point = { x: 0, y: waist.height };
  const piece: Piece = {
    ...FRONT,
    name: 'Bodice front',
    edges: [
      ...upper.edges,
      edge('sideLower', 'side', line(dart.b, dart.end)),
      edge('waistSide', 'waist', waist.sidePart),
      edge('waistDart', 'dart', line(waist.sideLeg, waist.centreLeg)),
      edge('waistCentre', 'waist', line(waist.centreLeg, centreWaist)),
      edge('centreFront', 'centreFront', line(centreWaist, centreNeck)),
    ],
    darts: [upper.sideDart, { id: 'waistDart', kind: 'waist', mouth: 'waistDart', tip: waist.tip, foldToward: 'end' }],
    marks: [
      { kind: 'bustPoint', id: 'bustPoint', at: bustPoint },
      { kind: 'level', id: 'bust', name: 'bust', at: { x: 6, y: bustPoint.y } },
      { kind: 'level', id: 'waist', name: 'waist', at: { x: 6, y: waist.height } },
      { kind: 'level', id: 'lengthenShorten', name: 'lengthenShorten', at: { x: 6, y: waist.height - 62 } },
      { kind: 'grain', id: 'grain', from: { x: 20, y: centreNeck.y + 40 }, to: { x: 20, y: waist.height - 40 } },
      { kind: 'notch', id: 'armholeFront', edge: 'armhole', at: upper.armhole.notchAt, count: 1 },
      { kind: 'notch', id: 'side', edge: 'sideLower', at: 60, count: 1 },
    ],
  };
  return piece.darts.reduce(capDart, piece);
}

/** The back: shoulder dart and waist dart; drafted with the centre back at x = 0, then turned over so that it lies beside the front. */
export function draftBack(row: ChartRow, front: Piece): Piece {
  const b = bodyOf(row);
  const frontUnderarm = front.edges.find((e) => e.id === 'sideUpper')?.path.start ?? { x: 0, y: 0 };
  const upper = backUpper(b, frontUnderarm);
  const { nape, side, width, bustBelow } = upper;
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
  const armhole = upper.armholeTo(underarm);
  const piece: Piece = {
    ...BACK,
    name: 'Bodice back',
    edges: [
      ...upper.edgesTo(armhole.path),
      edge('side', 'side', line(underarm, sideWaist)),
      edge('waistSide', 'waist', waist.sidePart),
      edge('waistDart', 'dart', line(waist.sideLeg, waist.centreLeg)),
      edge('waistCentre', 'waist', line(waist.centreLeg, centreWaist)),
      edge('centreBack', 'centreBack', line(centreWaist, nape)),
    ],
    darts: [
      upper.shoulderDart,
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
