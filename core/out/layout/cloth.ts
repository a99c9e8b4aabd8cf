import { flatten, ringArea, type Point } from '../../geometry/index.ts';
import { cuttingLine, mirrorPiece, requireEdge, unfoldPiece, type Piece } from '../../pattern/index.ts';
import { TOL, ok, refuse, type Result, nth } from '../../units/index.ts';
import { CELL, Ground, maskOf, type Mask } from './mask.ts';

/** Common cloth widths, mm. */
export const CLOTH_WIDTHS = [1150, 1400, 1500] as const;

export interface ClothWish {
  /** Selvedge to selvedge, mm. */
  readonly width: number;
  /** Folded along its length, both selvedges together; or laid open. */
  readonly fold: boolean;
  /** Cloth with a nap or a one-way print: pieces are not turned round. */
  readonly oneWay: boolean;
}

/** A piece where it lies; x across from the fold (or a selvedge), y along the cloth, mm. */
export interface Laid {
  readonly piece: string;
  readonly name: string;
  readonly outline: readonly Point[];
  readonly turned: boolean;
  readonly onFold: boolean;
}

export interface Layout {
  readonly wish: ClothWish;
  /** Across what is laid: half of the cloth where it is folded, mm. */
  readonly across: number;
  readonly length: number;
  readonly laid: readonly Laid[];
  /** Share of the cloth that is covered, 0 to 1. */
  readonly covered: number;
}

export type LayoutError = 'cloth-too-narrow' | 'cloth-nothing-to-lay';

/** One thing to lay, its grain along the cloth. */
interface Item {
  readonly piece: string;
  readonly name: string;
  readonly ring: readonly Point[];
  readonly onFold: boolean;
  readonly area: number;
  readonly ways: readonly { readonly ring: readonly Point[]; readonly mask: Mask; readonly turned: boolean }[];
}

const FLAT = 1;

/** Turned so that the grain line lies along the cloth. */
function alongGrain(piece: Piece, ring: readonly Point[]): readonly Point[] {
  const grain = piece.marks.find((m) => m.kind === 'grain');
  if (!grain) return ring;
  const angle = Math.atan2(grain.to.x - grain.from.x, grain.to.y - grain.from.y);
  // Up or down the grain is the same here; what counts is the line.
  const turn = Math.abs(angle) > Math.PI / 2 ? angle - Math.sign(angle) * Math.PI : angle;
  if (Math.abs(turn) < TOL.zero) return ring;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return ring.map((p) => ({ x: p.x * cos - p.y * sin, y: p.x * sin + p.y * cos }));
}

function toOrigin(ring: readonly Point[]): readonly Point[] {
  const [x, y] = [Math.min(...ring.map((p) => p.x)), Math.min(...ring.map((p) => p.y))];
  return ring.map((p) => ({ x: p.x - x, y: p.y - y }));
}
const turnRound = (ring: readonly Point[]): readonly Point[] => toOrigin(ring.map((p) => ({ x: -p.x, y: -p.y })));
const turnOver = (ring: readonly Point[]): readonly Point[] => toOrigin(ring.map((p) => ({ x: -p.x, y: p.y })));

const areaOf = (ring: readonly Point[]): number => Math.abs(ringArea(ring));

/** What is to be laid of a piece: on the double cloth a pair once, a half on the fold; on open cloth every one whole. */
function itemsOf(piece: Piece, { fold, oneWay }: ClothWish): readonly Item[] {
  const item = (of: Piece, onFold: boolean, over = false): Item => {
    let ring = toOrigin(alongGrain(of, flatten(cuttingLine(of), FLAT)));
    if (over) ring = turnOver(ring);
    // The fold of the piece on the fold of the cloth, at 0.
    if (onFold && foldIsRight(of)) ring = turnOver(ring);
    const ways = oneWay
      ? [{ ring, turned: false }]
      : [
          { ring, turned: false },
          { ring: onFold ? flip(ring) : turnRound(ring), turned: true },
        ];
    return {
      piece: piece.id,
      name: piece.name,
      ring,
      onFold,
      area: areaOf(ring),
      ways: ways.map((w) => ({ ...w, mask: maskOf(w.ring) })),
    };
  };
  const times = (n: number, one: (i: number) => Item): readonly Item[] => Array.from({ length: n }, (_, i) => one(i));
  if (piece.fold !== null) {
    if (fold) return times(piece.cut, () => item(piece, true));
    const whole = unfoldPiece(piece, piece).piece;
    return times(piece.cut, () => item(whole, false));
  }
  if (fold) return times(Math.ceil(piece.cut / 2), () => item(piece, false));
  // Of a pair one lies turned over: left and right.
  return times(piece.cut, (i) => item(i % 2 === 0 ? piece : mirrorPiece(piece, 0), false));
}

