import {
  differenceD,
  EndType,
  FillRule,
  inflatePathsD,
  intersectD,
  JoinType,
  unionD,
  xorD,
} from '@countertype/clipper2-ts';
import { flatten, ringArea, type Path, type Point } from '../../geometry/index.ts';
import { TOL } from '../../units/index.ts';

/**
 * Paper by its outlines: closed rings of points, holes wound the other way round. Regions say where paper lies; the
 * lines drawn on it stay curves. Coordinates in mm.
 */
export type Ring = readonly Point[];
export type Region = readonly Ring[];

/** Chords of regions lie this near to their curves, mm: paper is not cut finer. */
export const FLAT = 0.05;

/** Decimals kept by the library that joins and cuts regions: a ten-thousandth of a millimetre. */
const DECIMALS = 4;

const plain = (rings: Region): Point[][] => rings.map((r) => r.map(({ x, y }) => ({ x, y })));
const clean = (rings: Region): Region => rings.filter((r) => r.length >= 3);

/** The paper inside a closed path; `flat` is how far a chord may lie from the curve, mm. */
export const regionOf = (path: Path, flat: number = TOL.flat): Region => [flatten(path, flat)];

export const unite = (...regions: readonly Region[]): Region =>
  clean(unionD(plain(regions.flat()), [], FillRule.NonZero, DECIMALS));
/** What both have. */
export const common = (a: Region, b: Region): Region =>
  clean(intersectD(plain(a), plain(b), FillRule.NonZero, DECIMALS));
/** What the first has and the second has not. */
export const without = (a: Region, b: Region): Region =>
  clean(differenceD(plain(a), plain(b), FillRule.NonZero, DECIMALS));
/** What one of them has and the other has not. */
export const either = (a: Region, b: Region): Region => clean(xorD(plain(a), plain(b), FillRule.NonZero, DECIMALS));
/** Wider all round by so many millimetres, round at corners; narrower where negative. */
export const grow = (region: Region, by: number): Region =>
  clean(inflatePathsD(plain(region), by, JoinType.Round, EndType.Polygon, 2, DECIMALS, FLAT));

/** mm², holes taken off: the library winds them the other way. */
export const areaOf = (region: Region): number => Math.abs(region.reduce((sum, r) => sum + ringArea(r), 0));
/** A strip of paper about a line between two points. */
export function about(a: Point, b: Point, by: number): Region {
  const ring = [a, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }, b];
  return clean(inflatePathsD([ring], by, JoinType.Round, EndType.Round, 2, DECIMALS, FLAT));
}
/** The outer rings only: holes are filled. */
export const filled = (region: Region): Region => region.filter((r) => ringArea(r) > 0);
