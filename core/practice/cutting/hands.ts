import {
  compose,
  distance,
  inverse,
  move,
  nearestOnPath,
  polyline,
  rotate,
  type Point,
  type Rigid,
} from '../../geometry/index.ts';
import { solvePositive } from '../../numeric/index.ts';
import { nth, ok, PRACTICE, refuse, TOL, type Result } from '../../units/index.ts';
import { middleOf, type CutSheet, type Pin } from './sheet.ts';

/** Where every panel lies. */
export type Laid = readonly Rigid[];

/** What a hand does to a panel: pulls a place of its paper somewhere, or turns it. Angles clockwise as seen, radians. */
export type Hand =
  | { readonly kind: 'pull'; readonly panel: number; readonly grip: Point; readonly to: Point }
  | { readonly kind: 'turn'; readonly panel: number; readonly by: number };

/** How hard things hold: hinges, the hand, a panel’s direction beside it (at a tenth of a metre), its place. */
const HOLDS = { pin: 1e3, hand: 1, turn: 1e-2, place: 1e-4 } as const;
/** A turn counts like the way of a point so far from it, mm. */
const ARM = 100;
const ROUNDS = 40;

/** A panel by its turn and the place of its middle. */
interface Pose {
  readonly turn: number;
  readonly at: Point;
}

/**
 * Where the panels lie once a hand has pulled or turned one. Hinges hold to a millionth of a millimetre; what hangs from them goes along and
 * turns no more than it must. Refused: the panel pinned to the mat, one that its hinges hold fast, one that nothing holds any
 * more and that has left the others.
 */
export function moveBy(sheet: CutSheet, laid: Laid, hand: Hand): Result<Laid> {
  if (hand.panel === sheet.root) return refuse('practice-root');
  const middles = sheet.rings.map(middleOf);
  const before = laid.map((m, i): Pose => ({ turn: m.angle, at: move(m, nth(middles, i)) }));
  let poses: readonly Pose[] = before;
  for (let round = 0; round < ROUNDS; round++) {
    const next = settled(sheet, middles, before, poses, hand);
    if (!next) break;
    const far = Math.max(
      ...next.map((p, i) => distance(p.at, nth(poses, i).at) + ARM * Math.abs(p.turn - nth(poses, i).turn)),
    );
    poses = next;
    if (far < TOL.solve) break;
  }
  const held = onPins(sheet, middles, poses);
  const moved = held.map((p, i) => rigidOf(p, nth(middles, i)));
  const apart = Math.max(0, ...sheet.pins.map((p) => pinApart(p, moved)));
  const went = wayOf(hand, moved, laid);
  if (apart > TOL.same || went < Math.min(PRACTICE.held, wanted(hand, laid) / 4)) return refuse('practice-held');
  return fallen(sheet, moved) ? refuse('practice-fell') : ok(moved);
}

const gripOf = (hand: Hand): Point => (hand.kind === 'pull' ? hand.grip : { x: 0, y: 0 });
const wayOf = (hand: Hand, now: Laid, was: Laid): number =>
  hand.kind === 'pull'
    ? distance(move(nth(now, hand.panel), gripOf(hand)), move(nth(was, hand.panel), gripOf(hand)))
    : ARM * Math.abs(nth(now, hand.panel).angle - nth(was, hand.panel).angle);
const wanted = (hand: Hand, was: Laid): number =>
  hand.kind === 'pull' ? distance(hand.to, move(nth(was, hand.panel), hand.grip)) : ARM * Math.abs(hand.by);

export const pinApart = ({ at, panels: [a, b] }: Pin, laid: Laid): number =>
  distance(move(nth(laid, a), at), move(nth(laid, b), at));

const rigidOf = ({ turn, at }: Pose, middle: Point): Rigid => {
  const turned = rotate(middle, turn);
  return { angle: turn, x: at.x - turned.x, y: at.y - turned.y };
};

/** A row of the least squares: by how much it is off, and how that changes with turn, x and y of some panels. */
interface Row {
  readonly off: number;
  readonly by: readonly (readonly [panel: number, turn: number, x: number, y: number])[];
}

/** Where a place of the paper lies, x and y, and how that changes. */
function placed(middles: readonly Point[], poses: readonly Pose[], panel: number, p: Point) {
  const { turn, at } = nth(poses, panel);
  const m = nth(middles, panel);
  const arm = rotate({ x: p.x - m.x, y: p.y - m.y }, turn);
  return { x: at.x + arm.x, y: at.y + arm.y, dx: -arm.y, dy: arm.x };
}

const pinRows = (sheet: CutSheet, middles: readonly Point[], poses: readonly Pose[]): readonly Row[] =>
  sheet.pins.flatMap(({ at, panels: [a, b] }) => {
    const [p, q] = [placed(middles, poses, a, at), placed(middles, poses, b, at)];
    return [
      { off: p.x - q.x, by: [[a, p.dx, 1, 0] as const, [b, -q.dx, -1, 0] as const] },
      { off: p.y - q.y, by: [[a, p.dy, 0, 1] as const, [b, -q.dy, 0, -1] as const] },
    ];
  });

const weighed = (row: Row, w: number): Row => ({
  off: w * row.off,
  by: row.by.map(([k, t, x, y]) => [k, w * t, w * x, w * y] as const),
});

