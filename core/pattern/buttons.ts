import type { Point } from '../geometry/index.ts';
import { bustPointOf, centreEdgeOf, levelOf } from './access.ts';
import type { Piece } from './types.ts';
import { nth } from '../units/index.ts';

/** Two stops nearer than this hold one button, mm. */
const ONE_BUTTON = 12;

/**
 * Where the buttons of a piece lie, from the neck down, on its centre line. The highest and the lowest keep their
 * distances from the ends; one lies level with the bust and one at the waist where that was drafted; the others are
 * spaced evenly between, so that buttons follow when lengths change. Empty without buttons.
 */
export function buttonsOf(piece: Piece): readonly Point[] {
  const { buttons } = piece;
  const centre = centreEdgeOf(piece);
  if (!buttons || !centre) return [];
  const last = centre.path.segments.at(-1)?.to ?? centre.path.start;
  const [top, bottom] = [centre.path.start, last].sort((a, b) => a.y - b.y) as [Point, Point];
  const [from, to] = [top.y + buttons.first, bottom.y - buttons.last];
  const on = (y: number): Point => ({
    x: bottom.y === top.y ? top.x : top.x + ((bottom.x - top.x) * (y - top.y)) / (bottom.y - top.y),
    y,
  });
  if (buttons.count === 1 || to <= from) return [on(from)];
  const bust = buttons.atBust ? (bustPointOf(piece) ?? levelOf(piece, 'bust'))?.y : undefined;
  const waist = buttons.atWaist ? levelOf(piece, 'waist')?.y : undefined;
  const between = [bust, waist]
    .filter((y): y is number => y !== undefined && y > from + ONE_BUTTON && y < to - ONE_BUTTON)
    .sort((a, b) => a - b)
    .slice(0, Math.max(0, buttons.count - 2));
  const stops = [from, ...between, to];
  const more = sharedOut(
    stops.slice(1).map((y, i) => y - nth(stops, i)),
    buttons.count - stops.length,
  );
  return stops.flatMap((y, i) => {
    const next = stops[i + 1];
    const n = more[i] ?? 0;
    if (next === undefined) return [on(y)];
    return Array.from({ length: n + 1 }, (_, k) => on(y + ((next - y) * k) / (n + 1)));
  });
}

/** So many buttons shared out among gaps, so that the pitches come out as alike as they can. */
function sharedOut(gaps: readonly number[], count: number): readonly number[] {
  const more = gaps.map(() => 0);
  for (let k = 0; k < count; k++) {
    // Halfway between a gap's pitch now and with one more: as seats are shared out among parties.
    const claim = gaps.map((g, i) => g / (nth(more, i) + 1.5));
    const widest = claim.indexOf(Math.max(...claim));
    more[widest] = nth(more, widest) + 1;
  }
  return more;
}
