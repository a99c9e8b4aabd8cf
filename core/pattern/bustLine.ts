import {
  cross,
  distance,
  endOf,
  flatten,
  insidePolygon,
  intersectPaths,
  lerp,
  nearestOnPath,
  pathFromSpans,
  pointAt,
  polyline,
  sub,
  type Point,
} from '../geometry/index.ts';
import { TOL, nth, cyclic, once } from '../units/index.ts';
import { bustPointOf, dartShape, edgesWithRole, levelOf, outlineOf } from './access.ts';
import { wedgesOf, type Wedge } from './marks.ts';
import { sideDirection } from './measure.ts';
import type { Edge, EdgeRole, Piece, TapeStretch } from './types.ts';

const FRONTS: readonly Piece['part'][] = ['front', 'sideFront'];
const BODICE: readonly Piece['part'][] = ['front', 'sideFront', 'back', 'sideBack'];
/** A coordinate beyond every piece, and how far below the underarm there is certain to be side seam, mm. */
const FAR = 20_000;
const BESIDE = 1;
/** How far a redrawn seam may lie from where the bust line ended, mm. */
const REACH = 120;

/**
 * Where a tape lies around the bust on one piece. On a piece as drafted: square from the centre to the bust point and on
 * to the side seam level with it, to a leg of a dart whose mouth lies there; on panels from and to the apex
 * notch; without a bust point straight across at the bust level. On an altered piece where that paper has gone. Empty where the piece does not reach the bust.
 */
export const bustLineOf = once(
  (piece: Piece): readonly TapeStretch[] => piece.bustLine ?? (BODICE.includes(piece.part) ? layLine(piece) : []),
);

/** The same through another bust point than the pattern's own: the wearer's. */
export const bustLineThrough = (piece: Piece, bust: Point): readonly TapeStretch[] => layLine(piece, bust);

function layLine(piece: Piece, bust = bustPointOf(piece)): readonly TapeStretch[] {
  const y = bust?.y ?? levelOf(piece, 'bust')?.y;
  const sides = edgesWithRole(piece, 'side');
  if (y === undefined) return [];
  const across = (height: number): readonly [Point, Point] | null => {
    const line = polyline([
      { x: -FAR, y: height },
      { x: FAR, y: height },
    ]);
    const hits = intersectPaths(line, outlineOf(piece)).map((h) => h.point);
    const [left, right] = [hits[0], hits.at(-1)];
    return left && right && right.x - left.x > TOL.touches ? [left, right] : null;
  };
  const level = across(y);
  if (!level) return [];
  const toRight = sideDirection(piece) > 0;
  const [inner, outer] = toRight ? level : [level[1], level[0]];
  // A bust point above the underarm has no side seam beside it: the tape goes to where the side begins.
  const ends = sides.flatMap((e) => [e.path.start, endOf(e.path)]);
  const underarm = ends.length > 0 ? Math.min(...ends.map((p) => p.y)) : -Infinity;
  const beside = y < underarm + BESIDE ? across(underarm + BESIDE) : level;
  const out = y < underarm + BESIDE && beside ? (toRight ? beside[1] : beside[0]) : outer;
  // On panels the bust point may lie on the seam, or beyond it.
  const inside = bust && (bust.x - inner.x) * (outer.x - bust.x) > 0 && distance(bust, inner) > TOL.touches;
  const end = legAt(piece, out, inside && bust ? bust : inner);
  const apex = apexOf(piece);
  const whole: TapeStretch =
    apex && distance(apex, inner) < distance(apex, end) ? { from: apex, to: end } : { from: inner, to: apex ?? end };
  const found: readonly TapeStretch[] =
    inside && !apex
      ? [
          { from: inner, to: bust },
          { from: bust, to: end },
        ]
      : [whole];
  return toRight ? found : [...found].reverse().map((s) => ({ from: s.to, to: s.from }));
}

/** The notch at the apex of a princess edge: the one so called, else the only one there is. */
export function apexMark(piece: Piece, seam: Edge): { readonly id: string; readonly at: number } | undefined {
  const notches = piece.marks.flatMap((m) => (m.kind === 'notch' && m.edge === seam.id ? [m] : []));
  return notches.find((m) => m.id.startsWith('apex')) ?? (notches.length === 1 ? notches[0] : undefined);
}

/** Where the apex notch of a panel lies; null on a piece without one. */
function apexOf(piece: Piece): Point | null {
  const seam = FRONTS.includes(piece.part) ? edgesWithRole(piece, 'princess')[0] : undefined;
  const mark = seam ? apexMark(piece, seam) : undefined;
  return seam && mark ? pointAt(seam.path, mark.at) : null;
}

/** The end of a leg of the dart whose mouth lies there, the upper one unless the tape would lie in the dart; else the place itself. */
function legAt(piece: Piece, at: Point, from: Point): Point {
  for (const dart of piece.darts) {
    const { start, tip, end } = dartShape(piece, dart);
    const [low, high] = [Math.min(start.y, end.y), Math.max(start.y, end.y)];
    const near = Math.abs(at.x - (start.x + end.x) / 2) <= distance(start, end) + BESIDE;
    if (!near || at.y <= low || at.y >= high) continue;
    const [upper, lower] = start.y < end.y ? [start, end] : [end, start];
    const wedge: Ring = [start, tip, end];
    return seen(from, upper, [wedge]) < seen(from, lower, [wedge]) ? lower : upper;
  }
  return at;
}

