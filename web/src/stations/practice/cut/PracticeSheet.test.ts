import { describe, expect, it } from 'vitest';
import { boundsOf, flatten } from '@ample/core/geometry';
import { outlineOf } from '@ample/core/pattern';
import { LESSONS, taskOf } from '@ample/core/practice';
import { expectOk } from '@ample/core/units';
import { scaleFor } from './PracticeSheet.tsx';

/** What both A4 and Letter have within margins of 14 mm. */
const PAGE = { width: 182, height: 251 };
const box = (width: number, height: number) => ({ minX: 0, minY: 0, maxX: width, maxY: height });

describe('the scale of a page', () => {
  it('is a half where the piece fits beside its words, less where it does not', () => {
    expect(scaleFor(box(230, 480))).toEqual({ per: 2, beside: true });
    expect(scaleFor(box(340, 360))).toEqual({ per: 2, beside: false });
    expect(scaleFor(box(250, 1060)).per).toBeGreaterThan(3);
  });

  it.each(LESSONS.map((l) => [l.id, l] as const))('%s: every piece stays on its page', (_, lesson) => {
    for (const seed of [1, 2, 3]) {
      const task = expectOk(taskOf(lesson, 'free', seed), lesson.id);
      for (const piece of task.right.flatMap((w) => [w.from, w.taped.piece])) {
        const { minX, minY, maxX, maxY } = boundsOf(flatten(outlineOf(piece)));
        const { per, beside } = scaleFor(box(maxX - minX, maxY - minY));
        expect((maxX - minX) / per).toBeLessThan(beside ? PAGE.width - 55 : PAGE.width);
        expect((maxY - minY) / per).toBeLessThan(beside ? PAGE.height : PAGE.height - 55);
      }
    }
  });
});
