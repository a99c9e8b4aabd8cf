import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import type { Page } from '@playwright/test';
import { expect, test } from './app.ts';

/** Every document the browser holds, as text. */
const everything = (page: Page): Promise<string> =>
  page.evaluate(
    () =>
      new Promise<string>((resolve) => {
        const open = indexedDB.open('ample-draft');
        open.onsuccess = () => {
          const names = ['wearers', 'jobs', 'patterns'];
          const tx = open.result.transaction(names);
          const out: Record<string, unknown> = {};
          for (const name of names) {
            const get = tx.objectStore(name).getAll();
            get.onsuccess = () => (out[name] = get.result);
          }
          tx.oncomplete = () => {
            open.result.close();
            resolve(JSON.stringify(out));
          };
        };
      }),
  );
const ready = (page: Page) => expect(page.getByRole('button', { name: 'Export everything' })).toBeEnabled();

async function exportAll(page: Page): Promise<string> {
  await ready(page);
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export everything' }).click();
  const file = join(mkdtempSync(join(tmpdir(), 'ample-backup-')), 'backup.zip');
  await (await waiting).saveAs(file);
  return file;
}
const takeIn = (page: Page, file: string) => page.getByLabel('A file made by Export everything').setInputFiles(file);

test('everything exported, the browser wiped, everything back as it was; and the taking in undone', async ({
  page,
}) => {
  await page.goto('/job/marit-causeway/plan');
  await page.getByRole('button', { name: 'From one size to another' }).first().click();
  await expect(page.getByText(/saved \d\d:\d\d/)).toBeVisible();
  await page.getByRole('link', { name: 'Ample Draft' }).click();
  const file = await exportAll(page);
  const before = await everything(page);
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        localStorage.clear();
        const gone = indexedDB.deleteDatabase('ample-draft');
        gone.onsuccess = () => resolve();
        gone.onblocked = () => resolve();
      }),
  );
  await page.reload();
  await expect(page.getByRole('link', { name: /Marit Quell/ }).first()).toBeVisible();
  expect(await everything(page)).not.toBe(before);
  await ready(page);
  await takeIn(page, file);
  const dialog = page.getByRole('alertdialog');
  await expect(dialog).toContainText('replace Concert bodice · Marit Quell');
  await dialog.getByRole('button', { name: 'Import it' }).click();
  await expect(page.getByRole('button', { name: /^Undo the import/ })).toBeVisible();
  expect(await everything(page)).toBe(before);
  await page.getByRole('button', { name: /^Undo the import/ }).click();
  await expect(page.getByRole('button', { name: /^Undo the import/ })).toBeHidden();
  expect(await everything(page)).not.toBe(before);
});

test('what is no backup is refused with a sentence, and nothing is changed', async ({ page }) => {
  await page.goto('/');
  const good = readFileSync(await exportAll(page));
  const before = await everything(page);
  const folder = mkdtempSync(join(tmpdir(), 'ample-bad-'));
  const bad: readonly (readonly [string, Uint8Array, RegExp])[] = [
    ['cut.zip', good.subarray(0, good.length - 200), /damaged or cut short/],
    ['other.zip', zipSync({ 'letter.txt': strToU8('hello') }), /not made by this app/],
    ['picture.zip', strToU8('GIF89a'), /no file of ours/],
    ['bomb.zip', zipSync({ 'manifest.json': new Uint8Array(40 * 2 ** 20) }), /more than is safe to unpack/],
    [
      'way-out.zip',
      zipSync({ 'manifest.json': strToU8('{}'), '../../etc/passwd': strToU8('x') }),
      /does not belong in it/,
    ],
  ];
  for (const [name, bytes, says] of bad) {
    writeFileSync(join(folder, name), bytes);
    await takeIn(page, join(folder, name));
    await expect(page.getByRole('alert'), name).toContainText(says);
  }
  expect(await everything(page)).toBe(before);
});

