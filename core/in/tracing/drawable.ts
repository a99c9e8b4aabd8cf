import { distance, type Path } from '../../geometry/index.ts';
import type { Ring } from './chain.ts';
import { boxOf, type Stroke } from './lines.ts';

/** So much line is drawn on a screen at once, mm: a nest of ten sizes has a third of it, and more takes seconds to paint. */
const MOST_LINE = 2_000_000;
/** And so many bits of it. */
const MOST_DRAWN = 250_000;

/** Length of a path's control polygon, mm: no shorter than the path. */
function reachOf({ start, segments }: Path): number {
  let at = start;
  let sum = 0;
  for (const g of segments) {
    if (g.kind === 'cubic') {
      sum += distance(at, g.c1) + distance(g.c1, g.c2) + distance(g.c2, g.to);
    } else sum += distance(at, g.to);
    at = g.to;
  }
  return sum;
}

/**
 * The lines a screen can show without standing still: all of any pattern; of a file of crumbs the closed lines first,
 * then the others as they come. `left` counts those that are not drawn; they can still be followed.
 */
export function drawable(strokes: readonly Stroke[]): { readonly drawn: readonly Stroke[]; readonly left: number } {
  const order = [...strokes.filter((s) => s.closed), ...strokes.filter((s) => !s.closed)];
  let line = MOST_LINE;
  let bits = MOST_DRAWN;
  const drawn = order.filter((s) => {
    line -= reachOf(s.path);
    bits -= s.path.segments.length;
    return line > 0 && bits > 0;
  });
  return drawn.length === strokes.length ? { drawn: strokes, left: 0 } : { drawn, left: strokes.length - drawn.length };
}

/** A mark sticks out of its outline by so much at most, mm: a notch, a fold line drawn a little long. */
const OUT = 40;
/** No piece carries more marks than this. */
const MOST_MARKS = 6_000;

/** The lines that may belong to an outline: those that lie within it or stick out a little. */
export function linesIn(ring: Ring, strokes: readonly Stroke[]): readonly Stroke[] {
  const { minX, minY, maxX, maxY } = boxOf(ring.path);
  return strokes
    .filter((s) => {
      const b = boxOf(s.path);
      return b.minX > minX - OUT && b.maxX < maxX + OUT && b.minY > minY - OUT && b.maxY < maxY + OUT;
    })
    .slice(0, MOST_MARKS);
}