/** A piece whose seams were drawn again without its paper being cut: its tape is where it was. */
export function layBustLine(before: Piece, after: Piece): Piece {
  if (after.bustLine || before.id !== after.id) return after;
  const line = bustLineOf(before);
  return line.length > 0 ? { ...after, bustLine: line } : after;
}

/** A dart as the ring around it: what lies inside is folded away. */
type Ring = readonly Point[];
const ringOf = ({ start, tip, end, curved }: Wedge): Ring => {
  if (!curved) return [start, tip, end];
  const [one, other] = curved.map((leg) => flatten(pathFromSpans([leg])));
  return [...(one ?? []), ...[...(other ?? [])].reverse().slice(0, -1)];
};

/** The share of a straight line that is visible cloth once the darts are sewn. */
function seen(from: Point, to: Point, wedges: readonly Ring[]): number {
  const way = sub(to, from);
  const places = new Set([0, 1]);
  for (const wedge of wedges)
    wedge.forEach((a, i) => {
      const along = sub(cyclic(wedge, i + 1), a);
      const across = cross(way, along);
      if (Math.abs(across) < TOL.same) return;
      const t = cross(sub(a, from), along) / across;
      if (t > 0 && t < 1) places.add(t);
    });
  const sorted = [...places].sort((a, b) => a - b);
  return sorted.slice(1).reduce((sum, t, i) => {
    const before = nth(sorted, i);
    const middle = lerp(from, to, (before + t) / 2);
    return wedges.some((w) => insidePolygon(middle, w)) ? sum : sum + t - before;
  }, 0);
}

/**
 * Length of the tape around the bust on one piece, what is inside a dart skipped as a finger does it; paper put in
 * between two stretches counts as wide as it is, paper lapped is taken off. Null where the piece does not reach the bust.
 */
export function bustLineLength(piece: Piece): number | null {
  const line = bustLineOf(piece);
  const [first, last] = [line[0], line.at(-1)];
  if (!first || !last) return null;
  const wedges = wedgesOf(piece).map(ringOf);
  const outward = Math.sign(last.to.x - first.from.x);
  return line.reduce((sum, stretch, i) => {
    const before = line[i - 1]?.to;
    const gap = before ? outward * (stretch.from.x - before.x) * seen(before, stretch.from, wedges) : 0;
    return sum + gap + distance(stretch.from, stretch.to) * seen(stretch.from, stretch.to, wedges);
  }, 0);
}

/** The line of a piece whose seams were drawn again: its two ends go on, or back, to where the seams now lie. */
export function settledBustLine(piece: Piece): Piece {
  const line = piece.bustLine;
  if (!line || line.length === 0) return piece;
  // On panels the tape goes straight between the apex notch and the other seam.
  const apex = apexOf(piece);
  if (apex) {
    const ends = settledEnds(piece, line);
    const nearer = distance(apex, ends.from) < distance(apex, ends.to);
    return { ...piece, bustLine: [nearer ? { from: apex, to: ends.to } : { from: ends.from, to: apex }] };
  }
  const { from, to } = settledEnds(piece, line);
  const ends = line.map((s, i) => ({
    from: i === 0 ? from : s.from,
    to: i === line.length - 1 ? to : s.to,
  }));
  return { ...piece, bustLine: ends };
}

function settledEnds(piece: Piece, line: readonly TapeStretch[]): TapeStretch {
  const [first, last] = [nth(line, 0), nth(line, line.length - 1)];
  const outline = outlineOf(piece);
  const underarm = edgesWithRole(piece, 'side')
    .flatMap((e) => [e.path.start, endOf(e.path)])
    .sort((a, b) => a.y - b.y)[0];
  /** Where the stretch from `inner` through `end` meets the outline nearest to its end. */
  const settle = (inner: Point, end: Point): Point => {
    const size = distance(inner, end);
    if (size < TOL.touches) return end;
    const far = lerp(inner, end, 1 + REACH / size);
    const hits = intersectPaths(polyline([lerp(inner, end, 0.5), far]), outline).map((h) => h.point);
    const best = hits.sort((a, b) => distance(a, end) - distance(b, end))[0];
    if (!best || distance(best, end) >= REACH) return end;
    // Where the armhole now reaches lower than the tape, that goes to where the side begins.
    return underarm && onEdge(piece, 'armhole', best) ? underarm : best;
  };
  return { from: settle(first.to, first.from), to: settle(last.from, last.to) };
}

const onEdge = (piece: Piece, role: EdgeRole, at: Point): boolean =>
  edgesWithRole(piece, role).some((e) => nearestOnPath(e.path, at).distance < TOL.touches);

/** A piece whose line is laid when it is asked for: what it was drafted on no longer counts. */
export function withoutBustLine(piece: Piece): Piece {
  const { bustLine: _gone, ...rest } = piece;
  return rest;
}

/** A piece that was divided from another: its line is laid anew, from its own bust level. */
export const withBustLineAnew = (piece: Piece): Piece => {
  const bare = withoutBustLine(piece);
  const line = bustLineOf(bare);
  return line.length > 0 ? { ...bare, bustLine: line } : bare;
};

/** The line seen from the other side of the cloth. */
export const flippedBustLine = (
  line: readonly TapeStretch[] | undefined,
  flip: (p: Point) => Point,
): { readonly bustLine?: readonly TapeStretch[] } => (line ? { bustLine: flippedTape(line, flip) } : {});

/** Stretches of a tape seen from the other side of the cloth, in the order they then have. */
export const flippedTape = (line: readonly TapeStretch[], flip: (p: Point) => Point): readonly TapeStretch[] =>
  line.map((s) => ({ from: flip(s.to), to: flip(s.from) })).reverse();