test('two windows on one job: each sees the other, and neither loses its work', async ({ page, context }) => {
  await page.goto('/job/tove-causeway/toile');
  const other = await context.newPage();
  await other.goto('/job/tove-causeway/toile');
  await expect(other.getByRole('heading', { name: 'What was seen' })).toBeVisible();
  await page.getByLabel('Sitting').fill('From the first window');
  await page.getByLabel('Sitting').blur();
  // It arrives by itself, and the other window says so.
  await expect(other.getByLabel('Sitting')).toHaveValue('From the first window');
  await expect(other.getByText(/Another window has changed this job/)).toBeVisible();
  // Both at once: different things are both kept.
  await Promise.all([
    page
      .getByLabel('Arms forward')
      .fill('First again')
      .then(() => page.getByLabel('Arms forward').blur()),
    other
      .getByLabel('Walking, reaching')
      .fill('Second too')
      .then(() => other.getByLabel('Walking, reaching').blur()),
  ]);
  for (const w of [page, other]) {
    await expect(w.getByLabel('Arms forward')).toHaveValue('First again');
    await expect(w.getByLabel('Walking, reaching')).toHaveValue('Second too');
  }
  // Taken away in one, the other asks before it brings anything back.
  await other.getByRole('link', { name: 'Ample Draft' }).click();
  await other.getByRole('button', { name: 'More for Concert bodice, Tove Anselm' }).click();
  await other.getByRole('menuitem', { name: 'Delete the job…' }).click();
  await other.getByRole('button', { name: 'Delete it' }).click();
  await expect(page.getByRole('alert')).toContainText('taken away in another window');
  await expect(other.getByRole('link', { name: /Tove Anselm/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(other.getByRole('link', { name: /Tove Anselm/ })).toBeVisible();
});

test('the rail: dates, by wearer, put away and back; a wearer deleted leaves nothing; found by a few letters', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'I have read it' }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: 'I have read it' })).toBeHidden();
  await page.getByRole('button', { name: 'More for Concert bodice, Ines Hollow' }).click();
  await page.getByRole('menuitem', { name: 'Title, date and cloth…' }).click();
  await page.getByLabel('Due (may stay empty)').fill('2026-01-05');
  await page.getByRole('button', { name: 'Write it on the tag' }).click();
  await expect(page.getByRole('link').filter({ hasText: 'Ines Hollow' })).toContainText('due 5 January 2026 · past');
  await page.getByLabel('Jobs for').selectOption('Marit Quell');
  await expect(page.locator('a[href^="/job/"]')).toHaveCount(3);
  await page.getByRole('button', { name: 'More for Rehearsal top, Marit Quell' }).click();
  await page.getByRole('menuitem', { name: 'Put it away' }).click();
  await expect(page.locator('a[href^="/job/"]')).toHaveCount(2);
  await page.getByRole('button', { name: 'Put away: 1' }).click();
  await page.getByRole('button', { name: 'More for Rehearsal top, Marit Quell' }).click();
  await page.getByRole('menuitem', { name: 'Hang it back' }).click();
  await page.getByRole('button', { name: 'Back to the rail' }).click();
  await expect(page.locator('a[href^="/job/"]')).toHaveCount(3);

  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Getting started and shortcuts' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Find' })).toBeFocused();
  await page.keyboard.type('ines conc');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/ines-causeway\/body/);
  await page.keyboard.press('Escape');
  await page.locator('body').click({ position: { x: 700, y: 20 } });
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Find' })).toBeFocused();
  await page.keyboard.type('swayback waist seam');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Add it to the plan' }).click();
  await expect(page.getByRole('region', { name: 'Swayback, at the waist seam' })).toBeVisible();

  await page.getByRole('link', { name: 'Ample Draft' }).click();
  await page.getByRole('button', { name: 'Delete Ines Hollow' }).click();
  await page.getByRole('button', { name: 'Delete completely' }).click();
  await expect(page.getByText('Ines Hollow')).toHaveCount(0);
  const kept = (await everything(page)) + (await page.evaluate(() => JSON.stringify({ ...localStorage })));
  expect(kept.includes('Ines')).toBe(false);
});

