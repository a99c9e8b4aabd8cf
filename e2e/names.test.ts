import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, STATIONS, test } from './app.ts';
import { seenWrong, settled } from './onScreen.ts';

/** A name that would act as code, leave its line, break a file or run out of its box where it is not taken as text. */
const NAME = `<img src=x onerror="document.title='taken'">&amp;"'\\ Åse ${'Længenavn'.repeat(6)} 日本 🧵`;
const TITLE = '</title><script>document.title="taken"</script> {{7*7}} %s $& ../../etc';

test('a name that looks like code is shown, printed and written as the text it is, everywhere', async ({ page }) => {
  test.setTimeout(240_000);
  await page.addInitScript(() => {
    window.addEventListener('error', () => document.documentElement.setAttribute('data-ran', 'yes'));
  });
  await page.goto('/');
  await page.getByRole('button', { name: 'Start my own' }).click();
  await page.getByRole('textbox', { name: 'Whose is it?' }).fill(NAME);
  await page.getByLabel(/What will it be/).fill(TITLE);
  await page.getByRole('button', { name: 'Hang it on the rail' }).click();
  await page.waitForURL(/\/size$/);
  await page.getByRole('link', { name: /Body/ }).click();
  await expect(page.getByRole('heading', { name: `${NAME}, measured` })).toBeVisible();
  for (const [key, value] of [
    ['High bust', '87'],
    ['Full bust', '96'],
    ['Waist', '74'],
    ['Hip', '98'],
  ] as const) {
    const field = page.getByLabel(`${key}, first reading`, { exact: true });
    await field.fill(value);
    await field.press('Enter');
  }
  const id = /\/job\/([^/]+)\//.exec(page.url())?.[1] ?? '';
  for (const width of [390, 1280])
    for (const place of [...STATIONS, 'sheet', 'measuring-sheet']) {
      await page.setViewportSize({ width, height: 800 });
      await page.goto(`/job/${id}/${place}`);
      await expect(page.locator('main')).toBeVisible();
      await settled(page);
      expect(
        (await seenWrong(page)).filter((w) => w.includes('run off')),
        `${place} at ${width}`,
      ).toEqual([]);
      await expect(page).not.toHaveTitle('taken');
      expect(await page.locator('img[src="x"]').count()).toBe(0);
    }
  const folder = mkdtempSync(join(tmpdir(), 'ample-names-'));
  await page.goto(`/job/${id}/print`);
  await expect(page.getByRole('img', { name: /^Page map/ })).toBeVisible();
  const saved = async (button: RegExp): Promise<string> => {
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name: button }).click();
    const download = await waiting;
    // A name of a file is letters, digits and dashes, whatever the wearer is called.
    expect(download.suggestedFilename()).toMatch(/^[a-z0-9-]+(\.[a-z]+)+$/);
    const file = join(folder, download.suggestedFilename());
    await download.saveAs(file);
    return file;
  };
  const pdf = await saved(/^PDF/);
  const text = execFileSync('pdftotext', ['-layout', pdf, '-'], { encoding: 'utf8' });
  expect(text).toContain('<img src=x onerror=');
  expect(text).toContain('Åse');
  const svg = readFileSync(await saved(/^SVG/), 'utf8');
  expect(svg).not.toContain('<img');
  const odd = await page.evaluate((s) => {
    const read = new DOMParser().parseFromString(s, 'image/svg+xml');
    return [read.querySelectorAll('parsererror, script, img').length, read.querySelectorAll('path').length > 0];
  }, svg);
  expect(odd).toEqual([0, true]);
  const dxf = readFileSync(await saved(/^DXF$/), 'latin1').split(/\r?\n/);
  // Every group is a code and a value: a name that broke its line would shift them all.
  expect(dxf.filter((_, i) => i % 2 === 0).filter((l) => l.trim() !== '' && !/^\s*\d+$/.test(l))).toEqual([]);
  const job = JSON.parse(readFileSync(await saved(/^Job file/), 'utf8')) as { wearer: { name: string }; title: string };
  expect([job.wearer.name, job.title]).toEqual([NAME, TITLE]);
  expect(await page.evaluate(() => document.documentElement.getAttribute('data-ran'))).toBeNull();
});
