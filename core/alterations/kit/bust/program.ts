import { add, rotateAbout, sub } from '../../../geometry/index.ts';
import { dartShape } from '../../../pattern/index.ts';
import { degrees, ok, refuse, ADVICE, TOL, type Result } from '../../../units/index.ts';
import { type Context, type Instruction, type Program, type Values } from '../../contract.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { type Closing } from './cuts.ts';
import { type BustHow } from './front.ts';
import { layOut, type Layout } from './layout.ts';
import { advice } from './promises.ts';
import { gripsOf } from './grips.ts';
import { darts, doubleDartsOnLine, doubleDartSteps, marking, opening, truing, waistDartSteps } from './stages.ts';
import { choice } from './params.ts';
import { landmark, match, tell } from '../../operations/index.ts';

/** What is to be done with the opening in the side, for this amount. */
function closingOf(l: Layout, how: BustHow, values: Values, s: number): Closing {
  if (l.front.sideDart) return 'open';
  if (how.dart === 'waist') return 'hem';
  if (l.front.goal) return 'goal';
  // Without a dart there is nothing to lap into: the whole side goes in, down to the hem.
  return s < 0 || choiceOf(values, 'ending') === 'hem' ? 'hem' : 'open';
}

/**
 * Lapping narrows the waist dart on line 1; past nothing its legs would pass each other. How much lapping it allows,
 * where this amount is more than that; null where it is not.
 */
function waistDartCloses(
  context: Context,
  values: Values,
  how: BustHow,
  l: Layout,
  closing: Closing,
): { readonly most: number } | null {
  const dart = l.front.waistDart;
  const s = numberOf(values, 'total') / 2;
  if (!dart || l.footRole !== 'dart' || s >= 0) return null;
  const left = (laid: Layout): number => {
    const { start, end } = dartShape(laid.front.piece, dart);
    const [centre, side] = (end.x - start.x) * laid.front.dir > 0 ? [start, end] : [end, start];
    const by = sub(laid.moved, laid.p);
    const carried = add(side, by);
    const lies = closing === 'hem' ? rotateAbout(carried, laid.moved, laid.whole) : add(side, { x: by.x, y: 0 });
    return (lies.x - centre.x) * laid.front.dir;
  };
  if (left(l) > TOL.legs) return null;
  let [low, high] = [0, -s];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    const laid = layOut(context, values, -middle, how);
    if (laid.ok && left(laid.value) > TOL.legs) low = middle;
    else high = middle;
  }
  return { most: low };
}

/**
 * The program of a full or small bust on a front in one piece: three lines, a swing about the hinge, the lower
 * centre levelled, the opening kept as a dart, closed into the hem or another dart, or eased; then trued.
 */
export function bustProgram(context: Context, values: Values, how: BustHow): Result<Program> {
  const total = numberOf(values, 'total');
  const s = total / 2;
  const laid = layOut(context, values, s, how);
  if (!laid.ok) return laid;
  const l = laid.value;
  const { front, p, moved, hinge } = l;
  const closing = closingOf(l, how, values, s);
  const closed = waistDartCloses(context, values, how, l, closing);
  if (closed) return refuse('overlap-larger-than-dart', { wanted: -s, most: closed.most, dart: 'waist' });
  const ease = l.bare !== null && closing === 'open' && choiceOf(values, 'ending') === 'ease';
  const intake = Math.abs(l.whole) * Math.hypot(l.mouth.x - p.x, l.mouth.y - p.y);
  if (ease && intake > ADVICE.easeMost) return refuse('too-much-to-ease', { intake, most: ADVICE.easeMost });
  const setback = numberOf(values, 'setback');
  const middle = choice(values, 'newBustPoint', 'middle') === 'middle';
  const bustPoint = middle ? { x: (p.x + moved.x) / 2, y: moved.y } : moved;
  const data = {
    s: Math.abs(s),
    total,
    dy: moved.y - p.y,
    degrees: Math.abs(degrees(l.whole)),
    setback,
    below: l.bare ? numberOf(values, 'below') : 0,
    intake,
    hinge: how.hinge,
    dart: front.goal?.kind ?? (how.dart === 'waist' ? 'waist' : 'side'),
  };
  // The dart that takes the opening; none where it is eased or let down to the hem.
  const taker = closing === 'goal' ? 'goal' : closing === 'open' && !ease && (front.sideDart || s > 0) ? 'side' : null;
  const steps: Instruction[] = [...marking(l, data, values, closing), ...opening(l, data, s, closing)];
  const waistDart = front.waistDart && l.footRole === 'dart' ? front.waistDart : null;
  const keepsDart = waistDart !== null && choice(values, 'waistDart', 'widen') === 'keep';
  steps.push(
    landmark({
      stage: 'dart',
      message: { code: middle ? 'fba.bustPoint.middle' : 'fba.bustPoint.moved', data },
      bustPoint,
      levels: { bust: bustPoint.y },
    }),
  );
  steps.push(...darts(l, data, closing, ease, bustPoint, setback));
  if (waistDart) steps.push(...waistDartSteps(l, waistDart, keepsDart, data, bustPoint, s));
  const keepsDouble = choice(values, 'waistDart', 'widen') === 'keep';
  steps.push(...doubleDartSteps(doubleDartsOnLine(l), keepsDouble, data, s));
  steps.push(...truing(l, data, values, closing, s, waistDart, keepsDart));
  steps.push(match({ message: { code: 'fba.match', data }, kinds: ['side', 'shoulder', 'raglan'] }));
  for (const finding of advice(front.piece, total, taker !== null || how.dart === 'waist'))
    steps.push(tell({ what: { finding } }));
  const still = steps.filter((i) => i.stage === 'mark' || i.stage === 'cut' || i.op === 'match');
  return ok({
    piece: front.piece.id,
    instructions: s === 0 ? still : steps,
    grips: gripsOf(l, values, bustPoint, hinge, taker),
  });
}