test('a job goes to a friend by the share sheet, and what the system hands to the app is looked at', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const shared: { name: string; type: string; text: string }[] = [];
    const handed: { take?: (launched: object) => void } = {};
    Object.assign(window, { shared, handed });
    // A share sheet that takes only well-known kinds, as most do.
    navigator.canShare = (data) => (data?.files ?? []).every((f) => f.type === 'text/plain');
    navigator.share = async (data) => {
      for (const f of data?.files ?? []) shared.push({ name: f.name, type: f.type, text: await f.text() });
    };
    const launchQueue = { setConsumer: (take: (l: object) => void) => (handed.take = take) };
    Object.defineProperty(window, 'launchQueue', { value: launchQueue });
  });
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Rehearsal top, Marit Quell' }).click();
  await page.getByRole('menuitem', { name: 'A file for a friend…' }).click();
  await expect(page.getByRole('alertdialog')).toContainText('The pictures stay here');
  await page.getByRole('button', { name: 'Share it…' }).click();
  await expect(page.getByRole('alertdialog')).toBeHidden();
  const [file] = await page.evaluate(
    () => (window as unknown as { shared: { name: string; type: string; text: string }[] }).shared,
  );
  expect(file).toMatchObject({ name: 'marit-quell-rehearsal-top-for-a-friend.job.txt', type: 'text/plain' });
  // The friend opens it with the app: from another station, it is looked at on the rail.
  await page.getByRole('link', { name: /Tove Anselm Concert/ }).click();
  await expect(page.getByRole('navigation', { name: 'Stations of this job' })).toBeVisible();
  await page.evaluate(({ name, text }) => {
    const friend = text.replaceAll('Rehearsal top', 'Rehearsal top, altered');
    const getFile = async () => Promise.resolve(new File([friend], name));
    (window as unknown as { handed: { take: (l: object) => void } }).handed.take({ files: [{ getFile }] });
  }, file!);
  const dialog = page.getByRole('alertdialog');
  await expect(dialog).toContainText('replace Rehearsal top, altered · Marit Quell');
  await dialog.getByRole('button', { name: 'Import it' }).click();
  await expect(page.getByRole('link', { name: /Rehearsal top, altered/ })).toBeVisible();
});

test('the same field typed in two windows at once: the last stands, and the other is kept beside it', async ({
  page,
  context,
}) => {
  await page.goto('/job/tove-causeway/body');
  const other = await context.newPage();
  await other.goto('/job/tove-causeway/body');
  const field = (of: Page) => of.getByRole('textbox', { name: 'Waist, first reading', exact: true });
  await expect(field(page)).toBeVisible();
  await expect(field(other)).toBeVisible();
  const type = async (of: Page, value: string): Promise<void> => {
    await field(of).fill(value);
    await field(of).press('Enter');
  };
  await Promise.all([type(page, '71.1'), type(other, '72.2')]);
  await expect.poll(async () => (await field(page).inputValue()) === (await field(other).inputValue())).toBe(true);
  const readings = async () =>
    page.evaluate(
      () =>
        new Promise<(number | undefined)[]>((resolve) => {
          const open = indexedDB.open('ample-draft');
          open.onsuccess = () => {
            const get = open.result.transaction('wearers').objectStore('wearers').get('tove');
            get.onsuccess = () =>
              resolve(
                (get.result as { sets: { readings: { waist?: number[] } }[] }).sets.map((s) => s.readings.waist?.[0]),
              );
          };
        }),
    );
  // Either window came second: its value stands; what it met is there too, unless it was seen before it was overtyped.
  await expect.poll(readings).toContain(Math.round(Number(await field(page).inputValue()) * 10));
});
