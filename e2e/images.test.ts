import type { Page } from '@playwright/test';
import { expect, test } from './app.ts';
import { asCamera, jpeg, png } from './pictures.ts';

/** A tab that has said nothing by then hangs, ms. */
const GIVEN_UP = 45_000;
async function openPhoto(page: Page): Promise<void> {
  await page.goto('/job/marit-causeway/bring');
  await page.getByRole('button', { name: 'Photo or scan' }).click();
}
const choose = (page: Page, name: string, buffer: Buffer, mimeType = 'image/jpeg') =>
  page.getByLabel('A picture of the piece').setInputFiles({ name, mimeType, buffer });
/** Width and height of the picture as it is shown. */
const shownSize = (page: Page) =>
  page
    .getByRole('application', { name: 'The picture' })
    .locator('image')
    .first()
    .evaluate((i) => [Number(i.getAttribute('width')), Number(i.getAttribute('height'))]);

for (const [name, make, size] of [
  ['a plain JPEG', () => jpeg('plain'), [600, 400]],
  ['one drawn in several passes', () => jpeg('progressive'), [600, 400]],
  ['one in printer’s inks', () => jpeg('inks'), [600, 400]],
  ['one that a camera held upright says is to be turned', async () => asCamera(await jpeg('plain'), 6), [400, 600]],
] as const)
  test(`a picture of a piece: ${name} is opened as it was seen`, async ({ page }) => {
    await openPhoto(page);
    await choose(page, 'piece.jpg', await make());
    await expect(page.getByText('Click its upper left corner')).toBeVisible();
    expect(await shownSize(page)).toEqual(size);
  });

for (const [name, make, says] of [
  [
    'cut off in the middle',
    async () => (await jpeg('plain')).subarray(0, 900),
    /could not be opened|Click its upper left/,
  ],
  ['of nothing', () => Buffer.alloc(0), /could not be opened/],
  ['that is a text', () => Buffer.from('not a picture at all'), /could not be opened/],
  ['of nine hundred million pixels in a megabyte', () => png(30_000, 30_000), /more pixels/],
  ['that claims sixteen thousand million pixels', () => png(130_000, 130_000, 2), /more pixels/],
  ['one pixel high', () => png(3000, 1), /could not be opened|Click its upper left/],
] as const)
  test(`a picture ${name} is told in a sentence, and the tab goes on`, async ({ page }) => {
    await openPhoto(page);
    await choose(page, 'odd.png', await make(), 'image/png');
    await expect(page.getByText(says).first()).toBeVisible({ timeout: GIVEN_UP });
    await page.reload();
    await page.getByRole('button', { name: 'Photo or scan' }).click();
    await choose(page, 'piece.jpg', await jpeg('plain'));
    await expect(page.getByText('Click its upper left corner')).toBeVisible();
  });

test('pictures of a fitting: turned as they were held, what is too large is told, and nothing of the camera stays', async ({
  page,
}) => {
  await page.goto('/job/tove-causeway/toile');
  await page.getByLabel('Add pictures').setInputFiles([
    { name: 'held.jpg', mimeType: 'image/jpeg', buffer: asCamera(await jpeg('progressive'), 8) },
    { name: 'inks.jpg', mimeType: 'image/jpeg', buffer: await jpeg('inks') },
    { name: 'bomb.png', mimeType: 'image/png', buffer: png(30_000, 30_000) },
    { name: 'empty.jpg', mimeType: 'image/jpeg', buffer: Buffer.alloc(0) },
  ]);
  await expect(page.getByText(/“bomb.png” has more pixels/)).toBeVisible({ timeout: GIVEN_UP });
  await expect(page.getByText(/“empty.jpg” is not a picture/)).toBeVisible();
  const pictures = page.getByRole('button', { name: /^Open Picture/ }).getByRole('img');
  await expect(pictures).toHaveCount(2);
  const sizes = await pictures.evaluateAll((all: HTMLImageElement[]) =>
    all.map((i) => [i.naturalWidth, i.naturalHeight]),
  );
  expect(sizes).toEqual([
    [400, 600],
    [600, 400],
  ]);
});