/** One Gauss-Newton step towards what the hand wants. */
function settled(
  sheet: CutSheet,
  middles: readonly Point[],
  before: readonly Pose[],
  poses: readonly Pose[],
  hand: Hand,
): readonly Pose[] | null {
  const rows: Row[] = pinRows(sheet, middles, poses).map((r) => weighed(r, HOLDS.pin));
  if (hand.kind === 'pull') {
    const p = placed(middles, poses, hand.panel, hand.grip);
    rows.push({ off: HOLDS.hand * (p.x - hand.to.x), by: [[hand.panel, p.dx, 1, 0]] });
    rows.push({ off: HOLDS.hand * (p.y - hand.to.y), by: [[hand.panel, p.dy, 0, 1]] });
  } else {
    const off = nth(poses, hand.panel).turn - nth(before, hand.panel).turn - hand.by;
    rows.push({ off: ARM * off, by: [[hand.panel, ARM, 0, 0]] });
  }
  poses.forEach((pose, i) => {
    const was = nth(before, i);
    const turn = HOLDS.turn * ARM;
    // A hand that turns a panel decides its direction by itself.
    if (hand.kind === 'pull' || i !== hand.panel)
      rows.push({ off: turn * (pose.turn - was.turn), by: [[i, turn, 0, 0]] });
    rows.push({ off: HOLDS.place * (pose.at.x - was.at.x), by: [[i, 0, HOLDS.place, 0]] });
    rows.push({ off: HOLDS.place * (pose.at.y - was.at.y), by: [[i, 0, 0, HOLDS.place]] });
  });
  const n = 3 * poses.length;
  const normal = Array.from({ length: n }, () => new Array<number>(n).fill(0));
  const right = new Array<number>(n).fill(0);
  for (const row of rows) {
    const flat = flatRow(row, sheet.root);
    for (const [i, a] of flat) {
      right[i] = (right[i] ?? 0) - a * row.off;
      for (const [j, b] of flat) nth(normal, i)[j] = (normal[i]?.[j] ?? 0) + a * b;
    }
  }
  for (let d = 0; d < 3; d++) nth(normal, 3 * sheet.root + d)[3 * sheet.root + d] = 1;
  const step = solvePositive(normal, right);
  return step && added(poses, step);
}

/** The entries of a row by unknown; the panel pinned to the mat has none. */
const flatRow = ({ by }: Row, root: number): readonly (readonly [number, number])[] =>
  by.flatMap(([k, t, x, y]) =>
    k === root
      ? []
      : (
          [
            [3 * k, t],
            [3 * k + 1, x],
            [3 * k + 2, y],
          ] as const
        ).filter(([, v]) => v !== 0),
  );

const added = (poses: readonly Pose[], step: readonly number[]): readonly Pose[] =>
  poses.map(({ turn, at }, i) => ({
    turn: turn + (step[3 * i] ?? 0),
    at: { x: at.x + (step[3 * i + 1] ?? 0), y: at.y + (step[3 * i + 2] ?? 0) },
  }));

/** Brings the hinges exactly together by the smallest movement that does. */
function onPins(sheet: CutSheet, middles: readonly Point[], start: readonly Pose[]): readonly Pose[] {
  let poses = start;
  for (let round = 0; round < ROUNDS; round++) {
    const rows = pinRows(sheet, middles, poses);
    if (Math.max(0, ...rows.map((r) => Math.abs(r.off))) < TOL.zero) break;
    // Turns are counted in millimetres at the arm, so that both kinds of unknown weigh alike.
    const flat = rows.map((r) => flatRow(r, sheet.root).map(([i, v]) => [i, i % 3 === 0 ? v / ARM : v] as const));
    const gram = flat.map((a, i) =>
      flat.map((b, j) => {
        const other = new Map(b);
        return a.reduce((sum, [k, v]) => sum + v * (other.get(k) ?? 0), i === j ? TOL.zero : 0);
      }),
    );
    const pull = solvePositive(
      gram,
      rows.map((r) => -r.off),
    );
    if (!pull) break;
    const step = new Array<number>(3 * poses.length).fill(0);
    flat.forEach((row, r) => {
      for (const [k, v] of row) step[k] = (step[k] ?? 0) + (v * nth(pull, r)) / (k % 3 === 0 ? ARM : 1);
    });
    poses = added(poses, step);
  }
  return poses;
}

/** Whether a panel that no hinge holds lies away from all the others. */
function fallen(sheet: CutSheet, laid: Laid): boolean {
  const rings = sheet.rings.map((r, i) => r.map((p) => move(nth(laid, i), p)));
  return rings.some((ring, i) => {
    if (sheet.pins.some((p) => p.panels.includes(i))) return false;
    const others = rings.filter((_, k) => k !== i).map((r) => polyline([...r, nth(r, 0)]));
    return others.every((o) => ring.every((p) => nearestOnPath(o, p).distance > PRACTICE.table));
  });
}

/** Brings the hinges of a sheet together by the smallest movement that does, as paper does when it is taped there. */
export function broughtTogether(sheet: CutSheet, laid: Laid): Laid {
  const middles = sheet.rings.map(middleOf);
  const poses = laid.map((m, i): Pose => ({ turn: m.angle, at: move(m, nth(middles, i)) }));
  return onPins(sheet, middles, poses).map((p, i) => rigidOf(p, nth(middles, i)));
}

/** All as seen from one panel: that one at rest. */
export function besidePanel(laid: Laid, panel: number): Laid {
  const back = inverse(nth(laid, panel));
  return laid.map((m, i) => (i === panel ? { angle: 0, x: 0, y: 0 } : compose(back, m)));
}

export const restOf = (sheet: CutSheet): Laid => sheet.rings.map(() => ({ angle: 0, x: 0, y: 0 }));
