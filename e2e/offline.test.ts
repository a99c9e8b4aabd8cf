import { cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, expect, type Page } from '@playwright/test';
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
  await expect(page.getByRole('heading', { name: 'No fitting yet' })).toBeVisible();
  await page.keyboard.press('9');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: /^PDF/ }).click();
  expect((await waiting).suggestedFilename()).toMatch(/\.pdf$/);
});

/** A server whose folder can be made a release newer: another page, and another list of what is kept. */
async function releases(serve: Serve) {
  const dist = mkdtempSync(join(tmpdir(), 'ample-dist-'));
  cpSync(join(import.meta.dirname, '../web/dist'), dist, { recursive: true });
  const server = await serve(dist);
  const release = (): void => {
    const html = readFileSync(join(dist, 'index.html'), 'utf8');
    writeFileSync(join(dist, 'index.html'), html.replace('<html lang="en">', '<html lang="en" data-release="next">'));
    const sw = readFileSync(join(dist, 'sw.js'), 'utf8');
    const next = sw.replace(/(revision\W+)\w+(\W+url\W+index\.html)/, '$1next$2');
    expect(next).not.toBe(sw);
    writeFileSync(join(dist, 'sw.js'), next);
  };
  return { base: server.base, release };
}
/** A waiting worker takes over once the old one has answered what it was asked; browsers give that up to five minutes. */
const TAKEN_OVER = { timeout: 330_000 };
const LONG = 450_000;
const releaseOf = (page: Page) => page.evaluate(() => document.documentElement.dataset['release']).catch(() => null);
const lookForNewer = (page: Page) =>
  page.evaluate(async () => void (await (await navigator.serviceWorker.getRegistration())?.update()));

/** A page that a worker controls, and to which a newer version is offered. */
async function offeredIn(page: Page, base: string, release: () => void): Promise<void> {
  await page.goto(`${base}/`);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Wearers' })).toBeVisible();
  release();
  await lookForNewer(page);
  await expect(page.getByText('A newer version is ready.')).toBeVisible();
}

test('a newer version is offered and waits; taken, it is the one that runs', async ({ page, serve }) => {
  test.setTimeout(LONG);
  const { base, release } = await releases(serve);
  await offeredIn(page, base, release);
  expect(await releaseOf(page)).toBeUndefined();
  await page.getByRole('button', { name: 'Use it now' }).click();
  await expect.poll(() => releaseOf(page), TAKEN_OVER).toBe('next');
  await expect(page.getByRole('heading', { name: 'Wearers' })).toBeVisible();
});

test('a window opened while a newer version waits is offered it as well', async ({ page, context, serve }) => {
  const { base, release } = await releases(serve);
  await offeredIn(page, base, release);
  const other = await context.newPage();
  await other.goto(`${base}/`);
  await expect(other.getByText('A newer version is ready.')).toBeVisible();
});

test('taken in the very first visit, on a slow machine, in the middle of an edit: it runs, and the edit is kept', async ({
  page,
  serve,
}) => {
  test.setTimeout(LONG);
  const { base, release } = await releases(serve);
  const devtools = await page.context().newCDPSession(page);
  await page.goto(`${base}/job/marit-causeway/body`);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: 6 });
  expect(await page.evaluate(() => navigator.serviceWorker.controller)).toBeNull();
  release();
  await lookForNewer(page);
  await expect(page.getByText('A newer version is ready.')).toBeVisible();
  const bust = page.getByRole('textbox', { name: 'Full bust, first reading' });
  await bust.fill('97.4');
  await page.getByRole('button', { name: 'Use it now' }).click();
  await expect.poll(() => releaseOf(page), TAKEN_OVER).toBe('next');
  await expect(bust).toHaveValue('97.4');
});

test('a newer version taken in one window: the other saves what it was at, and follows', async ({
  page,
  context,
  serve,
}) => {
  test.setTimeout(LONG);
  const { base, release } = await releases(serve);
  await page.goto(`${base}/`);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.goto(`${base}/job/marit-causeway/body`);
  const other = await context.newPage();
  await other.goto(`${base}/`);
  await expect(other.getByRole('heading', { name: 'Wearers' })).toBeVisible();
  release();
  await lookForNewer(other);
  await expect(other.getByText('A newer version is ready.')).toBeVisible();
  await expect(page.getByText('A newer version is ready.')).toBeVisible();
  const bust = page.getByRole('textbox', { name: 'Full bust, first reading' });
  await bust.fill('97.4');
  await other.getByRole('button', { name: 'Use it now' }).click();
  await expect.poll(() => releaseOf(page), TAKEN_OVER).toBe('next');
  await expect(bust).toHaveValue('97.4');
});
