import type { Path, Point } from '../../geometry/index.ts';
import { asCut, cuttingLine, type Edge, type Piece, type Seam, type SeamSide } from '../../pattern/index.ts';

/**
 * What makes a piece wrong, worked out a second time and otherwise than the guard does it: with fixed steps along every
 * curve, winding numbers and sums of chords. Where both agree that a piece is right, it is; where only this one finds
 * something, a wrong piece would have left the table without a word.
 */
export interface Wrong {
  readonly piece: string;
  readonly what: string;
}

const STEPS = 16;
/** What no pair of scissors follows, mm. */
const SLACK = 0.5;

export function points(path: Path, steps = STEPS): readonly Point[] {
  const out: Point[] = [path.start];
  let a = path.start;
  for (const s of path.segments) {
    if (s.kind === 'line') out.push(s.to);
    else
      for (let i = 1; i <= steps; i++) {
        const t = i / steps;
        const u = 1 - t;
        const k = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t] as const;
        out.push({
          x: k[0] * a.x + k[1] * s.c1.x + k[2] * s.c2.x + k[3] * s.to.x,
          y: k[0] * a.y + k[1] * s.c1.y + k[2] * s.c2.y + k[3] * s.to.y,
        });
      }
    a = s.to;
  }
  return out;
}

const apart = (a: Point, b: Point): number => Math.sqrt((a.x - b.x) ** 2 + (a.y - b.y) ** 2);
export const chordSum = (path: Path): number => {
  const known = sums.get(path);
  if (known !== undefined) return known;
  const p = points(path, 64);
  let sum = 0;
  for (let i = 1; i < p.length; i++) sum += apart(p[i] as Point, p[i - 1] as Point);
  sums.set(path, sum);
  return sum;
};
const sums = new WeakMap<Path, number>();

/** Twice the area of a ring by the trapezium rule; above nothing when it runs clockwise as seen. */
const ringArea = (ring: readonly Point[]): number =>
  ring.reduce((sum, p, i) => {
    const q = ring[(i + 1) % ring.length] as Point;
    return sum + (q.x - p.x) * (q.y + p.y);
  }, 0) / -2;

/** How often a ring winds around a point. */
function winding(p: Point, ring: readonly Point[]): number {
  let turns = 0;
  let a = ring[ring.length - 1] as Point;
  for (const b of ring) {
    const side = (b.x - a.x) * (p.y - a.y) - (p.x - a.x) * (b.y - a.y);
    if (a.y <= p.y && b.y > p.y && side > 0) turns += 1;
    if (a.y > p.y && b.y <= p.y && side < 0) turns -= 1;
    a = b;
  }
  return turns;
}

const toSegment = (p: Point, a: Point, b: Point): number => {
  const [ux, uy] = [b.x - a.x, b.y - a.y];
  const square = ux * ux + uy * uy;
  const t = square === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - a.x) * ux + (p.y - a.y) * uy) / square));
  return Math.hypot(p.x - a.x - t * ux, p.y - a.y - t * uy);
};
const toRing = (p: Point, ring: readonly Point[]): number =>
  ring.reduce((best, a, i) => Math.min(best, toSegment(p, a, ring[(i + 1) % ring.length] as Point)), Infinity);

function crosses(a: Point, b: Point, c: Point, d: Point): boolean {
  const o = (p: Point, q: Point, r: Point): number => (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x);
  return o(a, b, c) * o(a, b, d) < 0 && o(c, d, a) * o(c, d, b) < 0;
}

/**
 * How deep a ring folds over itself: the farthest an end of one of two crossing chords lies beyond the other, mm.
 * Chords are gone through from left to right, each against those that begin before it ends.
 */
