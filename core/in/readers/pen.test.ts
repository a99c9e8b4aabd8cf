import { describe, expect, it } from 'vitest';
import { Budget, Pen } from './pen.ts';

describe('Pen', () => {
  it('goes on after a close where that line began, unless it began nowhere', () => {
    const sound = new Pen(new Budget());
    sound.move(1, 1);
    sound.line(9, 1);
    sound.close();
    sound.line(1, 9);
    expect(sound.done().map((d) => d.path.start)).toEqual([
      { x: 1, y: 1 },
      { x: 1, y: 1 },
    ]);
    const nowhere = new Pen(new Budget());
    nowhere.move(NaN, 1);
    nowhere.line(9, 1);
    nowhere.close();
    // No line may begin at a place that is not a number.
    nowhere.line(1, 9);
    expect(nowhere.done()).toEqual([]);
    expect(nowhere.broken).toBeGreaterThan(0);
    nowhere.move(0, 0);
    nowhere.line(5, 5);
    expect(nowhere.done()).toHaveLength(1);
  });

  it('takes nothing once the budget is spent', () => {
    const budget = new Budget(2);
    const pen = new Pen(budget);
    pen.move(0, 0);
    for (let i = 1; i < 9; i++) pen.line(i, i * i);
    expect(budget.spent).toBe(true);
    expect(pen.done()[0]?.path.segments).toHaveLength(2);
  });
});
