import { distance, intersectPaths, lerp, move, pointAt, polyline, type Point } from '../../../geometry/index.ts';
import { dartShape, type Edge, type Piece } from '../../../pattern/index.ts';
import { DONE, follow, motionOf, type Motion, type PanelSpec } from '../../../paper/slash/index.ts';
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
