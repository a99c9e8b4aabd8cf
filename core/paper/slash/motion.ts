import {
  add,
  circlesMeet,
  compose,
  distance,
  move,
  REST,
  rotationAbout,
  scale,
  sub,
  translation,
  turnBetween,
  unit,
  type Point,
  type Rigid,
} from '../../geometry/index.ts';

/**
 * A panel's motion as it is described at the table. Motions are parametric: they can be evaluated at any progress from
 * 0 to 1. `carry` follows a point of another panel, so panels that share the point stay attached. `hang` hangs from a pin
 * on one panel and stays joined at `at` to the paper that hangs `beside` it from another, or `apart` from it in the end, mm.
 */
export type Motion =
  | { readonly kind: 'rest' }
  | { readonly kind: 'turn'; readonly about: Point; readonly angle: number }
  | { readonly kind: 'shift'; readonly by: Point }
  | { readonly kind: 'carry'; readonly panel: string; readonly point: Point; readonly axis: 'both' | 'x' | 'y' }
  | { readonly kind: 'hang'; readonly from: Pin; readonly beside: Pin; readonly at: Point; readonly apart: number }
  | { readonly kind: 'chain'; readonly motions: readonly Motion[] };

/** A place on a panel, where other paper hangs from it. */
export interface Pin {
  readonly panel: string;
  readonly point: Point;
}

/** Opening (or lapping), levelling what drops, and closing one opening into another. */
export type SlashStage = 'open' | 'level' | 'close';

export interface PanelSpec {
  readonly id: string;
  /** Any point inside the panel. */
  readonly seed: Point;
  readonly motion: Motion;
  readonly stage: SlashStage;
  /** A second motion in a later stage, starting from where the first one ended. */
  readonly after?: { readonly motion: Motion; readonly stage: SlashStage };
  /** Paper folded out of sight (a dart's wedge): its edge becomes a straight line between its neighbours. */
  readonly fold?: boolean;
}

/** How far each stage has come, 0..1. */
export type Progress = Readonly<Record<SlashStage, number>>;
export const NOT_YET: Progress = { open: 0, level: 0, close: 0 };
export const DONE: Progress = { open: 1, level: 1, close: 1 };

/** The rigid motion of one panel at a given progress. Throws on an unknown panel and on a cycle of `carry`. */
export function motionOf(panels: readonly PanelSpec[], id: string, at: Progress, depth = 0): Rigid {
  const panel = panels.find((p) => p.id === id);
  if (!panel || depth > panels.length) throw new Error(`slash: expected a panel "${id}" that does not carry itself`);
  const first = resolve(panel.motion, panel.stage);
  return panel.after && at[panel.after.stage] > 0
    ? compose(resolve(panel.after.motion, panel.after.stage), first)
    : first;

  function resolve(m: Motion, stage: SlashStage): Rigid {
    const t = at[stage];
    switch (m.kind) {
      case 'rest':
        return REST;
      case 'turn':
        return rotationAbout(m.about, m.angle * t);
      case 'shift':
        return translation(scale(m.by, t));
      case 'carry': {
        const leader = panels.find((p) => p.id === m.panel);
        if (!leader) throw new Error(`slash: expected a panel "${m.panel}" to go with`);
        // A follower ignores its leader's second motion.
        const { after: _later, ...led } = leader;
        const others = panels.map((p) => (p === leader ? led : p));
        const by = sub(move(motionOf(others, m.panel, at, depth + 1), m.point), m.point);
        // In the leader's own stage the follower moves exactly with it; in a later stage it catches up by that stage's
        // progress.
        const k = leader.stage === stage ? 1 : t;
        return translation({ x: m.axis === 'y' ? 0 : by.x * k, y: m.axis === 'x' ? 0 : by.y * k });
      }
      case 'hang':
        return hung(m, t, (p) => move(motionOf(panels, p.panel, at, depth + 1), p.point));
      case 'chain':
        return m.motions.reduce((sum, one) => compose(resolve(one, stage), sum), REST);
    }
  }
}

/** Two rods between three pins: the two they hang from have moved, the one they meet in finds its place. */
function hung({ from, beside, at, apart }: Motion & { kind: 'hang' }, t: number, moved: (p: Pin) => Point): Rigid {
  const half = scale(unit(sub(from.point, beside.point)), (apart * t) / 2);
  const [one, other] = [moved(from), moved(beside)];
  const [long, otherLong] = [distance(at, from.point), distance(at, beside.point)];
  const meets = circlesMeet(sub(one, half), long, add(other, half), otherLong, at);
  // Out of each other's reach they hang straight, and the hinge between them is found to be torn.
  const foot = meets ? add(meets, half) : add(one, sub(at, from.point));
  const turned = turnBetween(sub(at, from.point), sub(foot, one));
  return compose(rotationAbout(one, turned), translation(sub(one, from.point)));
}

export const follow = (panel: string, point: Point, axis: 'both' | 'x' | 'y' = 'both'): Motion => ({
  kind: 'carry',
  panel,
  point,
  axis,
});
