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

test('long sleeves: what is left of a longer arm is asked for above and below the elbow, and the sleeve takes it', async ({
  page,
}) => {
  await page.goto('/job/alva-sleeves/plan');
  await expect(page.getByText('Nothing more is worth altering.')).toBeVisible();
  const slip = page.getByRole('region', { name: 'Longer sleeve', exact: true });
  await slip.getByRole('button', { name: 'Remove' }).click();

  // Her arm is 60.5 and 35.2 to the elbow; the cap that was lowered for her upper arm took length away besides.
  await expect(
    asked(page).getByText(/Shoulder to wrist: 60.5 cm measured − 55.6 cm on the pattern = \+4.9 cm/),
  ).toBeVisible();
  await asked(page).getByRole('button', { name: 'Longer sleeve' }).click();
  await expect(page.getByText('Nothing more is worth altering.')).toBeVisible();
  await slip.getByRole('link', { name: 'Open the table' }).click();
  await expect(page.getByRole('textbox', { name: 'Of that, above the elbow' })).toHaveValue('+4.3');
  await page.getByRole('button', { name: /Open/ }).last().click();
  await expect(stages(page).getByText(/Spread the sleeve by 4.3 cm .* above the elbow/)).toBeVisible();
  // All of it above the elbow: one line is cut.
  await page.getByRole('textbox', { name: 'Of that, above the elbow' }).fill('4.9');
  await page.keyboard.press('Enter');
  await expect(stages(page).getByText(/below the elbow/)).toHaveCount(0);

  await page.getByRole('link', { name: /Check/ }).first().click();
  await expect(page.getByText(/they meet/)).toHaveCount(5);
});

test('a cuff goes around a larger wrist, and says when the sleeve has no more to gather', async ({ page }) => {
  await page.goto('/job/alva-sleeves/pattern');
  await page
    .getByLabel('Pattern of this job')
    .selectOption({ label: 'No. 31 Causeway, view P: long sleeve with a cuff' });
  await page.getByRole('link', { name: /Body/ }).first().click();
  await page.getByLabel('Wrist, first reading', { exact: true }).fill('20');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: /Plan/ }).first().click();
  await expect(asked(page).getByText(/Wrist: 20.0 cm/)).toBeVisible();
  await asked(page).getByRole('button', { name: 'Wider cuff' }).click();
  const slip = page.getByRole('region', { name: 'Wider cuff', exact: true });
  await expect(slip.getByRole('textbox', { name: 'By how much' })).toBeVisible();
  await slip.getByRole('textbox', { name: 'By how much' }).fill('12');
  await page.keyboard.press('Enter');
  await expect(
    page.getByText(/can become wider by 8.0 cm at most: the hem of the sleeve is no longer than that/).first(),
  ).toBeVisible();
});
