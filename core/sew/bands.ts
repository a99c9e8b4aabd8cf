import {
  distance,
  dot,
  endOf,
  endTangent,
  intersectPaths,
  pathLength,
  polyline,
  splitPath,
  startTangent,
  type Path,
  type Point,
} from '../geometry/index.ts';
import {
  partsOfSide,
  requireEdge,
  splitEdge,
  type Edge,
  type Piece,
  type Seam,
  type SeamSide,
} from '../pattern/index.ts';
import { TOL } from '../units/index.ts';

/** A band, cuff, stand or collar as it is worn: buttoned, so without what runs on beyond its seam. */
export interface Band {
  readonly piece: Piece;
  /** The edges it is sewn on by, in outline order. */
  readonly edges: readonly string[];
  /** The edges at both ends of its seam, before and after it. */
  readonly ends: readonly [string, string];
  /** It closes around an arm. */
  readonly cuff: boolean;
  /** It falls over what it is sewn to: a collar. */
  readonly falls: boolean;
}

/** The bands that are sewn to the pieces of a garment, and the seams they bring with them. */
export interface Banded {
  readonly bands: readonly Band[];
  readonly seams: readonly Seam[];
}

const BANDS: readonly Piece['part'][] = ['band', 'waistband', 'collar', 'cuff'];
export const isBand = ({ piece }: { readonly piece: Pick<Piece, 'part'> }): boolean => BANDS.includes(piece.part);

/** All that a seam is sewn on, piece by piece. */
export const sidesOf = (s: Seam): readonly SeamSide[] => [s.first, s.second].flatMap(partsOfSide);

/**
 * Finds the bands whose seams lie on the pieces chosen, one after the other: a collar hangs on its stand. A half band ends in the
 * middle, a cuff at its other end; of two for the same edge the first is worn. What is cut whole around the body, or sewn in some
 * other way, is left out.
 */
export function bandsOn(pieces: readonly Piece[], all: readonly Piece[], seams: readonly Seam[]): Banded {
  const on = new Map(pieces.map((p) => [p.id, p]));
  const bands: Band[] = [];
  const sewn: Seam[] = [];
  const taken = new Set<string>();
  const tryOn = (piece: Piece): boolean => {
    const own = seams.filter((s) => {
      const sides = sidesOf(s);
      return (
        s.kind !== 'pocket' &&
        sides.some((x) => x.piece === piece.id) &&
        sides.some((x) => x.piece !== piece.id) &&
        sides.every((x) => x.piece === piece.id || (on.has(x.piece) && !x.between))
      );
    });
    const places = own.flatMap((s) => sidesOf(s).filter((x) => x.piece !== piece.id));
    const keys = places.flatMap((x) => x.edges.map((e) => `${x.piece} ${e}`));
    const cuff = places.every((x) => on.get(x.piece)!.part === 'sleeve');
    if (own.length === 0 || keys.some((k) => taken.has(k)) || piece.half === cuff) return false;
    const worn = closed(piece, own, cuff);
    if (!worn) return false;
    keys.forEach((k) => taken.add(k));
    bands.push(worn.band);
    sewn.push(...worn.seams);
    on.set(piece.id, worn.band.piece);
    return true;
  };
  let left = all.filter((p) => BANDS.includes(p.part) && !on.has(p.id));
  for (;;) {
    const next = left.find(tryOn);
    if (!next) return { bands, seams: sewn };
    left = left.filter((p) => p !== next);
  }
}

/** A band cut off at both ends of its seam, and its seams as they run then; null where they do not lie in one line on it. */
function closed(piece: Piece, seams: readonly Seam[], cuff: boolean): { band: Band; seams: readonly Seam[] } | null {
  let cut = piece;
  const alike: Seam[] = [];
  for (const s of seams) {
    const onBand = (side: SeamSide): SeamSide | null => {
      const parts = partsOfSide(side);
      if (parts.every((x) => x.piece !== piece.id)) return side;
      if (parts.length > 1) return null;
      const found = between(cut, side);
      if (found) cut = found.piece;
      return found && found.side;
    };
    const [first, second] = [onBand(s.first), onBand(s.second)];
    if (!first || !second) return null;
    alike.push({ ...s, first, second });
  }
  const named = new Set(alike.flatMap(sidesOf).flatMap((x) => (x.piece === piece.id ? x.edges : [])));
  const ends = cutOff(cut, named);
  if (!ends) return null;
  const edges = ends.piece.edges.filter((e) => named.has(e.id)).map((e) => e.id);
  const band: Band = { ...ends, edges, cuff, falls: piece.part === 'collar' };
  if (!cuff) return { band, seams: alike };
  const end = (at: 0 | 1, reversed: boolean): SeamSide => ({ piece: piece.id, edges: [ends.ends[at]], reversed });
  const closing: Seam = {
    id: `${piece.id} closed`,
    kind: 'other',
    ease: 0,
    first: end(1, false),
    second: end(0, true),
  };
  return { band, seams: [...alike, closing] };
}

