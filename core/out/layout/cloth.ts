import type { Point } from '../../geometry/index.ts';
import type { Piece } from '../../pattern/index.ts';
import { ok, refuse, type Result, nth } from '../../units/index.ts';
import { layInTurn } from './inTurn.ts';
import { columnsOf, itemsOf, type Drawn, type Item } from './items.ts';
import { CELL, Ground } from './mask.ts';
import { acrossOf, stripsOf, type Strip } from './strips.ts';
import type { ClothWish, CutHow } from './wish.ts';

/** A piece where it lies; x across from the first edge, y along the cloth, mm. */
export interface Laid {
  readonly piece: string;
  readonly name: string;
  readonly how: CutHow;
  /** Of two layers only the upper one is cut. */
  readonly oneLayer: boolean;
  readonly outline: readonly Point[];
  readonly grain: readonly [Point, Point] | null;
  /** Square to the grain, at a height that pieces sewn together at the side have in common: where stripes are to meet. */
  readonly level: readonly [Point, Point] | null;
  readonly turned: boolean;
  readonly onFold: boolean;
  /** Which stretch of the cloth it lies on, from 0. */
  readonly stretch: number;
}

/** A part of the cloth's length that is folded one way, from and to along it, mm. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly strips: readonly Strip[];
}

export interface Layout {
  readonly wish: ClothWish;
  /** One after another along the cloth; one alone where it is folded once. */
  readonly stretches: readonly [Stretch, ...Stretch[]];
  /** Across what is laid, where that is widest: half of the cloth where it is folded in half, mm. */
  readonly across: number;
  readonly length: number;
  readonly laid: readonly Laid[];
  /** Share of the cloth that is covered, 0 to 1. */
  readonly covered: number;
}

export type LayoutError = 'cloth-too-narrow' | 'cloth-nothing-to-lay';

/** Orders tried: the tallest first, the largest first, then those shuffled a little, always the same way. */
const TRIES = 16;
/** Orders tried while pieces are shared out between stretches. */
const FEW = 1;

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

const widthOf = (item: Item): number => Math.max(...(item.ways[0]?.ring.map((p) => p.x) ?? [0]));

/**
 * Lays pieces on cloth: grain along it, halves on its fold, each at the first place where it does not touch another.
 * Several orders are tried and the shortest kept; `onTry` is called after each. The same pieces always give the same layout.
 * Where the cloth is folded anew farther along, the pieces are shared out between the stretches.
 */
export function layOut(
  pieces: readonly Piece[],
  wish: ClothWish,
  onTry?: (done: number, of: number) => void,
): Result<Layout, LayoutError> {
  if (wish.fold && wish.folds && wish.again && wish.again.length > 0) {
    const found = layInTurn(pieces, wish, (some, how, thorough) => layOnce(some, how, thorough ? TRIES : FEW));
    onTry?.(TRIES, TRIES);
    return found;
  }
  return layOnce(pieces, wish, TRIES, onTry);
}

/** Laid on cloth that is folded once, the best of so many orders. */
function layOnce(
  pieces: readonly Piece[],
  wish: ClothWish,
  tries: number,
  onTry?: (done: number, of: number) => void,
): Result<Layout, LayoutError> {
  const strips = stripsOf(wish);
  const across = acrossOf(strips);
  const items = pieces.flatMap((p) => itemsOf(p, strips, wish.oneWay));
  if (items.length === 0) return refuse('cloth-nothing-to-lay', {});
  const room = (item: Item): number =>
    Math.max(0, ...strips.filter((s) => s.layers === item.layers).map((s) => columnsOf(s)));
  const wide = items.find((i) => i.ways.every((w) => w.mask.columns > room(i)));
  if (wide) return refuse('cloth-too-narrow', { piece: wide.name, needs: widthOf(wide), across: room(wide) * CELL });
  const tall = [...items].sort((a, b) => (b.ways[0]?.mask.rows.length ?? 0) - (a.ways[0]?.mask.rows.length ?? 0));
  const large = [...items].sort((a, b) => b.area - a.area);
  const folds = [...large].sort((a, b) => Number(b.how === 'fold') - Number(a.how === 'fold'));
  let best: { readonly rows: number; readonly laid: readonly Laid[] } | null = null;
  for (let t = 0; t < tries; t++) {
    const order = [tall, large, folds][t] ?? shuffled([tall, large][t % 2] ?? tall, t);
    const grounds = strips.map((strip) => ({ strip, ground: new Ground(columnsOf(strip)) }));
    const laid = order.map((item) => put(grounds, item));
    const rows = Math.max(...grounds.map((g) => g.ground.rows));
    if (!best || rows < best.rows) best = { rows, laid };
    onTry?.(t + 1, tries);
  }
  const laid = best?.laid ?? [];
  const length = Math.max(...laid.flatMap((l) => l.outline.map((p) => p.y)));
  const area = items.reduce((sum, i) => sum + i.area * (i.how === 'pair' || i.how === 'fold' ? 2 : 1), 0);
  const covered = area / (wish.width * length);
  return ok({ wish, stretches: [{ from: 0, to: length, strips }], across, length, laid, covered });
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
    // Where only so much is folded, the strips lie elsewhere on another width.
    if (wish.folds) return own;
    const narrower = all.flatMap((other, k) => {
      const w = nth(wishes, k);
      return other.ok && w.width <= wish.width && w.fold === wish.fold && w.oneWay === wish.oneWay ? [other.value] : [];
    });
    const best = narrower.sort((a, b) => a.length - b.length)[0];
    if (!own.ok || !best || best.length >= own.value.length) return own;
    const { across, stretches } = own.value;
    const [{ strips }] = stretches;
    return ok({
      ...{ ...best, wish, across, covered: (best.covered * best.across) / across },
      stretches: [{ from: 0, to: best.length, strips }],
    });
  });
}

interface Bed {
  readonly strip: Strip;
  readonly ground: Ground;
}

/** The strip and the way round that end nearest to the start of the cloth. */
function put(beds: readonly Bed[], item: Item): Laid {
  const places = beds
    .filter((b) => b.strip.layers === item.layers)
    .flatMap((bed) =>
      item.ways.flatMap((way) => {
        const at = bed.ground.place(way.mask, item.how === 'fold' ? 0 : undefined);
        return at ? [{ bed, way, at, end: at.row + way.mask.rows.length }] : [];
      }),
    );
  const chosen = places.sort((a, b) => a.end - b.end || a.at.column - b.at.column)[0];
  if (!chosen) throw new Error(`layOut: expected room for ${item.piece}`);
  const { bed, way, at } = chosen;
  bed.ground.cover(way.mask, at.row, at.column);
  const { from, to, fold } = bed.strip;
  const lies = (p: Point): Point => {
    const x = p.x + at.column * CELL;
    // The ground begins at the fold, wherever that lies.
    return { x: fold === 'to' ? to - x : from + x, y: p.y + at.row * CELL };
  };
  const line = (l: Drawn['grain']): Laid['grain'] => l && [lies(l[0]), lies(l[1])];
  return {
    piece: item.piece,
    name: item.name,
    how: item.how,
    oneLayer: item.layers === 2 && item.how === 'single',
    onFold: item.how === 'fold',
    turned: way.turned,
    stretch: 0,
    outline: way.ring.map(lies),
    grain: line(way.grain),
    level: line(way.level),
  };
}
