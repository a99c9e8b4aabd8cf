import { describe, expect, it } from 'vitest';
import { alterationById } from '../../alterations/index.ts';
import { speaker } from '../../speech/index.ts';
import { expectOk } from '../../units/index.ts';
import { openingsOf } from '../judge/index.ts';
import { PARTS_OF_PRACTICE } from '../lesson.ts';
import { rightLines } from '../model.ts';
import { drawFrom, taskOf } from '../task.ts';
import { LESSONS } from './index.ts';

const SEEDS = Array.from({ length: 20 }, (_, i) => i + 1);

it('lessons cover every part, at least fourteen of them, each with a name of its own', () => {
  expect(LESSONS.length).toBeGreaterThanOrEqual(14);
  expect(new Set(LESSONS.map((l) => l.part))).toEqual(new Set(PARTS_OF_PRACTICE));
  expect(new Set(LESSONS.map((l) => l.id)).size).toBe(LESSONS.length);
  expect(new Set(LESSONS.map((l) => l.words.title)).size).toBe(LESSONS.length);
});

describe.each(LESSONS.map((l) => [l.id, l] as const))('%s', (_, lesson) => {
  it('can be worked out whatever its numbers, and draws them anew', () => {
    const tasks = SEEDS.map((seed) => expectOk(taskOf(lesson, 'free', seed), `${lesson.id} ${seed}`));
    expect(new Set(tasks.map((t) => t.size)).size).toBeGreaterThan(3);
    expect(new Set(tasks.map((t) => JSON.stringify(t.asked.told))).size).toBeGreaterThan(2);
    for (const t of tasks) {
      expect(t.right).toHaveLength(lesson.pieces.length);
      for (const way of t.right) {
        expect(openingsOf(way).length).toBeGreaterThan(0);
        // As many hinges are left at ends of lines as the alteration has.
        const held = rightLines(way)
          .flatMap((l) => [l.hinge.start, l.hinge.end])
          .filter(Boolean);
        expect(held).toHaveLength(way.spec.hinges.length);
      }
    }
  });

  it('is the same task for the same seed, whatever the grade', () => {
    const told = (grade: 'guided' | 'free') => expectOk(taskOf(lesson, grade, 9), lesson.id).asked;
    expect(told('guided')).toEqual(told('free'));
  });

  it('asks for an alteration there is, by values in its range, and says how much in either unit', () => {
    expect(alterationById(lesson.alteration)).toBeDefined();
    for (const unit of ['cm', 'in'] as const) {
      const asked = lesson.draw(drawFrom(4));
      const text = lesson.words.task(speaker(asked.told, { unit, fraction: 8 }));
      expect(text).not.toMatch(/NaN|undefined/);
      expect(text).toMatch(/ cm/);
      expect(text).toMatch(/″/);
    }
    expect(lesson.words.point).toMatch(/\.$/);
  });
});
