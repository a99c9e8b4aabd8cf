import { expect, openMarit, storedJob, test } from './app.ts';

test('a newcomer: empty rail, wrong entries, a way on each time', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Clear the demo' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Clear the demo' }).click();
  await expect(page.getByText('The rail is empty.')).toBeVisible();
  await page.getByRole('button', { name: 'Start my own' }).click();
  await page.getByRole('button', { name: 'Hang it on the rail' }).click();
  await expect(page.getByText(/Type whose it is/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Whose is it?' }).fill('Nele');
  await page.getByRole('button', { name: 'Hang it on the rail' }).click();
  await page.waitForURL(/\/size$/);
  await page.getByRole('link', { name: /Body/ }).click();
  await expect(page.getByRole('heading', { name: /Nele, measured/ })).toBeVisible();

  const high = page.getByLabel('High bust, first reading');
  await high.fill('wide');
  await high.press('Enter');
  await expect(page.getByText(/“wide” is not a length/)).toBeVisible();
  await high.fill('36');
  await high.press('Enter');
  await page.getByRole('button', { name: 'Yes, use it' }).click();
  await expect(high).toHaveValue('91.4');
  const full = page.getByLabel('Full bust, first reading');
  await full.fill('80');
  await full.press('Enter');
  await expect(page.getByText(/which cannot be/)).toBeVisible();

  await page.getByRole('link', { name: /Plan/ }).click();
  await page.getByRole('button', { name: 'Add the bust' }).click();
  await expect(page.getByText(/A measurement cannot be right/)).toBeVisible();
  await page.getByRole('link', { name: /Body/ }).click();
  await full.fill('99');
  await full.press('Enter');
  await page.getByRole('link', { name: /Table/ }).click();
  await expect(page.getByRole('slider', { name: 'Hinge', exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByText(/Nele · Causeway · size 5/)).toBeVisible();
});

test('an amount beyond reach is refused in words, the pieces stay, undo goes back', async ({ page }) => {
  await openMarit(page, 'table');
  const total = page.getByRole('textbox', { name: 'Over the whole front' });
  await total.fill('29');
  await total.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'beyond the reach of this hinge' })).toBeVisible();
  await expect(page.getByRole('group', { name: /Cutting mat/ }).getByText('Bodice front')).toBeVisible();
  await total.fill('-12');
  await total.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'would close the side dart altogether' })).toBeVisible();
  await total.fill('400');
  await total.press('Enter');
  await expect(page.getByText(/must lie between/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(total).toHaveValue('+4.8');
});

test('a damaged saved document is set aside and can be exported; the rest opens', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Tove Anselm/ })).toBeVisible();
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const open = indexedDB.open('ample-draft');
        open.onsuccess = () => {
          const tx = open.result.transaction('jobs', 'readwrite');
          tx.objectStore('jobs').put({ id: 'tove-causeway', format: 'ample-draft/job', version: 1, steps: 42 });
          tx.oncomplete = () => resolve();
        };
      }),
  );
  await page.reload();
  await expect(page.getByText(/A saved job is damaged and was set aside/)).toBeVisible();
  await expect(page.getByRole('link', { name: /Marit Quell Concert/ })).toBeVisible();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export it as it is' }).click();
  expect((await waiting).suggestedFilename()).toBe('job-tove-causeway.damaged.json');
});

test('a full disk is said where it happened, with a way to keep the work', async ({ page }) => {
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    (window as unknown as { full: boolean }).full = false;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: [unknown]) {
      if ((window as unknown as { full: boolean }).full)
        throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
      return put.apply(this, args);
    } as typeof put;
  });
  await openMarit(page, 'table');
  await page.evaluate(() => Object.assign(window, { full: true }));
  const total = page.getByRole('textbox', { name: 'Over the whole front' });
  await total.fill('5.5');
  await total.press('Enter');
  await expect(page.getByText(/This device has no room left to save/)).toBeVisible();
  await expect(total).toHaveValue('+5.5');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export to a file' }).click();
  expect((await waiting).suggestedFilename()).toBe('marit-quell-causeway.job.json');
  await page.evaluate(() => Object.assign(window, { full: false }));
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect.poll(async () => (await storedJob(page)).steps[0]?.values['total']).toBe(55);
});

for (const [name, storage, says] of [
  ['that never answers', 'silent', /storage does not answer, so nothing you do now is kept/],
  ['that is missing', 'missing', /Nothing you do here is kept/],
] as const)
  test(`storage ${name}: the demo is shown, an edit says that it is not kept, and goes into a file`, async ({
    page,
  }) => {
    await page.addInitScript((kind) => {
      if (kind === 'missing') return Object.defineProperty(window, 'indexedDB', { value: undefined });
      IDBFactory.prototype.open = () => new EventTarget() as IDBOpenDBRequest;
      return undefined;
    }, storage);
    await page.goto('/');
    if (storage === 'silent') await expect(page.getByText('Opening your work')).toBeVisible();
    await expect(page.getByRole('link', { name: /Marit Quell Concert/ })).toBeVisible();
    await expect(page.getByText(says).first()).toBeVisible();
    await page.goto('/job/marit-causeway/table');
    const total = page.getByRole('textbox', { name: 'Over the whole front' });
    await total.fill('5.5');
    await total.press('Enter');
    await expect(total).toHaveValue('+5.5');
    await expect(page.getByText(says).first()).toBeVisible();
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Export to a file' }).click();
    expect((await waiting).suggestedFilename()).toBe('marit-quell-causeway.job.json');
  });

