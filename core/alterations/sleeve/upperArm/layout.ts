import {
  circlesMeet,
  distance,
  lerp,
  lineMeet,
  midpoint,
  pathLength,
  rotateAbout,
  sub,
  type Point,
} from '../../../geometry/index.ts';
import { solveBetween } from '../../../numeric/index.ts';
import { requireEdge } from '../../../pattern/index.ts';
import { drawCorner, isStraightPath, restoredCap } from '../../../paper/truing/index.ts';
import { ADVICE, ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type { Context, Instruction, Message, Under } from '../../contract.ts';
import { cuffOn } from '../../kit/cuff.ts';
import { followings, type Following } from '../../kit/follow.ts';
import { capLength, spreadBy, type SleeveOn, type Spread } from '../../kit/sleeve.ts';
import { reachOf, targetOf, underarms, type Underarm } from '../../kit/underarms.ts';
import { fitCap, mark, matchSeam, moveCorner, restoreCap, rule, slash, smooth, tell } from '../../operations/index.ts';

export type Say = (code: Under<'upperArm'>) => Message;

/** The sleeve with its upper half spread, where the biceps line crosses the grain, and the foot of the grain then. */
export interface LaidOut {
  readonly on: SleeveOn;
  readonly spread: Spread;
  readonly crossing: Point;
  /** How far the cut along the grain opens at the biceps line, and laps across it at the middle, mm. */
  readonly opened: number;
  readonly lap: number;
}

/** Works the spread out; refused where the cap cannot give so much, or the halves below it do not meet at the hem. */
export function layOut(on: SleeveOn, by: number, wrist: number): Result<LaidOut> {
  const { top, foot, ends } = on;
  const spread = spreadBy(on, by);
  const across = lineMeet(ends[0], sub(ends[1], ends[0]), top, sub(foot, top));
  if (!spread || !across) return refuse('sleeve-too-wide', { by });
  const crossing = lerp(ends[0], ends[1], across.s);
  const half = { x: (Math.sign(ends[1].x - ends[0].x) * wrist) / 2, y: 0 };
  const [one, other] = [
    { x: spread.ends[0].x + half.x, y: spread.ends[0].y },
    { x: spread.ends[1].x - half.x, y: spread.ends[1].y },
  ];
  const meets = circlesMeet(one, distance(ends[0], foot), other, distance(ends[1], foot), foot);
  if (!meets) return refuse('sleeve-too-wide', { by });
  const corners = spread.angles.map((angle) => rotateAbout(crossing, top, angle));
  const [left, right] = [corners[0] as Point, corners[1] as Point];
  // The lower corner at the middle goes with the foot, turned with its half about it.
  const turned =
    Math.asin((spread.ends[1].x - meets.x - half.x) / distance(ends[1], foot)) -
    Math.asin((ends[1].x - foot.x) / distance(ends[1], foot));
  const lower = meets.y - distance(crossing, foot) * Math.cos(turned);
  return ok({ on, spread, crossing, opened: distance(left, right), lap: midpoint(left, right).y - lower });
}

/** Cut along the grain and across the biceps line, pinned at the top, at both underarm points and at the hem. */
export function spreadSleeve(
  { on, spread, crossing, opened }: LaidOut,
  by: number,
  wrist: number,
  say: Say,
): readonly Instruction[] {
  const { piece, top, foot, ends } = on;
  const inside = (a: Point, b: Point, c: Point): Point => lerp(midpoint(a, b), c, 1 / 3);
  const halves = [0, 1] as const;
  const cuts = [
    { id: 'grain', points: [top, foot] },
    { id: 'biceps', points: [ends[0], ends[1]] },
  ];
  const pins = [
    { id: 'top', at: top },
    { id: 'underarm 0', at: ends[0] },
    { id: 'underarm 1', at: ends[1] },
    ...(wrist === 0 ? [{ id: 'hem', at: foot }] : []),
  ];
  const from = (i: 0 | 1) => ({ panel: `upper ${i}`, point: ends[i] });
  return [
    mark({
      piece: piece.id,
      message: say('mark'),
      lines: cuts.map((c, i) => ({ ...c, label: String(i + 1) })),
      points: pins.map((p) => ({ id: `${p.id} ${piece.id}`, kind: 'hinge', at: p.at })),
    }),
    slash({
      piece: piece.id,
      messages: { cut: say(wrist === 0 ? 'cut' : 'cutThrough'), open: say(by < 0 ? 'lap' : 'open') },
      spec: {
        cuts,
        hinges: [
          { id: 'top', at: top, panels: ['upper 0', 'upper 1'] },
          ...halves.map((i) => ({ id: `underarm ${i}`, at: ends[i], panels: [`upper ${i}`, `lower ${i}`] as const })),
          ...(wrist === 0 ? [{ id: 'hem', at: foot, panels: ['lower 0', 'lower 1'] as const }] : []),
        ],
        panels: halves.flatMap((i) => [
          {
            id: `upper ${i}`,
            seed: inside(top, crossing, ends[i]),
            motion: { kind: 'turn' as const, about: top, angle: spread.angles[i] },
            stage: 'open' as const,
          },
          {
            id: `lower ${i}`,
            seed: inside(foot, crossing, ends[i]),
            motion: { kind: 'hang' as const, from: from(i), beside: from(i === 0 ? 1 : 0), at: foot, apart: wrist },
            stage: 'open' as const,
          },
        ]),
      },
      dimensions: [
        {
          id: `gap ${piece.id}`,
          from: rotateAbout(crossing, top, spread.angles[0]),
          to: rotateAbout(crossing, top, spread.angles[1]),
          value: opened,
        },
      ],
    }),
    restoreCap({ piece: piece.id, message: say(by < 0 ? 'capTrim' : 'cap'), ends: spread.ends }),
    isStraightPath(on.hem.path)
      ? rule({ piece: piece.id, message: say('hem'), edges: [on.hem.id], each: true })
      : smooth({ piece: piece.id, message: say('hem'), reach: 60, at: { edge: on.hem.id, near: foot } }),
  ];
}

/** A hem that was opened and is sewn into a cuff has so much more to gather. */
export function gatheredMore(context: Context, wrist: number, say: Say): readonly Instruction[] {
  const cuff = wrist === 0 ? null : cuffOn(context);
  if (!cuff) return [];
  const more = cuff.side === cuff.seam.second ? -wrist : wrist;
  return [matchSeam({ message: say('cuff'), seam: cuff.seam.id, ease: cuff.seam.ease + more })];
}

/** The cap against the armholes it is set into: how long both are, before and after; null where no armhole is known. */
export interface CapEase {
  readonly found: readonly Following[];
  readonly cap: number;
  readonly now: number;
  readonly armhole: number;
}

export function capEase(context: Context, { on, spread }: LaidOut): CapEase {
  const found = followings(context, 'armhole', ['sleeve']);
  const mine = found.ok ? found.value.filter((f) => f.follower.id === on.piece.id) : [];
  return {
    found: mine,
    cap: capLength(on.piece),
    now: capLength(restoredCap(on.piece, spread.ends)),
    armhole: mine.reduce(
      (sum, f) => sum + f.leading.edges.reduce((n, e) => n + pathLength(requireEdge(f.leader, e).path), 0),
      0,
    ),
  };
}

/** What becomes of a cap that has grown or shrunk: its ease, its height, or the armholes it is set into. */
export type CapWay = 'keep' | 'lower' | 'underarm';

export function settleCap(
  context: Context,
  laid: LaidOut,
  ease: CapEase,
  way: string,
  say: Say,
): Result<readonly Instruction[]> {
  if (way === 'lower') return ok(loweredCap(laid, ease, say));
  if (way === 'underarm') return wideArmholes(context, laid, ease, say);
  if (ease.found.length === 0) return ok([]);
  return ok([...keptAsEase(laid, ease, say), ...warned(ease, laid.on.piece.id)]);
}

/** Each armhole seam is sewn with the ease its half of the cap has now. */
function keptAsEase(laid: LaidOut, { found }: CapEase, say: Say): readonly Instruction[] {
  const drawn = restoredCap(laid.on.piece, laid.spread.ends);
  return found.map((f) => {
    const by = f.following.edges.reduce(
      (sum, e) => sum + pathLength(requireEdge(drawn, e).path) - pathLength(requireEdge(f.follower, e).path),
      0,
    );
    const more = f.seam.second === f.following ? by : -by;
    return matchSeam({ piece: laid.on.piece.id, message: say('keep'), seam: f.seam.id, ease: f.seam.ease + more });
  });
}

/** A cap with more ease than cloth takes up, or less than none. */
function warned({ now, armhole }: CapEase, piece: string): readonly Instruction[] {
  const by = now - armhole;
  if (by >= -TOL.seam && by <= ADVICE.capEase) return [];
  const code = by < 0 ? 'cap-ease-missing' : 'cap-ease-large';
  return [tell({ what: { finding: { code, grade: 'look', piece, data: { by: Math.abs(by) } } } })];
}

/** The cap as long as before the sleeve was spread: whatever seams are known, its ease is what it was. */
function loweredCap({ on }: LaidOut, { found }: CapEase, say: Say): readonly Instruction[] {
  const piece = on.piece.id;
  return [
    fitCap({ piece, message: say('lower'), goal: Object.fromEntries(on.caps.map((e) => [e.id, pathLength(e.path)])) }),
    ...found.map((f) => matchSeam({ piece, message: say('notches'), seam: f.seam.id })),
  ];
}

/** How far in or out the underarm of the bodice may go, mm: farther in, the armhole no longer gets shorter. */
const OUT = { min: -25, max: 35 };

/** Front and back drawn out at the underarm until each armhole is as much longer as its half of the cap. */
function wideArmholes(
  context: Context,
  { on, spread }: LaidOut,
  { found }: CapEase,
  say: Say,
): Result<readonly Instruction[]> {
  if (found.length === 0) return refuse('armhole-missing', { piece: on.piece.name });
  const drawn = restoredCap(on.piece, spread.ends);
  const out: Instruction[] = [];
  for (const f of found) {
    const arm = underarms(context.pieces).find(
      (u) => u.piece.id === f.leader.id && f.leading.edges.includes(u.curve.id),
    );
    const [edge] = f.following.edges;
    if (!arm || edge === undefined) return refuse('armhole-missing', { piece: f.leader.name });
    const wanted = pathLength(requireEdge(drawn, edge).path) - pathLength(requireEdge(f.follower, edge).path);
    const target = (far: number): Point => targetOf(arm, 0, far);
    const grown = (far: number): number =>
      pathLength(requireEdge(corner(arm, target(far)), arm.curve.id).path) - pathLength(arm.curve.path) - wanted;
    if (grown(OUT.min) > 0 || grown(OUT.max) < 0)
      return refuse('armhole-cannot-follow', { by: wanted, piece: f.leader.name });
    const to = target(solveBetween(grown, OUT.min, OUT.max, TOL.zero));
    out.push(
      moveCorner({
        piece: f.leader.id,
        message: say('underarm'),
        between: [arm.curve.id, arm.seam.id],
        to,
        reach: [reachOf(arm), undefined],
      }),
    );
  }
  return ok(out);
}

const corner = (arm: Underarm, to: Point) =>
  drawCorner(arm.piece, [arm.curve.id, arm.seam.id], to, [reachOf(arm), undefined]);
