import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, middleOf, openMarit, SEAMS, storedJob, test } from './app.ts';
import { blackRuns } from './raster.ts';

const total = (page: Page) => page.getByRole('textbox', { name: 'Over the whole front' });

async function downloadPdf(page: Page): Promise<string> {
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: /^PDF/ }).click();
  const file = join(mkdtempSync(join(tmpdir(), 'ample-pdf-')), 'pattern.pdf');
  await (await waiting).saveAs(file);
  return file;
}

test('from the rail to a printed page', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: /Marit Quell Concert/ }).click();
  await page.getByRole('link', { name: /Body/ }).click();
  await page.getByLabel('Full bust, first reading').fill('97,2 cm');
  await page.getByLabel('Full bust, second reading').fill('97.4');
  await page.keyboard.press('Enter');

  await page.getByRole('link', { name: /Size/ }).click();
  await expect(page.getByText('Size 4', { exact: true })).toBeVisible();
  await expect(page.getByText(/High bust 87.3 cm: size 4 is drafted for 87.0 cm/)).toBeVisible();

  await page.getByRole('link', { name: /Plan/ }).click();
  await expect(page.getByRole('radio')).toHaveCount(5);
  await expect(page.getByRole('radio', { name: /Against the garment/ })).toBeChecked();
  await page.getByRole('radio', { name: /Against the size chart/ }).check();
  // 97.3 − 92.0 = 5.3 over the whole front.
  await expect(page.getByLabel('Your own amount over the whole front')).toHaveValue('+5.3');
  await page.getByRole('link', { name: 'Open the table' }).click();

  for (const stage of ['Mark', 'Cut', 'Open', 'Level', 'Dart', 'True', 'Match']) {
    await expect(
      page.getByRole('button', { name: stage, exact: false }).and(page.locator('[aria-current="step"]')),
    ).toBeVisible();
    if (stage !== 'Match') await page.keyboard.press('n');
  }
  await expect(
    page.getByRole('region', { name: 'Stages' }).getByText(/look at the back at the side seam/),
  ).toBeVisible();

  await page.getByRole('link', { name: /Check/ }).click();
  await expect(page.getByText(/they meet/)).toHaveCount(SEAMS);
  await page
    .getByRole('link', { name: '9 Print' })
    .or(page.getByRole('navigation').getByRole('link', { name: /Print/ }))
    .first()
    .click();
  const promised = Number(
    /(\d+) pages/.exec((await page.getByRole('button', { name: /^PDF/ }).textContent()) ?? '')?.[1],
  );
  await page.getByLabel('hand sheet after the pages').uncheck();
  const pdf = await downloadPdf(page);
  const info = execFileSync('pdfinfo', [pdf], { encoding: 'utf8' });
  expect(Number(/Pages:\s+(\d+)/.exec(info)?.[1])).toBe(promised);
  expect(info).toMatch(/Page size:\s+595\.\d+ x 841\.\d+ pts/);
  expect(readFileSync(pdf).subarray(0, 5).toString()).toBe('%PDF-');
  const text = execFileSync('pdftotext', [pdf, '-'], { encoding: 'utf8' });
  expect(text).toContain('Marit Quell');
  expect(text).toContain('over the front');
});

