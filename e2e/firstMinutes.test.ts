import type { Locator } from '@playwright/test';
import { expect, test } from './app.ts';

/** Counts presses of buttons, links and choices, and fields typed into. */
const SAMPLE = 'causeway-side';

test('an own job from three answers and two measurements: nothing red before there is a fault', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start my own' }).click();
  await page.getByRole('textbox', { name: 'Whose is it?' }).fill('Jo');
  await page.getByLabel('Pattern', { exact: true }).selectOption(SAMPLE);
  await page.getByRole('button', { name: 'Hang it on the rail' }).click();
  await page.waitForURL(/\/size$/);
  const base = page.url().replace(/\/size$/, '');
  for (const station of ['size', 'compare', 'plan', 'table', 'check', 'print']) {
    await page.goto(`${base}/${station}`);
    await expect(page.getByRole('heading', { name: 'First: two measurements' })).toBeVisible();
    await expect(page.getByText('This is how it will look:')).toBeVisible();
    await expect(page.getByRole('alert')).toHaveCount(0);
    await expect(page.getByText('Fix', { exact: true })).toHaveCount(0);
    await expect(page.getByText('to look at')).toHaveCount(0);
  }
  await page.goto(`${base}/toile`);
  await page.getByRole('tab', { name: 'On the form' }).click();
  await expect(page.getByText('This is how it will look:')).toBeVisible();
  await page.goto(`${base}/size`);
  // The first is enough for a size; the second field stays until it is typed.
  await page.getByRole('textbox', { name: 'High bust' }).fill('88');
  await page.getByRole('textbox', { name: 'High bust' }).press('Enter');
  await expect(page.getByRole('textbox', { name: 'Full bust' })).toBeFocused();
  await page.keyboard.type('38');
  await page.keyboard.press('Enter');
  // 38 in centimetres is no body: it was meant in inches.
  await page.getByRole('button', { name: 'Yes, use it' }).click();
  await expect(page.getByText('Start from', { exact: true })).toBeVisible();
  await expect(page.getByText('First: two measurements')).toBeHidden();
  await page.keyboard.press('5');
  await expect(page.getByRole('heading', { name: 'Plan', level: 1 })).toBeVisible();
  await expect(page.getByText('First: two measurements')).toBeHidden();
});

/** The words one reads there; the entries of a closed list are not. */
const wordsIn = async (place: Locator): Promise<number> => {
  const [all, listed] = [await place.innerText(), await place.locator('option').allInnerTexts()];
  const count = (text: string): number => text.split(/\s+/).filter(Boolean).length;
  return count(all) - listed.reduce((sum, text) => sum + count(text), 0);
};

test('an own job from an empty browser to its printed page: presses and words counted', async ({ page }) => {
  let presses = 0;
  let words = 0;
  const press = async (target: Locator): Promise<void> => {
    presses++;
    await target.click();
  };
  const type = async (field: string, value: string): Promise<void> => {
    presses++;
    await page.getByRole('textbox', { name: field }).fill(value);
    await page.getByRole('textbox', { name: field }).press('Enter');
  };
  await page.goto('/');
  await press(page.getByRole('button', { name: 'Start my own' }));
  words += await wordsIn(page.getByRole('dialog'));
  await page.getByRole('textbox', { name: 'Whose is it?' }).fill('Jo');
  presses += 2;
  await page.getByLabel('Pattern', { exact: true }).selectOption(SAMPLE);
  await press(page.getByRole('button', { name: 'Hang it on the rail' }));
  await page.waitForURL(/\/size$/);
  const first = page.getByRole('region', { name: 'First: two measurements' });
  await expect(first).toBeVisible();
  words += await wordsIn(first);
  await type('High bust', '87');
  await type('Full bust', '98');
  await press(page.getByRole('link', { name: /Plan/ }));
  await press(page.getByRole('region', { name: 'Recommended by the measurements' }).getByRole('button').first());
  await press(page.getByRole('link', { name: /Table/ }));
  await press(page.getByRole('link', { name: /Print/ }));
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    press(page.getByRole('button', { name: /^PDF, \d+ pages/ })),
  ]);
  expect(file.suggestedFilename()).toMatch(/^jo-.*\.pdf$/i);
  // A press and a glance take three seconds, a word a third of one: well within ten minutes, measuring included.
  expect(presses).toBeLessThanOrEqual(12);
  expect(words).toBeLessThan(150);
});

test('a pattern on paper is asked for the bust on its envelope, and then has a size', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start my own' }).click();
  await page.getByRole('textbox', { name: 'Whose is it?' }).fill('Jo');
  await page.getByRole('radio', { name: /on paper/ }).check();
  await page.getByRole('button', { name: 'Hang it on the rail' }).click();
  await page.waitForURL(/\/size$/);
  for (const [name, value] of [
    ['High bust', '88'],
    ['Full bust', '97'],
  ] as const) {
    await page.getByRole('textbox', { name }).fill(value);
    await page.getByRole('textbox', { name }).press('Enter');
  }
  await expect(page.getByRole('heading', { name: 'First: the size on your envelope' })).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByLabel('Bust on the envelope').fill('92');
  await page.getByLabel('Bust on the envelope').press('Enter');
  await expect(page.getByText('Size 1', { exact: true })).toBeVisible();
  await page.keyboard.press('4');
  await expect(page.getByRole('heading', { name: 'Compare, size 1' })).toBeVisible();
});

test('the first time through: from an empty browser to a printed page of the demo, left and taken up again', async ({
  page,
}) => {
  let presses = 0;
  const press = async (name: string | RegExp): Promise<void> => {
    presses++;
    await page
      .getByRole('button', { name, exact: typeof name === 'string' })
      .first()
      .click();
  };
  await page.goto('/');
  presses++;
  await page.getByRole('link', { name: /Open practice/ }).click();
  await press('First time through');
  const walk = page.getByRole('region', { name: 'First time through' });
  await expect(walk).toContainText('1 of 9');
  const words = (): Promise<number> => walk.innerText().then((t) => t.split(/\s+/).length);
  for (let i = 2; i <= 5; i++) {
    presses++;
    await walk.getByRole('button', { name: 'Go on' }).click();
    await expect(walk).toContainText(`${i} of 9`);
    // Short enough to be read in a breath.
    expect(await words()).toBeLessThan(45);
  }
  await expect(page).toHaveURL(/marit-causeway\/plan$/);
  // Somewhere else and back; closed and opened again.
  await page.goto('/practice/sums');
  await expect(walk).toContainText('5 of 9');
  await page.reload();
  await walk.getByRole('button', { name: 'Back to where we were' }).click();
  await expect(page).toHaveURL(/marit-causeway\/plan$/);
  for (let i = 6; i <= 9; i++) {
    presses++;
    await walk.getByRole('button', { name: 'Go on' }).click();
  }
  await expect(walk).toContainText('9 of 9');
  const [file] = await Promise.all([page.waitForEvent('download'), press(/^PDF, \d+ pages/)]);
  expect(file.suggestedFilename()).toMatch(/\.pdf$/);
  expect(presses).toBeLessThanOrEqual(12);
  await walk.getByRole('button', { name: 'Done' }).click();
  await expect(walk).toBeHidden();
});
