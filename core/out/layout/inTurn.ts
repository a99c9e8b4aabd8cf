import type { Piece } from '../../pattern/index.ts';
import { nth, ok, refuse, type Result } from '../../units/index.ts';
import type { Laid, Layout, LayoutError, Stretch } from './cloth.ts';
import { acrossOf, stripsOf } from './strips.ts';
import type { ClothWish } from './wish.ts';

/** Lays pieces on cloth that is folded once: thoroughly, or quickly to compare. */
type LayOnce = (pieces: readonly Piece[], wish: ClothWish, thorough: boolean) => Result<Layout, LayoutError>;

/** How often every piece is tried on every other stretch. */
const ROUNDS = 2;

/** All on one stretch is laid thoroughly only where a quick look makes it no longer than so many times the shared. */
const NEAR = 1.3;

/**
 * Cloth folded anew farther along: each piece lies on the stretch that makes the whole shortest. Begun where each alone takes
 * least; then each is tried on every other stretch, while that shortens the whole. It is never longer than with all pieces on
 * one of the stretches. A stretch that nothing lies on is left out. Refused where a piece fits on none of them.
 */
export function layInTurn(pieces: readonly Piece[], wish: ClothWish, lay: LayOnce): Result<Layout, LayoutError> {
  const { again = [], ...first } = wish;
  const wishes: readonly ClothWish[] = [first, ...again.map((folds) => ({ ...first, folds }))];
  if (pieces.length === 0) return refuse('cloth-nothing-to-lay', {});
  const known = new Map<string, number>();
  const lengthOf = (k: number, on: readonly Piece[]): number => {
    const key = `${k} ${on.map((p) => p.id).join(' ')}`;
    const had = on.length === 0 ? 0 : known.get(key);
    if (had !== undefined) return had;
    const laid = lay(on, nth(wishes, k), false);
    const length = laid.ok ? laid.value.length : Infinity;
    known.set(key, length);
    return length;
  };
  const shares = sharedOut(pieces, wishes.length, lengthOf);
  const quick = shares.reduce((sum, on, k) => sum + lengthOf(k, on), 0);
  const onOne = wishes
    .map((_, k) => wishes.map((__, j) => (j === k ? pieces : [])))
    .filter((___, k) => !(lengthOf(k, pieces) > quick * NEAR));
  const found = [shares, ...onOne].map((on) => laidOn(on, wishes, lay));
  const done = found.flatMap((f) => (f.ok ? [joined(wish, f.value)] : []));
  const shortest = done.reduce<Layout | null>((a, b) => (a && a.length <= b.length ? a : b), null);
  return shortest ? ok(shortest) : (found.find((f) => !f.ok) ?? refuse('cloth-nothing-to-lay', {}));
}

/** Each share laid on its stretch. */
function laidOn(
  shares: readonly (readonly Piece[])[],
  wishes: readonly ClothWish[],
  lay: LayOnce,
): Result<readonly Layout[], LayoutError> {
  const parts: Layout[] = [];
  for (const [k, on] of shares.entries()) {
    if (on.length === 0) continue;
    const laid = lay(on, nth(wishes, k), true);
    if (!laid.ok) return laid;
    parts.push(laid.value);
  }
  return ok(parts);
}

/** Which pieces lie on which stretch. */
function sharedOut(
  pieces: readonly Piece[],
  count: number,
  lengthOf: (stretch: number, on: readonly Piece[]) => number,
): readonly (readonly Piece[])[] {
  const alone = (p: Piece): number => {
    const lengths = Array.from({ length: count }, (_, k) => lengthOf(k, [p]));
    return lengths.indexOf(Math.min(...lengths));
  };
  const on = new Map(pieces.map((p) => [p, alone(p)]));
  const share = (k: number): readonly Piece[] => pieces.filter((p) => on.get(p) === k);
  const total = (): number =>
    Array.from({ length: count }, (_, k) => lengthOf(k, share(k))).reduce((sum, n) => sum + n, 0);
  let best = total();
  for (let round = 0; round < ROUNDS; round++) {
    const before = best;
    for (const piece of pieces)
      for (let k = 0; k < count; k++) {
        const was = on.get(piece) ?? 0;
        if (k === was) continue;
        on.set(piece, k);
        const now = total();
        if (now < best) best = now;
        else on.set(piece, was);
      }
    if (best === before) break;
  }
  return Array.from({ length: count }, (_, k) => share(k));
}

/** One stretch behind another along the cloth. */
function joined(wish: ClothWish, parts: readonly Layout[]): Layout {
  const laid: Laid[] = [];
  const stretches: Stretch[] = [];
  let from = 0;
  let covered = 0;
  for (const part of parts) {
    const down = ({ x, y }: { readonly x: number; readonly y: number }) => ({ x, y: y + from });
    const line = (ends: Laid['grain']): Laid['grain'] => ends && [down(ends[0]), down(ends[1])];
    laid.push(
      ...part.laid.map((l) => ({
        ...{ ...l, outline: l.outline.map(down), grain: line(l.grain), level: line(l.level) },
        stretch: stretches.length,
      })),
    );
    stretches.push({ from, to: from + part.length, strips: stripsOf(part.wish) });
    covered += part.covered * part.length;
    from += part.length;
  }
  const [one, ...others] = stretches;
  if (!one) throw new Error('layInTurn: expected a stretch that something lies on');
  return {
    ...{ wish, stretches: [one, ...others], laid, length: from, covered: covered / from },
    across: Math.max(...stretches.map((s) => acrossOf(s.strips))),
  };
}
