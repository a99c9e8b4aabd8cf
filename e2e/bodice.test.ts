import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, SEAMS, test } from './app.ts';

const slip = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const asked = (page: Page) => page.getByRole('region', { name: 'Recommended by the measurements' });
const amount = (page: Page, name: string) => slip(page, name).getByRole('textbox', { name: 'By how much' });

async function typeReading(page: Page, name: string, value: string): Promise<void> {
  const field = page.getByLabel(`${name}, first reading`);
  await field.fill(value);
  await page.keyboard.press('Enter');
}

async function pdfText(page: Page): Promise<{ text: string; pages: number; name: string }> {
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: /^PDF/ }).click();
  const download = await waiting;
  const file = join(mkdtempSync(join(tmpdir(), 'ample-bodice-')), 'pattern.pdf');
  await download.saveAs(file);
  const pages = Number(/Pages:\s+(\d+)/.exec(execFileSync('pdfinfo', [file], { encoding: 'utf8' }))?.[1]);
  const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
  return { text, pages, name: download.suggestedFilename() };
}

/** Along the whole strip of the open step, to its end. */
async function throughStages(page: Page): Promise<void> {
  const next = page.getByRole('button', { name: 'Next', exact: true });
  for (let i = 0; i < 7 && (await next.isEnabled()); i++) await next.click();
  await expect(page.getByRole('button', { name: /Match/ }).and(page.locator('[aria-current="step"]'))).toBeVisible();
}

test('the swayback singer: measured, shortened, trimmed at the waist seam, checked and printed', async ({ page }) => {
  await page.goto('/job/ines-causeway/body');
  await typeReading(page, 'Nape to waist', '38.4');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: /Plan/ }).first().click();
  // Size 3: side 194, centre back 400.
  await expect(asked(page).getByText('Side waist: 18.6 cm measured − 19.4 cm on the pattern = −0.8 cm.')).toBeVisible();
  await expect(
    // What is proposed is a plan: once it is shorter by 0.8, that much less is left at the back.
    asked(page).getByText(/Nape to waist: 38.4 cm measured − 39.2 cm on the pattern = −0.8 cm/),
  ).toBeVisible();
  await asked(page).getByRole('button', { name: 'Swayback, at the waist seam' }).click();
  await expect(amount(page, 'Swayback, at the waist seam')).toHaveValue('1.6');
  // The lengths come first, and what they take out the swayback no longer has to.
  await asked(page).getByRole('button', { name: 'Shorter' }).click();
  await expect(page.getByRole('heading', { level: 2, name: /Shorter/ })).toBeVisible();
  await expect(amount(page, 'Swayback, at the waist seam')).toHaveValue('0.8');
  await expect(page.getByText('The plan stands in this order.')).toBeVisible();

  await slip(page, 'Swayback, at the waist seam').getByRole('link', { name: 'Open the table' }).click();
  await throughStages(page);
  await expect(
    page.getByRole('region', { name: 'Stages' }).getByText(/Walk the waist seam along the skirt/),
  ).toBeVisible();
  await expect(page.getByRole('region', { name: 'Stages' }).getByText(/Fix:/)).toHaveCount(0);

  await page.getByRole('link', { name: /Check/ }).first().click();
  await expect(page.getByText(/they meet/)).toHaveCount(SEAMS);
  const left = page.getByRole('row', { name: /Nape to waist/ });
  await expect(left).toContainText('nothing');

  await page.getByRole('navigation').getByRole('link', { name: /Print/ }).click();
  const { text, pages, name } = await pdfText(page);
  expect(name).toBe('ines-hollow-causeway-3.pdf');
  expect(pages).toBeGreaterThan(20);
  expect(text).toContain('This square measures 100 mm.');
  expect(text).toMatch(/Swayback, at the waist seam/);
  expect(text).toMatch(/Skirt back/);
});

test('the narrow-shouldered singer: both shoulders, then the left alone, and the pieces opened out', async ({
  page,
}) => {
  await page.goto('/job/tove-causeway/body');
  await typeReading(page, 'Shoulder', '11.4');
  await page.getByRole('link', { name: /Plan/ }).first().click();
  // Size 5: 12.4 drafted.
  await expect(asked(page).getByText('Shoulder: 11.4 cm measured − 12.4 cm on the pattern = −1.0 cm.')).toBeVisible();
  await asked(page).getByRole('button', { name: 'Narrow shoulder, slashed' }).click();
  const shoulder = slip(page, 'Broad shoulder, slashed');
  await expect(shoulder.getByRole('textbox', { name: 'By how much' })).toHaveValue('−1.0');
  await shoulder.getByRole('link', { name: 'Open the table' }).click();
  await throughStages(page);
  await page.getByRole('link', { name: /Check/ }).first().click();
  await expect(page.getByText(/they meet/)).toHaveCount(SEAMS);
  await expect(page.getByRole('row', { name: /^Shoulder 11.4/ })).toContainText('nothing');

  await page.getByRole('link', { name: /Plan/ }).first().click();
  await shoulder.getByLabel('For').selectOption('left side only');
  await page.getByRole('link', { name: /Check/ }).first().click();
  await expect(page.getByRole('heading', { name: 'Right side' })).toBeVisible();
  await page.getByRole('navigation').getByRole('link', { name: /Print/ }).click();
  for (const name of ['Bodice front, whole', 'Bodice back, left', 'Bodice back, right', 'Sleeve'])
    await expect(page.getByRole('checkbox', { name, exact: true })).toBeChecked();
  const { text } = await pdfText(page);
  expect(text).toMatch(/Bodice front, whole/);
  expect(text).toMatch(/Narrow shoulder, slashed/);
});

