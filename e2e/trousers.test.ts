import type { Page } from '@playwright/test';
import { expect, test } from './app.ts';

const asked = (page: Page) => page.getByRole('region', { name: 'Recommended by the measurements' });
const stages = (page: Page) => page.getByRole('region', { name: 'Stages' });

test('trousers: asked for in their order, done, followed, and nothing is left but what a tape can tell', async ({
  page,
}) => {
  await page.goto('/job/runa-landing/compare');
  // 27.6 sitting with 1.5 drafted in makes 29.1; the pattern has 27.9.
  const depth = page.getByRole('row', { name: /^Crotch depth/ });
  await expect(depth.getByText('+1.2').first()).toBeVisible();
  // What hangs from the waist tells nothing of a bust.
  await expect(page.getByRole('row', { name: /bust/ })).toHaveCount(0);

  await page.getByRole('link', { name: /Plan/ }).first().click();
  await expect(asked(page).getByRole('listitem').getByRole('button')).toHaveText([
    'Deeper crotch',
    'Wider hip',
    'Wider thigh',
    'Longer crotch seam',
    'Longer leg',
  ]);
  await expect(page.getByText(/full bust adjustment/)).toHaveCount(0);
  await asked(page).getByRole('button', { name: 'Add all 5 in order' }).click();
  await expect(page.getByText('Nothing more is worth altering.')).toBeVisible();
  await page.getByRole('button', { name: 'Pocket and fly follow their seam' }).first().click();

  await page.getByRole('link', { name: /Check/ }).first().click();
  await expect(page.getByText(/they meet/)).toHaveCount(6);
  await expect(page.getByRole('row', { name: /^Crotch length/ }).getByText('nothing')).toBeVisible();
});

test('a crotch seam in inches: opened behind about a pin in the side, and refused beyond a fifth of the hip line', async ({
  page,
}) => {
  await page.goto('/job/runa-landing/plan');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('u');
  await page.getByText(/^Trousers/).click();
  await page.getByRole('button', { name: /^Full seat/ }).click();
  const slip = page.getByRole('region', { name: 'Full seat', exact: true });
  await slip.getByRole('textbox', { name: 'By how much' }).fill('3/4');
  await page.keyboard.press('Enter');
  await slip.getByRole('link', { name: 'Open the table' }).click();
  await page.getByRole('button', { name: /Open/ }).last().click();
  await expect(
    stages(page).getByText(/Turn the upper part about the pin until the line has opened by 1\/2″/),
  ).toBeVisible();
  await page.getByRole('button', { name: /Match/ }).last().click();
  await expect(stages(page).getByText(/they match the front as before/)).toBeVisible();

  await page.getByRole('link', { name: /Plan/ }).first().click();
  await page.getByText(/^Trousers/).click();
  await page
    .getByRole('button', { name: /^Longer crotch seam/ })
    .last()
    .click();
  const longer = page.getByRole('region', { name: 'Longer crotch seam', exact: true });
  await longer.getByRole('link', { name: 'Open the table' }).click();
  await page.getByLabel('Where it goes').selectOption({ label: 'the front, for the belly' });
  await page.getByRole('textbox', { name: 'By how much' }).fill('3 3/4');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/is too much for this width/).first()).toBeVisible();
});

test('a tissue-fit of trousers looks at waist, seat and legs, and a fitting offers what trousers show', async ({
  page,
}) => {
  await page.goto('/job/runa-landing/toile');
  await page.getByRole('button', { name: 'New tissue-fit' }).click();
  await expect(page.getByText(/8 looks, from the waist down/)).toBeVisible();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'Anchor the paper at the waist' })).toBeVisible();
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'It lines up' }).click();
  await expect(page.getByRole('heading', { name: 'Seat' })).toBeVisible();
  await page.getByRole('button', { name: 'It differs' }).click();
  await page.getByLabel('Drag lines from the crotch up over the seat').check();
  await page.getByRole('link', { name: 'Leave off here' }).click();
  await expect(page.getByText('A fuller seat than the draft')).toBeVisible();
  await expect(page.getByRole('option', { name: 'The neckline gapes in front' })).toHaveCount(0);

  // Trousers are looked at sitting too.
  await page.getByRole('radio', { name: 'Sitting' }).click();
  await page.getByRole('img', { name: /^Sitting: nothing noted/ }).click({ position: { x: 90, y: 180 } });
  await page.getByRole('button', { name: 'Sitting, the waist is pulled down at the back' }).click();
  await expect(page.getByRole('img', { name: /^Sitting: 2 Sitting, the waist is pulled down/ })).toBeVisible();
});
