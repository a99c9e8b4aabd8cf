import {
  distance,
  intersectPaths,
  lerp,
  move,
  nearestLength,
  pathFromSpans,
  pathLength,
  pointAt,
  polyline,
  tangentAt,
  type Point,
} from '../../../geometry/index.ts';
import { dartShape, type Edge, type Piece } from '../../../pattern/index.ts';
import { DONE, follow, motionOf, type Motion, type PanelSpec } from '../../../paper/slash/index.ts';
import { headSpan, type Head } from '../../../paper/truing/index.ts';
import { ok, refuse, type Result, nth } from '../../../units/index.ts';
import { hemsOf, sleeveOn, type SleeveOn } from '../../kit/sleeve.ts';

/** A line down the sleeve: pinned at the cap seam line, open at the hem. */
export interface Upright {
  readonly pin: Point;
  readonly cap: Edge;
  readonly foot: Point;
}

export interface Full {
  readonly on: SleeveOn;
  readonly uprights: readonly Upright[];
}

/** Higher and lower than any sleeve, mm. */
const FAR = 5000;
/** Without a notch on each half of the cap the uprights stand between these shares of the biceps line. */
const BETWEEN = [0.22, 0.78] as const;
/** Notches nearer together than this share of the biceps line leave no room for the uprights. */
const ROOM = 0.3;

/** Uprights evenly spaced between the notches of the cap; refused where one meets a dart. */
export function fullOn(pieces: readonly Piece[], count: number): Result<Full> {
  const on = sleeveOn(pieces);
  if (!on.ok) return on;
  const [from, to] = limits(on.value);
  const uprights: Upright[] = [];
  for (let k = 1; k <= count; k++) {
    const upright = uprightAt(on.value, from + ((to - from) * k) / (count + 1));
    if (!upright) return refuse('sleeve-landmark-missing', { piece: on.value.piece.name });
    if (meetsDart(on.value.piece, upright)) return refuse('sleeve-has-dart', { piece: on.value.piece.name });
    uprights.push(upright);
  }
  return ok({ on: on.value, uprights });
}

function limits({ piece, caps, ends }: SleeveOn): readonly [number, number] {
  const notches = piece.marks.flatMap((m) => {
    const cap = m.kind === 'notch' ? caps.find((e) => e.id === m.edge) : undefined;
    return cap && m.kind === 'notch' ? [pointAt(cap.path, m.at).x] : [];
  });
  const [left, right] = [Math.min(...notches), Math.max(...notches)];
  const width = Math.abs(ends[1].x - ends[0].x);
  if (right - left > ROOM * width) return [left, right];
  return [lerp(ends[0], ends[1], BETWEEN[0]).x, lerp(ends[0], ends[1], BETWEEN[1]).x];
}

function uprightAt({ piece, caps }: SleeveOn, x: number): Upright | null {
  const down = polyline([
    { x, y: -FAR },
    { x, y: FAR },
  ]);
  const [top] = caps.flatMap((cap) => intersectPaths(down, cap.path).map((h) => ({ cap, pin: h.point })));
  const [foot] = hemsOf(piece).flatMap((hem) => intersectPaths(down, hem.path).map((h) => h.point));
  return top && foot ? { ...top, foot } : null;
}

const meetsDart = (piece: Piece, { pin, foot }: Upright): boolean =>
  piece.darts.some((dart) => {
    const { start, end, tip } = dartShape(piece, dart);
    return intersectPaths(polyline([pin, foot]), polyline([start, tip, end])).length > 0;
  });

/** The strips cut apart from hem to cap and moved aside, the middle one at rest, so that every upright opens by `gap` all the way. */
export const partedStrips = ({ uprights }: Full, gap: number): readonly PanelSpec[] =>
  Array.from({ length: uprights.length + 1 }, (_, i) => ({
    id: idOf(i),
    seed: seedOf(uprights, i),
    motion: { kind: 'shift', by: { x: gap * (i - uprights.length / 2), y: 0 } },
    stage: 'open',
  }));

