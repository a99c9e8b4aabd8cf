// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { joinPaths, movePath, pathLength, pointAt } from '@ample/core/geometry';
import { edgesWithRole } from '@ample/core/pattern';
import { LESSONS, rightBack, rightLaid, rightLines, taskOf, type Grade, type Task } from '@ample/core/practice';
import { expectOk, nth } from '@ample/core/units';
import { useAttempt } from './useAttempt.ts';

const taskBy = (id: string, grade: Grade): Task =>
  expectOk(
    taskOf(
      nth(
        LESSONS.filter((l) => l.id === id),
        0,
      ),
      grade,
      4,
    ),
    id,
  );
const begun = (id: string, grade: Grade = 'free') => {
  const task = taskBy(id, grade);
  const { result } = renderHook(() => useAttempt(task));
  return { task, now: () => result.current };
};

describe('an attempt', () => {
  it('begins with the lines of the alteration where one is guided, with none where one is not', () => {
    expect(begun('swayback', 'guided').now().now.lines[0]?.length).toBe(1);
    expect(begun('swayback', 'marked').now().now.lines[0]).toEqual([]);
  });

  it('draws lines numbered on, leaves and takes hinges, rubs out, and goes back and forth', () => {
    const { now } = begun('fullerBust');
    act(() =>
      now().draw(0, [
        { x: 10, y: 10 },
        { x: 100, y: 10 },
      ]),
    );
    act(() =>
      now().draw(0, [
        { x: 10, y: 60 },
        { x: 100, y: 60 },
      ]),
    );
    expect(now().now.lines[0]?.map((l) => l.id)).toEqual(['1', '2']);
    act(() => now().hinge(0, '2', 'end'));
    expect(now().now.lines[0]?.[1]?.hinge).toEqual({ start: false, end: true });
    act(() => now().rubOut(0, '1'));
    expect(now().now.lines[0]?.map((l) => l.id)).toEqual(['2']);
    act(() => now().undo());
    act(() => now().undo());
    expect(now().now.lines[0]?.[1]?.hinge.end).toBe(false);
    act(() => now().redo());
    expect(now().now.lines[0]?.[1]?.hinge.end).toBe(true);
  });

  it('is refused in words where nothing is drawn, and says nothing any more once something is', () => {
    const { now } = begun('swayback');
    act(() => now().cut());
    expect(now().trouble?.code).toBe('practice-no-line');
    expect(now().isCut).toBe(false);
    act(() =>
      now().draw(0, [
        { x: 0, y: 0 },
        { x: 30, y: 0 },
      ]),
    );
    expect(now().trouble).toBeNull();
  });

  it('leaves a piece without lines whole, and is told that it was forgotten', () => {
    const { task, now } = begun('longerBodice');
    const [line] = rightLines(nth(task.right, 0));
    act(() => now().draw(0, line?.points ?? []));
    act(() => now().cut());
    expect(now().now.cut.map((c) => c !== null)).toEqual([true, false]);
    act(() => void now().look());
    expect(now().verdict?.mistakes.map((m) => m.code)).toContain('back-forgotten');
    // Going on takes the verdict away: it was about what lay there before.
    act(() => now().undo());
    expect(now().verdict).toBeNull();
  });

  it('takes a seam drawn anew from edge to edge, says why not otherwise, and drops it once the paper moves', () => {
    const { task, now } = begun('fullUpperArm', 'guided');
    act(() => now().cut());
    const cut = now().now.cut[0];
    const way = nth(task.right, 0);
    if (!cut) throw new Error('expected the sleeve to be cut');
    act(() => now().lay(0, rightLaid(way, cut.sheet)));
    act(() =>
      now().trueSeam(0, [
        { x: 0, y: 0 },
        { x: 900, y: 900 },
      ]),
    );
    expect(now().trouble?.code).toBe('practice-true-ends');
    expect(now().now.trued[0]).toEqual([]);
    const cap = movePath(joinPaths(edgesWithRole(way.final, 'cap').map((e) => e.path)), rightBack(way));
    act(() =>
      now().trueSeam(
        0,
        Array.from({ length: 25 }, (_, i) => pointAt(cap, (pathLength(cap) * i) / 24)),
      ),
    );
    expect(now().now.trued[0]).toHaveLength(1);
    act(() => void now().look());
    expect(now().verdict?.mistakes).toEqual([]);
    act(() => now().lay(0, cut.laid));
    expect(now().now.trued[0]).toEqual([]);
  });
});
