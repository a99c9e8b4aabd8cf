import { expect, test } from './app.ts';
import { measure, startEmpty, station } from './newcomer.ts';

test('a shirt with a yoke: left alone where it fits; the yoke is pinned on for the work and cut out by itself', async ({
  page,
}) => {
  await startEmpty(page, 'Nessa Quill', 'quay');
  await measure(page, { 'High bust': '87', 'Full bust': '92', Waist: '74', Hip: '99' });
  await station(page, 'Plan');
  await expect(page.getByText('Nothing is worth altering: the pattern fits these measurements.')).toBeVisible();
  // Before any step the pieces lie as they were bought.
  await station(page, 'Table');
  await expect(page.getByRole('button', { name: /^Yoke on the mat/ })).toBeVisible();

  await station(page, 'Plan');
  await page.getByText('Back, and across the body').click();
  await page.getByRole('button', { name: /Round back, at the yoke seam/ }).click();
  const slip = page.getByRole('region', { name: 'Round back, at the yoke seam', exact: true });
  await slip.getByRole('textbox', { name: /^at the centre back|By how much/ }).fill('1.2');
  await page.keyboard.press('Enter');
  await slip.getByRole('link', { name: 'Open the table' }).click();
  await expect(page.getByText(/Pin the yoke to the back along the yoke seam line/)).toBeVisible();
  await page.getByRole('button', { name: /Open/ }).last().click();
  // 12 on a seam of 185: 3.7°.
  await expect(page.getByText(/until the centre back opens by 1\.2 cm \(1\/2″\): 3\.7°/)).toBeVisible();

  await station(page, 'Check');
  await expect(page.getByText(/they meet/).first()).toBeVisible();
  await station(page, 'Print');
  for (const name of ['Yoke', 'Shirt back', 'Collar stand', 'Collar'])
    await expect(page.getByRole('checkbox', { name: new RegExp(`^${name}\\b`) }).first()).toBeVisible();
});

test('a lower stand in inches: the collar is told to follow, and does', async ({ page }) => {
  await startEmpty(page, 'Nessa Quill', 'quay');
  await measure(page, { 'High bust': '87', 'Full bust': '92' });
  await page.keyboard.press('u');
  await station(page, 'Plan');
  await page.getByText('Neck, armhole and bands').click();
  await page.getByRole('button', { name: /Collar or stand/ }).click();
  const slip = page.getByRole('region', { name: /Collar or stand/ });
  await slip.getByRole('textbox', { name: /By how much|^at the centre back/ }).fill('-3/8');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Collar follows/).first()).toBeVisible();
  // Half the height would be gone: refused in a sentence, the rest of the plan stays.
  await slip.getByRole('textbox', { name: /By how much|^at the centre back/ }).fill('-1');
  await page.keyboard.press('Enter');
  await expect(slip.getByText(/too narrow|at most/).first()).toBeVisible();
});

test('a pattern with views: another view takes its own pieces, and one’s own pattern may be given views', async ({
  page,
}) => {
  await startEmpty(page, 'Nessa Quill', 'quay');
  await measure(page, { 'High bust': '87', 'Full bust': '92' });
  await station(page, 'Pattern');
  await page.getByLabel('View made in this job').selectOption('B: stand alone, short sleeves');
  const drawn = (name: string) => page.getByRole('img', { name, exact: true });
  await expect(drawn('Short sleeve')).toBeVisible();
  await expect(drawn('Cuff')).toBeHidden();
  await station(page, 'Table');
  await expect(page.getByRole('button', { name: /^Short sleeve on the mat/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Collar on the mat/ })).toBeHidden();

  await station(page, 'Pattern');
  await page.getByRole('button', { name: 'Make it my own to change it' }).click();
  await page.getByLabel('Another view').fill('C: no sleeves');
  await page.getByRole('button', { name: 'Add the view' }).click();
  await page.getByLabel('View made in this job').selectOption('C: no sleeves');
  await expect(drawn('Short sleeve')).toBeHidden();
  await expect(drawn('Yoke')).toBeVisible();
  await station(page, 'Table');
  await expect(page.getByRole('button', { name: /^Yoke on the mat/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /leeve on the mat/ })).toHaveCount(0);
});
