import { expect, type Page } from '@playwright/test';
import type { Point } from '@ample/core/geometry';
import { LESSONS, taskOf, type Grade, type Task } from '@ample/core/practice';
import { expectOk, nth } from '@ample/core/units';
import { settled } from './onScreen.ts';

/** The task a page shows. */
export const setBy = (id: string, grade: Grade, numbers: number): Task =>
  expectOk(
    taskOf(
      nth(
        LESSONS.filter((l) => l.id === id),
        0,
      ),
      grade,
      numbers,
    ),
    id,
  );
export const open = async (page: Page, id: string, grade: string, numbers: number): Promise<void> => {
  await page.goto(`/practice/cut/${id}?grade=${grade}&numbers=${numbers}`);
  await expect(page.locator('[data-mat]')).toBeVisible();
  await settled(page);
};
/** A place of the first piece on the screen. */
export const onScreen = (page: Page, { x, y }: Point): Promise<Point> =>
  page
    .locator('[data-paper]')
    .first()
    .evaluate(
      (g: SVGGElement, at) => {
        const { x, y } = new DOMPoint(...at).matrixTransform(g.getScreenCTM() ?? undefined);
        return { x, y };
      },
      [x, y] as const,
    );
export const score = async (page: Page): Promise<number> =>
  Number(/([\d.]+) mm/.exec(await page.getByRole('region', { name: 'What it comes to' }).innerText())?.[1]);

/** By the pointer from one place of the first piece to another. */
export async function drag(page: Page, from: Point, to: Point): Promise<void> {
  const [a, b] = [await onScreen(page, from), await onScreen(page, to)];
  await page.mouse.move(a.x, a.y);
  await page.mouse.down();
  await page.mouse.move((a.x + b.x) / 2, (a.y + b.y) / 2, { steps: 5 });
  await page.mouse.move(b.x, b.y, { steps: 5 });
  await page.mouse.up();
}
