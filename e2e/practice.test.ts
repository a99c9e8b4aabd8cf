import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { formatLength } from '@ample/core/units';
import { expect, test } from './app.ts';
import { setBy, open } from './lesson.ts';
import { expectAccessible, seenWrong, settled } from './onScreen.ts';

test('sums: a slip is known by its number, the right answer is right, in inches too', async ({ page }) => {
  await page.goto('/practice/sums');
  await page.getByRole('button', { name: 'Half of the front' }).click();
  const question = page.getByRole('region', { name: 'Half of the front' });
  const total = Number(/lacks ([\d.]+) cm/.exec(await question.innerText())?.[1]);
  await question.getByLabel(/Answer/).fill(String(total));
  await question.getByRole('button', { name: 'Is that right?' }).click();
  await expect(page.getByText('That is for the whole front.')).toBeVisible();
  await question.getByLabel(/Answer/).fill(String(total / 2));
  await question.getByLabel(/Answer/).press('Enter');
  await expect(page.getByText('Right.', { exact: true })).toBeVisible();
  await question.getByLabel(/Answer/).fill('wide');
  await question.getByLabel(/Answer/).press('Enter');
  await expect(page.getByText(/“wide” is not a length/)).toBeVisible();
  await page.getByRole('button', { name: 'The next kind' }).click();
  await expect(page.getByRole('heading', { name: 'A quarter at each side', level: 2 })).toBeVisible();
});

test('wrinkles: a figure is read, the test for its cause is told', async ({ page }) => {
  await page.goto('/practice/wrinkles');
  await page.getByRole('radio').first().check();
  await page.getByRole('button', { name: 'Is that it?' }).click();
  await expect(page.getByText('The test.')).toBeVisible();
  await page.getByRole('button', { name: 'Another figure' }).click();
  await expect(page.getByRole('button', { name: 'Is that it?' })).toBeDisabled();
});

test('what was practised goes into the backup and comes back', async ({ page, browser, baseURL }) => {
  await page.goto('/practice/sums');
  await page.getByRole('button', { name: 'Half of the front' }).click();
  await page.getByLabel(/Answer/).fill('1');
  await page.getByRole('button', { name: 'Is that right?' }).click();
  await open(page, 'roundBack', 'guided', 1);
  await page.getByRole('button', { name: 'Cut along the lines' }).click();
  await page.getByRole('button', { name: 'Tape it and look' }).click();
  await expect(page.getByRole('heading', { name: 'Cut, and not moved' })).toBeVisible();
  await page.goto('/');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export everything' }).click(),
  ]);
  const path = await file.path();
  expect(readFileSync(path).length).toBeGreaterThan(1000);
  // Another browser, in which nothing was practised yet.
  const context = await browser.newContext({ baseURL: baseURL ?? '' });
  const other = await context.newPage();
  await other.goto('/practice');
  await expect(other.getByRole('link', { name: /Guided.*A round back/ })).not.toContainText('mm');
  await other.goto('/');
  await other.getByLabel(/A file made by Export everything/).setInputFiles(path);
  await other.getByRole('button', { name: 'Import it' }).click();
  await expect(other.getByRole('button', { name: /Undo the import/ })).toBeVisible();
  await other.goto('/practice');
  await expect(other.getByRole('link', { name: /Guided.*A round back/ })).toContainText('mm');
  await context.close();
});

