import { describe, expect, it } from 'vitest';
import { distance, move, type Point } from '../geometry/index.ts';
import { expectOk, nth } from '../units/index.ts';
import {
  canMend,
  cutAlong,
  judge,
  jointsOf,
  leftBy,
  LESSONS,
  moveBy,
  RESCUES,
  rightLaid,
  rightLines,
  tapeDown,
  tapeHinge,
  taskOf,
  type Attempt,
  type Lying,
  type Task,
} from './index.ts';

const MENDED = RESCUES.filter((r) => canMend(r.id));
const taskFor = (rescue: string, seed: number): Task => {
  const { lesson } = nth(
    RESCUES.filter((r) => r.id === rescue),
    0,
  );
  return expectOk(
    taskOf(
      nth(
        LESSONS.filter((l) => l.id === lesson),
        0,
      ),
      'free',
      seed,
    ),
    rescue,
  );
};
const attempt = ({ sheet, laid }: Lying): Attempt => ({
  ...{ sheet, laid, taped: expectOk(tapeDown(sheet, laid), 'taped') },
  ...{ tip: null, trued: null },
});
const seeds = [1, 2, 3, 4, 5, 6];
/** Every panel turned and then pulled by two corners to where the alteration lays it. */
const laidRight = (lying: Lying, task: Task): Lying => {
  const right = rightLaid(nth(task.right, 0), lying.sheet);
  let { laid } = lying;
  lying.sheet.rings.forEach((ring, panel) => {
    if (panel === lying.sheet.root) return;
    const far = (from: Point): Point => ring.reduce((b, p) => (distance(p, from) > distance(b, from) ? p : b));
    const one = far(nth(ring, 0));
    const turned = moveBy(lying.sheet, laid, {
      kind: 'turn',
      panel,
      by: nth(right, panel).angle - nth(laid, panel).angle,
    });
    if (turned.ok) laid = turned.value;
    for (let i = 0; i < 6; i++) {
      const grip = i % 2 === 0 ? one : far(one);
      const moved = moveBy(lying.sheet, laid, { kind: 'pull', panel, grip, to: move(nth(right, panel), grip) });
      if (moved.ok) laid = moved.value;
    }
  });
  return { ...lying, laid };
};

describe('an accident', () => {
  it.each(MENDED.flatMap((r) => seeds.map((s) => [r.id, s] as const)))(
    '%s, numbers %i: is seen as it lies',
    (id, seed) => {
      const task = taskFor(id, seed);
      const left = expectOk(leftBy(id, task), id);
      expect(expectOk(leftBy(id, task), id)).toEqual(left);
      const verdict = judge(task, left.map(attempt));
      expect(verdict.careful).toBe(false);
      expect(verdict.score).toBeGreaterThan(2);
    },
  );

  it('a torn hinge is taped once its corners lie on each other; then the paper swings about it and comes right', () => {
    for (const seed of seeds) {
      const task = taskFor('hinge-torn', seed);
      const [lying] = expectOk(leftBy('hinge-torn', task), 'left');
      if (!lying) throw new Error('nothing lies there');
      const torn = nth(jointsOf(lying.sheet.lines, lying.sheet.divided), 0);
      const hinge = nth(task.right, 0).spec.hinges[0]?.at as Point;
      expect(tapeHinge(lying, { x: -400, y: -400 })).toMatchObject({
        ok: false,
        error: { code: 'practice-no-corners' },
      });
      // Pulled wide apart it cannot be taped, and one is told by how much.
      const panel = torn.panels.find((p) => p !== lying.sheet.root) ?? 0;
      const wide = expectOk(
        moveBy(lying.sheet, lying.laid, { kind: 'pull', panel, grip: hinge, to: { x: hinge.x + 9, y: hinge.y } }),
        'wide',
      );
      expect(tapeHinge({ ...lying, laid: wide }, hinge)).toMatchObject({
        ok: false,
        error: { code: 'practice-corners-apart', data: { by: expect.closeTo(9, 1) as number } },
      });
      const near = expectOk(
        moveBy(lying.sheet, lying.laid, { kind: 'pull', panel, grip: hinge, to: { x: hinge.x + 1.5, y: hinge.y + 1 } }),
        'near',
      );
      const taped = expectOk(tapeHinge({ ...lying, laid: near }, hinge), 'taped');
      expect(taped.sheet.pins).toHaveLength(1);
      expect(
        distance(move(nth(taped.laid, torn.panels[0]), hinge), move(nth(taped.laid, torn.panels[1]), hinge)),
      ).toBeLessThan(1e-6);
      const verdict = judge(task, [attempt(laidRight(taped, task))]);
      expect(verdict.mistakes).toEqual([]);
      expect(verdict.score).toBeLessThan(0.1);
    }
  });

  it('a slanted gap is taped anew even; the other piece was right already', () => {
    const task = taskFor('taped-slanted', 3);
    const [first, other] = expectOk(leftBy('taped-slanted', task), 'left') as [Lying, Lying];
    expect(judge(task, [first, other].map(attempt)).mistakes.map((m) => m.code)).toContain('tapered-not-even');
    const verdict = judge(task, [laidRight(first, task), other].map(attempt));
    expect(verdict.careful).toBe(true);
  });

  it('what was cut in the wrong place is whole again and cut where it should be', () => {
    const task = taskFor('wrong-place', 2);
    const way = nth(task.right, 0);
    const left = expectOk(leftBy('wrong-place', task), 'left');
    expect(judge(task, left.map(attempt)).mistakes.map((m) => m.code)).toContain('line-elsewhere');
    const sheet = expectOk(cutAlong(way.from, rightLines(way)), 'sheet');
    expect(judge(task, [attempt({ sheet, laid: rightLaid(way, sheet) })]).careful).toBe(true);
  });
});
