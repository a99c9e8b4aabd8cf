import {
  alongTube,
  armTube,
  around,
  crossAt,
  crotchAt,
  girthOf,
  kneeLevel,
  legOf,
  sectionOf,
  shapeOf,
  tapesOn,
  thighLevel,
  type Vec3,
} from '../form/index.ts';
import { edgesWithRole, type EdgeRole, type Piece } from '../pattern/index.ts';
import { edgeKey, isSleeve } from '../sew/index.ts';
import {
  girthAround,
  girthAtLevel,
  lengthAt,
  lowestOn,
  placeAt,
  pointsAlong,
  pullOver,
  standOff,
  surplusAlong,
  waistOn,
  widthAt,
} from './measure.ts';
import { LIES_OFF } from './rest.ts';
import type { Worn } from './wear.ts';

/** What a garment on a form is read for, in the order told. The ids are kept in files. */
export const READINGS = [
  'pull-bust',
  'pull-waist',
  'pull-hip',
  'pull-cross-back',
  'ease-cross-front',
  'ease-cross-back',
  'ease-bust',
  'ease-waist',
  'ease-hip',
  'pull-upper-arm',
  'ease-upper-arm',
  'pull-seat',
  'pull-crotch',
  'crotch-drop',
  'pull-thigh',
  'ease-thigh',
  'ease-knee',
  'stand-off-neck',
  'stand-off-armhole',
  'surplus-back-waist',
  'surplus-over-bust',
  'waist-seam-front',
  'waist-seam-side',
  'waist-seam-back',
  'hem-front',
  'hem-side',
  'hem-back',
  'shoulder-end',
  'side-seam-lean',
  'neck-rise-back',
] as const;
export type ReadingId = (typeof READINGS)[number];

/** A reading: percent of pull, mm, or degrees. Null where the garment does not reach there. */
export type Readings = Readonly<Record<ReadingId, number | null>>;

const FRONTS: readonly Piece['part'][] = ['front', 'sideFront', 'skirtFront', 'trouserFront'];
const BACKS: readonly Piece['part'][] = ['back', 'sideBack', 'skirtBack', 'trouserBack'];
/** How far above and below a level a pull is looked at, mm. */
const BAND = 30;
const ROUND = 72;
/** How far below its upper edge a garment that hangs from the waist is read for it, mm. */
const BELOW_EDGE = 12;
const BACKWARD: Vec3 = { x: 0, y: 0, z: -1 };

