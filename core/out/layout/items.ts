import { endOf, flatten, pathLength, pointAt, ringArea, type Point } from '../../geometry/index.ts';
import { cuttingLine, edgesWithRole, mirrorPiece, requireEdge, unfoldPiece, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';
import { CELL, maskOf, type Mask } from './mask.ts';
import type { Strip } from './strips.ts';
import type { CutHow } from './wish.ts';

type Line = readonly [Point, Point];

/** A piece as it is laid: its outline, the grain line, and a line across that its neighbours at the side seam have too. */
export interface Drawn {
  readonly ring: readonly Point[];
  readonly grain: Line | null;
  readonly level: Line | null;
}

/** One thing to lay, its grain along the cloth. */
export interface Item {
  readonly piece: string;
  readonly name: string;
  readonly how: CutHow;
  /** On one layer or on two. */
  readonly layers: 1 | 2;
  readonly area: number;
  readonly ways: readonly (Drawn & { readonly mask: Mask; readonly turned: boolean })[];
}

const FLAT = 1;
/** Stripes are matched this far above the lower end of the side seam, mm. */
const ABOVE = 100;

const mapped = ({ ring, grain, level }: Drawn, to: (p: Point) => Point): Drawn => ({
  ring: ring.map(to),
  grain: grain && [to(grain[0]), to(grain[1])],
  level: level && [to(level[0]), to(level[1])],
});

function toOrigin(drawn: Drawn): Drawn {
  const [x, y] = [Math.min(...drawn.ring.map((p) => p.x)), Math.min(...drawn.ring.map((p) => p.y))];
  return mapped(drawn, (p) => ({ x: p.x - x, y: p.y - y }));
}
const turnRound = (d: Drawn): Drawn => toOrigin(mapped(d, (p) => ({ x: -p.x, y: -p.y })));
const turnOver = (d: Drawn): Drawn => toOrigin(mapped(d, (p) => ({ x: -p.x, y: p.y })));
/** On the fold a piece can only be turned head to tail, its fold staying where it is. */
const flip = (d: Drawn): Drawn => toOrigin(mapped(d, (p) => ({ x: p.x, y: -p.y })));

/** The height, along the side seam the same on the pieces sewn together there, that stripes are laid by. */
function levelOf(piece: Piece): number | null {
  const lower = [...edgesWithRole(piece, 'side')].sort((a, b) => lowY(b.path) - lowY(a.path))[0];
  if (!lower) return null;
  const size = pathLength(lower.path);
  if (size < 2 * ABOVE) return null;
  return pointAt(lower.path, endOf(lower.path).y > lower.path.start.y ? size - ABOVE : ABOVE).y;
}
const lowY = (path: Parameters<typeof endOf>[0]): number => Math.max(path.start.y, endOf(path).y);

/** A piece drawn with its grain along the cloth. */
function alongGrain(piece: Piece): Drawn {
  const ring = flatten(cuttingLine(piece), FLAT);
  const mark = piece.marks.find((m) => m.kind === 'grain');
  const y = levelOf(piece);
  const xs = ring.map((p) => p.x);
  const drawn: Drawn = {
    ring,
    grain: mark ? [mark.from, mark.to] : null,
    level:
      y === null
        ? null
        : [
            { x: Math.min(...xs), y },
            { x: Math.max(...xs), y },
          ],
  };
  if (!mark) return drawn;
  const angle = Math.atan2(mark.to.x - mark.from.x, mark.to.y - mark.from.y);
  // Up or down the grain is the same here; what counts is the line.
  const turn = Math.abs(angle) > Math.PI / 2 ? angle - Math.sign(angle) * Math.PI : angle;
  if (Math.abs(turn) < TOL.zero) return drawn;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return mapped(drawn, (p) => ({ x: p.x * cos - p.y * sin, y: p.x * sin + p.y * cos }));
}

function foldIsRight(piece: Piece): boolean {
  if (piece.fold === null) return false;
  const x = requireEdge(piece, piece.fold).path.start.x;
  const xs = piece.edges.map((e) => e.path.start.x);
  return x > (Math.min(...xs) + Math.max(...xs)) / 2;
}

function itemOf(piece: Piece, how: CutHow, layers: 1 | 2, oneWay: boolean): Item {
  let drawn = toOrigin(alongGrain(piece));
  // The fold of the piece on the fold of the cloth, at 0.
  if (how === 'fold' && foldIsRight(piece)) drawn = turnOver(drawn);
  const ways = [
    { ...drawn, turned: false },
    ...(oneWay ? [] : [{ ...(how === 'fold' ? flip(drawn) : turnRound(drawn)), turned: true }]),
  ];
  return {
    piece: piece.id,
    name: piece.name,
    how,
    layers,
    area: Math.abs(ringArea(drawn.ring)),
    ways: ways.map((w) => ({ ...w, mask: maskOf(w.ring) })),
  };
}

export const columnsOf = (strip: Strip): number => Math.floor((strip.to - strip.from) / CELL);

const fits = (item: Item, strips: readonly Strip[]): boolean =>
  strips.some((s) => item.ways.some((w) => w.mask.columns <= columnsOf(s)));

const known = new WeakMap<Piece, Map<string, readonly Item[]>>();
/** What is to be laid of a piece, worked out once for each way the cloth lies. */
export function itemsOf(piece: Piece, strips: readonly Strip[], oneWay: boolean): readonly Item[] {
  const had = known.get(piece) ?? new Map<string, readonly Item[]>();
  known.set(piece, had);
  const key = JSON.stringify([strips, oneWay]);
  const items = had.get(key) ?? toLay(piece, strips, oneWay);
  had.set(key, items);
  return items;
}

/**
 * What is to be laid of a piece: a half on a fold, a pair once on two layers, what is cut once on a single layer where
 * there is one. What is too wide for the folded cloth is laid single instead: halves opened out, a pair one by one.
 */
function toLay(piece: Piece, strips: readonly Strip[], oneWay: boolean): readonly Item[] {
  const [single, double] = [strips.filter((s) => s.layers === 1), strips.filter((s) => s.layers === 2)];
  const times = (n: number, one: (i: number) => Item): readonly Item[] => Array.from({ length: n }, (_, i) => one(i));
  const on = (how: CutHow, layers: 1 | 2, of = piece): Item => itemOf(of, how, layers, oneWay);
  if (piece.fold !== null) {
    const folded = on('fold', 2);
    if (double.length > 0 && (single.length === 0 || fits(folded, double))) return times(piece.cut, () => folded);
    const whole = on('opened', 1, unfoldPiece(piece, piece).piece);
    return times(piece.cut, () => whole);
  }
  const once = on('single', 1);
  if (double.length === 0 || (single.length > 0 && !fits(on('pair', 2), double)))
    // Of a pair one lies turned over: left and right.
    return times(piece.cut, (i) => (i % 2 === 0 ? once : on('single', 1, mirrorPiece(piece, 0))));
  const pairs = times(Math.floor(piece.cut / 2), () => on('pair', 2));
  if (piece.cut % 2 === 0) return pairs;
  return [...pairs, single.length > 0 && fits(once, single) ? once : on('single', 2)];
}
