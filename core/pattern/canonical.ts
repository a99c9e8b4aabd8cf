import {
  cross,
  distance,
  dot,
  endOf,
  joinPaths,
  lerp,
  norm,
  pathFromSpans,
  pathLength,
  scale,
  add,
  splitSpan,
  spansOf,
  sub,
  type CubicSpan,
  type Path,
  type Point,
  type Span,
} from '../geometry/index.ts';
import { TOL, once } from '../units/index.ts';
import type { Edge, Mark, Piece, Seam, SeamSide } from './types.ts';

/**
 * The same piece in the plainest writing: a straight curve is a line, lines that run on are one line, a curve drawn in
 * two parts is one curve, and edges that only divide one seam are one edge. Alterations work on this form, so that
 * what they do depends on the shape of a piece and never on how its file happened to write it.
 */
export interface Canonical {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
}

/** Edges of these roles name one seam, whatever parts they are drawn in. */
const MERGED: readonly Edge['role'][] = [
  'centreFront',
  'centreBack',
  'neck',
  'shoulder',
  'armhole',
  'side',
  'waist',
  'hem',
  'princess',
  'raglan',
  'underarm',
  'sleeveHem',
  'crotch',
  'inseam',
];

/** Pieces and seams in their plainest writing; what is plain already comes back as the very same object. */
export function canonical(pieces: readonly Piece[], seams: readonly Seam[]): Canonical {
  // Edges first: a curve cut in two is put together before any part of it is looked at by itself.
  const plain = pieces.map((piece) => {
    const { piece: whole, gone } = mergedOnce(piece)(seams);
    return { piece: plainPaths(whole), gone };
  });
  if (plain.every((p, i) => p.piece === pieces[i])) return { pieces, seams };
  const renamed = new Map(plain.map((p) => [p.piece.id, p.gone]));
  const side = (s: SeamSide): SeamSide => {
    const gone = renamed.get(s.piece);
    return gone && s.edges.some((e) => gone.has(e)) ? { ...s, edges: s.edges.filter((e) => !gone.has(e)) } : s;
  };
  return {
    pieces: plain.map((p) => p.piece),
    seams: seams.map((s) => {
      const [first, second] = [side(s.first), side(s.second)];
      return first === s.first && second === s.second ? s : { ...s, first, second };
    }),
  };
}

const plains = new WeakMap<Piece, Piece>();
function plainPaths(piece: Piece): Piece {
  const known = plains.get(piece);
  if (known) return known;
  let same = true;
  const edges = piece.edges.map((e) => {
    // The mouth of a dart is its cap: two lines that meet in a point.
    const path = e.role === 'dart' ? e.path : plainPath(e.path);
    if (path === e.path) return e;
    same = false;
    return { ...e, path };
  });
  const made = same ? piece : { ...piece, edges };
  plains.set(piece, made);
  if (made !== piece) plains.set(made, made);
  return made;
}

/** The same line with as few segments as it needs; the path itself where nothing is to be left out. */
export function plainPath(path: Path): Path {
  const spans = spansOf(path);
  // Halves are put together before anything is called straight: a short part of any curve is.
  // Exact halves come first: what is only nearly one curve might take the wrong neighbour.
  const out = joined(joined(joined(spans, TOL.same), TOL.join).map(straightened), TOL.join);
  return out.length === spans.length && out.every((s, i) => s === spans[i]) ? path : pathFromSpans(out);
}

function joined(spans: readonly Span[], within: number): readonly Span[] {
  const out: Span[] = [];
  for (const span of spans) {
    const last = out.at(-1);
    const one = last ? inOne(last, span, within) : null;
    if (one) out[out.length - 1] = one;
    else out.push(span);
  }
  return out;
}

/** A cubic whose handles lie on its chord, in order, is a line. */
function straightened(span: Span): Span {
  if (span.kind === 'line') return span;
  const chord = sub(span.b, span.a);
  const size = norm(chord);
  if (size < TOL.join) return span;
  const along = (p: Point): number => dot(sub(p, span.a), chord) / (size * size);
  const aside = (p: Point): number => Math.abs(cross(sub(p, span.a), chord)) / size;
  const [s, t] = [along(span.c1), along(span.c2)];
  const straight = aside(span.c1) < TOL.join && aside(span.c2) < TOL.join && s >= 0 && t <= 1 && s <= t + TOL.zero;
  return straight ? { kind: 'line', a: span.a, b: span.b } : span;
}