export function read(w: Worn): Readings {
  const { figure } = w;
  const shape = shapeOf(figure);
  const section = sectionOf(shape);
  const girth = (y: number): number => girthOf(around(section(y), shape.mounds, ROUND));
  const lowest = lowestOn(w);
  const near = (y: number) => (p: Vec3) => Math.abs(p.y - y) < BAND;
  const inFront = (p: Vec3): boolean => p.z > section(p.y).z;
  const reaches = (y: number): boolean => lowest < y - BAND;
  const along = (role: EdgeRole, parts?: readonly Piece['part'][]) => pointsAlong(w, role, parts);
  const [shoulder, armhole, neckline] = [along('shoulder'), along('armhole'), along('neck', FRONTS)];
  const hung = shoulder.length > 0 || along('neck', ['sleeve']).length > 0;
  // What hangs from the waist begins there.
  const waistAt = figure.waist - (hung ? 0 : BELOW_EDGE);
  // A cut-on sleeve runs on past the bone: its seam has no end there.
  const cutOn = pointsAlong(w, 'underarm', FRONTS).length > 0;
  const top = <T>(value: () => T): T | null => (hung ? value() : null);
  const at = <T>(y: number, value: () => T): T | null => (reaches(y) ? value() : null);
  // A tape over the cloth lies as far off the body all round as the cloth does.
  const ease = (y: number): number => lengthAt(w, y) - girth(y) - 2 * Math.PI * LIES_OFF;
  const waist = (role: 'centreFront' | 'centreBack' | 'side', parts: readonly Piece['part'][]): number | null => {
    const p = waistOn(w, role, parts);
    return p && p.y - figure.waist - (role === 'centreBack' ? figure.waistTilt : 0);
  };
  const hem = hemOf(w);
  const cross = crossAt(figure);
  const bust = (p: Vec3): boolean => near(figure.bust)(p) && inFront(p);
  /** From armhole to armhole less the tape from arm to arm; null where no armhole ends front or back, or the neckline lies lower. */
  const across = (tape: 'crossFront' | 'crossBack', parts: readonly Piece['part'][]): number | null => {
    const width = along('armhole', parts).length > 0 ? widthAt(w, cross, parts) : null;
    return width === null ? null : width - (tapesOn(figure, [tape])[0] ?? 0);
  };
  return {
    'pull-bust': top(() => pullOver(w, bust)),
    'pull-waist': at(waistAt, () => pullOver(w, near(waistAt))),
    'pull-hip': at(figure.hip, () => pullOver(w, near(figure.hip))),
    'pull-cross-back': top(() => pullOver(w, (p) => near(cross)(p) && !inFront(p))),
    'ease-cross-front': across('crossFront', FRONTS),
    'ease-cross-back': across('crossBack', BACKS),
    'ease-bust': top(() => ease(figure.bust)),
    'ease-waist': at(waistAt, () => ease(waistAt)),
    'ease-hip': at(figure.hip, () => ease(figure.hip)),
    ...sleeveOf(w),
    ...legsOf(w),
    // A fuller bust lifts the neckline in front and lets it down behind: both together would tell nothing.
    'stand-off-neck': neckline.length === 0 ? null : standOff(w, neckline),
    'stand-off-armhole': armhole.length === 0 ? null : standOff(w, armhole),
    'surplus-back-waist': top(() =>
      surplusAlong(
        w,
        pointsAlong(w, 'centreBack').filter((i) => inBackOf(w, i)),
        BACKWARD,
      ),
    ),
    'surplus-over-bust': top(() => lengthAt(w, figure.bust, inFront) - frontGirth(w)),
    'waist-seam-front': waist('centreFront', FRONTS),
    'waist-seam-side': waist('side', [...FRONTS, ...BACKS]),
    'waist-seam-back': waist('centreBack', BACKS),
    'hem-front': hem.front,
    'hem-side': hem.side,
    'hem-back': hem.back,
    'shoulder-end': cutOn || shoulder.length === 0 ? null : beyondBone(w, shoulder),
    'side-seam-lean': leanOf(w),
    'neck-rise-back': riseBehind(w),
  };
}

/** How hard a sleeve is pulled around the upper arm, and its ease there; null without one. */
function sleeveOf(w: Worn): Pick<Readings, 'pull-upper-arm' | 'ease-upper-arm'> {
  const sleeve = w.toile.panels.find(isSleeve);
  if (!sleeve) return { 'pull-upper-arm': null, 'ease-upper-arm': null };
  const tube = armTube(w.figure);
  // Just below the underarm, where the sleeve first goes all the way round.
  const head = [...pointsAlong(w, 'cap'), ...pointsAlong(w, 'raglan', ['sleeve'])];
  const at = Math.max(...head.map((i) => alongTube(tube, placeAt(w, i)))) + BAND;
  const near = (p: Vec3): boolean => Math.abs(alongTube(tube, p) - at) < BAND;
  return {
    'pull-upper-arm': pullOver(w, near, sleeve),
    'ease-upper-arm': girthAround(w, tube, at) - 2 * Math.PI * (tube.radiusAt(at) + LIES_OFF),
  };
}

const LEG_READINGS = ['pull-seat', 'pull-crotch', 'crotch-drop', 'pull-thigh', 'ease-thigh', 'ease-knee'] as const;
type LegReadings = Pick<Readings, (typeof LEG_READINGS)[number]>;

/** How far beside the centre back a pull over the seat is looked at, and how far below the waist it begins, mm. */
const SEAT = { aside: 70, below: 60 } as const;

/** How far around the crotch a pull is looked at, mm. */
const UNDER = 45;

