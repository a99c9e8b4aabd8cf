import { existsSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from './app.ts';

const DIST = join(import.meta.dirname, '../web/dist');
/** What the first screen may weigh, script as it is sent, in bytes. */
const BUDGET = 180_000;

test('the first screen stays within its weight, and needs nothing else to show the rail', async ({ page }) => {
  const html = readFileSync(join(DIST, 'index.html'), 'utf8');
  const first = [...html.matchAll(/(?:src|href)="([^"]+\.js)"/g)].map((m) => m[1] ?? '');
  expect(first.length).toBeGreaterThan(3);
  // The smallest are not worth compressing and are sent as they are.
  const sent = (path: string) => (existsSync(join(DIST, `${path}.br`)) ? `${path}.br` : path);
  const weight = first.reduce((sum, path) => sum + statSync(join(DIST, sent(path))).size, 0);
  expect(weight, `${first.length} scripts`).toBeLessThanOrEqual(BUDGET);
  // Only these are let through, the rest cannot be fetched: the rail stands all the same.
  test.info().annotations.push({ type: 'part taken away' });
  await page.route('**/*.js', (route) => {
    const { pathname } = new URL(route.request().url());
    return first.includes(pathname) ? route.continue() : route.fulfill({ status: 404 });
  });
  await page.goto('/');
  const rail = page.getByRole('link', { name: /Marit Quell/ }).first();
  // What would keep a copy says so in its place, what would lie over the page over it.
  const said = page.getByRole('alert').filter({ hasText: 'A part of the app did not arrive.' });
  await expect(said).toHaveCount(1);
  await page.getByRole('button', { name: 'More for Rehearsal top, Marit Quell' }).click();
  await expect(said).toHaveCount(2);
  await page.keyboard.press('?');
  await expect(said).toHaveCount(3);
  await page.getByRole('button', { name: 'Start my own' }).click();
  await expect(said).toHaveCount(4);
  await expect(rail).toBeVisible();
  await page.unrouteAll();
  await said.last().getByRole('button', { name: 'Load again' }).click();
  await expect(rail).toBeVisible();
  await expect(said).toHaveCount(0);
});

test('a tape that cannot be fetched leaves the station standing', async ({ page }) => {
  test.info().annotations.push({ type: 'part taken away' });
  await page.route(/assets\/Tape-/, (route) => route.fulfill({ status: 404, body: '' }));
  await page.goto('/job/marit-causeway/plan');
  await expect(page.getByRole('heading', { name: 'Plan', level: 1 })).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'A part of the app did not arrive.' })).toBeVisible();
  await page.keyboard.press('7');
  await expect(page.getByRole('heading', { name: 'Check', level: 1 })).toBeVisible();
});
