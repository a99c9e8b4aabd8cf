import { mapPath, pathLength, reversePath, splitAtLength, type Path, type Point } from '../../geometry/index.ts';
import {
  mapMark,
  mappedBeyond,
  mirrorPiece,
  normalisePattern,
  type Edge,
  type Mark,
  type Pattern,
  type Piece,
  type Seam,
  type SeamSide,
} from '../../pattern/index.ts';

/** The pieces of one size and how they are sewn. */
export interface Drafted {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
}

/** Another way of writing or laying the same pieces, and where a point of a rewritten piece lies on the first. */
export interface Rewriting {
  readonly name: string;
  readonly to: (drafted: Drafted) => Drafted;
  readonly back: (piece: string, p: Point) => Point;
  /** Where a point put down on the first lies on the rewritten pieces. */
  readonly forth: (p: Point) => Point;
}

const eachPiece = (d: Drafted, f: (p: Piece, i: number) => Piece): Drafted => ({ ...d, pieces: d.pieces.map(f) });
const eachSide = (seams: readonly Seam[], f: (s: SeamSide) => SeamSide): readonly Seam[] =>
  seams.map((s) => ({ ...s, first: f(s.first), second: f(s.second) }));

export function movedPiece(piece: Piece, by: Point): Piece {
  const at = (p: Point): Point => ({ x: p.x + by.x, y: p.y + by.y });
  return {
    ...piece,
    ...mappedBeyond(piece, at, false),
    edges: piece.edges.map((e) => ({ ...e, path: mapPath(e.path, at) })),
    darts: piece.darts.map((d) => ({ ...d, tip: at(d.tip) })),
    marks: piece.marks.map((m): Mark => {
      if (m.kind === 'notch') return m;
      return mapMark(m, at);
    }),
  };
}

const SHIFT: Point = { x: 137.317, y: -59.683 };
export const translated: Rewriting = {
  name: 'translated',
  to: (d) => eachPiece(d, (p) => movedPiece(p, SHIFT)),
  back: (_, p) => ({ x: p.x - SHIFT.x, y: p.y - SHIFT.y }),
  forth: (p) => ({ x: p.x + SHIFT.x, y: p.y + SHIFT.y }),
};

const AXIS = 61.25;
const turnSide = (s: SeamSide): SeamSide => ({ ...s, reversed: !s.reversed });
export const turnedOver: Rewriting = {
  name: 'turned over',
  to: (d) => ({ pieces: d.pieces.map((p) => mirrorPiece(p, AXIS)), seams: eachSide(d.seams, turnSide) }),
  back: (_, p) => ({ x: 2 * AXIS - p.x, y: p.y }),
  forth: (p) => ({ x: 2 * AXIS - p.x, y: p.y }),
};

/** Drawn against the clock, as a file may have it, and then read like any file. */
function againstTheClock(piece: Piece): Piece {
  const size = (id: string): number => {
    const edge = piece.edges.find((e) => e.id === id);
    return edge ? pathLength(edge.path) : 0;
  };
  return {
    ...piece,
    edges: [...piece.edges].reverse().map((e) => ({ ...e, path: reversePath(e.path) })),
    darts: piece.darts.map((d) => ({ ...d, foldToward: d.foldToward === 'start' ? 'end' : 'start' })),
    marks: piece.marks.map((m) => (m.kind === 'notch' ? { ...m, at: size(m.edge) - m.at } : m)),
  };
}
export const otherWayRound: Rewriting = {
  name: 'drawn the other way round',
  to: (d) => {
    const read = normalisePattern({
      sizes: { s: d.pieces.map(againstTheClock) },
      seams: eachSide(d.seams, turnSide),
    } as unknown as Pattern);
    return { pieces: read.sizes['s'] ?? [], seams: read.seams };
  },
  back: (_, p) => p,
  forth: (p) => p,
};

const asCurves = (path: Path): Path => {
  let a = path.start;
  return {
    start: path.start,
    segments: path.segments.map((s) => {
      const from = a;
      a = s.to;
      if (s.kind === 'cubic') return s;
      const at = (t: number): Point => ({ x: from.x + (s.to.x - from.x) * t, y: from.y + (s.to.y - from.y) * t });
      return { kind: 'cubic', c1: at(1 / 3), c2: at(2 / 3), to: s.to };
    }),
  };
};
export const linesAsCurves: Rewriting = {
  name: 'lines written as curves',
  to: (d) =>
    eachPiece(d, (p) => ({
      ...p,
      edges: p.edges.map((e) => (e.role === 'dart' ? e : { ...e, path: asCurves(e.path) })),
    })),
  back: (_, p) => p,
  forth: (p) => p,
};

const PARTED: readonly Edge['role'][] = ['neck', 'shoulder', 'armhole', 'side', 'waist', 'hem', 'raglan', 'princess'];
/** Every seam edge drawn in two parts, as programs write it that cut edges at notches. */
export const edgesInTwo: Rewriting = {
  name: 'edges split in two',
  to: (d) => {
    const parted = (e: Edge, p: Piece): boolean => PARTED.includes(e.role) && p.fold !== e.id;
    const pieces = d.pieces.map((p): Piece => {
      const halves = new Map(p.edges.filter((e) => parted(e, p)).map((e) => [e.id, pathLength(e.path) * 0.46]));
      return {
        ...p,
        edges: p.edges.flatMap((e) => {
          const at = halves.get(e.id);
          if (at === undefined) return [e];
          const [one, two] = splitAtLength(e.path, at);
          return [
            { ...e, path: one },
            { ...e, id: `${e.id} b`, path: two },
          ];
        }),
        marks: p.marks.map((m) => {
          const at = m.kind === 'notch' ? halves.get(m.edge) : undefined;
          return m.kind === 'notch' && at !== undefined && m.at > at ? { ...m, edge: `${m.edge} b`, at: m.at - at } : m;
        }),
      };
    });
    const seams = eachSide(d.seams, (s) => {
      const piece = pieces.find((p) => p.id === s.piece);
      const edges = s.edges.flatMap((id) => {
        const two = piece?.edges.some((e) => e.id === `${id} b`) ? [id, `${id} b`] : [id];
        return s.reversed ? two.reverse() : two;
      });
      return { ...s, edges };
    });
    return { pieces, seams };
  },
  back: (_, p) => p,
  forth: (p) => p,
};

/** Ids a stranger would choose; names of parts and roles stay. */
export const renamed: Rewriting = {
  name: 'ids renamed',
  to: (d) => ({
    pieces: d.pieces.map((p, k) => ({
      ...p,
      id: `Teil ${k}`,
      fold: p.fold === null ? null : `K-${p.fold}`,
      edges: p.edges.map((e) => ({ ...e, id: `K-${e.id}` })),
      darts: p.darts.map((t) => ({ ...t, id: `A-${t.id}`, mouth: `K-${t.mouth}` })),
      marks: p.marks.map((m) => (m.kind === 'notch' ? { ...m, edge: `K-${m.edge}` } : m)),
    })),
    seams: eachSide(d.seams, (s) => ({
      ...s,
      piece: `Teil ${d.pieces.findIndex((p) => p.id === s.piece)}`,
      edges: s.edges.map((e) => `K-${e}`),
    })),
  }),
  back: (_, p) => p,
  forth: (p) => p,
};

export const REWRITINGS: readonly Rewriting[] = [
  translated,
  turnedOver,
  otherWayRound,
  linesAsCurves,
  edgesInTwo,
  renamed,
];
