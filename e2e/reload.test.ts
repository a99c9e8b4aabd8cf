import { expect, openMarit, test } from './app.ts';

test('a value typed and not yet left is there after a reload, and so is what can be undone', async ({ page }) => {
  await openMarit(page, 'body');
  const bust = page.getByRole('textbox', { name: 'Full bust, first reading' });
  const waist = page.getByRole('textbox', { name: 'Waist, first reading', exact: true });
  const [bustBefore, waistBefore] = [await bust.inputValue(), await waist.inputValue()];
  await bust.fill('97.4');
  await bust.press('Enter');
  await waist.fill('76.2');
  await page.reload();
  await expect(waist).toHaveValue('76.2');
  await expect(bust).toHaveValue('97.4');
  await page.keyboard.press('Control+z');
  await expect(waist).toHaveValue(waistBefore);
  await page.keyboard.press('Control+z');
  await expect(bust).toHaveValue(bustBefore);
  // And again: what was taken back can be done again after another reload.
  await page.reload();
  await expect(bust).toHaveValue(bustBefore);
  await page.keyboard.press('Control+Shift+z');
  await expect(bust).toHaveValue('97.4');
});

test('what cannot be read as a length is not taken on leaving', async ({ page }) => {
  await openMarit(page, 'body');
  const bust = page.getByRole('textbox', { name: 'Full bust, first reading' });
  const before = await bust.inputValue();
  await bust.fill('ninety');
  await page.reload();
  await expect(bust).toHaveValue(before);
});
