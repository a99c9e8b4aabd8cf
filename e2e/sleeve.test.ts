import type { Page } from '@playwright/test';
import { expect, SEAMS, test } from './app.ts';

const asked = (page: Page) => page.getByRole('region', { name: 'Recommended by the measurements' });
const stages = (page: Page) => page.getByRole('region', { name: 'Stages' });

test('a full upper arm, in inches: measured, compared, spread at the table, its cap lowered, checked', async ({
  page,
}) => {
  await page.goto('/job/ines-causeway/body');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('u');
  const arm = page.getByLabel('Upper arm, first reading');
  await arm.fill('12 1/4');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');

  // Size 3: 286 with 46 of ease drafted in makes 332. 12¼″ is 311.15, and with the same ease 25.15 more than that.
  await page.getByRole('link', { name: /Plan/ }).first().click();
  await expect(asked(page).getByText(/Upper arm: 12 1\/4″ \+ 1 3\/4″ ease/)).toBeVisible();
  await asked(page).getByRole('button', { name: 'Full upper arm' }).click();
  const slip = page.getByRole('region', { name: 'Full upper arm', exact: true });
  await expect(slip.getByRole('textbox', { name: 'By how much' })).toHaveValue('+1');
  await expect(asked(page).getByText(/Upper arm/)).toHaveCount(0);

  await slip.getByRole('link', { name: 'Open the table' }).click();
  await page.getByRole('button', { name: /Open/ }).last().click();
  await expect(stages(page).getByText(/Spread the upper halves about the pin at the top/)).toBeVisible();
  await page.getByRole('button', { name: /Match/ }).last().click();
  await expect(stages(page).getByText(/to ease into them instead of 11\/16″/)).toBeVisible();
  await expect(stages(page).getByText(/more than most wovens take up/)).toBeVisible();
  await page.getByLabel('Cap against armhole').selectOption({ label: 'the cap’s height changes' });
  await expect(stages(page).getByText(/more than most wovens take up/)).toHaveCount(0);
  await expect(stages(page).getByText(/Walk the underarm seams of the sleeve/)).toBeVisible();

  await page.getByRole('link', { name: /Check/ }).first().click();
  await expect(page.getByText(/they meet/)).toHaveCount(SEAMS);
});