function foldDepth(ring: readonly Point[]): number {
  const n = ring.length;
  const chords = ring
    .map((a, i) => {
      const b = ring[(i + 1) % n] as Point;
      return { i, a, b, from: Math.min(a.x, b.x), to: Math.max(a.x, b.x) };
    })
    .sort((p, q) => p.from - q.from);
  let depth = 0;
  for (let k = 0; k < n; k++) {
    const { i, a, b, to } = chords[k] as (typeof chords)[number];
    const [low, high] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
    for (let l = k + 1; l < n; l++) {
      const { i: j, a: c, b: d, from } = chords[l] as (typeof chords)[number];
      if (from > to) break;
      if ((c.y < low && d.y < low) || (c.y > high && d.y > high)) continue;
      const between = Math.abs(i - j);
      if (between === 1 || between === n - 1 || !crosses(a, b, c, d)) continue;
      depth = Math.max(
        depth,
        Math.min(...[a, b].map((p) => toSegment(p, c, d)), ...[c, d].map((p) => toSegment(p, a, b))),
      );
    }
  }
  return depth;
}

const distinct = (ring: readonly Point[]): readonly Point[] =>
  ring.filter((p, i) => apart(p, ring[(i + 1) % ring.length] as Point) > 1e-7);

/** Where one edge does not begin at the end of the one before it. */
export const gapsOf = (piece: Piece): readonly string[] =>
  piece.edges.flatMap((e, i) => {
    const next = piece.edges[(i + 1) % piece.edges.length] as Edge;
    const gap = apart(e.path.segments.at(-1)?.to ?? e.path.start, next.path.start);
    return gap < 0.01 ? [] : [`a gap of ${gap.toFixed(2)} after ${e.role}`];
  });

/** Everything wrong with one piece. */
export function wrongWith(drawn: Piece): readonly Wrong[] {
  // Judged as it is cut, with what is cut on beyond its centre.
  const piece = asCut(drawn);
  const out: Wrong[] = [];
  const say = (what: string): void => {
    out.push({ piece: piece.id, what });
  };
  const numbers = JSON.stringify(piece);
  if (numbers.includes('null,') && /"(x|y|at)":null/.test(numbers))
    return [{ piece: piece.id, what: 'a place is no number' }];
  gapsOf(piece).forEach(say);
  for (const e of piece.edges) if (!(chordSum(e.path) > 0.002)) say(`no length left of ${e.role}`);
  const ids = [...piece.edges, ...piece.darts, ...piece.marks].map((x) => x.id);
  for (const list of [piece.edges, piece.darts, piece.marks])
    if (new Set(list.map((x) => x.id)).size !== list.length) say(`an id twice of ${ids.length}`);
  const ring = distinct(piece.edges.flatMap((e) => points(e.path).slice(0, -1)));
  if (foldDepth(ring) > 0.05) say('the seam line crosses itself');
  else if (!(ringArea(ring) > 100)) say('no area left');
  if (piece.fold !== null && !piece.edges.some((e) => e.id === piece.fold)) say('the fold is gone');
  wrongDarts(piece, ring, say);
  for (const m of piece.marks)
    if (m.kind === 'notch') {
      const edge = piece.edges.find((e) => e.id === m.edge);
      if (!edge || !(m.at > -0.01) || !(m.at < chordSum(edge.path) + 0.02))
        say(`a notch off its ${edge?.role ?? 'edge'}`);
    }
  if (out.length === 0) wrongCutting(piece, ring, say);
  return out;
}

