import { levelOf, widthAt, dartShape, type Dart } from '../../../pattern/index.ts';
import type { Point } from '../../../geometry/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { SideKnot } from '../../../paper/truing/index.ts';
import { alongAt, solveKnot, targetAt } from '../../kit/sides.ts';
import { ROUND } from '../../kit/sidesAlike.ts';
import { sideOfHalf, type TrouserHalf } from '../../kit/trousers.ts';

/** In how many stretches the curve between waist and hip is carried to its new height. */
const STRETCHES = 5;
/** No dart is made shorter than this, mm. */
const SHORTEST = 30;

/** One half with its hip line moved: the knots of its side, the mark beside it, and the new tips of its darts. */
export interface HipMoved {
  readonly half: TrouserHalf;
  readonly knots: readonly SideKnot[];
  readonly at: Point;
  readonly tips: readonly { readonly dart: Dart; readonly tip: Point }[];
}

/**
 * The hip line of one half moved down by `by`, mm, below nothing up. The side between the waist and the new line is the
 * curve that was there, stretched or shortened to the new height; at the line the half is as wide as it was at the old
 * one; at the knee nothing changes. Refused where no hip line is drawn, or a dart would become too short.
 */
export function hipMoved(half: TrouserHalf, by: number): Result<HipMoved> {
  const { piece } = half;
  const side = sideOfHalf(half);
  const [was, now, knee] = [alongAt(side, half.hip), alongAt(side, half.hip + by), alongAt(side, half.knee)];
  const width = widthAt(piece, half.hip);
  const drawn = levelOf(piece, 'hip') !== undefined;
  if (was === null || now === null || knee === null || knee <= now || !width.ok || !drawn)
    return refuse('hip-missing', { piece: piece.name });
  const x = (along: number): number => targetAt(side, along, 0).x;
  /** How far the curve that was there lies out at a share of the way down, carried to its new height. */
  const carried = (t: number): number => half.out * (x(t * was) - x(t * now));
  // What the other edge adds or takes at the new line is given back along the whole way, so that the side has no bend.
  const knots = (out: number): readonly SideKnot[] => [
    ...Array.from({ length: STRETCHES + 1 }, (_, k) => k / STRETCHES).map((t) => ({
      at: t * now,
      by: carried(t) + t * (out - carried(1)),
    })),
    { at: knee, by: 0 },
  ];
  const measured = (p: typeof piece): number | null => {
    const found = widthAt(p, half.hip + by);
    return found.ok ? found.value.width : null;
  };
  const tips: { dart: Dart; tip: Point }[] = [];
  for (const dart of piece.darts) {
    const { start, end, tip } = dartShape(piece, dart);
    const lower = { x: tip.x, y: tip.y + by };
    const mouth = Math.max(start.y, end.y);
    if (by < 0 && lower.y - mouth < SHORTEST)
      return refuse('hip-dart-too-short', { piece: piece.name, most: Math.max(0, tip.y - mouth - SHORTEST) });
    tips.push({ dart, tip: lower });
  }
  const out = solveKnot(side, width.value.width, measured, knots, ROUND, false);
  return ok({ half, knots: knots(out), at: targetAt(side, now, out), tips });
}
