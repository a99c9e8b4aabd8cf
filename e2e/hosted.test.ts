import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, expect } from '@playwright/test';
import express from 'express';

const WEB = join(import.meta.dirname, '../web');
/** The app built for a sub-path, in a folder of its own. */
function build(): string {
  const out = mkdtempSync(join(tmpdir(), 'ample-hosted-'));
  const vite = join(import.meta.dirname, '../node_modules/vite/bin/vite.js');
  execFileSync(process.execPath, [vite, 'build', '--outDir', out, '--emptyOutDir', '--logLevel', 'warn'], {
    cwd: WEB,
    env: { ...process.env, BASE: '/ample/' },
    stdio: 'inherit',
  });
  return out;
}
/** A plain static server: no header of ours, no answer to paths that are no file. */
async function serve(folder: string): Promise<Server> {
  const app = express();
  app.use('/ample', express.static(folder));
  const server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return server;
}

const test = base.extend<object, { home: string }>({
  home: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const server = await serve(build());
      await use(`http://127.0.0.1:${(server.address() as AddressInfo).port}/ample/`);
      server.closeAllConnections();
      server.close();
    },
    { scope: 'worker', timeout: 120_000 },
  ],
});

test('the built folder works from a plain static server under a sub-path', async ({ page, home }) => {
  const strays: string[] = [];
  const faults: string[] = [];
  page.on('response', (r) => {
    if (r.status() >= 400 || !r.url().startsWith(home)) if (!/^(blob|data):/.test(r.url())) strays.push(r.url());
  });
  page.on('pageerror', (e) => faults.push(e.message));
  await page.goto(home);
  await page.getByRole('link', { name: /Marit Quell Concert/ }).click();
  await expect(page.getByRole('group', { name: /Cutting mat/ })).toBeVisible();
  await page.keyboard.press('9');
  await expect(page.getByRole('img', { name: /^Page map/ })).toBeVisible();
  // A place deep in the app is an address one can come back to, and the page of it is loaded anew.
  const deep = page.url();
  expect(deep).toContain('/ample/#/job/marit-causeway/print');
  await page.reload();
  await expect(page.getByRole('img', { name: /^Page map/ })).toBeVisible();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: /^PDF/ }).click();
  expect((await waiting).suggestedFilename()).toMatch(/\.pdf$/);
  // Nobody is there to take an order: the bureau is not offered.
  await expect(page.getByRole('region', { name: 'Projector' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Print bureau' })).toHaveCount(0);
  const popup = page.waitForEvent('popup');
  await page.getByRole('link', { name: 'Try it on a stand-in table' }).click();
  await expect((await popup).getByText('No projector is on')).toBeVisible();
  expect(strays, 'requests that failed or left the folder').toEqual([]);
  expect(faults).toEqual([]);
});

test('the page carries the content policy where the server sends none', async ({ page, home }) => {
  const answer = await page.goto(home);
  expect(answer?.headers()['content-security-policy']).toBeUndefined();
  await expect(page.getByRole('link', { name: /Marit Quell Concert/ })).toBeVisible();
  const blocked = await page.evaluate(
    () =>
      new Promise<string>((resolve) => {
        document.addEventListener('securitypolicyviolation', (e) => resolve(e.effectiveDirective));
        void fetch('https://example.com/').catch(() => undefined);
      }),
  );
  expect(blocked).toBe('connect-src');
});

test.describe('kept in the browser', () => {
  test.use({ serviceWorkers: 'allow' });
  test('it says so when it is ready to work offline, and does, under the sub-path', async ({ page, home, context }) => {
    await page.goto(home);
    await expect(page.getByText('it works without a connection.')).toBeVisible({ timeout: 60_000 });
    const manifest = await page.evaluate(
      async () => (await (await fetch('manifest.webmanifest')).json()) as Record<string, unknown>,
    );
    expect(manifest).toMatchObject({ start_url: '/ample/', scope: '/ample/', id: '/ample/' });
    expect(manifest['file_handlers']).toEqual([
      { action: '/ample/', accept: { 'application/x-ample-draft': ['.ample'] } },
    ]);
    await page.reload();
    await context.setOffline(true);
    await page.goto(`${home}#/job/marit-causeway/table`);
    await page.reload();
    await expect(page.getByRole('region', { name: 'Stages' })).toBeVisible();
  });
});
