import type { Page } from '@playwright/test';

/** A new job with nothing measured; returns its id. */
export async function startEmpty(page: Page, wearer: string, pattern: string): Promise<string> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start my own' }).click();
  await page.getByRole('textbox', { name: 'Whose is it?' }).fill(wearer);
  if (pattern === 'paper') await page.getByRole('radio', { name: /on paper/ }).check();
  else await page.getByLabel('Pattern', { exact: true }).selectOption(pattern);
  await page.getByRole('button', { name: 'Hang it on the rail' }).click();
  await page.waitForURL(/\/job\/[^/]+\/size/);
  const id = /\/job\/([^/]+)\//.exec(page.url())?.[1] ?? '';
  await page.goto(`/job/${id}/${pattern === 'paper' ? 'pattern' : 'body'}`);
  return id;
}

/** First readings typed in, by their names. */
export async function measure(page: Page, readings: Readonly<Record<string, string>>): Promise<void> {
  const more = page.getByRole('button', { name: /Show \d+ more measurements/ });
  for (const [name, value] of Object.entries(readings)) {
    const field = page.getByLabel(`${name}, first reading`, { exact: true });
    if ((await field.count()) === 0) await more.click();
    await field.fill(value);
    await field.press('Enter');
  }
  await page.keyboard.press('Escape');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
}

/** Goes to a station by its name. */
export const station = (page: Page, name: string) =>
  page
    .getByRole('link', { name: new RegExp(`\\b${name}\\b`) })
    .first()
    .click();
export const left = (page: Page) => page.getByRole('region', { name: 'What is left' });
/** A row of the worksheet by its name. */
export const cell = (page: Page, row: string) => page.getByRole('row', { name: new RegExp(`^${row} [\\d−–]`) });
