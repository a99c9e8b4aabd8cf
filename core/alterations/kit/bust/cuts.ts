import { add, angleOf, rotate, scale, sub, unit, type Point } from '../../../geometry/index.ts';
import { dartShape, type Dart } from '../../../pattern/index.ts';
import {
  follow,
  type Cut,
  type Hinge,
  type Motion,
  type PanelSpec,
  type SlashSpec,
} from '../../../paper/slash/index.ts';
import { nth } from '../../../units/index.ts';
import type { Layout } from './layout.ts';

/** What becomes of the opening in the side seam once the front is level. */
export type Closing = 'open' | 'hem' | 'goal';

const TURN = 2 * Math.PI;

/** A cut from the bust point outwards, named by what it leads to. */
interface Ray {
  readonly name: string;
  readonly to: Point;
}

/** The leg ends of the waist dart: the one beside the centre, the one beside the side. */
function legsBelow(l: Layout, dart: Dart): { readonly centre: Point; readonly side: Point } {
  const { start, end } = dartShape(l.front.piece, dart);
  return (end.x - start.x) * l.front.dir > 0 ? { centre: start, side: end } : { centre: end, side: start };
}

/** Where the line from p to `to` is at a height. */
const atHeight = (p: Point, to: Point, y: number): Point => ({ x: p.x + ((to.x - p.x) * (y - p.y)) / (to.y - p.y), y });

/** The rays of one front in their order around the bust point, and what closes on it. */
interface Star {
  readonly layout: Layout;
  readonly closing: Closing;
  readonly rays: readonly (Ray & { readonly sweep: number })[];
  /** Where line 1 runs down to. */
  readonly down: Point;
  /** The waist dart, where it takes the whole side. */
  readonly waist: { readonly centre: Point; readonly side: Point } | null;
  /** The dart that takes the opening up. */
  readonly goal: { readonly start: Point; readonly end: Point } | null;
}

/**
 * The cuts and motions of one front. Around the bust point the rays follow each other from line 1 downwards,
 * over the centre, to the hinge, line 2 and back; between two rays lies a panel. The panels between hinge and
 * line 2 swing with the hinge; what lies below line 2 goes with the bust point and stays parallel; the lower
 * centre drops after it. To close the opening in the side again, the paper on one side of line 2 turns about
 * the moved bust point: what lies between line 2 and the dart that takes it up, or all that hangs down to the hem.
 */
export function slashSpec(layout: Layout, closing: Closing): SlashSpec {
  const star = starOf(layout, closing);
  const panels = star.rays.map((_, i) => panelOf(star, i));
  const { dir } = layout.front;
  const { centreAt } = layout;
  return {
    cuts: cutsOf(star),
    hinges: hingesOf(star, panels),
    panels: [
      { id: 'centreUpper', seed: add(centreAt, { x: dir * 0.5, y: -0.5 }), motion: REST, stage: 'open' },
      ...panels,
      {
        id: 'centreLower',
        seed: add(centreAt, { x: dir * 0.5, y: 0.5 }),
        motion: follow('upperSide', layout.p, 'y'),
        stage: 'level',
      },
    ],
  };
}

const REST: Motion = { kind: 'rest' };
const turn = (about: Point, angle: number): Motion => ({ kind: 'turn', about, angle });

function starOf(layout: Layout, closing: Closing): Star {
  const { front, p, hinge, foot, mouth, second } = layout;
  const goalDart = closing === 'goal' ? front.goal : null;
  const goal = goalDart ? dartShape(front.piece, goalDart) : null;
  // A dart that is the only one takes the whole side: its wedge is folded away and comes out as wide as needed.
  const takesSide = closing === 'hem' && layout.footRole === 'dart';
  const waist = takesSide && front.waistDart ? legsBelow(layout, front.waistDart) : null;
  const down = waist?.centre ?? foot;
  const from = angleOf(sub(down, p));
  const sweepTo = (to: Point): number => (((front.dir * (angleOf(sub(to, p)) - from)) % TURN) + TURN) % TURN;
  const rays: readonly Ray[] = [
    { name: 'hinge', to: hinge },
    { name: 'line2', to: mouth },
    ...(second ? [{ name: 'second', to: second.at }] : []),
    ...(waist ? [{ name: 'waist', to: waist.side }] : []),
    ...(goal ? [goal.start, goal.end].map((to) => ({ name: 'goal', to })) : []),
  ];
  const inOrder = rays.map((r) => ({ ...r, sweep: sweepTo(r.to) })).sort((a, b) => a.sweep - b.sweep);
  return { layout, closing, rays: inOrder, down, waist, goal };
}

