import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, openMarit, storedJob, test } from './app.ts';
import { cell, left, measure, startEmpty, station } from './newcomer.ts';

async function printed(page: Page): Promise<{ text: string; pages: number }> {
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: /^PDF/ }).click();
  const file = join(mkdtempSync(join(tmpdir(), 'ample-plan-')), 'pattern.pdf');
  await (await waiting).saveAs(file);
  const pages = Number(/Pages:\s+(\d+)/.exec(execFileSync('pdfinfo', [file], { encoding: 'utf8' }))?.[1]);
  return { pages, text: execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }) };
}

const SINGERS = [
  {
    who: 'fuller in the bust, a size more below the waist',
    readings: {
      'High bust': '87.3',
      'Full bust': '96.8',
      Waist: '75.1',
      Hip: '102.5',
      Shoulder: '12.2',
      'Bust height': '27.3',
      'Bust span': '19.5',
    },
    size: '4',
    compared: ['Full bust', '+4.8'],
    bust: true,
    asked: 'From one size to another',
    solved: 'Full bust',
    printed: /Full bust, with a side dart/,
  },
  {
    who: 'narrow shoulders, less bust than the draft',
    readings: { 'High bust': '91.3', 'Full bust': '94.3', Waist: '78.2', Shoulder: '11.2', 'Shoulder slope': '5.2' },
    size: '5',
    compared: ['Shoulder', '−1.2'],
    bust: false,
    asked: 'Narrow shoulder, slashed',
    solved: 'Shoulder',
    printed: /Narrow shoulder, slashed/,
  },
  {
    who: 'short and hollow at the back waist',
    readings: {
      'High bust': '83.2',
      'Full bust': '88.4',
      Waist: '70.6',
      'Nape to waist': '38.4',
      'Side waist': '18.6',
    },
    size: '3',
    compared: ['Side waist', '−0.8'],
    bust: false,
    asked: 'Shorter',
    solved: 'Side waist',
    printed: /Swayback, at the waist seam/,
  },
] as const;

for (const singer of SINGERS)
  test(`from an empty job to the printed pattern: ${singer.who}`, async ({ page }) => {
    const id = await startEmpty(page, 'Nele', 'causeway');
    await measure(page, singer.readings);
    await station(page, 'Size');
    await expect(page.getByText(`Size ${singer.size}`, { exact: true })).toBeVisible();
    await station(page, 'Compare');
    const [row, difference] = singer.compared;
    await expect(cell(page, row)).toContainText(difference);
    await station(page, 'Plan');
    const asks = page.getByRole('region', { name: 'Recommended by the measurements' });
    await expect(asks.getByRole('button', { name: singer.asked })).toBeVisible();
    const all = asks.getByRole('button', { name: /Add all/ });
    if (await all.isVisible()) await all.click();
    else await asks.getByRole('button', { name: singer.asked }).click();
    await expect(page.getByRole('heading', { level: 2, name: new RegExp(singer.asked) })).toBeVisible();
    if (singer.bust) await expect(page.getByRole('heading', { level: 2, name: /Full bust/ })).toBeVisible();
    // What one step leaves another asks for: until nothing is asked, each is added.
    for (let i = 0; i < 3 && (await asks.isVisible()); i++) {
      const first = asks.getByRole('listitem').getByRole('button').first();
      if (!(await first.isVisible())) break;
      const name = await first.innerText();
      await first.click();
      // Once it stands in the plan it is asked for no longer.
      await expect(asks.getByRole('button', { name, exact: true })).toBeHidden();
    }
    await page.getByRole('button', { name: 'Find the amounts' }).click();
    const solver = page.getByRole('region', { name: 'All amounts together' });
    await expect(solver.getByRole('status')).toContainText(/amounts? changed|Nothing to change/);
    await solver.getByRole('button', { name: 'Use these amounts' }).click();
    await expect(
      left(page)
        .getByRole('listitem')
        .filter({ hasText: new RegExp(`^${singer.solved}[+−]`) }),
    ).toContainText('nothing');
    await expect
      .poll(async () => (await storedJob(page, id)).steps.some((s) => 'total' in s.values || 'by' in s.values))
      .toBe(true);
    await station(page, 'Print');
    const { text, pages } = await printed(page);
    expect(pages).toBeGreaterThan(8);
    expect(text).toMatch(singer.printed);
    expect(text).toContain('Nele');
  });

