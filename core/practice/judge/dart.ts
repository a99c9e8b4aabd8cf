import { distance, endOf, move, nearestOnPath, type Point } from '../../geometry/index.ts';
import { bustPointOf, type Dart } from '../../pattern/index.ts';
import { nth, PRACTICE, TOL } from '../../units/index.ts';
import { jointsOf } from '../cutting/index.ts';
import type { RightWay } from '../task.ts';
import type { Attempt, Difference } from './compare.ts';

/** A cut piece as it lies. */
type Lying = Pick<Attempt, 'sheet' | 'laid' | 'taped'>;

/** The dart that the alteration leaves where the paper opened, and that one draws. */
export const dartToDraw = (way: RightWay): Dart | undefined =>
  way.final.darts.find((d) => d.kind !== 'waist') ?? way.final.darts[0];

/**
 * The ends of the dart’s mouth on the paper as it lies: those of the dart that was there, or the two corners of the cut that opened
 * the same seam. Null where nothing opened there.
 */
export function mouthNow(way: RightWay, { sheet, laid, taped }: Lying): readonly [Point, Point] | null {
  const dart = dartToDraw(way);
  if (!dart) return null;
  const edge = taped.piece.edges.find((e) => e.id === dart.mouth);
  if (edge) return [edge.path.start, endOf(edge.path)];
  const at = way.final.edges.findIndex((e) => e.id === dart.mouth);
  const role = way.final.edges.at(at - 1)?.role;
  const onSeam = (p: Point): boolean =>
    way.from.edges.some((e) => e.role === role && nearestOnPath(e.path, p).distance < TOL.placed);
  const joint = jointsOf(sheet.lines, sheet.divided).find((j) => !j.whole && onSeam(j.at));
  if (!joint) return null;
  const [a, b] = joint.panels.map((p) => move(nth(laid, p), joint.at)) as [Point, Point];
  return [a, b];
}

/** Where the bust point of a piece has come to: in the middle of what opened there, as low as the paper that its hinge holds. */
export function bustPointNow(way: RightWay, attempt: Lying): Point | undefined {
  const [was, now] = [bustPointOf(way.from), bustPointOf(attempt.taped.piece)];
  const pin = was && attempt.sheet.pins.find((p) => distance(p.at, was) < PRACTICE.atBust);
  if (!pin) return now;
  const held = move(nth(attempt.laid, pin.panels[0]), pin.at);
  return { x: (pin.at.x + held.x) / 2, y: held.y };
}

/** The dart as it was drawn: whether its legs are alike, and how far short of the bust point it ends. */
export function dartDifferences(way: RightWay, attempt: Attempt | null): readonly Difference[] {
  const dart = dartToDraw(way);
  const [bust, there] = [attempt && bustPointNow(way, attempt), bustPointOf(way.final)];
  const mouth = attempt && mouthNow(way, attempt);
  if (!dart || !mouth || !bust || !there || !attempt.tip) return [];
  const { tip } = attempt;
  const [wanted, got] = [distance(there, dart.tip), distance(bust, tip)];
  return [
    { kind: 'legs', piece: 0, at: tip, by: distance(tip, mouth[0]) - distance(tip, mouth[1]) },
    { kind: 'tip', piece: 0, at: tip, by: got - wanted, got, wanted },
  ];
}