/** A side that is sewn between two notches, as an edge of its own; null where that is not one edge with both. */
function between(piece: Piece, side: SeamSide): { piece: Piece; side: SeamSide } | null {
  if (!side.between) return { piece, side };
  const [id, ...others] = side.edges;
  const ats = piece.marks.flatMap((m) =>
    m.kind === 'notch' && m.edge === id && side.between?.includes(m.id) ? [m.at] : [],
  );
  if (id === undefined || others.length > 0 || ats.length !== 2) return null;
  const [from, to] = [Math.min(...ats), Math.max(...ats)];
  const size = pathLength(requireEdge(piece, id).path);
  const shorter = to < size - TOL.join ? splitEdge(piece, id, to).piece : piece;
  const whole: SeamSide = { piece: side.piece, edges: [id], reversed: side.reversed };
  if (from <= TOL.join) return { piece: shorter, side: whole };
  const split = splitEdge(shorter, id, from);
  return { piece: split.piece, side: { ...whole, edges: [split.parts[1]] } };
}

/** What runs on beyond an end turns no farther than this from the line of the seam: the cosine of 45 degrees. */
const ON = Math.SQRT1_2;

/** Cuts a band square to its seam at both ends, where the paper runs on; null where its seams are not one line. */
function cutOff(piece: Piece, named: ReadonlySet<string>): { piece: Piece; ends: readonly [string, string] } | null {
  const n = piece.edges.length;
  const first = piece.edges.findIndex((e, i) => named.has(e.id) && !named.has(piece.edges[(i + n - 1) % n]!.id));
  if (first < 0) return null;
  const turned = [...piece.edges.slice(first), ...piece.edges.slice(0, first)];
  const chain = turned.slice(0, named.size);
  if (chain.some((e) => !named.has(e.id))) return null;
  let rest: readonly Edge[] = turned.slice(named.size);
  const [start, end] = [chain[0]!.path, chain.at(-1)!.path];
  const after = rest[0];
  if (!after) return null;
  if (dot(endTangent(end), startTangent(after.path)) > ON) rest = beyond(rest, endOf(end), endTangent(end), 'end');
  const before = rest.at(-1);
  if (!before) return null;
  if (dot(endTangent(before.path), startTangent(start)) > ON)
    rest = beyond(rest, start.start, startTangent(start), 'start');
  if (rest.length < 2) return null;
  const edges = [...chain, ...rest];
  const ids = new Set(edges.map((e) => e.id));
  const marks = piece.marks.filter((m) => m.kind !== 'notch' || ids.has(m.edge));
  return { piece: { ...piece, edges, marks }, ends: [rest.at(-1)!.id, rest[0]!.id] };
}

/** Longer than any band is high, mm. */
const FAR = 2000;

/** The edges from the end of a seam round to its start, without what lies beyond the line square to it at one of them. */
function beyond(rest: readonly Edge[], at: Point, way: Point, which: 'start' | 'end'): readonly Edge[] {
  const line = (by: number): Point => ({ x: at.x - by * way.y, y: at.y + by * way.x });
  const hits = rest.flatMap((edge, i) =>
    intersectPaths(edge.path, polyline([line(-FAR), line(FAR)])).map((hit) => ({ edge, i, hit })),
  );
  const across = hits.filter((h) => distance(h.hit.point, at) > TOL.join);
  const hit = which === 'end' ? across.at(-1) : across[0];
  if (!hit) return [];
  const [one, two] = splitPath(hit.edge.path, hit.hit.first);
  const kept = (path: Path): readonly Edge[] => (pathLength(path) > TOL.join ? [{ ...hit.edge, path }] : []);
  const ends = which === 'end' ? [at, hit.hit.point] : [hit.hit.point, at];
  const square: Edge = { ...hit.edge, id: `cut at the ${which}`, role: 'other', path: polyline(ends) };
  return which === 'end'
    ? [square, ...kept(two), ...rest.slice(hit.i + 1)]
    : [...rest.slice(0, hit.i), ...kept(one), square];
}
