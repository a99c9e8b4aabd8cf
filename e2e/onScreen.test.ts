import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { draftSample } from '@ample/core/blocks';
import { nth } from '@ample/core/units';
import type { Page } from '@playwright/test';
import { PLAIN, printAtHome, sheetOf } from '../core/testing/printAtHome/index.ts';
import { expect, STATIONS, test } from './app.ts';
import { expectAccessible, seenWrong, settled } from './onScreen.ts';

const WIDTHS = [
  [390, 844],
  [820, 1180],
  [1280, 800],
  [1920, 1080],
] as const;
const PLACES = [
  '/',
  ...STATIONS.map((s) => `/job/marit-causeway/${s}`),
  '/job/tove-causeway/toile',
  '/job/marit-causeway/bring',
  '/job/marit-causeway/sheet',
  '/job/marit-causeway/measuring-sheet',
  '/job/marit-causeway/projector',
  '/job/marit-causeway/nowhere',
];

/** Each place is opened at one width, by turns, and then made narrower and wider. */
PLACES.forEach((place, i) => {
  const widths = WIDTHS.map((_, k) => nth(WIDTHS, (i + k) % WIDTHS.length));
  test(`${place} from 390 to 1920 px: nothing cut off, nothing too small to read or to press`, async ({ page }) => {
    for (const [n, [width, height]] of widths.entries()) {
      await page.setViewportSize({ width, height });
      if (n === 0) await page.goto(place);
      await expect(page.locator('main')).toBeVisible();
      await settled(page);
      await expect.poll(() => seenWrong(page), { message: `${width} px` }).toEqual([]);
    }
  });
});

/** A printed pattern whose pieces are picked one by one. */
function printedPattern(): string {
  const pieces = draftSample('causeway', '4');
  const sheet = sheetOf(
    'causeway',
    pieces.map((p, i) => [p.id, [p.name, ...(i === 0 ? ['Size 36 38 40'] : [])]]),
  );
  const file = join(mkdtempSync(join(tmpdir(), 'ample-seen-')), 'bought.pdf');
  writeFileSync(file, printAtHome(sheet, PLAIN));
  return file;
}
/** What is opened, pressed or chosen within a view, and has to be as good to look at and to use. */
const STATES: Readonly<Record<string, (page: Page) => Promise<void>>> = {
  'a traced piece with its edges and marks': async (page) => {
    await page.goto('/job/marit-causeway/bring');
    await page.getByLabel('A PDF, SVG or DXF file').setInputFiles(printedPattern());
    await page.getByRole('button', { name: '38', exact: true }).click();
    await page.getByRole('button', { name: 'Correct it' }).first().click();
    await expect(page.getByRole('group', { name: 'Edges' })).toBeVisible();
  },
  'the menu of a job': async (page) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'More for Rehearsal top, Marit Quell' }).click();
    await expect(page.getByRole('menu')).toBeVisible();
  },
  'the help': async (page) => {
    await page.goto('/job/marit-causeway/plan');
    await expect(page.getByRole('link', { name: 'Open the table' })).toBeVisible();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog')).toBeVisible();
  },
  'a fitting being noted': async (page) => {
    await page.goto('/job/tove-causeway/toile');
    await page
      .getByRole('img', { name: /front/i })
      .first()
      .click({ position: { x: 90, y: 150 } });
  },
  'a stage of the table with its workings': async (page) => {
    await page.goto('/job/marit-causeway/table');
    await expect(page.getByRole('region', { name: 'Stages' })).toBeVisible();
    for (let i = 0; i < 3; i++) await page.keyboard.press('n');
  },
};
for (const [name, reach] of Object.entries(STATES))
  test(`${name}: good to read, to press, and to a screen reader`, async ({ page }) => {
    await reach(page);
    await settled(page);
    await expect.poll(() => seenWrong(page)).toEqual([]);
    await expectAccessible(page);
  });