test('the worksheet by keyboard alone: ease typed down the column, kept for the wearer, taken back', async ({
  page,
}) => {
  await openMarit(page, 'compare');
  const waist = page.getByLabel('Ease at waist', { exact: true });
  await expect(cell(page, 'Waist')).toContainText('+1.1');
  await page.getByRole('button', { name: 'Waist', exact: true }).focus();
  await page.keyboard.press('Tab');
  await expect(waist).toBeFocused();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('2');
  await page.keyboard.press('Enter');
  // Enter goes on down the column; 75.1 + 2.0 − 77.0 is left.
  await expect(page.getByLabel('Ease at hip', { exact: true })).toBeFocused();
  await expect(cell(page, 'Waist')).toContainText('+0.1');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('2 in');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Ease at hip', { exact: true })).toHaveValue('+5.1');
  await page.keyboard.press('Shift+Tab');
  await expect(page.getByText(/saved \d/)).toBeVisible();
  await page.reload();
  await expect(waist).toHaveValue('+2.0');
  await cell(page, 'Waist')
    .getByRole('button', { name: /design’s/ })
    .press('Enter');
  await expect(waist).toHaveValue('+3.0');
  await waist.fill('much');
  await waist.press('Enter');
  await expect(page.getByRole('alert')).toContainText('much');
  await expect(cell(page, 'Waist')).toContainText('+1.1');
});

test('paper only: a chart pasted in inches, flat measurements typed, hand sheets printed', async ({ page }) => {
  const id = await startEmpty(page, 'Nele', 'paper');
  await page.getByRole('button', { name: 'Paste a chart' }).click();
  const dialog = page.getByRole('dialog', { name: 'Paste a chart' });
  await dialog
    .getByLabel('The copied cells')
    .fill('Size\tBust\tWaist\tHips\tShoulder\n10\t34\t26\t36\t4 3/4\n12\t36\t28\tforty\t4 7/8\n14\t38\t30\t40\t5');
  await expect(dialog.getByText('Size 12, “Hips”: “forty” is not a length.', { exact: false })).toBeVisible();
  await dialog.getByRole('button', { name: 'Convert the numbers' }).first().click();
  await dialog.getByRole('button', { name: 'Use this chart' }).click();
  await expect(page.getByLabel('Full bust, size 12', { exact: true })).toHaveValue('91.4');
  await expect(page.getByText('86.4 derived')).toBeVisible();
  await expect(page.getByText('Hip, size 12: the cell is empty while other sizes have a value.')).toBeVisible();
  await page.getByLabel('Hip, size 12', { exact: true }).fill('38 in');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/the cell is empty/)).toHaveCount(0);

  await station(page, 'Body');
  await measure(page, { 'High bust': '87', 'Full bust': '98', Waist: '73', Hip: '97', Shoulder: '11.6' });
  await station(page, 'Compare');
  const shoulder = page.getByLabel('Shoulder on the paper', { exact: true });
  await shoulder.fill('12.6');
  await shoulder.press('Enter');
  // 11.6 on her, 12.4 on the chart: what the paper measures more is the design’s.
  await expect(cell(page, 'Shoulder')).toContainText('−0.8');
  await station(page, 'Plan');
  const asked = page.getByRole('region', { name: 'Recommended by the measurements' });
  await asked.getByRole('button', { name: /^Full bust/ }).click();
  await asked.getByRole('button', { name: 'Narrow shoulder, slashed' }).click();
  await expect(
    page.getByRole('region', { name: 'Broad shoulder, slashed', exact: true }).getByLabel('By how much'),
  ).toHaveValue('−0.8');
  await station(page, 'Table');
  await expect(page.getByText(/Drawn on No. 31 Causeway in size 4, a piece like yours/)).toBeVisible();
  await station(page, 'Print');
  await expect(page.getByRole('button', { name: 'PDF, hand sheets' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'SVG, one sheet' })).toBeHidden();
  const { text } = await printed(page);
  expect(text).toMatch(/Drawn on No. 31 Causeway in size 4/);
  expect(text).not.toMatch(/pages to join/);
  // The safety block stands on the first sheet, not on each.
  expect(text.match(/Rotary cutter/g)).toHaveLength(1);
  expect(text).toMatch(/Narrow shoulder, slashed/);
  expect(text).toMatch(/0.8 cm/);
  expect((await storedJob(page, id)).size).toBeNull();
  // The pattern lies in the drawer for the next job.
  await page.goto('/');
  await page.getByRole('button', { name: 'Start my own' }).click();
  await expect(page.getByLabel('Pattern', { exact: true }).getByRole('option', { name: 'My pattern' })).toHaveCount(1);
});

