import { pathLength } from '../geometry/index.ts';
import { alongSide, partsOfSide, requireEdge, type Piece, type Seam, type SeamSide } from '../pattern/index.ts';
import type { Cut, Spot } from './cut.ts';

/** Two places that are sewn to each other. */
export type Pair = readonly [Spot, Spot];

/** One side of a seam from its start: the edges walked, and where joints and notches fall on it, mm. */
interface Side {
  readonly length: number;
  readonly joints: readonly number[];
  readonly notches: readonly number[];
  readonly spotAt: (s: number) => Spot;
}

function sideOf(pieces: ReadonlyMap<string, Piece>, side: SeamSide): Side {
  const links: { piece: string; edge: string; from: number; length: number; reversed: boolean }[] = [];
  const [joints, notches]: [number[], number[]] = [[], []];
  let length = 0;
  for (const part of partsOfSide(side)) {
    const piece = pieces.get(part.piece)!;
    const along = alongSide(piece, part);
    if (length > 0) joints.push(length);
    joints.push(...along.joints.map((j) => length + j));
    notches.push(...along.notches.map((n) => length + n.at));
    for (const edge of part.edges) {
      const size = pathLength(requireEdge(piece, edge).path);
      links.push({ piece: piece.id, edge, from: length, length: size, reversed: part.reversed });
      length += size;
    }
  }
  return {
    length,
    joints,
    notches,
    spotAt: (s) => {
      const link = links.find((l) => s <= l.from + l.length) ?? links.at(-1)!;
      const at = Math.min(link.length, Math.max(0, s - link.from));
      return { piece: link.piece, stretch: link.edge, at: link.reversed ? link.length - at : at };
    },
  };
}

/** A place on both sides of a seam, mm from their starts. */
type Both = readonly [number, number];

/** From the one side to the other: in proportion between one matched place and the next. */
function across(matched: readonly Both[], from: 0 | 1, s: number): number {
  const to = from === 0 ? 1 : 0;
  const next = Math.max(
    1,
    matched.findIndex((m, i) => i > 0 && s <= m[from]),
  );
  const [a, b] = [matched[next - 1]!, matched[next]!];
  const size = b[from] - a[from];
  return size > 0 ? a[to] + ((s - a[from]) / size) * (b[to] - a[to]) : a[to];
}

/** Joints of the two sides so near each other are sewn on each other, as a share of the mesh’s edge. */
const NEAR = 0.4;

/**
 * The pairs of a seam: both ends, every joint of either side, and between them equal shares no longer than an edge of the mesh.
 * Where both sides have as many notches these meet; ease and gathers lie evenly between.
 */
export function pairsOfSeam(pieces: ReadonlyMap<string, Piece>, seam: Seam, edge: number): readonly Pair[] {
  const [one, two] = [sideOf(pieces, seam.first), sideOf(pieces, seam.second)];
  const met = one.notches.length === two.notches.length ? one.notches.map((n, i): Both => [n, two.notches[i]!]) : [];
  const matched: readonly Both[] = [[0, 0], ...met, [one.length, two.length]];
  const breaks: Both[] = one.joints.map((s) => {
    const there = across(matched, 0, s);
    return [s, two.joints.find((j) => Math.abs(j - there) < NEAR * edge) ?? there];
  });
  for (const j of two.joints) if (!breaks.some(([, s]) => s === j)) breaks.push([across(matched, 1, j), j]);
  const places: readonly Both[] = [[0, 0], ...breaks.sort((a, b) => a[0] - b[0]), [one.length, two.length]];
  const all: Both[] = [[0, 0]];
  for (let i = 1; i < places.length; i++) {
    const [a, b] = [places[i - 1]!, places[i]!];
    const count = Math.max(1, Math.round(Math.max(b[0] - a[0], b[1] - a[1]) / edge));
    for (let k = 1; k < count; k++) {
      const s = a[0] + ((b[0] - a[0]) * k) / count;
      all.push([s, breaks.length > 0 ? a[1] + ((b[1] - a[1]) * k) / count : across(matched, 0, s)]);
    }
    all.push(b);
  }
  return all.map(([s, t]): Pair => [one.spotAt(s), two.spotAt(t)]);
}

/** The pairs of each of a piece’s darts, from the mouth or the widest line to the tip, which both legs share. */
export function pairsOfDarts({ piece, outline, holes, legs }: Cut, edge: number): readonly (readonly Pair[])[] {
  const stretches = [...outline, ...holes.flat()];
  return legs.map(([one, two]) => {
    const [a, b] = [one, two].map((id) => stretches.find((s) => s.id === id)!) as [
      (typeof stretches)[0],
      (typeof stretches)[0],
    ];
    const count = Math.max(1, Math.round(Math.max(a.length, b.length) / edge));
    return Array.from({ length: count + 1 }, (_, k): Pair => [
      { piece: piece.id, stretch: one, at: (a.length * k) / count },
      { piece: piece.id, stretch: two, at: b.length * (1 - k / count) },
    ]);
  });
}