const rayAt = ({ rays }: Star, name: string): number => rays.findIndex((r) => r.name === name);
const lastGoal = ({ rays }: Star): number => rays.findLastIndex((r) => r.name === 'goal');

/** Panel i lies between ray i and the next; the last runs down to line 1. */
function panelOf(star: Star, i: number): PanelSpec {
  const { rays, layout, down } = star;
  const { p, front } = layout;
  const ray = nth(rays, i);
  const middle = (ray.sweep + (rays[i + 1]?.sweep ?? TURN)) / 2;
  const seed = add(p, scale(unit(rotate(unit(sub(down, p)), front.dir * middle)), 1.5));
  const base = { seed, stage: 'open' as const };
  const wedge = i === rayAt(star, 'goal') && lastGoal(star) === i + 1;
  if (wedge) return { ...base, id: 'wedge', motion: REST, fold: true };
  if (ray.name === 'waist') return { ...base, id: 'waistWedge', motion: REST, fold: true };
  const closes = closingAngle(star, i);
  return {
    ...base,
    id: nameOf(star, i),
    motion: openingMotion(star, i),
    ...(closes === null ? {} : { after: { motion: turn(layout.moved, closes), stage: 'close' as const } }),
  };
}

/** Where a panel lies: before the hinge, between hinge and line 2, or below line 2. */
const placeOf = (star: Star, i: number): 'before' | 'upper' | 'lower' =>
  i < rayAt(star, 'hinge') ? 'before' : i < rayAt(star, 'line2') ? 'upper' : 'lower';

function nameOf(star: Star, i: number): string {
  const place = placeOf(star, i);
  if (place === 'before') return `sleeveSide${i}`;
  if (place === 'upper') return i === rayAt(star, 'hinge') ? 'upperSide' : `upperSide${i}`;
  return i === star.rays.length - (star.waist ? 2 : 1) ? 'lowerSide' : `lowerSide${i}`;
}

/** How a panel moves while the front is opened. */
function openingMotion(star: Star, i: number): Motion {
  const { p, hinge, carried, second, turn: swings } = star.layout;
  const carry = carried === null ? null : turn(p, carried);
  const aboutSecond = second ? turn(second.at, second.angle) : null;
  const place = placeOf(star, i);
  if (place === 'lower') return follow('upperSide', p);
  if (place === 'upper') {
    const after = carry ?? aboutSecond;
    const swing = turn(hinge, swings);
    return after ? { kind: 'chain', motions: [swing, after] } : swing;
  }
  if (aboutSecond && i >= rayAt(star, 'second')) return aboutSecond;
  return carry && i >= lastGoal(star) ? carry : REST;
}

/** By how much a panel turns about the moved bust point to close the side again; null where it does not. */
function closingAngle(star: Star, i: number): number | null {
  const { closing, goal, layout } = star;
  const { whole, carried } = layout;
  const line2 = rayAt(star, 'line2');
  const [first, last] = [rayAt(star, 'goal'), lastGoal(star)];
  if (closing === 'hem') return i >= line2 ? whole : null;
  if (!goal) return null;
  if (first > line2) return i >= line2 && i < first ? whole : null;
  return carried === null && i >= last && i < line2 ? -whole : null;
}

function cutsOf({ layout, down, waist, goal }: Star): readonly Cut[] {
  const { p, hinge, foot, mouth, centreAt, second, level } = layout;
  return [
    { id: 'line1', points: waist ? [p, hinge] : [foot, p, hinge] },
    { id: 'line2', points: [mouth, p] },
    { id: 'line3', points: [centreAt, atHeight(p, down, level.y)] },
    ...(waist ? [{ id: 'waist', points: [waist.side, p, waist.centre] }] : []),
    ...(second ? [{ id: 'line4', points: [p, second.at] }] : []),
    ...(goal ? [{ id: 'dart', points: [goal.start, p, goal.end] }] : []),
  ];
}

function hingesOf(star: Star, panels: readonly PanelSpec[]): readonly Hinge[] {
  const { p, hinge, second } = star.layout;
  const beside = panels[rayAt(star, 'hinge') - 1]?.id ?? 'centreUpper';
  const below = panels[rayAt(star, 'line2')]?.id ?? 'lowerSide';
  const overarm = panels[rayAt(star, 'second')]?.id ?? '';
  return [
    { id: 'hinge', at: hinge, panels: ['upperSide', beside] },
    { id: 'bustPoint', at: p, panels: ['upperSide', below] },
    ...(second ? [{ id: 'overarm', at: second.at, panels: [overarm, 'centreUpper'] as const }] : []),
  ];
}
