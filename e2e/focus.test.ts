import type { Page } from '@playwright/test';
import { expect, openMarit, test } from './app.ts';

const focused = (page: Page) => page.locator(':focus');

test('what lies over the page gives the focus back when it is put away', async ({ page }) => {
  await openMarit(page, 'body');
  const field = page.getByRole('textbox', { name: 'Full bust, first reading' });
  await field.focus();
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Find' })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(field).toBeFocused();
  const link = page.getByRole('link', { name: 'Compare' });
  await link.focus();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Getting started and shortcuts' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(link).toBeFocused();
  await page.goto('/');
  const more = page.getByRole('button', { name: 'More for Rehearsal top, Marit Quell' });
  await more.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menuitem', { name: 'Title, date and cloth…' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(more).toBeFocused();
  // Shut without a choice, it gives the focus back too; its own button opens and shuts it.
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menu')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(more).toBeFocused();
  await more.click();
  await expect(page.getByRole('menu')).toBeVisible();
  await more.click();
  await expect(page.getByRole('menu')).toBeHidden();
});

test('a row that goes leaves the focus beside it, and a step taken out does not begin the page again', async ({
  page,
}) => {
  await page.goto('/job/tove-causeway/toile');
  const takes = page.getByRole('button', { name: /^Remove: / });
  await expect(takes.first()).toBeVisible();
  const before = await takes.count();
  await takes.nth(1).focus();
  await page.keyboard.press('Enter');
  await expect(takes).toHaveCount(before - 1);
  await expect(focused(page)).toHaveCount(1);
  expect(await focused(page).evaluate((e) => e.closest('main') !== null)).toBe(true);
});

test('another station is begun at its heading, wherever the focus was', async ({ page }) => {
  await openMarit(page, 'size');
  await page.locator('main').getByRole('radio').first().focus();
  await page.keyboard.press('7');
  await expect(focused(page)).toHaveText('Check');
  await page.keyboard.press('9');
  await expect(focused(page)).toHaveText('Print');
  // A place on the tape is still there: it keeps the focus.
  const compare = page.getByRole('link', { name: 'Compare' });
  await compare.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Compare', level: 1 })).toBeVisible();
  await expect(compare).toBeFocused();
});

test('the projector leaves no stop of the Tab key under it', async ({ page }) => {
  await page.goto('/job/marit-causeway/projector');
  await expect(page.getByRole('region', { name: 'Calibrate' })).toBeVisible();
  const outside = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('a[href], button, input, select')]
      .filter((e) => e.checkVisibility() && !e.closest('main'))
      .map((e) => e.textContent),
  );
  expect(outside).toEqual([]);
});
