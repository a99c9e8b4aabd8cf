import {
  add,
  blend,
  pathFromSpans,
  pathLength,
  polyline,
  rotate,
  rotateAbout,
  scale,
  sub,
  unit,
  distance,
  type CubicSpan,
  type Path,
  type Point,
} from '../geometry/index.ts';
import type { Edge, EdgeRole } from '../pattern/index.ts';
import { TOL } from '../units/index.ts';

export const QUARTER = Math.PI / 2;
export const rad = (degrees: number): number => (degrees * Math.PI) / 180;
/** Direction of a seam that goes down and leans inward (to the left) by an angle. */
export const leaning = (angle: number): Point => ({ x: -Math.sin(angle), y: Math.cos(angle) });
export const line = (a: Point, b: Point): Path => polyline([a, b]);
export const edge = (id: string, role: EdgeRole, path: Path, allowance = 15): Edge => ({ id, role, path, allowance });

export const curve = (a: Point, c1: Point, c2: Point, b: Point): CubicSpan => ({ kind: 'cubic', a, c1, c2, b });

/** An armhole: square to the shoulder, upright at the pitch point, square to the side seam at the underarm. */
export function armholeCurve(
  shoulder: Point,
  alongShoulder: Point,
  pitch: Point,
  underarm: Point,
  alongSide: Point,
): { readonly path: Path; readonly notchAt: number } {
  const arrive = rotate(alongSide, -QUARTER);
  const upper = blend(shoulder, rotate(alongShoulder, QUARTER), pitch, { x: 0, y: 1 }, 0.36);
  const lower = curve(
    pitch,
    { x: pitch.x, y: pitch.y + 0.62 * (underarm.y - pitch.y) },
    sub(underarm, scale(arrive, 0.62 * (underarm.x - pitch.x))),
    underarm,
  );
  return { path: pathFromSpans([upper, lower]), notchAt: pathLength(pathFromSpans([upper])) };
}

/** A neckline: square to the centre, square to the shoulder seam. */
export function neckCurve(centre: Point, neckPoint: Point, alongShoulder: Point): Path {
  const arrive = rotate(alongShoulder, -QUARTER);
  return pathFromSpans([
    curve(
      centre,
      { x: centre.x + 0.5 * (neckPoint.x - centre.x), y: centre.y },
      sub(neckPoint, scale(arrive, 0.62 * Math.abs(neckPoint.y - centre.y))),
      neckPoint,
    ),
  ]);
}

export interface WaistLayout {
  readonly height: number;
  readonly intake: number;
  readonly tip: Point;
  readonly sideLeg: Point;
  readonly centreLeg: Point;
  readonly sidePart: Path;
}

/**
 * A waist with one upright dart: level from the centre to the dart; beyond it turned by the dart's opening, so
 * that the seam runs on when the dart is closed; square to the side seam. Solves the height at the centre and
 * the dart's intake so that the sewn waist measures `width`. The outline runs from the side to the centre.
 */
export function layOutWaist(side: Point, alongSide: Point, dartX: number, tipY: number, width: number): WaistLayout {
  const lean = Math.atan2(-alongSide.x, alongSide.y);
  let intake = 30;
  let height = side.y;
  let layout: WaistLayout | null = null;
  for (let i = 0; i < 200; i++) {
    const opening = 2 * Math.atan(intake / 2 / (height - tipY));
    const sideLeg = { x: dartX + intake / 2, y: height };
    const centreLeg = { x: dartX - intake / 2, y: height };
    height = side.y + (side.x - sideLeg.x) * Math.tan((opening - lean) / 2);
    const leave = rotate(alongSide, QUARTER);
    const arrive = rotate({ x: -1, y: 0 }, -opening);
    const sidePart = pathFromSpans([blend(side, leave, sideLeg, arrive)]);
    const excess = pathLength(sidePart) + centreLeg.x - width;
    layout = { height, intake, tip: { x: dartX, y: tipY }, sideLeg, centreLeg, sidePart };
    if (Math.abs(excess) < TOL.solve) break;
    intake += excess * 0.7;
  }
  if (!layout) throw new Error('layOutWaist: expected a layout');
  return layout;
}

/** A dart cut into a straight seam: the seam beyond it turned so that it is straight again once the dart is closed. */
export function openDart(
  start: Point,
  along: Point,
  before: number,
  after: number,
  tip: Point,
  intake: number,
): { readonly a: Point; readonly b: Point; readonly end: Point; readonly alongAfter: Point } {
  const a = add(start, scale(along, before));
  const angle = 2 * Math.asin(intake / 2 / distance(a, tip));
  const b = rotateAbout(a, tip, angle);
  const alongAfter = unit(rotate(along, angle));
  return { a, b, end: add(b, scale(alongAfter, after)), alongAfter };
}
