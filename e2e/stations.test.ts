import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, middleOf, openMarit, test } from './app.ts';

async function save(page: Page, button: RegExp | string, name: string): Promise<string> {
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: button }).click();
  const file = join(mkdtempSync(join(tmpdir(), 'ample-file-')), name);
  await (await waiting).saveAs(file);
  return file;
}

test('Size: by the full bust it says what that costs; by hand it says so; undo goes back', async ({ page }) => {
  await openMarit(page, 'size');
  await page.getByRole('radio', { name: /full bust/ }).check();
  await expect(page.getByText('Size 5', { exact: true })).toBeVisible();
  await expect(page.getByText(/the high bust of the draft is \+3.7 cm against the body/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Or choose a size by hand' }).selectOption('3');
  await expect(page.getByText('Chosen by hand; the rule gives size 5.')).toBeVisible();
  await expect(page.getByText(/Causeway · size 3/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Size 4', { exact: true })).toBeVisible();
  await expect(page.getByRole('img', { name: /High bust: wearer 87.3 cm, size 4 87.0 cm/ })).toBeVisible();
});

test('Plan: off, out, and back; every sum adds up', async ({ page }) => {
  await openMarit(page, 'plan');
  for (const card of await page.locator('label.workings').all()) {
    const figures = (await card.locator('td:nth-child(2)').allTextContents()).map((t) =>
      Number(t.replace('−', '-').replace('+', '')),
    );
    const signs = (await card.locator('td:nth-child(1)').allTextContents()).map((t) => t.trim());
    const sumAt = signs.indexOf('=');
    const sum = figures.slice(0, sumAt).reduce((total, v, i) => total + (signs[i] === '−' ? -v : v), 0);
    expect(sum).toBeCloseTo(figures[sumAt]!, 6);
    expect(figures[sumAt]! / 2).toBeCloseTo(figures.at(-1)!, 6);
  }
  await page.getByRole('switch').click();
  await page.getByRole('link', { name: 'Open the table' }).click();
  await expect(page.getByText('switched off')).toBeVisible();
  await expect(page.getByRole('slider', { name: 'Hinge', exact: true })).toHaveCount(0);
  await page.getByRole('link', { name: 'Change the plan' }).click();
  await page.getByRole('button', { name: 'Remove' }).click();
  // Out of the plan, the bust is asked for again.
  await expect(
    page.getByRole('region', { name: 'Recommended by the measurements' }).getByRole('button', { name: /^Full bust/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('switch')).toBeChecked();
});

test('Table: typed values follow, the bust point can go back to the measured one, the view can be changed by keys', async ({
  page,
}) => {
  await openMarit(page, 'table');
  const mat = page.getByRole('group', { name: /Cutting mat/ });
  const scale = async () =>
    Number(/scale\(([\d.]+)\)/.exec((await mat.locator('> g').getAttribute('transform')) ?? '')?.[1]);
  // A step opens near what it touches; 0 shows the whole mat.
  await page.keyboard.press('0');
  const fitted = await scale();
  await page.keyboard.press('+');
  await expect.poll(scale).toBeGreaterThan(fitted * 1.2);
  await page.keyboard.press('0');
  await expect.poll(scale).toBeCloseTo(fitted, 3);

  await page.getByLabel('Bust point across').fill('10.4');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Mark the bust point, where you put it/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to the measured one' }).click();
  await expect(page.getByText(/from the wearer’s own bust height and span/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Bust point from' }).selectOption('darts');
  await expect(page.getByText(/where the centre lines of the two darts cross/)).toBeVisible();

  const setback = page.getByLabel('Dart ends before the bust point by');
  await expect(setback).toHaveValue('3.5');
  await setback.fill('4');
  await setback.press('Enter');
  for (let i = 0; i < 4; i++) await page.keyboard.press('n');
  await setback.press('ArrowUp');
  await expect(setback).toHaveValue('4.1');
  await page.getByRole('combobox', { name: 'Waist dart' }).selectOption('keep');
  await page.getByRole('button', { name: 'True' }).click();
  await expect(
    page.getByText(/off at the side seam, from the waist to nothing at the dart or line 2, straight/),
  ).toBeVisible();
});

test('Table: the hinge stays put while the paper moves, and reduced motion shows it at once', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await openMarit(page, 'table');
  await expect(page.getByRole('slider', { name: 'Hinge', exact: true })).toBeVisible();
  const before = await middleOf(page, 'Hinge');
  await page.keyboard.press('n');
  await page.keyboard.press('n');
  const panels = page.locator('svg path[stroke="#B32D24"][transform]');
  await expect(panels).toHaveCount(4);
  const turns = () =>
    panels.evaluateAll((all) =>
      all.map((p) => Number(/rotate\(([-\d.e]+)\)/.exec(p.getAttribute('transform') ?? '')?.[1])),
    );
  await expect.poll(async () => (await turns()).filter((v) => Math.abs(v) > 10)).toHaveLength(1);
  const after = await middleOf(page, 'Hinge');
  expect(Math.hypot(after.x - before.x, after.y - before.y)).toBeLessThan(1.5);
});

test('Print: fewer pieces take fewer pages; none can be chosen but says so; SVG is in millimetres', async ({
  page,
}) => {
  await openMarit(page, 'print');
  const pages = async () =>
    Number(/(\d+)/.exec((await page.getByRole('button', { name: /^PDF/ }).textContent()) ?? '')?.[1]);
  const both = await pages();
  await page.getByRole('checkbox', { name: 'Bodice back' }).uncheck();
  await expect.poll(pages).toBeLessThan(both);
  const svg = readFileSync(await save(page, /^SVG/, 'p.svg'), 'utf8');
  expect(svg).toMatch(/<svg [^>]*width="[\d.]+mm"/);
  expect(svg).toContain('id="front-seam"');
  expect(svg).not.toContain('id="back"');
  for (const piece of [
    'Bodice front',
    'Sleeve',
    'Skirt front',
    'Skirt back',
    'Front neck facing',
    'Back neck facing',
    'Pocket bag',
  ])
    await page.getByLabel(piece, { exact: true }).uncheck();
  await expect(page.getByText('Choose at least one piece.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^PDF/ })).toBeDisabled();
});

test('the job file of the app is taken by the terminal, to the same numbers', async ({ page }) => {
  await openMarit(page, 'table');
  const total = page.getByRole('textbox', { name: 'Over the whole front' });
  await total.fill('5,4');
  await total.press('Enter');
  await page.keyboard.press('Escape');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('9');
  const file = await save(page, 'Job file', 'job.json');
  const report = JSON.parse(
    execFileSync('node', ['--import', 'tsx', 'cli/main.ts', 'alter', file], {
      encoding: 'utf8',
      cwd: join(import.meta.dirname, '..'),
    }),
  ) as { size: string; steps: { total: number }[]; seams: { difference: number }[] };
  expect(report.size).toBe('4');
  expect(report.steps[0]?.total).toBe(54);
  for (const seam of report.seams) expect(Math.abs(seam.difference)).toBeLessThan(0.5);
});

test('Body: a third reading is asked for, more measurements can be shown, the tape moves on the figure', async ({
  page,
}) => {
  await openMarit(page, 'body');
  await page.getByLabel('Waist, second reading', { exact: true }).fill('77');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/The two readings differ by more than 1 cm: 75.2 cm and 77.0 cm/)).toBeVisible();
  await page.getByLabel('Nape to waist, first reading').focus();
  await expect(page.getByRole('img', { name: /Figure from the back/ })).toBeVisible();
  await page.getByRole('button', { name: /Show \d+ more measurements/ }).click();
  await page.getByLabel('Wrist, first reading', { exact: true }).fill('6 1/4 in');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Wrist, first reading', { exact: true })).toHaveValue('15.9');
  await page.getByLabel('Wrist, first reading', { exact: true }).fill('');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Wrist, first reading', { exact: true })).toHaveValue('');
});

test('Check: what changed and what did not stands in figures', async ({ page }) => {
  await openMarit(page, 'check');
  const row = (name: string) => page.getByRole('row', { name: new RegExp(`^Bodice front, ${name} `) });
  for (const edge of ['neck', 'shoulder', 'armhole', 'side seam']) await expect(row(edge)).toContainText('as before');
  await expect(row('centre front')).toContainText('+1.7 cm');
  await page.getByRole('link', { name: 'Open the table' }).click();
  await expect(page.getByRole('group', { name: /Cutting mat/ })).toBeVisible();
});