function inOne(one: Span, two: Span, within: number): Span | null {
  if (one.kind === 'line' && two.kind === 'line') {
    const chord = sub(two.b, one.a);
    const size = norm(chord);
    const on = size > 0 && Math.abs(cross(sub(one.b, one.a), chord)) / size < within;
    const t = size > 0 ? dot(sub(one.b, one.a), chord) / (size * size) : 0;
    return on && t > 0 && t < 1 ? { kind: 'line', a: one.a, b: two.b } : null;
  }
  return one.kind === 'cubic' && two.kind === 'cubic' ? parentOf(one, two, within) : null;
}

/** The cubic that these two are the halves of; null where they are none. */
function parentOf(one: CubicSpan, two: CubicSpan, within: number): CubicSpan | null {
  const before = distance(one.c2, one.b);
  const after = distance(two.a, two.c1);
  if (before < TOL.join || after < TOL.join) return null;
  const t = before / (before + after);
  if (distance(lerp(one.c2, two.c1, t), one.b) > within) return null;
  const parent: CubicSpan = {
    kind: 'cubic',
    a: one.a,
    c1: add(one.a, scale(sub(one.c1, one.a), 1 / t)),
    c2: add(two.b, scale(sub(two.c2, two.b), 1 / (1 - t))),
    b: two.b,
  };
  const [x, y] = splitSpan(parent, t) as readonly [CubicSpan, CubicSpan];
  const off = Math.max(
    distance(x.b, one.b),
    distance(x.c2, one.c2),
    distance(y.c1, two.c1),
    distance(x.c1, one.c1),
    distance(y.c2, two.c2),
  );
  return off < within ? parent : null;
}

interface Merged {
  readonly piece: Piece;
  /** Edges that were joined to the one before them. */
  readonly gone: ReadonlySet<string>;
}

/** Once for a piece among its seams: the steps of a plan share them. */
const mergedOnce = once((piece: Piece) => once((seams: readonly Seam[]) => merged(piece, seams)));

/** Edges of one role that run on, are sewn to the same and carry the same allowance, as one edge. */
function merged(piece: Piece, seams: readonly Seam[]): Merged {
  const gone = new Set<string>();
  const edges: Edge[] = [];
  const moved = new Map<string, { readonly to: string; readonly by: number }>();
  piece.edges.forEach((edge, i) => {
    const last = edges.at(-1);
    const before = piece.edges[i - 1];
    if (last && before && runsOn(piece, before, edge, seams)) {
      moved.set(edge.id, { to: last.id, by: pathLength(last.path) });
      gone.add(edge.id);
      edges[edges.length - 1] = { ...last, path: joinPaths([last.path, edge.path]) };
    } else edges.push(edge);
  });
  const [first, last] = [edges[0], edges.at(-1)];
  // The outline may begin in the middle of a seam.
  const end = piece.edges.at(-1);
  if (first && last && end && first !== last && edges.length > 3 && runsOn(piece, end, first, seams)) {
    const before = pathLength(last.path);
    for (const [id, to] of moved) if (to.to === first.id) moved.set(id, { to: last.id, by: to.by + before });
    moved.set(first.id, { to: last.id, by: before });
    gone.add(first.id);
    edges.splice(edges.length - 1, 1, { ...last, path: joinPaths([last.path, first.path]) });
    edges.shift();
  }
  if (gone.size === 0) return { piece, gone };
  const marks = piece.marks.map((m): Mark => {
    const to = m.kind === 'notch' ? moved.get(m.edge) : undefined;
    return m.kind === 'notch' && to ? { ...m, edge: to.to, at: m.at + to.by } : m;
  });
  return { piece: { ...piece, edges, marks }, gone };
}

function runsOn(piece: Piece, one: Edge, two: Edge, seams: readonly Seam[]): boolean {
  return (
    one.role === two.role &&
    MERGED.includes(one.role) &&
    one.allowance === two.allowance &&
    piece.fold !== one.id &&
    piece.fold !== two.id &&
    distance(endOf(one.path), two.path.start) <= TOL.join &&
    seams.every((s) => [s.first, s.second].every((side) => side.piece !== piece.id || sewnAlike(side, one.id, two.id)))
  );
}

/** Both in the seam, one after the other, or neither. */
function sewnAlike(side: SeamSide, one: string, two: string): boolean {
  const [i, j] = [side.edges.indexOf(one), side.edges.indexOf(two)];
  return i < 0 && j < 0 ? true : i >= 0 && j >= 0 && Math.abs(i - j) === 1;
}
