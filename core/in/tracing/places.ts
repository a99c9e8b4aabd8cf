import { distance, flatten, insidePolygon, nearestOnPath, type Path, type Point } from '../../geometry/index.ts';
import { ok, refuse, TOL, type Result } from '../../units/index.ts';
import type { Ring } from './chain.ts';
import type { Lines, Marked } from './lines.ts';
import type { TraceChoices } from './traceTypes.ts';
import type { TypedPoint } from './typed.ts';

/** What a place clicked in a picture or read off a mat is. */
export const PLACE_KINDS = ['corner', 'curve', 'notch', 'grain', 'dartTip', 'dartLeg', 'bustPoint'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];
export interface Place extends Point {
  readonly kind: PlaceKind;
}
export type PlacesError = 'places-dart' | 'places-grain' | 'places-bust-point';

const isOutline = (p: Place): boolean => p.kind === 'corner' || p.kind === 'curve';
/** The places an outline goes through, in order. */
export const outlinePlaces = (places: readonly Place[]): readonly TypedPoint[] =>
  places.filter(isOutline).map(({ x, y, kind }) => ({ x, y, curve: kind === 'curve' }));

const at = ({ x, y }: Point): Point => ({ x, y });

/**
 * The marks among places, for the outline they were set with. A dart is its tip and then its two legs where they meet
 * the outline; the grain is its two ends. Refuses a dart without both legs, a grain of one end or three, and two bust
 * points.
 */
export function marksFrom(places: readonly Place[], outline: Path): Result<Marked, PlacesError> {
  const of = (kind: PlaceKind): readonly Point[] => places.filter((p) => p.kind === kind).map(at);
  const grain = of('grain');
  if (grain.length !== 0 && grain.length !== 2) return refuse('places-grain', { count: grain.length });
  const bust = of('bustPoint');
  if (bust.length > 1) return refuse('places-bust-point', { count: bust.length });
  const darts: Marked['ownDarts'][number][] = [];
  const parts = places.filter((p) => p.kind === 'dartTip' || p.kind === 'dartLeg');
  for (let i = 0; i < parts.length; i += 3) {
    const [tip, one, two] = parts.slice(i, i + 3);
    if (tip?.kind !== 'dartTip' || one?.kind !== 'dartLeg' || two?.kind !== 'dartLeg')
      return refuse('places-dart', { dart: darts.length + 1 });
    darts.push({ tip: at(tip), one: at(one), two: at(two) });
  }
  const [from, to] = grain;
  return ok({
    on: outline.start,
    ownNotches: of('notch'),
    ownDarts: darts,
    grain: from && to ? { from, to } : null,
    bustPoint: bust[0] ?? null,
  });
}

/** What was marked by hand on an outline; nothing where it was not. */
export function markedOn(lines: Lines, ring: Ring): Partial<TraceChoices> {
  const marked = lines.marked?.find((m) => nearestOnPath(ring.path, m.on).distance <= TOL.meets);
  if (!marked) return {};
  const { ownNotches, ownDarts, grain, bustPoint } = marked;
  return { ownNotches, ownDarts, grain, bustPoint };
}

/** Marks as they lie once the drawing is moved or scaled. */
export const moveMarked = (m: Marked, to: (p: Point) => Point): Marked => ({
  on: to(m.on),
  ownNotches: m.ownNotches.map(to),
  ownDarts: m.ownDarts.map((d) => ({ tip: to(d.tip), one: to(d.one), two: to(d.two) })),
  grain: m.grain && { from: to(m.grain.from), to: to(m.grain.to) },
  bustPoint: m.bustPoint && to(m.bustPoint),
});

/** A place within a closed outline, where its name can stand. */
export function placeWithin(outline: Path): Point {
  const polygon = flatten(outline, 1);
  const far = polygon.reduce((best, p) => (distance(p, outline.start) > distance(best, outline.start) ? p : best));
  const inside = polygon
    .flatMap((a) => [0.5, 0.3, 0.7].map((k) => ({ x: a.x + (far.x - a.x) * k, y: a.y + (far.y - a.y) * k })))
    .filter((p) => insidePolygon(p, polygon))
    .sort((a, b) => nearestOnPath(outline, b).distance - nearestOnPath(outline, a).distance);
  return inside[0] ?? outline.start;
}