function wrongDarts(piece: Piece, ring: readonly Point[], say: (what: string) => void): void {
  const legs = piece.darts.map((dart) => {
    const mouth = piece.edges.find((e) => e.id === dart.mouth);
    if (!mouth) return null;
    const ends = [mouth.path.start, mouth.path.segments.at(-1)?.to ?? mouth.path.start];
    return ends.map((p): readonly [Point, Point] => {
      const t = Math.min(0.5, 1 / Math.max(1, apart(p, dart.tip)));
      return [{ x: p.x + (dart.tip.x - p.x) * t, y: p.y + (dart.tip.y - p.y) * t }, dart.tip];
    });
  });
  piece.darts.forEach((dart, i) => {
    const own = legs[i];
    if (!own) return say('a dart without a mouth');
    if (winding(dart.tip, ring) === 0 && toRing(dart.tip, ring) > SLACK)
      say(`the tip of the ${dart.kind} dart lies outside`);
    for (const [a, b] of own)
      for (let k = 1; k < 12; k++) {
        const p = { x: a.x + ((b.x - a.x) * k) / 12, y: a.y + ((b.y - a.y) * k) / 12 };
        if (winding(p, ring) === 0 && toRing(p, ring) > SLACK)
          return say(`a leg of the ${dart.kind} dart leaves the piece`);
      }
    legs.slice(i + 1).forEach((other, k) => {
      if (other && own.some(([a, b]) => other.some(([c, d]) => crosses(a, b, c, d))))
        say(`the ${dart.kind} and the ${piece.darts[i + 1 + k]?.kind ?? ''} dart cross`);
    });
  });
}

/** Beside every place of the seam line, as far out as its allowance, there must be paper. */
function wrongCutting(piece: Piece, ring: readonly Point[], say: (what: string) => void): void {
  const cut = distinct(points(cuttingLine(piece), 12));
  if (foldDepth(cut) > 0.1) return say('the cutting line crosses itself');
  // A dart that is cut away takes its wedge out of the paper.
  const wedges = piece.darts.some((d) => d.cutAway !== undefined);
  if (!wedges && ringArea(cut) < ringArea(ring) - 1) return say('the cutting line lies inside the seam line');
  const n = piece.edges.length;
  const isCutAway = (e: Edge): boolean => piece.darts.some((d) => d.mouth === e.id && d.cutAway !== undefined);
  const width = (e: Edge): number => (e.id === piece.fold ? 0 : isCutAway(e) ? -1 : e.allowance);
  // At a corner between two allowances the narrower one rules for a while.
  const mixed = piece.edges.flatMap((e, i) => {
    const next = piece.edges[(i + 1) % n] as Edge;
    return width(e) === width(next) ? [] : [{ at: next.path.start, reach: 2.5 * Math.max(width(e), width(next)) }];
  });
  for (const edge of piece.edges) {
    if (edge.id === piece.fold || isCutAway(edge)) continue;
    const p = points(edge.path, 24);
    for (let i = 0; i + 1 < p.length; i++) {
      const [a, b] = [p[i] as Point, p[i + 1] as Point];
      const size = apart(a, b);
      if (size < 1e-6 || mixed.some((m) => apart(m.at, a) < m.reach)) continue;
      const out = Math.max(0, edge.allowance - SLACK);
      const at = {
        x: (a.x + b.x) / 2 + ((b.y - a.y) / size) * out,
        y: (a.y + b.y) / 2 - ((b.x - a.x) / size) * out,
      };
      // Where another part of the piece lies there, its paper is there too.
      if (winding(at, cut) === 0 && winding(at, ring) === 0 && toRing(at, cut) > SLACK)
        return say(
          `less than its allowance beside the ${edge.role} at ${at.x.toFixed(1)}, ${at.y.toFixed(1)}: ${toRing(at, cut).toFixed(2)}`,
        );
    }
  }
}

/** Length of one side of a seam, by chords; null where it names what is not there. */
export function sideSum(pieces: readonly Piece[], side: SeamSide): number | null {
  const piece = pieces.find((p) => p.id === side.piece);
  if (!piece) return null;
  const edges = side.edges.map((id) => piece.edges.find((e) => e.id === id));
  if (edges.some((e) => e === undefined)) return null;
  return edges.reduce((sum, e) => sum + (e ? chordSum(e.path) : 0), 0);
}

/** Second side less first, less the ease: how far a seam is from matching; null where it cannot be determined. */
export function mismatch(pieces: readonly Piece[], seam: Seam): number | null {
  if (seam.first.between || seam.second.between) return null;
  const [a, b] = [sideSum(pieces, seam.first), sideSum(pieces, seam.second)];
  return a === null || b === null ? null : b - a - seam.ease;
}
