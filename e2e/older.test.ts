import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { JOB_VERSION } from '@ample/core/documents';
import { expect, storedJob, test } from './app.ts';

const stored = JSON.parse(
  readFileSync(join(import.meta.dirname, '../core/documents/stored/job-1.json'), 'utf8'),
) as Record<string, unknown>;

/** The browser's database as the first release left it: fewer tables, documents of that time. */
async function leaveOlder(page: Page, job: unknown): Promise<void> {
  // A page of the same address that is not the app, so that nothing of it is open yet.
  await page.goto('/icon.svg');
  await page.evaluate(
    (doc) =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('ample-draft', 10);
        open.onupgradeneeded = () => {
          for (const [table, keyPath, autoIncrement] of [
            ['wearers', 'id', false],
            ['patterns', 'id', false],
            ['jobs', 'id', false],
            ['damaged', 'id', true],
            ['meta', 'key', false],
          ] as const)
            open.result.createObjectStore(table, { keyPath, autoIncrement });
        };
        open.onerror = () => reject(new Error('not opened'));
        open.onsuccess = () => {
          const put = open.result.transaction(['jobs', 'meta', 'wearers'], 'readwrite');
          put.objectStore('jobs').put(doc);
          put.objectStore('meta').put({ key: 'seeded', value: '2026-01-01T00:00:00.000Z' });
          put.objectStore('wearers').put({
            format: 'ample-draft/wearer',
            version: 1,
            id: 'nele',
            name: 'Nele Brook',
            sets: [
              { id: 's', date: '2026-01-01', readings: { highBust: [870], fullBust: [960], waist: [740], hip: [980] } },
            ],
          });
          put.oncomplete = () => {
            open.result.close();
            resolve();
          };
        };
      }),
    job,
  );
}

test('what the first release kept opens in this one, and is written as this one writes', async ({ page }) => {
  await leaveOlder(page, { ...stored, id: 'old', title: 'Old bodice', wearer: { id: 'nele' } });
  await page.goto('/');
  await page.getByRole('link', { name: /Nele Brook Old bodice/ }).click();
  await expect(page.getByRole('navigation', { name: 'Stations of this job' })).toBeVisible();
  await page.keyboard.press('1');
  const bust = page.getByRole('textbox', { name: 'Full bust, first reading' });
  await expect(bust).toHaveValue('96.0');
  await bust.fill('97.0');
  await bust.press('Enter');
  await expect(page.getByText(/saved \d\d:\d\d/)).toBeVisible();
  await expect
    .poll(async () => ((await storedJob(page, 'old')) as unknown as { version: number }).version)
    .toBe(JOB_VERSION);
  await page.keyboard.press('Tab');
  await page.getByRole('link', { name: /Check/ }).click();
  await expect(page.getByRole('heading', { name: 'Check' })).toBeVisible();
});

test('what a newer release wrote stays as it is, and is said to be newer', async ({ page }) => {
  const later = { ...stored, id: 'later', version: 99, title: 'Later bodice', wearer: { id: 'nele' }, drape: [1, 2] };
  await leaveOlder(page, later);
  await page.goto('/');
  await expect(page.getByRole('alert')).toContainText('1 document kept here was written by a newer version');
  await expect(page.getByText('Nele Brook').first()).toBeVisible();
  expect(await storedJob(page, 'later')).toEqual(later);
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('written by a newer version');
  expect(await storedJob(page, 'later')).toEqual(later);
});