/** How trousers lie at seat, crotch and leg; null without legs. */
function legsOf(w: Worn): LegReadings {
  const { figure } = w;
  const { legs } = figure;
  if (!legs) return Object.fromEntries(LEG_READINGS.map((id) => [id, null])) as LegReadings;
  const shape = shapeOf(figure);
  const leg = legOf(figure, legs, shape);
  const crotch = crotchAt(figure, legs);
  const seam = pointsAlong(w, 'inseam').map((i) => placeAt(w, i).y);
  const lowest = Math.min(...pointsAlong(w, 'side').map((i) => placeAt(w, i).y));
  /** One leg around a level, once below the crotch of the garment; null where the leg has ended. */
  const ease = (y: number): number | null =>
    lowest > y - BAND ? null : girthAtLevel(w, y) - girthOf(around(leg.section(y), [], ROUND)) - 2 * Math.PI * LIES_OFF;
  const top = Math.max(...seam);
  const thigh = Math.min(thighLevel(figure, legs), top - BAND);
  const behind = (p: Vec3): boolean =>
    p.z < leg.section(p.y).z && p.x < SEAT.aside && p.y > crotch && p.y < figure.waist - SEAT.below;
  return {
    'pull-seat': pullOver(w, behind),
    'pull-crotch': pullOver(w, (p) => p.x < UNDER && p.y < crotch + UNDER && p.y > top - BAND),
    'crotch-drop': crotch - top,
    'pull-thigh': pullOver(w, (p) => Math.abs(p.y - thigh) < BAND),
    'ease-thigh': ease(thigh),
    'ease-knee': ease(kneeLevel(figure, legs)),
  };
}

/** How far beyond the bone the shoulder seam ends, along the slope of the shoulder, mm. */
function beyondBone(w: Worn, seam: readonly number[]): number {
  const { shoulder, neckHalf, neckPoint, shoulderDrop: drop } = w.figure;
  const across = shoulder - neckHalf;
  const long = Math.hypot(across, drop);
  const along = ({ x, y }: Vec3): number => ((x - neckHalf) * across + (neckPoint - y) * drop) / long;
  return Math.max(...seam.map((i) => along(placeAt(w, i)))) - long;
}

/** From the shoulder blades to the hip. */
const inBackOf = (w: Worn, i: number): boolean => {
  const { y } = placeAt(w, i);
  return y < crossAt(w.figure) && y > w.figure.hip;
};

/** How far above the nape the neckline ends at the centre back. */
function riseBehind(w: Worn): number | null {
  const centre = new Set(pointsAlong(w, 'centreBack', BACKS));
  const behind = pointsAlong(w, 'neck', BACKS).filter((i) => centre.has(i));
  return behind.length === 0 ? null : Math.max(...behind.map((i) => placeAt(w, i).y)) - w.figure.nape;
}

/** The body’s front at the bust under a tape, both halves, from one side to the other, mm. */
function frontGirth(w: Worn): number {
  const shape = shapeOf(w.figure);
  const ring = sectionOf(shape)(w.figure.bust);
  return (
    girthOf(around(ring, shape.mounds, ROUND).filter((p) => p.z >= ring.z - 1)) - 2 * ring.half + Math.PI * LIES_OFF
  );
}

/** The lowest edge of the garment at the centre front, the side and the centre back, mm above the floor. */
function hemOf(w: Worn): { readonly front: number | null; readonly side: number | null; readonly back: number | null } {
  const lowest = (points: readonly number[]): number | null =>
    points.length === 0 ? null : Math.min(...points.map((i) => placeAt(w, i).y));
  return {
    front: lowest(pointsAlong(w, 'centreFront')),
    side: lowest(pointsAlong(w, 'side')),
    back: lowest(pointsAlong(w, 'centreBack')),
  };
}

/** How far the side seam runs forward on its way down, degrees. */
function leanOf(w: Worn): number | null {
  const side = w.toile.panels
    .filter((p) => FRONTS.includes(p.piece.part))
    .flatMap(({ piece }) =>
      edgesWithRole(piece, 'side').flatMap((e) => [...(w.toile.edges.get(edgeKey(piece.id, e.id)) ?? [])]),
    )
    .map((i) => placeAt(w, i))
    .sort((a, b) => b.y - a.y);
  const [top, bottom] = [side[0], side.at(-1)];
  return top && bottom && top.y > bottom.y ? (Math.atan2(bottom.z - top.z, top.y - bottom.y) * 180) / Math.PI : null;
}
