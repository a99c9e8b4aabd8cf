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
import type { Layout } from './layout.ts';

/** What becomes of the opening in the side seam once the front is level. */
export type Closing = 'open' | 'hem' | 'goal';

const TURN = 2 * Math.PI;

/** A line from the bust point outwards, and where it ends. */
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

/**
 * The cuts and motions of one front. Around the bust point the rays follow each other from line 1 downwards,
 * over the centre, to the hinge, line 2 and back; between two rays lies a panel. The panels between hinge and
 * line 2 swing with the hinge; what lies below line 2 goes with the bust point and stays parallel; the lower
 * centre drops after it. To close the opening in the side again, the paper on one side of line 2 turns about
 * the moved bust point: what lies between line 2 and the dart that takes it up, or all that hangs down to the hem.
 */
export function slashSpec(l: Layout, closing: Closing): SlashSpec {
  const { front, p, hinge, foot, mouth, centreAt, second } = l;
  const { dir } = front;
  const goal = closing === 'goal' ? front.goal : null;
  const shape = goal ? dartShape(front.piece, goal) : null;
  // A dart that is the only one takes the whole side: its wedge is folded away and comes out as wide as needed.
  const waist = closing === 'hem' && l.footRole === 'dart' && front.waistDart ? legsBelow(l, front.waistDart) : null;
  const down = waist?.centre ?? foot;
  const from = angleOf(sub(down, p));
  const sweepTo = (to: Point): number => (((dir * (angleOf(sub(to, p)) - from)) % TURN) + TURN) % TURN;
  const rays = (
    [
      { name: 'hinge', to: hinge },
      { name: 'line2', to: mouth },
      ...(second ? [{ name: 'second', to: second.at }] : []),
      ...(waist ? [{ name: 'waist', to: waist.side }] : []),
      ...(shape
        ? [
            { name: 'goal', to: shape.start },
            { name: 'goal', to: shape.end },
          ]
        : []),
    ] as readonly Ray[]
  )
    .map((r) => ({ ...r, sweep: sweepTo(r.to) }))
    .sort((a, b) => a.sweep - b.sweep);

  const line2 = rays.findIndex((r) => r.name === 'line2');
  const hingeRay = rays.findIndex((r) => r.name === 'hinge');
  const goals = rays.flatMap((r, i) => (r.name === 'goal' ? [i] : []));
  const firstGoal = goals[0] ?? -1;
  const lastGoal = goals[1] ?? -1;
  const carry: Motion | null = l.carried === null ? null : { kind: 'turn', about: p, angle: l.carried };
  const swing: Motion = carry
    ? { kind: 'chain', motions: [{ kind: 'turn', about: hinge, angle: l.turn }, carry] }
    : second
      ? {
          kind: 'chain',
          motions: [
            { kind: 'turn', about: hinge, angle: l.turn },
            { kind: 'turn', about: second.at, angle: second.angle },
          ],
        }
      : { kind: 'turn', about: hinge, angle: l.turn };
  const turnBy = (angle: number): PanelSpec['after'] => ({
    motion: { kind: 'turn', about: l.moved, angle },
    stage: 'close',
  });

  // Panel i lies between ray i and the next; the last runs down to line 1.
  const panels = rays.map((ray, i): PanelSpec => {
    const next = rays[i + 1]?.sweep ?? TURN;
    const middle = (ray.sweep + next) / 2;
    const seed = add(p, scale(unit(rotate(unit(sub(down, p)), dir * middle)), 1.5));
    const base = { seed, stage: 'open' as const };
    if (i === firstGoal && lastGoal === firstGoal + 1)
      return { ...base, id: 'wedge', motion: { kind: 'rest' }, fold: true };
    if (ray.name === 'waist') return { ...base, id: 'waistWedge', motion: { kind: 'rest' }, fold: true };
    const upper = i >= hingeRay && i < line2;
    const above = i < hingeRay;
    const motion: Motion = above
      ? second && i >= rays.findIndex((r) => r.name === 'second')
        ? { kind: 'turn', about: second.at, angle: second.angle }
        : carry && i >= lastGoal
          ? carry
          : { kind: 'rest' }
      : upper
        ? swing
        : follow('upperSide', p);
    const name = above
      ? `sleeveSide${i}`
      : upper
        ? i === hingeRay
          ? 'upperSide'
          : `upperSide${i}`
        : i === rays.length - (waist ? 2 : 1)
          ? 'lowerSide'
          : `lowerSide${i}`;
    const after =
      closing === 'hem' && i >= line2
        ? turnBy(l.whole)
        : goal && firstGoal > line2 && i >= line2 && i < firstGoal
          ? turnBy(l.whole)
          : goal && !carry && firstGoal < line2 && i >= lastGoal && i < line2
            ? turnBy(-l.whole)
            : undefined;
    return { ...base, id: name, motion, ...(after ? { after } : {}) };
  });
  const beside = (ray: number): string => panels[ray - 1]?.id ?? 'centreUpper';
  const cuts: Cut[] = [
    { id: 'line1', points: waist ? [p, hinge] : [foot, p, hinge] },
    { id: 'line2', points: [mouth, p] },
    { id: 'line3', points: [centreAt, atHeight(p, down, l.level.y)] },
    ...(waist ? [{ id: 'waist', points: [waist.side, p, waist.centre] }] : []),
    ...(second ? [{ id: 'line4', points: [p, second.at] }] : []),
    ...(shape ? [{ id: 'dart', points: [shape.start, p, shape.end] }] : []),
  ];
  const hinges: Hinge[] = [
    { id: 'hinge', at: hinge, panels: ['upperSide', beside(hingeRay)] },
    { id: 'bustPoint', at: p, panels: ['upperSide', panels[line2]?.id ?? 'lowerSide'] },
    ...(second
      ? [
          {
            id: 'overarm',
            at: second.at,
            panels: [panels[rays.findIndex((r) => r.name === 'second')]?.id ?? '', 'centreUpper'] as const,
          },
        ]
      : []),
  ];
  return {
    cuts,
    hinges,
    panels: [
      { id: 'centreUpper', seed: add(centreAt, { x: dir * 0.5, y: -0.5 }), motion: { kind: 'rest' }, stage: 'open' },
      ...panels,
      {
        id: 'centreLower',
        seed: add(centreAt, { x: dir * 0.5, y: 0.5 }),
        motion: follow('upperSide', p, 'y'),
        stage: 'level',
      },
    ],
  };
}