test('what must follow is said, shown and put right by a press', async ({ page }) => {
  await page.goto('/job/tove-causeway/plan');
  await page.getByRole('region', { name: 'Add to the plan' }).getByText('Shoulders').click();
  await page.getByRole('button', { name: 'Broad shoulder, redrawn · Narrow shoulder, redrawn' }).click();
  const follow = page.getByRole('region', { name: 'What has to follow' });
  await expect(follow.getByText(/Sleeve has to follow/).first()).toBeVisible();
  await page.getByRole('link', { name: /Check/ }).first().click();
  await expect(page.getByText(/they differ/)).toHaveCount(2);
  await page.getByRole('link', { name: 'Show me' }).first().click();
  await expect(page.getByRole('group', { name: /Cutting mat/ })).toBeVisible();
  await page.goBack();
  await page.getByRole('button', { name: 'Sleeve cap follows the armhole' }).first().click();
  await expect(page.getByText(/they differ/)).toHaveCount(0);
  await expect(page.getByText(/they meet/)).toHaveCount(SEAMS);
  await page.getByRole('link', { name: /Plan/ }).first().click();
  await expect(follow).toHaveCount(0);
  // Putting the bust first turns the order round, and back.
  await page.getByRole('combobox', { name: 'Order of work' }).selectOption('the bust first');
  await expect(page.getByRole('heading', { level: 2 }).first()).toContainText('Small bust');
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(page.getByRole('heading', { level: 2 }).first()).toContainText('shoulder');
});

test('inches, wrong amounts and keys: an amount stays what was meant, and goes back to the sum', async ({ page }) => {
  await page.goto('/job/ines-causeway/plan');
  await asked(page).getByRole('button', { name: 'Swayback, at the waist seam' }).click();
  const field = amount(page, 'Swayback, at the waist seam');
  await field.fill('a little');
  await field.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: /a little/ })).toBeVisible();
  await field.fill('95');
  await field.press('Enter');
  await expect(slip(page, 'Swayback, at the waist seam').getByRole('alert')).toBeVisible();
  await field.fill('1/2"');
  await field.press('Enter');
  await expect(field).toHaveValue('1.3');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('u');
  await expect(field).toHaveValue('1/2');
  await slip(page, 'Swayback, at the waist seam').getByRole('button', { name: 'take the computed amount' }).click();
  // 1.4 cm: 1/2 by eighths.
  await expect(page.getByRole('button', { name: 'take the computed amount' })).toHaveCount(0);
  await page.keyboard.press('u');
  await expect(field).toHaveValue('1.4');

  await slip(page, 'Swayback, at the waist seam').getByRole('link', { name: 'Open the table' }).click();
  await page.keyboard.press('n');
  const gap = page.getByRole('slider', { name: 'Gap', exact: true });
  await gap.focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Shift+ArrowUp');
  const typed = page.getByRole('complementary', { name: 'Workings' }).getByRole('textbox', { name: 'By how much' });
  await expect(typed).toHaveValue('2.0');
  await page.keyboard.press('Control+z');
  await expect(typed).toHaveValue('1.5');
});

test.describe('on a tablet held upright', () => {
  test.use({ viewport: { width: 820, height: 1180 } });
  test('plan, table and check of a back alteration run off no side', async ({ page }) => {
    await page.goto('/job/ines-causeway/plan');
    const wide = () => page.evaluate(() => document.documentElement.scrollWidth);
    await asked(page).getByRole('button', { name: 'Shorter' }).click();
    await page.getByRole('region', { name: 'Add to the plan' }).getByText('Back, and across the body').click();
    await page.getByRole('button', { name: 'High round back' }).click();
    await expect(page.getByRole('heading', { level: 2, name: /High round back/ })).toBeVisible();
    expect(await wide()).toBeLessThanOrEqual(820);
    await slip(page, 'High round back').getByRole('link', { name: 'Open the table' }).click();
    await throughStages(page);
    expect(await wide()).toBeLessThanOrEqual(820);
    await page.getByRole('link', { name: /Check/ }).first().click();
    await expect(page.getByText(/they meet/)).toHaveCount(SEAMS);
    expect(await wide()).toBeLessThanOrEqual(820);
  });
});
