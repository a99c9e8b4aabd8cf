import { expect, test } from './app.ts';
import { left, measure, startEmpty, station } from './newcomer.ts';

test('a sheath: left alone where it fits, then its waist let out in the double-pointed darts, hip and hem as they were', async ({
  page,
}) => {
  await startEmpty(page, 'Nessa Quill', 'jetty');
  await measure(page, { 'High bust': '87', 'Full bust': '92', Waist: '74', Hip: '99' });
  await station(page, 'Plan');
  await expect(page.getByText('Nothing is worth altering: the pattern fits these measurements.')).toBeVisible();

  await station(page, 'Body');
  await page.getByLabel('Waist, first reading', { exact: true }).fill('76.4');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await station(page, 'Plan');
  await left(page).getByRole('button', { name: 'Double-pointed darts: waist wider' }).click();
  await expect(left(page).getByText('nothing')).toBeVisible();
  const slip = page.getByRole('region', { name: 'Double-pointed darts: waist wider', exact: true });
  await expect(slip.getByRole('textbox', { name: 'By how much' })).toHaveValue('+2.4');

  // 2.4 over four darts is 0.6 each, 0.3 on each leg.
  await slip.getByRole('link', { name: 'Open the table' }).click();
  await page.getByRole('button', { name: /Dart/ }).last().click();
  await expect(page.getByText(/narrower by 0\.6 cm \(1\/4″\): bring each leg in by 0\.3 cm/)).toBeVisible();
  await page.getByRole('textbox', { name: 'By how much' }).fill('16');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/can give at most/).first()).toBeVisible();
  await page.getByRole('textbox', { name: 'By how much' }).fill('2.4');
  await page.keyboard.press('Enter');

  await station(page, 'Check');
  await expect(page.getByText(/they meet/).first()).toBeVisible();
  await expect(page.getByRole('row', { name: /^Waist/ }).getByText('nothing')).toBeVisible();
});
