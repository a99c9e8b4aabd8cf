import { distance, dot, sub, type LineSpan, type Point } from '../../geometry/index.ts';
import type { DoubleDart } from '../../pattern/index.ts';
import { nth, TOL } from '../../units/index.ts';

/** The two legs at a tip are alike within this share. */
const ALIKE = 0.02;
/** A dart takes in less than this, and is longer than it is wide, mm. */
const WIDEST = 150;

export type FoundDouble = Pick<DoubleDart, 'upper' | 'lower' | 'widest' | 'width' | 'curve'>;

/** Two lines of like length that meet: a tip and the ends of its legs. */
interface Tip {
  readonly at: Point;
  readonly ends: readonly [Point, Point];
  readonly legs: readonly [LineSpan, LineSpan];
}

const same = (a: Point, b: Point): boolean => distance(a, b) <= TOL.touches;

function tipsAmong(lines: readonly LineSpan[]): readonly Tip[] {
  return lines.flatMap((one, i) =>
    lines.slice(i + 1).flatMap((two): readonly Tip[] => {
      const [long, other] = [distance(one.a, one.b), distance(two.a, two.b)];
      if (Math.abs(long - other) > ALIKE * Math.max(long, other)) return [];
      for (const [p, end] of [
        [one.a, one.b],
        [one.b, one.a],
      ] as const)
        for (const [q, far] of [
          [two.a, two.b],
          [two.b, two.a],
        ] as const)
          if (same(p, q)) return [{ at: p, ends: [end, far], legs: [one, two] }];
      return [];
    }),
  );
}

/** Both tips' legs end in the same two places, and the tips lie on either side of them. */
function together(a: Tip, b: Tip): FoundDouble | null {
  const [p, q] = a.ends;
  const [r, s] = b.ends;
  if (!(same(p, r) && same(q, s)) && !(same(p, s) && same(q, r))) return null;
  if (a.legs.some((leg) => b.legs.includes(leg))) return null;
  const [upper, lower] = a.at.y <= b.at.y ? [a.at, b.at] : [b.at, a.at];
  const width = distance(p, q);
  const long = sub(lower, upper);
  const size = Math.hypot(long.x, long.y);
  const widest = dot(sub({ x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 }, upper), long) / (size * size);
  return width > 0 && width < Math.min(WIDEST, size) && widest > 0.05 && widest < 0.95
    ? { upper, lower, widest, width, curve: 0 }
    : null;
}

/** Darts without a mouth among straight lines: four legs that close, alike at each tip; and the lines that are left. */
export function doubleDartsAmong(lines: readonly LineSpan[]): {
  readonly darts: readonly FoundDouble[];
  readonly others: readonly LineSpan[];
} {
  const tips = tipsAmong(lines);
  const darts: FoundDouble[] = [];
  const used = new Set<LineSpan>();
  tips.forEach((tip, i) => {
    for (let k = i + 1; k < tips.length; k++) {
      const other = nth(tips, k);
      const legs = [...tip.legs, ...other.legs];
      const dart = legs.some((leg) => used.has(leg)) ? null : together(tip, other);
      if (!dart) continue;
      darts.push(dart);
      for (const leg of legs) used.add(leg);
      return;
    }
  });
  // The line from tip to tip is drawn to fold along; it is no leg of another dart.
  const fold = (l: LineSpan): boolean =>
    darts.some((d) => (same(l.a, d.upper) && same(l.b, d.lower)) || (same(l.b, d.upper) && same(l.a, d.lower)));
  return { darts, others: lines.filter((l) => !used.has(l) && !fold(l)) };
}