test('Body: a set copied and taken again, its history, and a tape that sticks and breaks off', async ({ page }) => {
  await openMarit(page, 'body');
  await page.getByLabel('Full bust, first reading', { exact: true }).focus();
  await expect(page.getByText(/Full bust over time: 95.6 to 96.8 cm/)).toBeVisible();
  await page.getByRole('button', { name: 'Copy the last set and retake some' }).click();
  await expect(page.getByText('carried over, not taken again').first()).toBeVisible();
  const waist = page.getByLabel('Waist, first reading', { exact: true });
  await waist.fill('78.4');
  await waist.press('Enter');
  await expect(page.getByText(/\+3.3 cm since the last set \(75.1 cm\)/)).toBeVisible();
  await expect(page.getByLabel('Waist, second reading', { exact: true })).toHaveValue('');
  await page.getByLabel('Note on this value').fill('over the new belt');
  await page.getByLabel('Note on this value').blur();
  await expect(page.getByRole('rowheader', { name: /over the new belt/ })).toBeVisible();

  await page.getByRole('button', { name: 'Measure with a tape that sends' }).click();
  const tape = page.getByRole('complementary', { name: 'Stand-in tape' });
  await page.getByLabel('Hip, first reading', { exact: true }).focus();
  await tape.getByRole('button', { name: 'Connect' }).click();
  const send = tape.getByRole('button', { name: 'Send', exact: true });
  await tape.getByLabel('The tape measures').fill('103.1');
  await tape.getByLabel('The tape measures').press('Enter');
  await send.click();
  await expect(page.getByLabel('Hip, first reading', { exact: true })).toHaveValue('103.1');
  await tape.getByLabel('stuck at the last reading').check();
  for (const name of ['Shoulder', 'Upper arm']) {
    await page.getByLabel(`${name}, first reading`, { exact: true }).focus();
    await send.click();
    await expect(page.getByLabel(`${name}, first reading`, { exact: true })).toHaveValue('103.1');
  }
  await expect(tape.getByText(/may be stuck/)).toBeVisible();
  await tape.getByLabel('loses the connection at the next reading').check();
  await send.click();
  await expect(tape.getByText(/no longer answers/)).toBeVisible();
  await expect(page.getByLabel('Hip, first reading', { exact: true })).toHaveValue('103.1');
  await tape.getByRole('button', { name: 'Close the tape' }).click();
  await page.getByRole('link', { name: 'Blank sheet to print' }).click();
  await expect(page.getByRole('img', { name: 'Figure seated, from the side' })).toBeVisible();
});

test('Plan: slips slid with the keyboard, and a finished job teaches the next', async ({ page }) => {
  await page.goto('/job/tove-causeway/plan');
  await page
    .getByRole('region', { name: 'Recommended by the measurements' })
    .getByRole('button', { name: 'Narrow shoulder, slashed' })
    .click();
  const order = page.getByRole('region', { name: 'The order of the plan' });
  await expect(order.getByRole('listitem').first()).toContainText('Narrow shoulder');
  await order.getByRole('button', { name: /^Move Narrow shoulder/ }).focus();
  // What a screen reader is told says how far the slip has come.
  const told = page.locator('[id^="DndLiveRegion"]');
  await page.keyboard.press('Space');
  await expect(told).toContainText(/picked up|moved over/i);
  await page.keyboard.press('ArrowDown');
  await expect(told).toContainText(/item (\S+) was moved over droppable area (?!\1)/);
  await page.keyboard.press('Space');
  await expect(order.getByRole('listitem').first()).not.toContainText('Narrow shoulder');
  await page.getByRole('button', { name: 'Put the plan in this order' }).click();
  await expect(order.getByRole('listitem').first()).toContainText('Narrow shoulder');
  await page.getByRole('button', { name: 'The garment is finished' }).click();
  await expect(page.getByText(/^Finished on /)).toBeVisible();

  // Her next dress, from another pattern.
  await station(page, 'Pattern');
  await page.getByLabel('Pattern of this job').selectOption('causeway-shirt');
  await station(page, 'Plan');
  const usual = page.getByRole('region', { name: 'Usual alterations' });
  await expect(usual.getByText(/Done on Causeway \(narrow shoulder, slashed, −1.2 cm\)/)).toBeVisible();
});
