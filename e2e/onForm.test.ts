import { readFileSync } from 'node:fs';
import { expect, test } from './app.ts';

/** Three garments come to rest, on a machine that may be busy. */
const HANGS = 150_000;
test.describe('a job on the wearer’s form', () => {
  test.setTimeout(2 * HANGS);

  test('a fuller bust pulls as drafted, and the plan mends it; a step switched off brings it back', async ({
    page,
  }) => {
    await page.goto('/job/marit-causeway/toile');
    await page.getByRole('tab', { name: 'On the form' }).click();
    await expect(page.getByRole('status').getByText('The cloth comes to rest …')).toBeVisible();
    const pulls = page.getByRole('listitem').filter({ hasText: 'It pulls across the bust.' });
    await expect(pulls).toContainText(/as planned.*The plan mends it\./, { timeout: HANGS });
    await expect(page.locator('canvas')).toBeVisible();

    // Show me turns the form to the front and colours the pull; the arrow keys turn it on.
    const form = page.getByRole('slider', { name: 'Turn the form' });
    await page.getByRole('button', { name: 'Back', exact: true }).click();
    await expect(form).toHaveAttribute('aria-valuetext', 'from the back');
    await pulls.getByRole('button', { name: /^Show me/ }).click();
    await expect(form).toHaveAttribute('aria-valuetext', 'from the front');
    await expect(page.getByRole('radio', { name: 'Pull' })).toBeChecked();
    await form.focus();
    await page.keyboard.press('ArrowLeft');
    await expect(form).toHaveAttribute('aria-valuenow', '-15');

    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name: '3D model (glTF)' }).click();
    expect(
      readFileSync(await (await waiting).path())
        .subarray(0, 4)
        .toString(),
    ).toBe('glTF');

    await page.getByText('All readings').click();
    const table = page.getByRole('table', { name: 'All readings' });
    await expect(table.getByRole('row').filter({ hasText: 'Waist at the side' })).toContainText('cm');

    await page.getByRole('checkbox', { name: 'Full bust, with a side dart' }).click();
    await expect(page.getByRole('button', { name: 'Keep as a fitting' })).toBeDisabled();
    await expect(pulls).not.toContainText('as planned', { timeout: HANGS });
    await expect(page.getByText('As planned', { exact: true })).toBeHidden();

    // Back at the plan nothing has to be hung again that hung before; the step is told by what it changes.
    await page.getByRole('checkbox', { name: 'Full bust, with a side dart' }).click();
    await expect(pulls).toContainText('The plan mends it.', { timeout: HANGS });
    await page.getByRole('button', { name: 'How sure, and what each step does' }).click();
    const steps = page.getByRole('table', { name: 'What each step does' });
    await expect(steps.getByRole('row').filter({ hasText: 'Pull over the bust' })).toContainText('−0.', {
      timeout: HANGS,
    });
    await expect(table.getByRole('row').filter({ hasText: 'Back neckline' })).toContainText('±');

    // Kept as a fitting: what still shows is a sign with its amount, its cause can be added to the plan, and the forms are its picture.
    await page.getByRole('button', { name: 'Keep as a fitting' }).click();
    await expect(page.getByRole('heading', { name: 'On the form' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Add “Hip wider, slashed”' })).toBeVisible();
    await expect(page.getByLabel('Pinned')).toHaveValue(/^3\.\d$/);
    await expect(page.locator('img')).toHaveCount(1);
    await expect(page.getByPlaceholder('what it shows')).toHaveValue('As drafted, and as planned');
    await expect(page.getByLabel('Verdict')).toHaveCount(0);
  });

  test('without a graphics card the cloth is drawn; it can be stopped and begun again', async ({ page }) => {
    await page.addInitScript(() => {
      const context = HTMLCanvasElement.prototype.getContext;
      HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, kind: string, ...rest: unknown[]) {
        return kind.startsWith('webgl') ? null : Reflect.apply(context, this, [kind, ...rest]);
      } as typeof context;
    });
    await page.goto('/job/tove-causeway/toile');
    await page.getByRole('tab', { name: 'On the form' }).click();
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(page.getByText('Stopped before the cloth had come to rest.')).toBeVisible();
    await page.getByRole('button', { name: 'Begin again' }).click();
    await expect(page.getByRole('img', { name: 'As drafted' })).toBeVisible({ timeout: HANGS });
    await expect(page.locator('canvas')).toHaveCount(0);
    // With its sleeves they are read as well.
    await page.getByText('All readings').click();
    const arm = page.getByRole('table', { name: 'All readings' }).getByRole('row').filter({ hasText: 'upper arm' });
    await expect(arm).toHaveCount(0);
    await expect(page.getByText(/Not sewn on here: .*Sleeve/)).toBeVisible();
    await page.getByRole('checkbox', { name: 'With its sleeves' }).click();
    await expect(arm).toHaveCount(2, { timeout: HANGS });
    await expect(page.getByText(/Not sewn on here: .*Sleeve/)).toHaveCount(0);
  });

  test('trousers hang on its legs: a fuller seat makes the crotch cut in', async ({ page }) => {
    await page.goto('/job/runa-landing/toile');
    await page.getByRole('tab', { name: 'On the form' }).click();
    const cuts = page.getByRole('listitem').filter({ hasText: 'The crotch cuts in.' });
    await expect(cuts).toContainText(/Pull at the crotch: 0\.\d\d % as drafted/, { timeout: HANGS });
    await expect(page.locator('canvas')).toBeVisible();
    await expect(page.getByRole('checkbox', { name: 'With its sleeves' })).toHaveCount(0);
    // Its waistband is sewn on; what is not is named.
    await expect(page.getByText(/Not sewn on here: Fly facing, Pocket bag\.$/)).toBeVisible();
    // Kept, it is a sign of trousers, whose causes are looked for.
    await page.getByRole('button', { name: 'Keep as a fitting' }).click();
    await expect(page.getByRole('heading', { name: 'On the form' })).toBeVisible();
    await expect(page.getByRole('paragraph').getByText('The crotch cuts in between the legs').first()).toBeVisible();
  });
});
