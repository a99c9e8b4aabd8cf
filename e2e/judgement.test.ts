import type { Page } from '@playwright/test';
import { expect, test } from './app.ts';
import { cell, measure, startEmpty, station } from './newcomer.ts';

const asks = (page: Page) => page.getByRole('region', { name: 'Recommended by the measurements' });

test('a blouse whose facing is cut on: her own size asks for nothing, a fuller bust for the bust alone', async ({
  page,
}) => {
  await startEmpty(page, 'Nele', 'causeway-buttons');
  await measure(page, { 'High bust': '87', 'Full bust': '92', Waist: '74', Shoulder: '12.2' });
  await station(page, 'Pattern');
  const body = page.getByRole('region', { name: 'Where neck, centre and underarm lie' });
  await expect(body).toContainText('lies inside the paper');
  await expect(body).toContainText('8 buttons on the centre');
  await station(page, 'Plan');
  await expect(page.getByText('Nothing is worth altering')).toBeVisible();
  await expect(asks(page)).toHaveCount(0);
  await station(page, 'Body');
  await measure(page, { 'Full bust': '96.8' });
  await station(page, 'Plan');
  await expect(page.getByText('Worth altering: the bust by +4.8 cm.', { exact: false })).toBeVisible();
  await asks(page).getByRole('button', { name: 'Full bust, with a side dart' }).click();
  await expect(page.getByText('Left out, the full bust would be 4.8 cm too tight.')).toBeVisible();
  await page
    .getByRole('region', { name: 'What is left' })
    .getByRole('listitem')
    .filter({ hasText: /^Full bust/ })
    .getByText('nothing')
    .waitFor();
});

test('a wide neck made her own: the neck is put right by hand, and the shoulder is read from there', async ({
  page,
}) => {
  await startEmpty(page, 'Nele', 'causeway-wide-neck');
  await measure(page, { 'High bust': '87', 'Full bust': '92', Shoulder: '12.2' });
  await station(page, 'Pattern');
  await expect(
    page.getByText('The neckline lies 2.5 cm out from the neck at the shoulder', { exact: false }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Make it my own to change it' }).click();
  await page.getByText('Correct it by hand, in all sizes').click();
  const out = page.getByLabel('Front neckline out from the neck');
  await expect(out).toHaveValue('+2.5');
  await station(page, 'Compare');
  await expect(cell(page, 'Shoulder')).toContainText('nothing');
  await station(page, 'Pattern');
  await page.getByText('Correct it by hand, in all sizes').click();
  await out.fill('1.5');
  await out.press('Enter');
  await expect(page.getByText('The neckline lies 2.5 cm out from the neck', { exact: false })).toBeVisible();
  await station(page, 'Compare');
  // The pieces measure 1.0 less from there; the chart has not changed, so the design is that much tighter.
  await expect(cell(page, 'Shoulder')).toContainText('11.2');
});

test('a knit: its own body asks for nothing, a fuller bust for half', async ({ page }) => {
  await startEmpty(page, 'Nele', 'ebb');
  await measure(page, { 'High bust': '87', 'Full bust': '92', Waist: '74' });
  await station(page, 'Plan');
  await expect(page.getByText('Nothing is worth altering')).toBeVisible();
  await station(page, 'Body');
  await measure(page, { 'Full bust': '98' });
  await station(page, 'Plan');
  await expect(page.getByText('the bust by +3.0 cm', { exact: false })).toBeVisible();
  await expect(asks(page)).toContainText('half of that for a knit');
});

test('a skirt that hangs from a knit: its weight and what the cloth gives shorten the bodice', async ({ page }) => {
  await startEmpty(page, 'Nele', 'ebb');
  await measure(page, { 'High bust': '87', 'Full bust': '92', Waist: '74' });
  await station(page, 'Compare');
  await page.getByText('A skirt hangs from this bodice').click();
  await page.getByLabel('The skirt weighs, in grams').fill('300');
  const gives = page.getByLabel('100 g make it longer by');
  await gives.fill('0.4');
  await gives.press('Enter');
  await expect(page.getByText('The waist will sink by 1.2 cm')).toBeVisible();
  await station(page, 'Plan');
  await expect(asks(page)).toContainText('pull it down: −1.2 cm');
});

test('a child’s size: widths by one row of the chart, the height told in the bodice', async ({ page }) => {
  await startEmpty(page, 'Nele', 'paper');
  await page.getByRole('button', { name: 'Paste a chart' }).click();
  const dialog = page.getByRole('dialog', { name: 'Paste a chart' });
  await dialog
    .getByLabel('The copied cells')
    .fill('Size\tBust\tWaist\tHips\tHeight\n6\t60\t55\t64\t116\n8\t64\t58\t68\t128\n10\t68\t60\t73\t140');
  await dialog.getByRole('button', { name: 'Use this chart' }).click();
  await expect(page.getByLabel('Full bust, size 8', { exact: true })).toHaveValue('64.0');
  // A child has no cup: full and high bust are one.
  const cup = page.getByLabel('Draft cup (full less high bust; not a bra size)');
  await cup.fill('0');
  await cup.press('Enter');
  await station(page, 'Body');
  await measure(page, { 'High bust': '64', 'Full bust': '64', Waist: '58', Height: '140' });
  await station(page, 'Plan');
  await expect(asks(page)).toContainText('140.0 cm tall');
  await station(page, 'Body');
  await page.getByLabel('The difference in height lies').selectOption('in the legs');
  await station(page, 'Plan');
  await expect(page.getByText('Nothing is worth altering')).toBeVisible();
});
