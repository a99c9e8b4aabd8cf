import { expect, openMarit, SEAMS, STATIONS, storedJob, test } from './app.ts';
import { expectAccessible, settled } from './onScreen.ts';

for (const station of ['rail', ...STATIONS])
  test(`axe finds nothing on ${station}`, async ({ page }) => {
    if (station === 'rail') await page.goto('/');
    else await openMarit(page, station);
    await settled(page);
    await expectAccessible(page);
  });

test('axe finds nothing on a fitting with causes, its versions, a tissue-fit, the finder and cloth laid', async ({
  page,
}) => {
  await page.goto('/job/tove-causeway/toile');
  await expect(page.getByRole('heading', { name: 'Where it may come from' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('tab', { name: 'Versions' }).click();
  await page.getByRole('button', { name: 'Save this version' }).click();
  await expect(page.getByText('They are the same.')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('tab', { name: 'Fittings' }).click();
  await page.getByRole('button', { name: 'New tissue-fit' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'It differs' }).click();
  await expectAccessible(page);
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Find' })).toBeFocused();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await page.goto('/job/tove-causeway/print');
  await page.getByRole('button', { name: 'Lay the pieces' }).click();
  await expect(page.getByRole('img', { name: /pieces laid on the cloth/ })).toBeVisible();
  await expectAccessible(page);
});

test('axe finds nothing on bringing pieces in, the projector, its table and an offer of the bureau', async ({
  page,
}) => {
  await page.goto('/job/marit-causeway/bring');
  await expect(page.getByRole('heading', { name: 'Import pieces' })).toBeVisible();
  for (const from of ['Photo or scan', 'Mat coordinates']) {
    await page.getByRole('button', { name: from }).click();
    await expectAccessible(page);
  }
  await page.goto('/job/marit-causeway/projector');
  await expect(page.getByRole('region', { name: 'Calibrate' })).toBeVisible();
  await expectAccessible(page);
  await page.goto('/job/marit-causeway/projector-table');
  await expect(page.getByText('No projector is on')).toBeVisible();
  await expectAccessible(page);
  await openMarit(page, 'print');
  await page.getByRole('radio', { name: /only what changed/ }).check();
  await page.getByRole('button', { name: 'Send and ask the price' }).click();
  await expect(page.getByText('Price, one copy')).toBeVisible({ timeout: 60_000 });
  await expectAccessible(page);
});

test('the whole journey by keyboard alone', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Marit Quell Concert/ })).toBeVisible();
  const tabTo = async (what: string) => {
    for (let i = 0; i < 200; i++) {
      await page.keyboard.press('Tab');
      const name = await page.evaluate(() => {
        const el = document.activeElement;
        if (el === document.body) return '';
        const labelled = el instanceof HTMLInputElement ? (el.labels?.[0]?.textContent ?? '') : '';
        return `${el?.getAttribute('aria-label') ?? ''} ${labelled} ${el?.textContent ?? ''}`;
      });
      if (name.includes(what)) return;
    }
    throw new Error(`Tab never reached "${what}"`);
  };
  /** After every step the keyboard is somewhere: at the new station's heading, or still where it was. */
  const held = async (what?: RegExp) => {
    await expect.poll(() => page.evaluate(() => document.activeElement !== document.body)).toBe(true);
    if (what) await expect(page.locator(':focus')).toHaveText(what);
  };
  await tabTo('Concert bodice');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('group', { name: /Cutting mat/ })).toBeVisible();
  await held();
  await page.keyboard.press('1');
  await expect(page.getByRole('textbox', { name: 'Full bust, first reading' })).toBeVisible();
  await held();
  await tabTo('Full bust, first reading');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('98');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('98');
  await page.keyboard.press('Enter');
  await tabTo('Size');
  await page.keyboard.press('Enter');
  await held();
  await expect(page.getByText('Size 4', { exact: true })).toBeVisible();
  await page.keyboard.press('5');
  await held();
  await expect(page.getByRole('radio')).toHaveCount(5);
  await tabTo('Against the garment');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('radio', { name: /Against the size chart/ })).toBeChecked();
  await held();
  await tabTo('Skip to the work');
  await page.keyboard.press('Enter');
  await page.keyboard.press('6');
  await expect(page.getByRole('group', { name: /Cutting mat/ })).toBeVisible();
  await held();
  await page.keyboard.press('n');
  await page.keyboard.press('n');
  await tabTo('Gap');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  // 98.0 − 92.0 = 6.0, and six steps of 1 mm on each half.
  await expect(page.getByRole('textbox', { name: 'Over the whole front' })).toHaveValue('+7.2');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('textbox', { name: 'Over the whole front' })).toHaveValue('+6.2');
  await held();
  await page.keyboard.press('7');
  await held(/Check/);
  await expect(page.getByText(/they meet/)).toHaveCount(SEAMS);
  await page.keyboard.press('9');
  await held(/Print/);
  await tabTo('PDF');
  const waiting = page.waitForEvent('download');
  await page.keyboard.press('Enter');
  expect((await waiting).suggestedFilename()).toMatch(/marit-quell-causeway-4\.pdf/);
  await held(/^PDF/);
  expect((await storedJob(page)).steps[0]?.values).toHaveProperty('total');
});

test('the fonts are our own', async ({ page }) => {
  await openMarit(page, 'body');
  await settled(page);
  const faces = await page.evaluate(() =>
    [...document.fonts].filter((f) => f.status === 'loaded').map((f) => f.family.replace(/"/g, '')),
  );
  expect(faces).toEqual(expect.arrayContaining(['Atkinson Hyperlegible', 'Bitter', 'Spline Sans Mono']));
});
