import { endOf, joinPaths, pathLength, reversePath, type Path, type Point } from '../../geometry/index.ts';
import { cyclic, once } from '../../units/index.ts';
import { freshId } from '../split.ts';
import type { Edge, Mark, Pattern, Piece, Seam, SeamSide } from '../types.ts';
import { jointOf, layOn, type Joint, type Laid, type YokeLine } from './joint.ts';

/**
 * A yoke and the back below it are altered as one piece, as one pins the tissue together along the seam line: neck,
 * shoulder and armhole then are whole. Afterwards they are cut apart along the same line, wherever it has gone.
 */
export interface Pinned {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
  /** Seams between the pinned pieces, named as the pieces were drawn; one that cannot be is left out. */
  readonly asDrawn: (seams: readonly Seam[]) => readonly Seam[];
}

/** Pieces with a yoke pinned to the back below it, where the two seam lines cover each other; else as they are. */
export const pinYokes = (pieces: readonly Piece[], seams: readonly Seam[]): Pinned => pinned(pieces)(seams);
const pinned = once((pieces: readonly Piece[]) => once((seams: readonly Seam[]) => pin(pieces, seams)));

/** Every size with its yoke pinned on. */
export const pinnedSizes = once((pattern: Pick<Pattern, 'sizes' | 'seams'>): Pattern['sizes'] =>
  Object.fromEntries(
    Object.entries(pattern.sizes).map(([size, pieces]) => [size, pinYokes(pieces, pattern.seams).pieces]),
  ),
);

/** What an edge of either piece has become on the whole: a name, and how far along it the edge begins, mm. */
type Names = ReadonlyMap<string, { readonly id: string; readonly from: number }>;

interface Whole {
  readonly piece: Piece;
  readonly back: Names;
  readonly yoke: Names;
  readonly turned: boolean;
}

function pin(pieces: readonly Piece[], seams: readonly Seam[]): Pinned {
  const [yoke, ...more] = pieces.filter((p) => p.part === 'yoke');
  const back = pieces.find((p) => p.part === 'back' && jointOf(p) !== null);
  const whole = yoke && back && more.length === 0 ? wholeOf(back, yoke) : null;
  if (!whole || !yoke || !back) return { pieces, seams, asDrawn: (s) => s };
  const part = (side: Pick<SeamSide, 'piece' | 'edges' | 'reversed'>) => {
    const names = side.piece === yoke.id ? whole.yoke : side.piece === back.id ? whole.back : null;
    if (!names) return side;
    const edges = side.edges.flatMap((e) => names.get(e)?.id ?? []);
    return { piece: back.id, edges, reversed: side.reversed !== (side.piece === yoke.id && whole.turned) };
  };
  const sideOf = ({ then, ...side }: SeamSide): SeamSide => {
    const one = { ...side, ...part(side) };
    const two = then && part(then);
    if (!two) return one;
    return two.piece === one.piece
      ? { ...one, edges: [...new Set([...one.edges, ...two.edges])] }
      : { ...one, then: two };
  };
  return {
    pieces: pieces.flatMap((p) => (p === yoke ? [] : [p === back ? whole.piece : p])),
    seams: seams
      .map((s) => ({ ...s, first: sideOf(s.first), second: sideOf(s.second) }))
      // What joins the two is no seam while they are pinned.
      .filter((s) => s.first.edges.length > 0 && s.second.edges.length > 0),
    asDrawn: (list) =>
      list.flatMap((s) => {
        const [first, second] = [s.first, s.second].map((side) => drawnSide(side, whole, { yoke, back }));
        return first && second ? [{ ...s, first, second }] : [];
      }),
  };
}

/** A side along the whole, as it runs over the one piece and on over the other; null where it would go back and forth. */
function drawnSide(
  side: SeamSide,
  whole: Whole,
  { yoke, back }: { readonly yoke: Piece; readonly back: Piece },
): SeamSide | null {
  if (side.piece !== back.id || side.between || side.then) return side;
  const parts = side.edges.flatMap((id) => {
    const own = [
      ...[...whole.yoke].flatMap(([edge, to]) => (to.id === id ? [{ piece: yoke.id, edge, from: to.from }] : [])),
      ...[...whole.back].flatMap(([edge, to]) => (to.id === id ? [{ piece: back.id, edge, from: to.from }] : [])),
    ].sort((a, b) => a.from - b.from);
    return side.reversed ? own.reverse() : own;
  });
  const runs: { piece: string; edges: string[]; reversed: boolean }[] = [];
  for (const { piece, edge } of parts) {
    const last = runs.at(-1);
    if (last?.piece === piece) last.edges.push(edge);
    else runs.push({ piece, edges: [edge], reversed: side.reversed !== (piece === yoke.id && whole.turned) });
  }
  const [one, two, ...more] = runs;
  return one && more.length === 0 ? { ...one, ...(two ? { then: two } : {}) } : null;
}

