import { add, sub, type Point } from './vec.ts';

/** A rigid motion of the plane: p ↦ R(angle)·p + (x, y). Never scales, never mirrors. */
export interface Rigid {
  readonly angle: number;
  readonly x: number;
  readonly y: number;
}

export const REST: Rigid = { angle: 0, x: 0, y: 0 };

export const translation = (by: Point): Rigid => ({ angle: 0, x: by.x, y: by.y });

/** Turn by `angle` (positive is clockwise as seen) about a fixed point. */
export function rotationAbout(about: Point, angle: number): Rigid {
  const turned = rotate(about, angle);
  return { angle, x: about.x - turned.x, y: about.y - turned.y };
}

export function rotate(p: Point, angle: number): Point {
  if (angle === 0) return p;
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  return { x: c * p.x - s * p.y, y: s * p.x + c * p.y };
}

export const move = (m: Rigid, p: Point): Point => {
  const r = rotate(p, m.angle);
  return { x: r.x + m.x, y: r.y + m.y };
};

/** First `first`, then `second`. */
export function compose(second: Rigid, first: Rigid): Rigid {
  const origin = move(second, { x: first.x, y: first.y });
  return { angle: first.angle + second.angle, x: origin.x, y: origin.y };
}

export function inverse(m: Rigid): Rigid {
  const back = rotate({ x: -m.x, y: -m.y }, -m.angle);
  return { angle: -m.angle, x: back.x, y: back.y };
}

export const isRest = (m: Rigid): boolean => m.angle === 0 && m.x === 0 && m.y === 0;

export const rotateAbout = (p: Point, about: Point, angle: number): Point => add(about, rotate(sub(p, about), angle));
