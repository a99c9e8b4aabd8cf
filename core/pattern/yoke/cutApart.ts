import {
  add,
  endOf,
  lengthTo,
  lerp,
  mapPath,
  move,
  nearestOnPath,
  reversePath,
  rotationAbout,
  splitPath,
  sub,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { cyclic, once, TOL } from '../../units/index.ts';
import { edgeOf, edgesWithRole, isInside } from '../access.ts';
import { mapMark } from '../marks.ts';
import type { Edge, Mark, Piece } from '../types.ts';
import { yokeLineOf, type YokeLine } from './joint.ts';

/** Where the yoke line meets an edge of the whole: what lies before and after it, and how far along that is, mm. */
interface Parted {
  readonly edge: Edge;
  readonly point: Point;
  readonly at: number;
  readonly head: Path;
  readonly tail: Path;
}

function partedAt(piece: Piece, role: Edge['role'], p: Point): Parted | null {
  const found = edgesWithRole(piece, role)
    .map((edge) => ({ edge, place: nearestOnPath(edge.path, p) }))
    .sort((a, b) => a.place.distance - b.place.distance)[0];
  if (!found) return null;
  const { edge, place } = found;
  const [head, tail] = splitPath(edge.path, place);
  return { edge, point: tail.start, at: lengthTo(edge.path, place), head, tail };
}

/** A line brought to new ends: each point of it moved by its share of what the two ends are off. */
function stretched(path: Path, start: Point, end: Point): Path {
  const [a, b] = [sub(start, path.start), sub(end, endOf(path))];
  const n = path.segments.length;
  const to = (p: Point, share: number): Point => add(p, lerp(a, b, share));
  const segments = path.segments.map((s, i) => {
    const last = i === n - 1 ? end : to(s.to, (i + 1) / n);
    if (s.kind === 'line') return { ...s, to: last };
    return { ...s, c1: to(s.c1, (i + 1 / 3) / n), c2: to(s.c2, (i + 2 / 3) / n), to: last };
  });
  return { start, segments };
}

/** The edge of the yoke as it lies on the whole, from the centre to the armhole; null where no yoke is pinned on. */
export function yokeSeamOf(piece: Piece): Path | null {
  const line = yokeLineOf(piece);
  const ends = line && endsOf(piece, line.path);
  return ends ? stretched(line.path, ends.centre.point, ends.arm.point) : null;
}

/** What the edges of one of the two are called. */
interface Cut {
  readonly seam: string;
  readonly allowance: number;
  readonly centre: string;
  readonly armhole: string;
}

/** One of the two pieces: its outline, and how the two edges it shares with the other are called and lie on it. */
interface Half {
  readonly edges: readonly Edge[];
  readonly split: readonly { readonly of: Parted; readonly id: string; readonly tail: boolean }[];
}

interface Ends {
  readonly centre: Parted;
  readonly arm: Parted;
}

/** Where a line meets the centre and the armhole; null where the piece has lost either. */
function endsOf(piece: Piece, line: Path): Ends | null {
  const centre = partedAt(piece, 'centreBack', line.start);
  const arm = partedAt(piece, 'armhole', endOf(line));
  return centre && arm && { centre, arm };
}

function halves(piece: Piece, line: YokeLine): { readonly yoke: Half; readonly below: Half } | null {
  const [upperEnds, lowerEnds] = [endsOf(piece, line.path), endsOf(piece, line.lower ?? line.path)];
  if (!upperEnds || !lowerEnds) return null;
  const { centre, arm } = upperEnds;
  const { yoke, below } = line.pinned;
  const n = piece.edges.length;
  const [i, j] = [piece.edges.indexOf(centre.edge), piece.edges.indexOf(arm.edge)];
  const run = (from: number, to: number): readonly Edge[] =>
    Array.from({ length: (to - from + n) % n }, (_, k) => cyclic(piece.edges, from + 1 + k)).slice(0, -1);
  const between = { after: run(i, j), before: run(j, i) };
  // The yoke is on the side of the line that has the shoulder or the neck.
  const upper = between.after.some((e) => e.role === 'shoulder' || e.role === 'neck') ? 'after' : 'before';
  const half = (which: 'after' | 'before', drawn: Path, { centre, arm }: Ends, cut: Cut): Half => {
    const line = stretched(drawn, centre.point, arm.point);
    const on = (of: Parted, id: string, tail: boolean) => ({ ...of.edge, id, path: tail ? of.tail : of.head });
    const seam = (along: Path): Edge => ({ id: cut.seam, role: 'yoke', path: along, allowance: cut.allowance });
    const tails = which === 'after';
    const [c, a] = [on(centre, cut.centre, tails), on(arm, cut.armhole, !tails)];
    return {
      edges: tails ? [c, ...between.after, a, seam(reversePath(line))] : [a, ...between.before, c, seam(line)],
      split: [
        { of: centre, id: cut.centre, tail: tails },
        { of: arm, id: cut.armhole, tail: !tails },
      ],
    };
  };
  return {
    yoke: half(upper, line.path, upperEnds, yoke),
    below: half(upper === 'after' ? 'before' : 'after', line.lower ?? line.path, lowerEnds, {
      ...below,
      centre: centre.edge.id,
      armhole: arm.edge.id,
    }),
  };
}

/** The notches of the whole that lie on this half, on its own edges. */
function notchesOn({ edges, split }: Half, m: Extract<Mark, { readonly kind: 'notch' }>): readonly Mark[] {
  const on = split.find((s) => s.of.edge.id === m.edge);
  if (!on) return edges.some((e) => e.id === m.edge) ? [m] : [];
  const beyond = m.at > on.of.at;
  return beyond === on.tail ? [{ ...m, edge: on.id, at: on.tail ? m.at - on.of.at : m.at }] : [];
}

/** True for a mark that belongs to the yoke: the neck always does, and what is drawn on its paper. */
function onYoke(yoke: Piece, m: Exclude<Mark, { readonly kind: 'notch' }>): boolean {
  if (m.kind === 'neckBase' || m.kind === 'neckCentre') return true;
  return 'at' in m && m.kind !== 'level' && isInside(yoke, m.at);
}

/** Leaning more than this, radians, a fold was drawn aslant on its sheet and stays so. */
const LEANS = 0.35;
/** A yoke that has turned about its pin, laid with its fold upright again. */
function upright(piece: Piece): Piece {
  const fold = piece.fold === null ? undefined : edgeOf(piece, piece.fold)?.path;
  if (!fold) return piece;
  const { x, y } = sub(endOf(fold), fold.start);
  const lean = Math.atan2(x, Math.abs(y)) * Math.sign(y);
  if (Math.abs(lean) < TOL.upright || Math.abs(lean) > LEANS) return piece;
  const turn = rotationAbout(fold.start, lean);
  const to = (p: Point): Point => move(turn, p);
  return {
    ...piece,
    edges: piece.edges.map((e) => ({ ...e, path: mapPath(e.path, to) })),
    darts: piece.darts.map((d) => ({ ...d, tip: to(d.tip) })),
    marks: piece.marks.map((m) => (m.kind === 'notch' ? m : mapMark(m, to))),
  };
}

/** The two pieces that were pinned together, the yoke first; a piece without a yoke line by itself. */
export const cutApart = once((piece: Piece): readonly Piece[] => {
  const line = yokeLineOf(piece);
  if (!line) return [piece];
  const plain: Piece = { ...piece, marks: piece.marks.filter((m) => m !== line) };
  const parts = halves(piece, line);
  if (!parts) return [plain];
  const { yoke, below, grain } = line.pinned;
  const dartsOn = (half: Half) => piece.darts.filter((d) => half.edges.some((e) => e.id === d.mouth));
  const { bustLine: _onTheBack, waistLine: _belowIt, ...bare } = plain;
  const upper: Piece = {
    ...bare,
    ...{ id: yoke.id, name: yoke.name, part: 'yoke', cut: yoke.cut, notes: yoke.notes },
    fold: yoke.folded ? yoke.centre : null,
    edges: parts.yoke.edges,
    darts: dartsOn(parts.yoke),
  };
  const marksOn = (half: Half, mine: boolean): readonly Mark[] =>
    plain.marks.flatMap((m) => (m.kind === 'notch' ? notchesOn(half, m) : onYoke(upper, m) === mine ? [m] : []));
  const grained = grain ? [{ kind: 'grain' as const, id: 'grain', ...grain }] : [];
  return [
    upright({ ...upper, marks: [...marksOn(parts.yoke, true), ...grained] }),
    {
      ...plain,
      name: below.name,
      edges: parts.below.edges,
      darts: dartsOn(parts.below),
      marks: marksOn(parts.below, false),
    },
  ];
});
