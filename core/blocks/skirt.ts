import { add, pathFromSpans, pathLength, scale, type Path } from '../geometry/index.ts';
import { edgesWithRole, mirrorPiece, type ChartRow, type Piece } from '../pattern/index.ts';
import { capDart } from '../paper/truing/index.ts';
import { hem } from './frame.ts';
import { edge, line, rad } from './parts.ts';
import { draftToHip } from './toHip.ts';

/** Ease around the hip, whole body; from waist to hip and from waist to hem at the centre; how far the side flares, mm. */
export const HIP_EASE = 50;
const HIP_DEPTH = 200;
const LENGTH = 560;
/** Notches at the two ends of the pocket's opening. */
export const POCKET = { top: 'pocketTop', end: 'pocketEnd' } as const;
const FLARE = rad(7);

interface SkirtHalf {
  readonly part: 'front' | 'back';
  /** Sewn waist of the half, width at the hip, the dart's middle, depth and intake, mm. */
  readonly waist: number;
  readonly hip: number;
  readonly dart: { readonly x: number; readonly length: number; readonly intake: number };
  /** Length of the side seam, where another half has fixed it. */
  readonly side: number | null;
}

export const sewnWaist = (piece: Piece): number =>
  edgesWithRole(piece, 'waist').reduce((n, e) => n + pathLength(e.path), 0);

/** A-line skirt, front and back, drafted to the waist of a bodice: one dart in each half, the side flared from the hip. */
export function draftSkirt(row: ChartRow, bodiceFront: Piece, bodiceBack: Piece): readonly [Piece, Piece] {
  const hip = ((row.body.hip ?? 0) + HIP_EASE) / 4;
  const front = half({
    part: 'front',
    waist: sewnWaist(bodiceFront),
    hip: hip - 4,
    dart: { x: 0.5 * sewnWaist(bodiceFront), length: 100, intake: 20 },
    side: null,
  });
  const frontSide = pathLength(front.edges.find((e) => e.id === 'side')?.path as Path);
  const back = half({
    part: 'back',
    waist: sewnWaist(bodiceBack),
    hip: hip + 4,
    dart: { x: 0.46 * sewnWaist(bodiceBack), length: 130, intake: 28 },
    side: frontSide,
  });
  return [front, mirrorPiece(back, (hip + 4) / 2)];
}

function half({ part, waist, hip, dart, side }: SkirtHalf): Piece {
  const hipPoint = { x: hip, y: HIP_DEPTH };
  const flare = { x: Math.sin(FLARE), y: Math.cos(FLARE) };
  const top = draftToHip({ waist, dart, hip: hipPoint, flare: FLARE });
  const upperLength = pathLength(pathFromSpans([top.side]));
  // The front's side ends where its hem is level with the centre; the back's is as long.
  const below = side === null ? lengthBelow(LENGTH, hipPoint) : side - upperLength;
  const bottom = add(hipPoint, scale(flare, below));
  const hemLine = hem(bottom, flare);
  const centreHem = hemLine.segments.at(-1)?.to ?? bottom;
  const centre = part === 'front' ? 'centreFront' : 'centreBack';
  const origin = { x: 0, y: 0 };
  const piece: Piece = {
    id: part === 'front' ? 'skirtFront' : 'skirtBack',
    name: part === 'front' ? 'Skirt front' : 'Skirt back',
    part: part === 'front' ? 'skirtFront' : 'skirtBack',
    cut: part === 'front' ? 1 : 2,
    fold: part === 'front' ? centre : null,
    half: true,
    notes: '',
    edges: [
      edge('waistCentre', 'waist', top.waistCentre),
      edge('waistDart', 'dart', top.mouth),
      edge('waistSide', 'waist', top.waistSide),
      edge('side', 'side', pathFromSpans([top.side, { kind: 'line', a: hipPoint, b: bottom }])),
      edge('hem', 'hem', hemLine, 30),
      edge(centre, centre, line(centreHem, origin)),
    ],
    darts: [{ id: 'waistDart', kind: 'waist', mouth: 'waistDart', tip: top.tip, foldToward: 'start' }],
    marks: [
      { kind: 'level', id: 'waist', name: 'waist', at: origin },
      { kind: 'level', id: 'hip', name: 'hip', at: { x: 6, y: HIP_DEPTH } },
      { kind: 'level', id: 'lengthenShorten', name: 'lengthenShorten', at: { x: 6, y: HIP_DEPTH + 150 } },
      { kind: 'grain', id: 'grain', from: { x: 24, y: 150 }, to: { x: 24, y: LENGTH - 90 } },
      { kind: 'notch', id: 'side', edge: 'side', at: HIP_DEPTH, count: 1 },
      { kind: 'notch', id: POCKET.top, edge: 'side', at: 40, count: 1 },
      { kind: 'notch', id: POCKET.end, edge: 'side', at: 190, count: 1 },
    ],
  };
  return piece.darts.reduce(capDart, piece);
}

/** How far below the hip the side ends when the hem, square to it, meets the centre at the skirt's length. */
function lengthBelow(length: number, hipPoint: { readonly x: number; readonly y: number }): number {
  // centre = side.y + side.x · tan(flare / 2), with side = hip + flare · t.
  const k = Math.tan(FLARE / 2);
  return (length - hipPoint.y - hipPoint.x * k) / (Math.cos(FLARE) + Math.sin(FLARE) * k);
}