test('a worker that crashes is replaced and the work goes on', async ({ page }) => {
  await page.addInitScript(() => {
    const Real = window.Worker;
    let made = 0;
    window.Worker = class extends Real {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(url, options);
        made += 1;
        if (made === 1)
          setTimeout(() => this.dispatchEvent(new ErrorEvent('error', { message: 'gone', cancelable: true })), 0);
      }
    };
  });
  await openMarit(page, 'table');
  await expect(page.getByRole('slider', { name: 'Hinge', exact: true })).toBeVisible();
  await expect(page.getByText(/The drawing stopped and was started again/)).toHaveCount(0);
});

test('an unknown station is said to be none, with the way on; so is any other address', async ({ page }) => {
  await page.goto('/job/marit-causeway/ironing');
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible();
  await page.getByRole('link', { name: 'To the first station' }).click();
  await expect(page).toHaveURL(/marit-causeway\/body/);
  await page.goto('/cupboard/of/cloth');
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible();
  await page.getByRole('link', { name: 'To the rail' }).click();
  await expect(page.getByRole('link', { name: /Ines Hollow/ })).toBeVisible();
});

test('the first stop of the Tab key leads past the bar and the tape to the station', async ({ page }) => {
  await openMarit(page, 'compare');
  await page.keyboard.press('Tab');
  const skip = page.getByRole('button', { name: 'Skip to the work' });
  await expect(skip).toBeFocused();
  const box = await skip.boundingBox();
  expect(box?.height).toBeGreaterThanOrEqual(40);
  await page.keyboard.press('Enter');
  await expect(page.locator('main h1')).toBeFocused();
  await page.keyboard.press('Tab');
  expect(await page.evaluate(() => document.querySelector('main')?.contains(document.activeElement))).toBe(true);
});

test('an address that is not there leads back to the rail', async ({ page }) => {
  await page.goto('/job/nobody/table');
  await expect(page.getByRole('heading', { name: 'This job is not here' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to the rail' }).click();
  await expect(page.getByRole('link', { name: /Ines Hollow/ })).toBeVisible();
});

for (const [locale, unit, other] of [
  ['en-US', 'inches', 'centimeters'],
  ['en-GB', 'centimetres', 'inches'],
  ['de-DE', 'centimetres', 'inches'],
] as const)
  test.describe(`a browser in ${locale}`, () => {
    test.use({ locale });
    test(`starts in ${unit}, and keeps what was chosen`, async ({ page }) => {
      await page.goto('/');
      await page.getByRole('button', { name: `Units: ${unit}` }).click();
      await page.reload();
      await expect(page.getByRole('button', { name: `Units: ${other}` })).toBeVisible();
    });
  });

test.describe('two Englishes', () => {
  test.use({ locale: 'en-US' });
  test('by the language of the browser, and by choice', async ({ page }) => {
    await openMarit(page, 'body');
    await expect(page.getByRole('link', { name: /Muslin/ })).toBeVisible();
    await expect(page.getByRole('heading', { name: /measured [A-Z][a-z]+ \d+, \d{4}/ })).toBeVisible();
    await page.keyboard.press('?');
    await page.getByRole('radio', { name: /British/ }).click();
    await expect(page.getByRole('link', { name: /Toile/ })).toBeVisible();
    await expect(page.getByRole('heading', { name: /measured \d+ [A-Z][a-z]+ \d{4}/ })).toBeVisible();
    // Units are a choice of their own and stay.
    await expect(page.getByRole('button', { name: 'Units: inches. Switch.' })).toBeVisible();
    await page.keyboard.press('?');
    await page.getByRole('radio', { name: /American/ }).click();
    await page.getByRole('link', { name: /Muslin/ }).click();
    await expect(page.getByRole('heading', { name: 'Muslin', exact: true })).toBeVisible();
    await expect(page.getByRole('button', { name: 'New muslin' })).toBeVisible();
  });
});

test('a station that cannot be fetched leaves the rest standing, and can be loaded again', async ({ page }) => {
  test.info().annotations.push({ type: 'part taken away' });
  await openMarit(page, 'plan');
  await page.route(/assets\/Compare-/, (route) => route.fulfill({ status: 404, body: '' }));
  await page.getByRole('link', { name: /Compare/ }).click();
  await expect(page.getByRole('heading', { name: 'A part of the app did not arrive' })).toBeVisible();
  await page.getByText('Details to pass on').click();
  await expect(page.getByLabel('What happened', { exact: true })).toHaveValue(
    /Ample Draft [\s\S]*Steps: full-bust-side-dart/,
  );
  await page.getByRole('link', { name: /Check/ }).click();
  await expect(page.getByRole('heading', { name: 'Check' })).toBeVisible();
  await page.unroute(/assets\/Compare-/);
  await page.getByRole('link', { name: /Compare/ }).click();
  await page.getByRole('button', { name: 'Load again' }).click();
  await expect(page.getByRole('heading', { name: /^Compare/ })).toBeVisible();
});