/** The head that is gathered: between the notches of the cap, or where they would be; and by how much each half becomes longer, mm. */
export interface Gathers {
  readonly head: Head;
  readonly halves: readonly { readonly edge: string; readonly was: number; readonly longer: number }[];
}

/** Refused where the cap is not in two halves, or has no room between the uprights and the underarm. */
export function gathersOf({ on, uprights }: Full, by: number, higher: number): Result<Gathers> {
  const { piece, caps, top } = on;
  const [first, last] = caps;
  if (!first || !last || caps.length !== 2)
    return refuse('cap-not-in-halves', { piece: piece.name, count: caps.length });
  const half = (edge: Edge, x: number) => {
    const down = polyline([
      { x, y: -FAR },
      { x, y: FAR },
    ]);
    const hit = intersectPaths(down, edge.path)[0]?.point;
    if (!hit) return null;
    const at = nearestLength(edge.path, hit);
    const tangent = tangentAt(edge.path, at);
    return { edge, at, from: hit, along: edge === first ? tangent : { x: -tangent.x, y: -tangent.y } };
  };
  const ends = limits(on);
  const towards = first.path.start.x < top.x ? ends : ([ends[1], ends[0]] as const);
  const [one, other] = [half(first, towards[0]), half(last, towards[1])];
  if (!one || !other) return refuse('sleeve-landmark-missing', { piece: piece.name });
  const fromEnd = pathLength(last.path) - other.at;
  // The top goes with its strip; the two ends of the head move out by half of the whole each.
  const before = uprights.filter((u) => u.pin.x < top.x).length;
  const moved = { x: top.x + by * (before / uprights.length - 1 / 2), y: top.y };
  const halves = [one, other].map((h) => {
    const aside = (Math.sign(h.from.x - top.x) * by) / 2;
    const span = headSpan({ x: h.from.x + aside, y: h.from.y }, h.along, moved, higher);
    const was = h.edge === first ? pathLength(first.path) - one.at : other.at;
    return { edge: h.edge.id, was, longer: pathLength(pathFromSpans([span])) - was };
  });
  return ok({ head: { fromStart: one.at, fromEnd, higher }, halves });
}

/**
 * The strips between the uprights, the middle one at rest; each turns about the pin it shares with the one nearer the
 * middle, so that every upright opens by `gap` at the hem.
 */
export function stripsOf({ uprights }: Full, gap: number): readonly PanelSpec[] {
  const middle = uprights.length / 2;
  const opens = uprights.map(({ pin, foot }) => 2 * Math.asin(gap / 2 / distance(pin, foot)));
  const turned = (from: number, to: number): number => opens.slice(from, to).reduce((sum, a) => sum + a, 0);
  const motion = (i: number): Motion => {
    if (i === middle) return { kind: 'rest' };
    const right = i > middle;
    const { pin } = nth(uprights, right ? i - 1 : i);
    const angle = right ? -turned(middle, i) : turned(i, middle);
    return {
      kind: 'chain',
      motions: [{ kind: 'turn', about: pin, angle }, follow(idOf(right ? i - 1 : i + 1), pin)],
    };
  };
  return Array.from({ length: uprights.length + 1 }, (_, i) => ({
    id: idOf(i),
    seed: seedOf(uprights, i),
    motion: motion(i),
    stage: 'open',
  }));
}

export const idOf = (i: number): string => `strip ${i}`;

/** Beside an upright, half-way down. */
function seedOf(uprights: readonly Upright[], i: number): Point {
  const last = i === uprights.length;
  const { pin, foot } = nth(uprights, last ? i - 1 : i);
  const middle = lerp(pin, foot, 0.5);
  return { x: middle.x + (last ? 2 : -2), y: middle.y };
}

/** Both sides of an upright's foot once the sleeve is open. */
export const parted = (strips: readonly PanelSpec[], { foot }: Upright, k: number): readonly [Point, Point] => [
  move(motionOf(strips, idOf(k), DONE), foot),
  move(motionOf(strips, idOf(k + 1), DONE), foot),
];
