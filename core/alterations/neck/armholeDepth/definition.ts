import {
  add,
  distance,
  endOf,
  endTangent,
  pathLength,
  scale,
  startTangent,
  sub,
  unit,
  type Point,
} from '../../../geometry/index.ts';
import { solveBetween } from '../../../numeric/index.ts';
import { edgesWithRole, requireEdge, type Edge, type Piece } from '../../../pattern/index.ts';
import {
  edgeAfter,
  edgeBefore,
  isStraightPath,
  drawCorner,
  moveEnd,
  moveStart,
  stretchFrom,
  type CapGoal,
} from '../../../paper/truing/index.ts';
import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Values } from '../../contract.ts';
import { define, held, length, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { amountGrip } from '../../kit/grip.ts';
import { numberOf } from '../../engine/values.ts';
import { fitCap, mark, match, moveCorner } from '../../operations/index.ts';

const BY = length('by', -40, 40, 8, true);

interface Underarm {
  readonly piece: Piece;
  /** The curve that ends at the underarm: armhole or cap, and the seam below it. */
  readonly curve: Edge;
  readonly seam: Edge;
  readonly at: Point;
  /** Down the seam, and out of the piece. */
  readonly down: Point;
  readonly out: 1 | -1;
}

/** Every place where an armhole or a cap comes down to the underarm. */
function underarms(pieces: readonly Piece[]): readonly Underarm[] {
  return pieces.flatMap((piece) =>
    [...edgesWithRole(piece, 'armhole'), ...edgesWithRole(piece, 'cap')].flatMap((curve): readonly Underarm[] => {
      const beside = [edgeBefore(piece, curve.id), edgeAfter(piece, curve.id)].map((id) => requireEdge(piece, id));
      const seam = beside.find((e) => e.role === 'side' || e.role === 'underarm');
      if (!seam) return [];
      const at = seam === beside[1] ? endOf(curve.path) : curve.path.start;
      const straight = isStraightPath(seam.path);
      const starts = distance(seam.path.start, at) < TOL.join;
      const far = starts ? endOf(seam.path) : seam.path.start;
      const down = straight ? unit(sub(far, at)) : starts ? startTangent(seam.path) : scale(endTangent(seam.path), -1);
      const middle = (Math.min(...xs(piece)) + Math.max(...xs(piece))) / 2;
      return [{ piece, curve, seam, at, down, out: at.x > middle ? 1 : -1 }];
    }),
  );
}
const xs = (piece: Piece): readonly number[] => piece.edges.map((e) => e.path.start.x);

/**
 * The underarm so far out, and as far up or down its seam as makes that seam longer by just `by`: front, back and
 * sleeve then still meet, however their seams slant.
 */
function targetOf(u: Underarm, by: number, out: number): Point {
  const aside = add(u.at, { x: u.out * out, y: 0 });
  const atStart = distance(u.seam.path.start, u.at) < TOL.join;
  const reach = stretchFrom(u.piece, u.seam.id, atStart ? 'start' : 'end');
  const drawn = (to: Point): number =>
    pathLength(atStart ? moveStart(u.seam.path, to, reach) : moveEnd(u.seam.path, to, reach));
  const over = (down: number): number => drawn(add(aside, scale(u.down, down))) - pathLength(u.seam.path) - by;
  const [low, high] = [-by - 25, -by + 25];
  const down = over(low) > 0 === over(high) > 0 ? -by : solveBetween(over, low, high, 1e-7);
  return add(aside, scale(u.down, down));
}

/** From the underarm to the notch, along the curve: what is drawn again. */
function reachOf({ piece, curve, at }: Underarm): number {
  const size = pathLength(curve.path);
  const fromStart = distance(curve.path.start, at) < TOL.join;
  const notch = piece.marks.find((m) => m.kind === 'notch' && m.edge === curve.id);
  const reach = notch?.kind === 'notch' ? (fromStart ? notch.at : size - notch.at) : size * 0.5;
  return Math.max(20, reach);
}

/** Cap edges to be as long as the new armholes and their ease ask: blended alike they are nearly so already. */
function capGoal(
  context: Context,
  found: readonly Underarm[],
  target: (u: Underarm) => Point,
): { readonly sleeve: string; readonly goal: CapGoal } | null {
  const goal: Record<string, number> = {};
  let sleeve: string | null = null;
  for (const seam of context.seams.filter((s) => s.kind === 'armhole')) {
    const arm = found.find((u) => u.piece.id === seam.first.piece && seam.first.edges.includes(u.curve.id));
    const cap = found.find((u) => u.piece.id === seam.second.piece && seam.second.edges.includes(u.curve.id));
    if (!arm || !cap || cap.curve.role !== 'cap' || seam.first.edges.length > 1) return null;
    const moved = drawCorner(arm.piece, [arm.curve.id, arm.seam.id], target(arm), [reachOf(arm), undefined]);
    goal[cap.curve.id] = pathLength(requireEdge(moved, arm.curve.id).path) + seam.ease;
    sleeve = cap.piece.id;
  }
  return sleeve && Object.keys(goal).length === 2 ? { sleeve, goal } : null;
}

function plan(context: Context, values: Values): Result<Program> {
  const found = underarms(context.pieces);
  const [first] = found;
  if (!first) return refuse('armhole-missing', { piece: context.pieces[0]?.name ?? '' });
  const by = numberOf(values, 'by');
  const out = numberOf(values, 'out');
  const data = { by: Math.abs(by), out: Math.abs(out) };
  const say = (code: string): Message => ({ code: `underarm.${code}`, data });
  const target = (u: Underarm): Point => targetOf(u, by, out);
  const instructions = found.flatMap((u): readonly Instruction[] => {
    const sleeve = u.curve.role === 'cap';
    return [
      mark({
        piece: u.piece.id,
        message: say('mark'),
        points: [{ id: `underarm ${u.piece.id} ${u.curve.id}`, kind: 'target', at: target(u) }],
      }),
      moveCorner({
        stage: sleeve ? 'match' : 'true',
        piece: u.piece.id,
        message: say(sleeve ? 'sleeve' : by > 0 ? 'raise' : by < 0 ? 'lower' : 'out'),
        between: [u.curve.id, u.seam.id],
        to: target(u),
        reach: [reachOf(u), undefined],
      }),
    ];
  });
  const cap = capGoal(context, found, target);
  return ok({
    piece: first.piece.id,
    instructions: [
      ...instructions,
      ...(cap ? [fitCap({ stage: 'match', piece: cap.sleeve, message: say('cap'), goal: cap.goal })] : []),
      match({ message: say('match'), kinds: ['side', 'armhole', 'other'] }),
    ],
    grips: [
      amountGrip({
        piece: first.piece.id,
        shown: 'drawn',
        from: first.at,
        axis: scale(first.down, -1),
        value: by,
        limits: BY,
        id: 'underarm',
        at: target(first),
      }),
    ],
  });
}

/** Ease below the arm, mm. */
const EASE = 12;

export const armholeDepth: AlterationDefinition = define({
  id: 'armhole-depth',
  family: 'neck',
  params: [BY, length('out', -20, 30, 0, true)],
  amounts: ['by', 'out'],
  requires: ['armhole', 'side'],
  refusals: ['armhole-missing'],
  examples: [
    { name: 'raised', on: 'causeway', values: { by: 8 } },
    { name: 'lowered and built out', on: 'causeway', values: { by: -10, out: 6 } },
  ],
  source:
    'The underarm moved up, down or out and blended into the curve at the notch, alike on front, back and sleeve.',
  why: 'why.armhole-depth',
  needs: ({ pieces }) =>
    underarms(pieces).length > 0 ? ok(true) : refuse('armhole-missing', { piece: pieces[0]?.name ?? '' }),
  reads: ['napeToUnderarm'],
  // A deeper body asks for a lower underarm.
  fits: (context) => fitBy(context, 'napeToUnderarm', -1, (by) => ({ by: tenth(-by) }), EASE),
  plan,
  holds: held({ part: ['front', 'back'], role: 'neck' }, { part: ['front', 'back'], role: 'shoulder' }),
});