/** On the fold a piece can only be turned head to tail, its fold staying where it is. */
const flip = (ring: readonly Point[]): readonly Point[] => toOrigin(ring.map((p) => ({ x: p.x, y: -p.y })));

function foldIsRight(piece: Piece): boolean {
  if (piece.fold === null) return false;
  const x = requireEdge(piece, piece.fold).path.start.x;
  const xs = piece.edges.map((e) => e.path.start.x);
  return x > (Math.min(...xs) + Math.max(...xs)) / 2;
}

/** Orders tried: the tallest first, the largest first, then those shuffled a little, always the same way. */
const TRIES = 16;

function shuffled<T>(items: readonly T[], seed: number): readonly T[] {
  let state = seed * 2654435761;
  const random = (): number => {
    state = (state * 1664525 + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
  const out = [...items];
  // Swaps neighbours, so that large pieces still come early.
  for (let i = 0; i + 1 < out.length; i++) {
    const j = Math.min(out.length - 1, i + Math.floor(random() * 3));
    [out[i], out[j]] = [nth(out, j), nth(out, i)];
  }
  return out;
}

/**
 * Lays pieces on cloth: grain along it, halves on its fold, each at the first place where it does not touch another.
 * Several orders are tried and the shortest kept; `onTry` is called after each. The same pieces always give the same layout.
 */
export function layOut(
  pieces: readonly Piece[],
  wish: ClothWish,
  onTry?: (done: number, of: number) => void,
): Result<Layout, LayoutError> {
  const across = wish.fold ? wish.width / 2 : wish.width;
  const columns = Math.floor(across / CELL);
  const items = pieces.flatMap((p) => itemsOf(p, wish));
  if (items.length === 0) return refuse('cloth-nothing-to-lay', {});
  const wide = items.find((i) => i.ways.every((w) => w.mask.columns > columns));
  if (wide)
    return refuse('cloth-too-narrow', { piece: wide.name, needs: Math.max(...wide.ring.map((p) => p.x)), across });
  const tall = [...items].sort((a, b) => (b.ways[0]?.mask.rows.length ?? 0) - (a.ways[0]?.mask.rows.length ?? 0));
  const large = [...items].sort((a, b) => b.area - a.area);
  const folds = [...large].sort((a, b) => Number(b.onFold) - Number(a.onFold));
  let best: { readonly rows: number; readonly laid: readonly Laid[] } | null = null;
  for (let t = 0; t < TRIES; t++) {
    const order = [tall, large, folds][t] ?? shuffled([tall, large][t % 2] ?? tall, t);
    const ground = new Ground(columns);
    const laid = order.map((item) => put(ground, item));
    if (!best || ground.rows < best.rows) best = { rows: ground.rows, laid };
    onTry?.(t + 1, TRIES);
  }
  const laid = best?.laid ?? [];
  const length = Math.max(...laid.flatMap((l) => l.outline.map((p) => p.y)));
  const area = items.reduce((sum, i) => sum + i.area, 0);
  return ok({ wish, across, length, laid, covered: area / (across * length) });
}

/**
 * Lays the same pieces on cloths of several widths. What lies on a narrow cloth lies on a wider one too, so none is told
 * to need more for being wider.
 */
export function layOutAll(
  pieces: readonly Piece[],
  wishes: readonly ClothWish[],
  onTry?: (done: number, of: number) => void,
): readonly Result<Layout, LayoutError>[] {
  const all = wishes.map((wish, i) => layOut(pieces, wish, (d, of) => onTry?.(i * of + d, of * wishes.length)));
  return all.map((own, i) => {
    const wish = nth(wishes, i);
    const narrower = all.flatMap((other, k) => {
      const w = nth(wishes, k);
      return other.ok && w.width <= wish.width && w.fold === wish.fold && w.oneWay === wish.oneWay ? [other.value] : [];
    });
    const best = narrower.sort((a, b) => a.length - b.length)[0];
    if (!own.ok || !best || best.length >= own.value.length) return own;
    const { across } = own.value;
    return ok({ ...best, wish, across, covered: (best.covered * best.across) / across });
  });
}

/** The way round that ends nearer to the start of the cloth. */
function put(ground: Ground, item: Item): Laid {
  const places = item.ways.flatMap((way) => {
    const at = ground.place(way.mask, item.onFold ? 0 : undefined);
    return at ? [{ way, at, end: at.row + way.mask.rows.length }] : [];
  });
  const chosen = places.sort((a, b) => a.end - b.end || a.at.column - b.at.column)[0];
  if (!chosen) throw new Error(`layOut: expected room for ${item.piece}`);
  const { way, at } = chosen;
  ground.cover(way.mask, at.row, at.column);
  return {
    piece: item.piece,
    name: item.name,
    onFold: item.onFold,
    turned: way.turned,
    outline: way.ring.map((p) => ({ x: p.x + at.column * CELL, y: p.y + at.row * CELL })),
  };
}