for (const [paper, width] of [
  ['A4', 210],
  ['Letter', 215.9],
] as const)
  test(`the test square on ${paper} measures 100 mm on the printed page`, async ({ page }) => {
    await openMarit(page, 'print');
    await page.getByRole('radio', { name: new RegExp(paper) }).check();
    const pdf = await downloadPdf(page);
    const out = pdf.replace('.pdf', '');
    const dpi = 600;
    execFileSync('pdftoppm', ['-r', String(dpi), '-f', '1', '-l', '1', '-gray', '-singlefile', pdf, out]);
    const raster = readFileSync(`${out}.pgm`);
    const mm = (pixels: number) => (pixels / dpi) * 25.4;
    // The square stands 15 mm from the left and 34 mm from the top; cross it where no text is.
    const across = blackRuns(raster, 'row', Math.round((128 / 25.4) * dpi)).map(mm);
    const down = blackRuns(raster, 'column', Math.round((112 / 25.4) * dpi)).map(mm);
    const side = (lines: readonly number[], from: number) =>
      (lines.find((v) => v > from + 50) ?? 0) - (lines.find((v) => v > from - 2) ?? 0);
    expect(Math.abs(side(across, 15) - 100)).toBeLessThan(0.2);
    expect(Math.abs(side(down, 34) - 100)).toBeLessThan(0.2);
    expect(mm(Number(/P5\s+(\d+)/.exec(raster.subarray(0, 40).toString('latin1'))?.[1]))).toBeCloseTo(width, 0);
  });

test('dragging the gap, the bust point, the hinge and the dart tip changes the numbers, one undo each', async ({
  page,
}) => {
  await openMarit(page, 'table');
  const drag = async (name: string, dx: number, dy: number) => {
    const from = await middleOf(page, name);
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + dx / 2, from.y + dy / 2, { steps: 4 });
    await page.mouse.move(from.x + dx, from.y + dy, { steps: 4 });
    await page.mouse.up();
  };
  const undo = page.getByRole('button', { name: 'Undo' });
  await drag('Bust point', -10, -14);
  await expect.poll(async () => (await storedJob(page)).steps[0]?.values['bustPoint']).toBeTruthy();
  await undo.click();
  await expect.poll(async () => (await storedJob(page)).steps[0]?.values['bustPoint']).toBeUndefined();

  await drag('Hinge', 4, 14);
  await expect.poll(async () => Number((await storedJob(page)).steps[0]?.values['hinge'])).toBeGreaterThan(0.64);
  await undo.click();

  await page.keyboard.press('n');
  await page.keyboard.press('n');
  await expect(total(page)).toHaveValue('+4.8');
  await drag('Gap', 14, 0);
  await expect.poll(async () => parseFloat(await total(page).inputValue())).toBeGreaterThan(5.5);
  await undo.click();
  await expect(total(page)).toHaveValue('+4.8');

  for (let i = 0; i < 2; i++) await page.keyboard.press('n');
  await drag('Dart tip', 12, 0);
  await expect.poll(async () => Number((await storedJob(page)).steps[0]?.values['setback'])).toBeGreaterThan(36);
});

test('Escape drops a drag and puts everything back', async ({ page }) => {
  await openMarit(page, 'table');
  await page.keyboard.press('n');
  await page.keyboard.press('n');
  const from = await middleOf(page, 'Gap');
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 25, from.y, { steps: 5 });
  await expect(total(page)).not.toHaveValue('+4.8');
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(total(page)).toHaveValue('+4.8');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('a reload in the middle of the work loses nothing', async ({ page }) => {
  await openMarit(page, 'table');
  await total(page).fill('6,1');
  await total(page).press('Enter');
  // At once, before the database is written.
  await page.reload();
  await expect(total(page)).toHaveValue('+6.1');
  await page.getByRole('combobox', { name: 'Waist dart' }).selectOption('keep');
  await expect(page.getByText(/^saved \d\d:\d\d/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('combobox', { name: 'Waist dart' })).toHaveValue('keep');
  await expect(total(page)).toHaveValue('+6.1');
});

test('inches everywhere, and back without a trace', async ({ page }) => {
  await openMarit(page, 'plan');
  const before = await storedJob(page);
  await page.keyboard.press('u');
  await expect(page.getByLabel('Your own amount over the whole front')).toHaveValue('+1 7/8');
  await page.getByRole('link', { name: /Body/ }).click();
  await expect(page.getByLabel('High bust, first reading')).toHaveValue('34 3/8');
  await page.keyboard.press('u');
  await expect(page.getByLabel('High bust, first reading')).toHaveValue('87.2');
  expect(await storedJob(page)).toEqual(before);
});
