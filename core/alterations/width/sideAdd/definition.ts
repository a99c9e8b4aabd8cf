import { bustLineOf, levelOf } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { SideKnot } from '../../../paper/truing/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Values } from '../../contract.ts';
import { choice, define, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import {
  alongAt,
  notchAlong,
  openings,
  sideLength,
  sidesOf,
  targetAt,
  wholeSide,
  widenStep,
  type SideOn,
} from '../../kit/sides.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { mark, match } from '../../operations/index.ts';

const BY = length('by', -120, 160, 20, true);

/** Where no notch says where the addition ends, it runs out over this, mm. */
const RUN_OUT = 110;

/** The side moved at one level, to nothing at the next notch (or a hand's breadth away); null where this piece has no such level. */
function knotsFor(
  side: SideOn,
  level: string,
  each: number,
  besides: readonly string[],
): { readonly knots: readonly SideKnot[]; readonly at: number } | null {
  const size = sideLength(side);
  const place = (): number | null => {
    if (level === 'underarm') return side.skirt ? null : 0;
    if (level === 'bust') return side.skirt ? null : bustAt(side);
    const cut = side.piece.edges.some((e) => e.role === 'waist');
    if (level === 'waist' && cut) return side.skirt ? 0 : size;
    if (level === 'waist') return alongAt(side, levelOf(side.piece, 'waist')?.y ?? Infinity);
    return (
      alongAt(side, levelOf(side.piece, 'hip')?.y ?? Infinity) ??
      (side.piece.edges.some((e) => e.role === 'hem') ? size : null)
    );
  };
  const at = place();
  if (at === null) return null;
  const before = at <= 1 ? null : Math.max(notchBefore(side, at, besides) ?? at - RUN_OUT, 0);
  // From the hip the addition goes straight on to the hem: a bulge there is no skirt.
  const after =
    at >= size - 1 || level === 'hip' ? null : Math.min(notchAlong(side, at + 20, size, besides) ?? at + RUN_OUT, size);
  const knots: SideKnot[] = [
    // Around the bust the side moves as a whole from the underarm down: the tape lies there.
    ...(level === 'bust'
      ? [{ at: 0, by: each }]
      : before === null
        ? []
        : [...(before > 0 ? [{ at: 0, by: 0 }] : []), { at: before, by: 0 }]),
    { at, by: each },
    ...(after === null ? [] : [{ at: after, by: 0 }]),
  ];
  return { knots, at };
}

/** How far down the side the tape around the bust ends; null where it ends elsewhere. */
function bustAt(side: SideOn): number | null {
  const line = bustLineOf(side.piece);
  const end = side.out === 1 ? line.at(-1)?.to : line[0]?.from;
  return end ? alongAt(side, end.y) : null;
}

function notchBefore(side: SideOn, at: number, besides: readonly string[]): number | null {
  let best: number | null = null;
  for (let from = 0; ;) {
    const next = notchAlong(side, from, at - 20, besides);
    if (next === null) return best;
    best = next;
    from = next;
  }
}

function plan(context: Context, values: Values): Result<Program> {
  const by = numberOf(values, 'by');
  const level = choiceOf(values, 'level');
  const each = by / 4;
  const data = { by: Math.abs(by), each: Math.abs(each), level };
  const message = (code: string): Message => ({ code: `sideAdd.${code}`, data });
  const instructions: Instruction[] = [];
  // At the underarm the whole side goes out, what opens in it with it; elsewhere what lies below its darts.
  const sides = sidesOf(context.pieces).map((s) => (level === 'underarm' || level === 'bust' ? wholeSide(s) : s));
  for (const side of sides) {
    const found = knotsFor(side, level, each, openings(context.seams));
    if (!found) continue;
    instructions.push(
      mark({
        piece: side.piece.id,
        message: message('mark'),
        points: [{ id: `new ${side.piece.id}`, kind: 'target', at: targetAt(side, found.at, each) }],
      }),
      widenStep(side, found.knots, message(by < 0 ? 'in' : 'out'), { round: 45 }),
    );
  }
  const [first] = instructions;
  if (!first || first.op !== 'mark' || !first.piece) return refuse('no-level-here', { level });
  instructions.push(match({ message: message('match'), kinds: ['side', 'waist', 'armhole'] }));
  const side = sides.find((s) => s.piece.id === first.piece) as SideOn;
  const at = knotsFor(side, level, each, openings(context.seams))?.at ?? 0;
  return ok({
    piece: first.piece,
    instructions,
    grips: [
      amountGrip({
        piece: first.piece,
        shown: 'drawn',
        from: targetAt(side, at, 0),
        axis: { x: side.out, y: 0 },
        value: by,
        limits: BY,
        per: 4,
      }),
    ],
  });
}

export const sideAdd: AlterationDefinition = define({
  id: 'side-add',
  family: 'width',
  params: [BY, choice('level', 'waist', 'underarm', 'bust', 'hip')],
  requires: ['side'],
  refusals: ['no-level-here'],
  examples: [
    { name: 'waist', on: 'causeway', values: { by: 24 } },
    { name: 'hip', on: 'causeway', values: { by: 32, level: 'hip' } },
    { name: 'bust, narrower', on: 'causeway-shirt', values: { by: -20, level: 'bust' } },
    { name: 'underarm, narrower', on: 'causeway-shirt', values: { by: -16, level: 'underarm' } },
  ],
  source: 'A quarter of the difference added at each side edge at one level, to nothing at the next notch.',
  why: 'why.side-add',
  needs: ({ pieces }) => (sidesOf(pieces).length > 0 ? ok(true) : refuse('no-level-here', { level: 'waist' })),
  plan,
});
