import { expect, test } from './app.ts';

/** Two garments and their halves come to rest, on a machine that may be busy. */
const HANGS = 240_000;

test('a low right shoulder: taken by itself, asked for on that side, worn on a form of two halves', async ({
  page,
}) => {
  test.setTimeout(2 * HANGS);
  await page.goto('/job/marit-causeway/body?take=shoulderSlope');
  const slope = (of: string) => page.getByRole('textbox', { name: of });
  await slope('Shoulder slope, first reading').fill('4');
  await slope('Shoulder slope, first reading').press('Enter');
  await page.getByRole('button', { name: 'Shoulder slope: the right differs' }).click();
  await slope('Shoulder slope, right, first reading').fill('8.2');
  await slope('Shoulder slope, right, first reading').press('Enter');
  await expect(page.getByText('The right side differs by 4.2 cm.')).toBeVisible();
  await slope('Shoulder slope, right, first reading').fill('6');
  await slope('Shoulder slope, right, first reading').press('Enter');
  await expect(page.getByText('The right side differs by')).toBeHidden();

  const panel = page.locator('details').filter({ has: page.getByRole('heading', { name: 'On a dress form' }) });
  await panel.locator('summary').click();
  await expect(panel.getByRole('row').filter({ hasText: 'Shoulder slope, right' })).toContainText('6.0 cm6.0 cm');

  await page.goto('/job/marit-causeway/compare');
  const right = page.getByRole('region', { name: 'On the right side' });
  await expect(right).toContainText('6.0 cm − 3.9 cm on the pieces = +2.1 cm');

  await page.goto('/job/marit-causeway/plan');
  await page.getByRole('button', { name: 'Sloping shoulder, right side', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Sloping shoulder, right side', exact: true })).toBeHidden();
  await page.goto('/job/marit-causeway/compare');
  await expect(right).toContainText('after the plan 0.0 cm');

  await page.goto('/job/marit-causeway/toile');
  await page.getByRole('tab', { name: 'On the form' }).click();
  await expect(page.getByText('The two sides differ, and hang as they are.')).toBeVisible({ timeout: HANGS });
  await expect(page.getByRole('checkbox', { name: 'Sloping shoulder, right side', exact: true })).toBeChecked();
  // The other side is read off the same cloth: nothing has to be hung again.
  await page.getByRole('radio', { name: 'right' }).click();
  await expect(page.getByRole('radio', { name: 'right' })).toBeChecked();
  await expect(page.getByRole('listitem').filter({ hasText: 'It pulls across the bust.' })).toContainText(
    'The plan mends it.',
  );
});
