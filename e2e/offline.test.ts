import { cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, expect } from '@playwright/test';
import { startServer } from '../scripts/server.mjs';

type Serve = (dist: string) => ReturnType<typeof startServer>;
/** Servers of its own, each on a free port, so that they can be stopped; one left running when a test fails is ended. */
const test = base.extend<{ serve: Serve }>({
  // eslint-disable-next-line no-empty-pattern
  serve: async ({}, use) => {
    const started: Awaited<ReturnType<Serve>>[] = [];
    await use(async (dist) => {
      const server = await startServer({ DIST: dist });
      started.push(server);
      return server;
    });
    await Promise.all(started.map((s) => s.stop()));
  },
});
test.use({ serviceWorkers: 'allow' });

test('after the first visit everything works with the server stopped, workers and printing too', async ({
  page,
  serve,
}) => {
  const dist = join(import.meta.dirname, '../web/dist');
  const server = await serve(dist);
  await page.goto(`${server.base}/`);
  await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
  const manifest = await page.evaluate(
    async () =>
      (await (await fetch('/manifest.webmanifest')).json()) as { display: string; icons: { sizes: string }[] },
  );
  expect(manifest.display).toBe('standalone');
  expect(manifest.icons.map((i) => i.sizes)).toEqual(expect.arrayContaining(['192x192', '512x512']));
  // Everything is kept before the server goes.
  await expect
    .poll(() =>
      page.evaluate(async () => {
        const names = await caches.keys();
        const kept = await Promise.all(names.map(async (n) => (await (await caches.open(n)).keys()).length));
        return kept.reduce((a, b) => a + b, 0);
      }),
    )
    .toBeGreaterThan(60);
  await server.stop();
  await page.goto(`${server.base}/job/marit-causeway/table`);
  await expect(page.getByText('size 4').first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'Stages' })).toBeVisible();
  await page.keyboard.press('8');
  await expect(page.getByText('No fitting yet.')).toBeVisible();
  await page.keyboard.press('9');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: /^PDF/ }).click();
  expect((await waiting).suggestedFilename()).toMatch(/\.pdf$/);
});

test('a newer version is offered and waits; taken, it is the one that runs', async ({ page, serve }) => {
  const dist = mkdtempSync(join(tmpdir(), 'ample-dist-'));
  cpSync(join(import.meta.dirname, '../web/dist'), dist, { recursive: true });
  const server = await serve(dist);
  await page.goto(`${server.base}/`);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Wearers' })).toBeVisible();
  // What a new release changes: a page, and the list of what is kept.
  const html = readFileSync(join(dist, 'index.html'), 'utf8').replace(
    '<html lang="en">',
    '<html lang="en" data-release="next">',
  );
  writeFileSync(join(dist, 'index.html'), html);
  const sw = readFileSync(join(dist, 'sw.js'), 'utf8');
  const next = sw.replace(/(url:"index\.html",revision:")[^"]+/, '$1next');
  expect(next).not.toBe(sw);
  writeFileSync(join(dist, 'sw.js'), next);
  await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.update());
  await expect(page.getByText('A newer version is ready.')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.dataset['release'])).toBeUndefined();
  await page.getByRole('button', { name: 'Use it now' }).click();
  await expect
    .poll(() => page.evaluate(() => document.documentElement.dataset['release']).catch(() => null))
    .toBe('next');
  await expect(page.getByRole('heading', { name: 'Wearers' })).toBeVisible();
});