test('a toile is read: turned, its cause chosen, and hung again with the steps it asks for', async ({ page }) => {
  await page.goto('/practice/toiles');
  await expect(page.getByText('The cloth comes to rest')).toBeHidden({ timeout: 60_000 });
  await expect(page.getByText('On the body it was drafted for', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await page.getByRole('radio', { name: 'Pull' }).check();
  // The numbers are there for who cannot see the forms.
  await page.getByText('Read it in numbers').click();
  await expect(page.getByRole('table', { name: 'All readings' })).toBeVisible();
  await page.getByRole('group', { name: 'What is the cause?' }).getByRole('radio').first().check();
  await page.getByRole('button', { name: 'Is that it?' }).click();
  await expect(page.getByText('This body differs from the draft’s:')).toBeVisible();
  await page
    .getByRole('button', { name: /^Show me: / })
    .first()
    .click();
  await page.getByRole('button', { name: 'Hang it with the steps it asks for' }).click();
  await expect(page.getByText('Its steps:')).toBeVisible();
  await expect(page.getByText('The cloth comes to rest')).toBeHidden({ timeout: 60_000 });
  await expect(page.getByRole('columnheader', { name: 'With its steps' })).toBeVisible();
  expect(await seenWrong(page)).toEqual([]);
  await page.getByRole('button', { name: 'Another toile' }).click();
  await expect(page.getByRole('button', { name: 'Is that it?' })).toBeDisabled();
});

for (const place of [
  '',
  '/sums',
  '/wrinkles',
  '/toiles',
  '/methods',
  '/rescue',
  '/cut/fullerBust?grade=guided&numbers=1',
  '/cut/roundBack?grade=marked&numbers=1&after=hinge-torn',
])
  test(`axe finds nothing on practice${place || ' at home'}, nor does the eye`, async ({ page }) => {
    await page.goto(`/practice${place}`);
    for (const width of [820, 1280]) {
      await page.setViewportSize({ width, height: 900 });
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await settled(page);
      await expect.poll(() => seenWrong(page)).toEqual([]);
    }
    await expectAccessible(page);
  });

test('a lesson on paper: pieces to cut with a square of 5 cm, then the answers; a term opened where it stands', async ({
  page,
}) => {
  const by = formatLength(setBy('longerBodice', 'free', 2).asked.told['by'] as number, 'cm', { fraction: 8 });
  await open(page, 'longerBodice', 'free', 2);
  await page.getByRole('button', { name: 'dart', exact: true }).click();
  await expect(page.getByText('A wedge folded out of the cloth.')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'On paper' }).click();
  await expect(page.getByRole('region', { name: 'Bodice front, to cut' })).toBeVisible();
  const path = test.info().outputPath('sheet.pdf');
  await page.pdf({ path, format: 'A4', preferCSSPageSize: true });
  const text = (number: number): string =>
    execFileSync('pdftotext', ['-f', String(number), '-l', String(number), path, '-'], { encoding: 'utf8' });
  expect(execFileSync('pdfinfo', [path], { encoding: 'utf8' })).toMatch(/Pages:\s+4\b/);
  expect(text(1)).toMatch(/This square measures 5.0 cm/);
  expect(text(1)).toMatch(/one to [23]\b/);
  expect(text(3).replace(/\s+/g, ' ')).toMatch(new RegExp(`answer.*opens ${by}; on this page`));
});

test('a term is opened where it stands on a station, and closed again', async ({ page }) => {
  await page.goto('/job/marit-causeway/table');
  const now = page.getByRole('group', { name: 'What to do now' });
  await now.getByRole('button', { name: 'bust point' }).first().click();
  const meaning = page.getByRole('dialog', { name: 'bust point' });
  await expect(meaning).toContainText('bust');
  await page.keyboard.press('Escape');
  await expect(meaning).toBeHidden();
  await expect(now).toContainText('Mark the bust point');
});

test('help tells what to do where one stands', async ({ page }) => {
  for (const [place, name] of [
    ['/', 'The rail'],
    ['/practice', 'Practice'],
    ['/job/marit-causeway/size', 'Size'],
    ['/job/marit-causeway/toile', 'Toile'],
  ] as const) {
    await page.goto(place);
    await expect(page.getByRole('link', { name: 'Ample Draft' })).toBeVisible();
    await page.getByRole('button', { name: /Help/ }).click();
    await expect(page.getByRole('heading', { name: `Here: ${name}` })).toBeVisible();
  }
});
