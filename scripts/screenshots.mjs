import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium.ts';
import { root, tool } from './run.mjs';
import { startServer } from './server.mjs';

/** One picture of every main view, from the demo scenario, at 1280 × 800. */
const build = await tool('vite/bin/vite.js', ['build', join(root, 'web'), '--logLevel', 'warn']);
if (build.code !== 0) process.exit(build.code);
const server = await startServer();
const { base } = server;
const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch(CHROMIUM);
try {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  const shot = async (name, of = page) => {
    await of.evaluate(() => document.fonts.ready);
    await of.waitForTimeout(600);
    await of.screenshot({ path: join(folder, `${name}.png`) });
    process.stdout.write(`${name}.png\n`);
  };
  await page.goto(base);
  await page.getByRole('button', { name: 'I have read it' }).click();
  await shot('rail');
  for (const station of ['body', 'pattern', 'size', 'compare', 'plan', 'table', 'check', 'print']) {
    await page.goto(`${base}/job/marit-causeway/${station}`);
    await page.getByText('size 4').first().waitFor();
    if (station === 'body') await page.getByLabel('Full bust, first reading', { exact: true }).focus();
    if (station !== 'table') {
      await shot(station);
      continue;
    }
    await page.keyboard.press('n');
    await page.keyboard.press('n');
    await shot('table-open');
  }
  // Before and after the full bust, on the form; the map of the pull.
  await page.goto(`${base}/job/marit-causeway/toile`);
  await page.getByRole('tab', { name: 'On the form' }).click();
  await page.getByText('The plan mends it.').first().waitFor({ timeout: 120_000 });
  await page.getByRole('heading', { name: 'Toile', level: 1 }).scrollIntoViewIfNeeded();
  await page.waitForTimeout(1000);
  await shot('toile-form');
  await page.getByRole('radio', { name: 'Pull' }).check();
  await page.getByRole('heading', { name: 'Toile', level: 1 }).scrollIntoViewIfNeeded();
  await page.waitForTimeout(1000);
  await shot('toile-form-pull');
  await page.goto(`${base}/job/tove-causeway/toile`);
  await page.getByText('Where it may come from').waitFor();
  await shot('toile');
  await page.getByRole('button', { name: 'New tissue-fit' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'It lines up' }).click();
  await page.getByRole('button', { name: 'It differs' }).click();
  await page.getByLabel('Cloth pools above the seat').check();
  await shot('tissue');
  // Practice: the side swung open too little, the centre never brought down.
  await page.goto(`${base}/practice/cut/fullerBust?grade=guided&numbers=7`);
  await page.getByRole('button', { name: 'Cut along the lines' }).click();
  const onPaper = (x, y) =>
    page
      .locator('[data-paper]')
      .first()
      .evaluate((g, at) => new DOMPoint(...at).matrixTransform(g.getScreenCTM()).toJSON(), [x, y]);
  const [from, to] = [await onPaper(190, 230), await onPaper(197, 222)];
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(to.x, to.y, { steps: 8 });
  await page.mouse.up();
  await page.getByRole('button', { name: 'Tape it and look' }).click();
  await shot('practice');
  await page.goto(`${base}/job/marit-skerry/sheet`);
  await page.getByText('size 4').first().waitFor();
  await shot('sheet');
  await page.goto(`${base}/job/ines-causeway/plan`);
  const asked = (name) => page.getByRole('button', { name, exact: true }).first().click();
  for (const name of ['Shorter', 'Swayback, at the waist seam']) await asked(name);
  await page.getByText('The plan stands in this order.').waitFor();
  await page
    .getByRole('region', { name: 'Swayback, at the waist seam' })
    .getByRole('link', { name: 'Open the table' })
    .click();
  await page.waitForTimeout(500);
  await page.keyboard.press('n');
  await shot('table-swayback');
  const out = mkdtempSync(join(tmpdir(), 'ample-shots-'));
  const alter = ['alter', join(root, 'samples/documents/marit-causeway.job.json'), '--out', out, '--formats', 'pdf'];
  execFileSync(process.execPath, [join(root, 'cli/bin.mjs'), ...alter], { stdio: 'ignore' });
  await page.goto(`${base}/job/marit-ebb/bring`);
  await page.getByLabel('A PDF, SVG or DXF file').setInputFiles(join(out, 'pattern.pdf'));
  await page.getByRole('group', { name: 'Sizes in the file' }).getByRole('button').first().click();
  await page.getByText('No questions are open.').waitFor();
  await shot('bring');
  // A projector made true by what the tape reads on the stand-in table.
  const table = await context.newPage();
  await page.goto(`${base}/job/marit-causeway/projector`);
  await table.goto(`${base}/job/marit-causeway/projector-table`);
  const tape = await table.getByText('The tape on the square reads').innerText();
  const read = [...tape.matchAll(/([\d.]+) cm/g)].map((m) => m[1]);
  for (const [i, label] of ['Across', 'Down'].entries()) await page.getByLabel(label).fill(read[i]);
  await page.getByRole('button', { name: 'Take the readings' }).click();
  await page.getByRole('button', { name: 'On to the pieces' }).click();
  await shot('projector', page);
  await table.close();
  await page.setViewportSize({ width: 820, height: 1180 });
  await page.goto(`${base}/job/marit-causeway/table`);
  await page.getByText('size 4').first().waitFor();
  for (let i = 0; i < 3; i++) await page.keyboard.press('n');
  await shot('table-tablet');
} finally {
  await browser.close();
  await server.stop();
}
