import { compose, rotationAbout, sub, translation, unit, type Point } from '../geometry/index.ts';
import { nth, ok, type Result } from '../units/index.ts';
import { cutAlong, middleOf, restOf, type CutSheet, type Laid, type Line, type Lying } from './cutting/index.ts';
import type { Draw } from './lesson.ts';
import { rightLines } from './model.ts';
import { rightLaid } from './rightLaid.ts';
import { drawFrom, type RightWay, type Task } from './task.ts';

/** What lies on the mat when one comes to it: the pieces of a task, cut, and lying as an accident left them. */
export type Left = readonly Lying[];

/** What happened to the first piece; the others were cut and moved as they should be. */
interface Accident {
  /** The lines it was cut along. */
  readonly lines: (right: readonly Line[], draw: Draw) => readonly Line[];
  /** Where its paper lies, beside the place it belongs. */
  readonly laid: (sheet: CutSheet, way: RightWay, draw: Draw) => Laid;
}

const loose = (sheet: CutSheet, laid: Laid, moved: (middle: Point) => ReturnType<typeof translation>): Laid =>
  laid.map((m, i) => (i === sheet.root ? m : compose(moved(middleOf(nth(sheet.rings, i))), m)));

/** Longer at both ends, so that it still runs over the paper once it is drawn elsewhere. */
const longer = ([a, ...rest]: readonly Point[]): readonly Point[] => {
  const b = nth(rest, rest.length - 1);
  if (!a) return rest;
  const on = unit(sub(b, a));
  const [first, last] = [-BEYOND, BEYOND].map((by) => ({ x: on.x * by, y: on.y * by })) as [Point, Point];
  return [
    { x: a.x + first.x, y: a.y + first.y },
    { x: b.x + last.x, y: b.y + last.y },
  ];
};
/** By so much at either end, mm. */
const BEYOND = 150;

const through = (lines: readonly Line[]): readonly Line[] =>
  lines.map((l) => ({ ...l, hinge: { start: false, end: false } }));

const ACCIDENTS: Readonly<Record<string, Accident>> = {
  'hinge-torn': {
    lines: through,
    laid: (sheet, way, { between }) => {
      const by = { x: between(4, 8, 1), y: -between(4, 10, 1) };
      return loose(sheet, rightLaid(way, sheet), () => translation(by));
    },
  },
  'wrong-place': {
    lines: (right, { between }) => {
      const by = between(18, 30, 4);
      return through(right).map((l) => ({ ...l, points: longer(l.points).map((p) => ({ x: p.x, y: p.y - by })) }));
    },
    laid: (sheet, _, { between }) => {
      const by = between(4, 8, 1);
      return loose(sheet, restOf(sheet), (m) =>
        translation({ x: 0, y: m.y < middleOf(nth(sheet.rings, sheet.root)).y ? -by : by }),
      );
    },
  },
  'taped-slanted': {
    lines: (right) => right,
    laid: (sheet, way, { between, oneOf }) => {
      const angle = oneOf([-1, 1]) * between(0.02, 0.035, 0.005);
      return loose(sheet, rightLaid(way, sheet), (m) => rotationAbout(m, angle));
    },
  },
};

/** Whether an accident can be mended by hand. */
export const canMend = (rescue: string): boolean => rescue in ACCIDENTS;

/** What an accident leaves on the mat; the same numbers leave the same. */
export function leftBy(rescue: string, task: Task): Result<Left> {
  const accident = ACCIDENTS[rescue];
  if (!accident) throw new Error(`practice: no accident ${rescue}`);
  const draw = drawFrom(task.seed);
  const left: Lying[] = [];
  for (const [i, way] of task.right.entries()) {
    const right = rightLines(way);
    const sheet = cutAlong(way.from, i === 0 ? accident.lines(right, draw) : right);
    if (!sheet.ok) return sheet;
    const laid = i === 0 ? accident.laid(sheet.value, way, draw) : rightLaid(way, sheet.value);
    left.push({ sheet: sheet.value, laid });
  }
  return ok(left);
}