/** A path with its ends put exactly where others end: by less than a seam may be off. */
function endingAt(path: Path, start: Point, end: Point): Path {
  const last = path.segments.length - 1;
  return { start, segments: path.segments.map((s, i) => (i === last ? { ...s, to: end } : s)) };
}

/** The edges of both that meet at the seam, each run on into the other piece, and what is left of the yoke's. */
function edgesOf(below: Joint, { yoke, joint }: Laid) {
  const i = yoke.edges.indexOf(joint.seam);
  const others = Array.from({ length: yoke.edges.length - 3 }, (_, k) => cyclic(yoke.edges, i + 2 + k));
  const low = endingAt(joint.after.path, below.seam.path.start, endOf(joint.after.path));
  const high = endingAt(joint.before.path, joint.before.path.start, endOf(below.seam.path));
  const one: Edge = { ...below.before, path: joinPaths([below.before.path, low]) };
  const two: Edge = { ...below.after, path: joinPaths([high, below.after.path]) };
  return { others, one, two, begins: pathLength(high) };
}

function wholeOf(back: Piece, drawn: Piece): Whole | null {
  const at = jointOf(back);
  const laid = at && layOn(at, drawn);
  if (!at || !laid) return null;
  const { yoke, joint, turned } = laid;
  const { others, one, two, begins } = edgesOf(at, laid);
  const taken = back.edges.map((e) => e.id);
  const names = new Map(others.map((e) => [e.id, { id: freshId(taken, e.id), from: 0 }]));
  const upper: Names = new Map([
    ...names,
    [joint.after.id, { id: one.id, from: pathLength(at.before.path) }],
    [joint.before.id, { id: two.id, from: 0 }],
  ]);
  const lower: Names = new Map([
    ...back.edges.filter((e) => e !== at.seam).map((e) => [e.id, { id: e.id, from: 0 }] as const),
    [two.id, { id: two.id, from: begins }],
  ]);
  const ids = (list: readonly { readonly id: string }[]): readonly string[] => list.map((x) => x.id);
  const own = <T extends { readonly id: string }>(list: readonly T[], on: readonly T[]): readonly T[] =>
    list.map((x) => ({ ...x, id: freshId(ids(on), x.id) }));
  return {
    ...{ back: lower, yoke: upper, turned },
    piece: {
      ...back,
      name: `${back.name} + ${yoke.name}`.slice(0, 120),
      edges: back.edges.flatMap((e) => {
        if (e === at.seam) return others.map((o) => ({ ...o, id: names.get(o.id)?.id ?? o.id }));
        return e === at.before ? [one] : e === at.after ? [two] : [e];
      }),
      darts: [
        ...back.darts,
        ...own(yoke.darts, back.darts).map((d) => ({ ...d, mouth: names.get(d.mouth)?.id ?? d.mouth })),
      ],
      marks: [
        ...renamed(back.marks, lower),
        ...renamed(own(withoutGrain(yoke.marks), back.marks), upper),
        lineOf(back, at, laid),
      ],
    },
  };
}

const withoutGrain = (marks: readonly Mark[]): readonly Mark[] => marks.filter((m) => m.kind !== 'grain');

/** Marks with their notches on the edges of the whole; those of the seam itself go with it. */
const renamed = (marks: readonly Mark[], names: Names): readonly Mark[] =>
  marks.flatMap((m): readonly Mark[] => {
    if (m.kind !== 'notch') return [m];
    const to = names.get(m.edge);
    return to ? [{ ...m, edge: to.id, at: m.at + to.from }] : [];
  });

/** The line the two are cut apart along, from the centre to the armhole, and what pinning them would lose. */
function lineOf(back: Piece, at: Joint, { yoke, joint }: Laid): YokeLine {
  const [centre, armhole] = at.fromCentre ? [joint.after, joint.before] : [joint.before, joint.after];
  const grain = yoke.marks.find((m) => m.kind === 'grain');
  return {
    kind: 'yokeLine',
    id: 'yokeLine',
    path: at.fromCentre ? at.seam.path : reversePath(at.seam.path),
    lower: null,
    pinned: {
      yoke: {
        ...{ id: yoke.id, name: yoke.name, cut: yoke.cut, notes: yoke.notes, folded: yoke.fold === centre.id },
        ...{ seam: joint.seam.id, centre: centre.id, armhole: armhole.id, allowance: joint.seam.allowance },
      },
      below: { name: back.name, seam: at.seam.id, allowance: at.seam.allowance },
      grain: grain ? { from: grain.from, to: grain.to } : null,
    },
  };
}
