import { add, midpoint, scale, sub, unit, type Path, type Point } from '../geometry/index.ts';
import type { Dart, Edge, Piece } from '../pattern/index.ts';
import { NAPE_DROP, neckDepth, neckWidth, underarmBelowNeck, type Body } from './body.ts';
import { bustPointOn, DART_BELOW, SETBACK } from './frame.ts';
import { armholeCurve, edge, leaning, line, neckCurve, openDart, rad } from './parts.ts';

/** Ease on the whole body, mm, drafted into the block. */
export const BODICE_EASE = { bust: 50, waist: 30 } as const;

/** Sewn waist of the front half, mm; the back takes the rest. */
export const frontWaist = (b: Body): number => (b.waist + BODICE_EASE.waist) / 4 + 6;

/** How far the side leans: outward on the front down to its dart, inward on the back, radians. */
const LEAN = { front: rad(-2), back: rad(4) } as const;

/** A front from the neck to its side dart, centre front at x = 0, neck point at y = 0. */
export interface FrontUpper {
  readonly centreNeck: Point;
  readonly underarm: Point;
  readonly bustPoint: Point;
  readonly dart: ReturnType<typeof openDart>;
  readonly sideDart: Dart;
  readonly armhole: { readonly path: Path; readonly notchAt: number };
  /** Neck, shoulder, armhole, side down to the dart, and its mouth. */
  readonly edges: readonly Edge[];
}

export function frontUpper(b: Body): FrontUpper {
  const neckPoint: Point = { x: neckWidth(b), y: 0 };
  const centreNeck: Point = { x: 0, y: neckDepth(b) };
  const slope = rad(20);
  const along = { x: Math.cos(slope), y: Math.sin(slope) };
  const shoulderPoint = add(neckPoint, scale(along, b.shoulder));
  const underarm: Point = { x: b.bust / 4 + BODICE_EASE.bust / 4 + 8, y: underarmBelowNeck(b) };
  const side = leaning(LEAN.front);
  const bustPoint = bustPointOn(b);
  const intake = 21 + b.bust / 200;

  // The dart's centre line must run to the bust point: settle tip and legs against each other.
  const opened = (tip: Point) => openDart(underarm, side, DART_BELOW, b.sideWaist - DART_BELOW, tip, intake);
  let tip = add(bustPoint, { x: SETBACK, y: 0 });
  let dart = opened(tip);
  for (let i = 0; i < 40; i++) {
    tip = add(bustPoint, scale(unit(sub(midpoint(dart.a, dart.b), bustPoint)), SETBACK));
    dart = opened(tip);
  }
  const pitch: Point = { x: b.crossFront / 2, y: shoulderPoint.y + 0.55 * (underarm.y - shoulderPoint.y) };
  const armhole = armholeCurve(shoulderPoint, along, pitch, underarm, side);
  return {
    centreNeck,
    underarm,
    bustPoint,
    dart,
    sideDart: { id: 'sideDart', kind: 'side', mouth: 'sideDart', tip, foldToward: 'end' },
    armhole,
    edges: [
      edge('neck', 'neck', neckCurve(centreNeck, neckPoint, along)),
      edge('shoulder', 'shoulder', line(neckPoint, shoulderPoint)),
      edge('armhole', 'armhole', armhole.path),
      edge('sideUpper', 'side', line(underarm, dart.a)),
      edge('sideDart', 'dart', line(dart.a, dart.b)),
    ],
  };
}

/** A back from the neck down, centre back at x = 0: its width is what the front leaves of bust and ease. */
export interface BackUpper {
  readonly nape: Point;
  readonly width: number;
  readonly lean: number;
  /** Which way the side leaves the underarm. */
  readonly side: Point;
  readonly bustBelow: number;
  readonly shoulderDart: Dart;
  readonly armholeTo: (underarm: Point) => { readonly path: Path; readonly notchAt: number };
  /** Neck, the two parts of the shoulder with the dart's mouth between them, and the armhole. */
  readonly edgesTo: (armhole: Path) => readonly Edge[];
}

export function backUpper(b: Body, frontUnderarm: Point): BackUpper {
  const neckPoint: Point = { x: neckWidth(b) + 3, y: 0 };
  const nape: Point = { x: 0, y: NAPE_DROP };
  const slope = rad(17);
  const along = { x: Math.cos(slope), y: Math.sin(slope) };
  const half = 0.46 * b.shoulder;
  const dartStart = add(neckPoint, scale(along, half));
  const tip = add(dartStart, scale({ x: -Math.sin(slope), y: Math.cos(slope) }, 78));
  const shoulder = openDart(neckPoint, along, half, b.shoulder - half, tip, 12);
  const lean = LEAN.back;
  const side = leaning(lean);
  const bustBelow = DART_BELOW - 8;
  const frontWidth = frontUnderarm.x + bustBelow * Math.tan(-LEAN.front);
  return {
    nape,
    width: (b.bust + BODICE_EASE.bust) / 2 - frontWidth + bustBelow * Math.tan(lean),
    lean,
    side,
    bustBelow,
    shoulderDart: { id: 'shoulderDart', kind: 'shoulder', mouth: 'shoulderDart', tip, foldToward: 'start' },
    armholeTo: (underarm) => {
      const pitch: Point = { x: b.crossBack / 2 + 6, y: shoulder.end.y + 0.5 * (underarm.y - shoulder.end.y) };
      return armholeCurve(shoulder.end, shoulder.alongAfter, pitch, underarm, side);
    },
    edgesTo: (armhole) => [
      edge('neck', 'neck', neckCurve(nape, neckPoint, along)),
      edge('shoulderNeck', 'shoulder', line(neckPoint, shoulder.a)),
      edge('shoulderDart', 'dart', line(shoulder.a, shoulder.b)),
      edge('shoulderArm', 'shoulder', line(shoulder.b, shoulder.end)),
      edge('armhole', 'armhole', armhole),
    ],
  };
}

/** A front on the fold. */
export const FRONT: Pick<Piece, 'id' | 'part' | 'cut' | 'fold' | 'half' | 'notes'> = {
  id: 'front',
  part: 'front',
  cut: 1,
  fold: 'centreFront',
  half: true,
  notes: '',
};
/** A back that opens, cut twice. */
export const BACK: typeof FRONT = { id: 'back', part: 'back', cut: 2, fold: null, half: true, notes: '' };
