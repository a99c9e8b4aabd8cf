import { chromium } from '@playwright/test';
import { CHROMIUM } from './chromium.ts';
import { expect, storedJob, test } from './app.ts';

test('over plain http on a home network the app opens, and an edit is kept', async ({ baseURL }) => {
  // A name, not this machine's own number: the browser then takes the page for one of an unsafe origin.
  const browser = await chromium.launch({
    ...CHROMIUM,
    args: [...CHROMIUM.args, '--host-resolver-rules=MAP sewing.test 127.0.0.1'],
  });
  try {
    const port = new URL(baseURL ?? '').port;
    const page = await browser.newPage({
      baseURL: `http://sewing.test:${port}`,
      viewport: { width: 1280, height: 800 },
    });
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(error.message));
    await page.goto('/');
    await expect(page.getByRole('link', { name: /Marit Quell Concert/ })).toBeVisible();
    expect(await page.evaluate(() => [window.isSecureContext, 'randomUUID' in crypto])).toEqual([false, false]);
    await page.goto('/job/marit-causeway/plan');
    await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
    const before = (await storedJob(page)).steps.length;
    await page.keyboard.press('Control+k');
    await expect(page.getByRole('combobox', { name: 'Find' })).toBeFocused();
    await page.keyboard.type('swayback waist seam');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Add it to the plan' }).click();
    await expect.poll(async () => (await storedJob(page)).steps.length).toBe(before + 1);
    // A photo is played, a piece is begun: whatever makes an id.
    await page.goto('/job/marit-causeway/bring');
    await page.getByRole('button', { name: 'Photo or scan' }).click();
    await page.getByRole('button', { name: 'Stand-in camera' }).click();
    await expect(page.getByText('Click its upper left corner')).toBeVisible();
    expect(faults).toEqual([]);
  } finally {
    await browser.close();
  }
});
