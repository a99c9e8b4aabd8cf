import { bustLineOf, levelOf, waistHeight } from '../../../pattern/index.ts';
import type { SideKnot } from '../../../paper/truing/index.ts';
import { alongAt, notchAlong, sideLength, type SideOn } from '../../kit/sides.ts';

/** Where no notch says where the addition ends, it runs out over this, mm. */
const RUN_OUT = 110;

/** The side moved at one level, to nothing at the next notch (or a hand's breadth away); null where this piece has no such level. */
export function knotsFor(
  side: SideOn,
  level: string,
  each: number,
  besides: readonly string[],
): { readonly knots: readonly SideKnot[]; readonly at: number } | null {
  const size = sideLength(side);
  const place = (): number | null => {
    if (level === 'underarm') return side.skirt ? null : 0;
    if (level === 'bust') return side.skirt ? null : bustAt(side);
    const cut = side.piece.edges.some((e) => e.role === 'waist');
    if (level === 'waist' && cut) return side.skirt ? 0 : size;
    if (level === 'waist') return alongAt(side, waistHeight(side.piece, 'side') ?? Infinity);
    return (
      alongAt(side, levelOf(side.piece, 'hip')?.y ?? Infinity) ??
      (side.piece.edges.some((e) => e.role === 'hem') ? size : null)
    );
  };
  const at = place();
  if (at === null) return null;
  const before = at <= 1 ? null : Math.max(notchBefore(side, at, besides) ?? at - RUN_OUT, 0);
  // From the hip the addition goes straight on to the hem: a bulge there is not a skirt.
  const after =
    at >= size - 1 || level === 'hip' ? null : Math.min(notchAlong(side, at + 20, size, besides) ?? at + RUN_OUT, size);
  const knots: SideKnot[] = [
    // Around the bust the side moves as a whole from the underarm down: the tape lies there.
    ...(level === 'bust'
      ? [{ at: 0, by: each }]
      : before === null
        ? []
        : [...(before > 0 ? [{ at: 0, by: 0 }] : []), { at: before, by: 0 }]),
    { at, by: each },
    ...(after === null ? [] : [{ at: after, by: 0 }]),
  ];
  return { knots, at };
}

/** How far down the side the tape around the bust ends; null where it ends elsewhere. */
function bustAt(side: SideOn): number | null {
  const line = bustLineOf(side.piece);
  const end = side.out === 1 ? line.at(-1)?.to : line[0]?.from;
  return end ? alongAt(side, end.y) : null;
}

function notchBefore(side: SideOn, at: number, besides: readonly string[]): number | null {
  let best: number | null = null;
  for (let from = 0; ;) {
    const next = notchAlong(side, from, at - 20, besides);
    if (next === null) return best;
    best = next;
    from = next;
  }
}
