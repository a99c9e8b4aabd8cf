import {
  distance,
  endOf,
  intersectPaths,
  lerp,
  lineMeet,
  pathFromSpans,
  pathLength,
  pointOn,
  polyline,
  sub,
  type Point,
} from '../geometry/index.ts';
import { TOL, refuse, ok, type Result } from '../units/index.ts';
import { edgesWithRole, levelOf, outlineOf } from './access.ts';
import { wedgesOf, type Wedge } from './marks.ts';
import type { LevelName, Piece } from './types.ts';

export type MeasureError = 'level-not-on-piece';

/** A stretch of a measurement, so that a view can draw what was measured. */
export interface LevelWidth {
  readonly width: number;
  readonly runs: readonly (readonly [Point, Point])[];
}

const far = 20_000;

/**
 * Width of a piece at the height `y`, square to the grain, on the seam lines, with darts folded out: where
 * the line meets a dart leg it goes on from the other leg at the same distance from the tip. Starts at the
 * leftmost seam line. Refuses when the level misses the piece.
 */
export function widthAt(piece: Piece, y: number): Result<LevelWidth, MeasureError> {
  const outline = outlineOf(piece);
  const darts = wedgesOf(piece);
  const levels = new Map<number, readonly Point[]>();
  /** Where the height meets the outline, from the left: found once, however often the line sets off along it. */
  const along = (height: number): readonly Point[] => {
    const known = levels.get(height);
    if (known) return known;
    const line = polyline([
      { x: -far / 2, y: height },
      { x: far / 2, y: height },
    ]);
    const met = intersectPaths(line, outline)
      .map((h) => h.point)
      .sort((a, b) => a.x - b.x);
    levels.set(height, met);
    return met;
  };
  const hits = (from: Point) => along(from.y).filter((p) => p.x > from.x + TOL.node);
  const first = hits({ x: -far / 2, y })[0];
  if (!first) return refuse('level-not-on-piece', { piece: piece.name, y });
  let at = first;
  let width = 0;
  const runs: (readonly [Point, Point])[] = [];
  const used = new Set<number>();
  for (let guard = 0; guard <= darts.length; guard++) {
    const end = hits(at)[0];
    let stop = end ?? at;
    let next: Point | undefined;
    let crossed = -1;
    darts.forEach((d, i) => {
      if (used.has(i)) return;
      for (const crossing of crossingsOf(d, at)) {
        if (crossing.at.x < at.x + TOL.same || crossing.at.x >= stop.x) continue;
        stop = crossing.at;
        next = crossing.goesOn;
        crossed = i;
      }
    });
    width += stop.x - at.x;
    runs.push([at, stop]);
    if (!next) break;
    used.add(crossed);
    at = next;
  }
  return ok({ width, runs });
}

/** Where a level line to the right of a place meets the legs of a dart, and where it goes on on the other leg. */
function crossingsOf(d: Wedge, from: Point): readonly { readonly at: Point; readonly goesOn: Point }[] {
  if (d.curved) {
    const [one, two] = d.curved;
    const level = polyline([from, { x: from.x + far, y: from.y }]);
    return [[one, two] as const, [two, one] as const].flatMap(([leg, other]) =>
      // Legs that are alike are met again at the same parameter.
      intersectPaths(level, pathFromSpans([leg])).map((h) => ({ at: h.point, goesOn: pointOn(other, h.second.t) })),
    );
  }
  return (
    [
      [d.start, d.end],
      [d.end, d.start],
    ] as const
  ).flatMap(([leg, other]) => {
    const meet = lineMeet(from, { x: 1, y: 0 }, d.tip, sub(leg, d.tip));
    if (!meet || meet.r < 0 || meet.r > 1) return [];
    const share = (meet.r * distance(leg, d.tip)) / distance(other, d.tip);
    return [{ at: meet.point, goesOn: lerp(d.tip, other, share) }];
  });
}

/**
 * Width of one piece at a named level. Where the level is the piece's own lower seam (a bodice cut at the
 * waist) the seam itself is measured, dart mouths left out; elsewhere a straight line across.
 */
export function levelWidth(piece: Piece, name: LevelName): Result<LevelWidth, MeasureError> {
  const seam = name === 'waist' ? edgesWithRole(piece, 'waist') : [];
  if (seam.length > 0)
    return ok({
      width: seam.reduce((sum, e) => sum + pathLength(e.path), 0),
      runs: seam.map((e) => [e.path.start, endOf(e.path)] as const),
    });
  const at = levelOf(piece, name);
  return at ? widthAt(piece, at.y) : refuse('level-not-on-piece', { piece: piece.name, level: name });
}

const BODICE: readonly Piece['part'][] = ['front', 'sideFront', 'back', 'sideBack'];
/** Width of a piece so far below a named level; at the level itself the seam, where the piece ends in it. */
function widthBelow(piece: Piece, name: LevelName, below: number): Result<LevelWidth, MeasureError> {
  if (below === 0) return levelWidth(piece, name);
  const at = levelOf(piece, name);
  return at ? widthAt(piece, at.y + below) : refuse('level-not-on-piece', { piece: piece.name, level: name });
}

/** What a tape laid around the garment runs over, piece by piece. */
export interface AroundWidth {
  readonly width: number;
  readonly over: readonly { readonly piece: string; readonly runs: LevelWidth['runs'] }[];
}

/**
 * Around the body at a level, or so far below it: every piece that carries it, half pieces doubled, darts folded
 * out. Where a bodice reaches it, the skirt sewn to it is not counted again.
 */
export function aroundAt(pieces: readonly Piece[], name: LevelName, below = 0): Result<AroundWidth, MeasureError> {
  const all = pieces.flatMap((piece) => {
    const found = widthBelow(piece, name, below);
    return found.ok ? [{ piece, ...found.value }] : [];
  });
  const upper = all.filter((w) => BODICE.includes(w.piece.part));
  const counted = upper.length > 0 ? upper : all;
  if (counted.length === 0) return refuse('level-not-on-piece', { level: name });
  return ok({
    width: counted.reduce((sum, w) => sum + w.width * (w.piece.half ? 2 : 1), 0),
    over: counted.map((w) => ({ piece: w.piece.id, runs: w.runs })),
  });
}

/** Flat measurement around the body at a level. */
export function flatMeasure(pieces: readonly Piece[], name: LevelName): Result<number, MeasureError> {
  const around = aroundAt(pieces, name);
  return around.ok ? ok(around.value.width) : around;
}

/** Which way the body's side lies from the centre edge: +1 to the right, −1 to the left. */
export function sideDirection(piece: Piece): 1 | -1 {
  const centre = [
    ...edgesWithRole(piece, 'centreFront'),
    ...edgesWithRole(piece, 'centreBack'),
    ...edgesWithRole(piece, 'princess'),
    ...edgesWithRole(piece, 'crotch'),
  ][0];
  const side = edgesWithRole(piece, 'side')[0];
  if (!centre || !side) return 1;
  return side.path.start.x >= centre.path.start.x ? 1 : -1;
}

/** Sewn waist of a piece cut there, or its width at the level. */
export const waistOf = (piece: Piece): number | null => {
  const width = levelWidth(piece, 'waist');
  return width.ok ? width.value.width : null;
};
export const hipOf = (piece: Piece): number | null => {
  const level = levelOf(piece, 'hip');
  if (level) {
    const width = widthAt(piece, level.y);
    return width.ok ? width.value.width : null;
  }
  const hem = edgesWithRole(piece, 'hem');
  return hem.length > 0 ? hem.reduce((n, e) => n + pathLength(e.path), 0) : null;
};
