import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Locator, Page } from '@playwright/test';
import { expect, openMarit, test } from './app.ts';
import { blackRuns } from './raster.ts';

const folder = mkdtempSync(join(tmpdir(), 'ample-out-'));
const run = (program: string, ...args: string[]): string => execFileSync(program, args, { encoding: 'utf8' });

async function saved(page: Page, button: Locator, name: string): Promise<string> {
  const waiting = page.waitForEvent('download');
  await button.click();
  const file = join(folder, name);
  await (await waiting).saveAs(file);
  return file;
}
const pdfButton = (page: Page) => page.getByRole('button', { name: /^PDF/ });
const pagesIn = (file: string): number => Number(/Pages:\s+(\d+)/.exec(run('pdfinfo', file))?.[1]);

test('only what changed is printed as patches; the file is sound to another program', async ({ page }) => {
  await openMarit(page, 'print');
  const whole = await saved(page, pdfButton(page), 'whole.pdf');
  await page.getByRole('radio', { name: /only what changed/ }).check();
  await expect(page.getByText(/Nothing to tape on: Bodice back/)).toBeVisible();
  await page.getByRole('checkbox', { name: /hand sheet/ }).uncheck();
  await page.getByRole('checkbox', { name: /paper that was added/ }).check();
  const patches = await saved(page, pdfButton(page), 'patches.pdf');
  for (const file of [whole, patches])
    expect(run('qpdf', '--check', file)).toContain('No syntax or stream encoding errors');
  expect(pagesIn(patches)).toBeLessThan(pagesIn(whole) / 3);
  const words = run('pdftotext', '-layout', patches, '-');
  expect(words).toContain('Bodice front, patch');
  expect(words).not.toContain('Skirt front, patch');
  // The same in a file: layers by name, the ticked one among them.
  const raw = run('qpdf', '--qdf', '--object-streams=disable', patches, '-');
  expect(raw).toContain('Added paper');
  expect(raw).toContain('Edge of the patch');
  await page.getByRole('checkbox', { name: /cutting lines/ }).uncheck();
  const bare = await saved(page, pdfButton(page), 'bare.pdf');
  expect(run('qpdf', '--qdf', '--object-streams=disable', bare, '-')).not.toContain('(Cutting line)');
});

for (const [paper, name, wide, long] of [
  ['A3', 'a3', 297, 420],
  ['Tabloid', 'tabloid', 279.4, 431.8],
  ['A0', 'a0', 841, 1189],
] as const)
  test(`${paper} pages have their size, and the square on the first measures 100 mm`, async ({ page }) => {
    await openMarit(page, 'print');
    await page.getByRole('radio', { name: new RegExp(`^${paper}\\b`) }).check();
    const file = await saved(page, pdfButton(page), `${name}.pdf`);
    const size = /Page\s+2 size:\s+([\d.]+) x ([\d.]+)/.exec(run('pdfinfo', '-f', '2', '-l', '2', file));
    expect(Math.abs((Number(size?.[1]) * 25.4) / 72 - wide)).toBeLessThan(0.2);
    expect(Math.abs((Number(size?.[2]) * 25.4) / 72 - long)).toBeLessThan(0.2);
    const dpi = 300;
    run('pdftoppm', '-r', String(dpi), '-f', '1', '-l', '1', '-gray', '-singlefile', file, join(folder, name));
    const pgm = readFileSync(join(folder, `${name}.pgm`));
    const px = (mm: number): number => Math.round((mm / 25.4) * dpi);
    // Below the words of the square: its two upright sides.
    const sides = blackRuns(pgm, 'row', px(34 + 95)).filter((x) => x > px(14) && x < px(116));
    expect(Math.abs((((sides[1] ?? 0) - (sides[0] ?? 0)) * 25.4) / dpi - 100)).toBeLessThan(0.2);
  });

test('every piece is printed on pages of its own, which no other piece joins', async ({ page }) => {
  await openMarit(page, 'print');
  await page.getByRole('checkbox', { name: 'every piece on pages of its own' }).check();
  await expect(page.getByText('each piece joined by itself')).toBeVisible();
  const file = await saved(page, pdfButton(page), 'apart.pdf');
  const words = (n: number): string => run('pdftotext', '-f', String(n), '-l', String(n), '-layout', file, '-');
  expect(words(1)).toContain('each piece is joined by');
  const titles = ['Bodice front', 'Bodice back', 'Sleeve', 'Skirt front', 'Skirt back'];
  // A title stands on a page of its piece, and on no other page.
  for (const title of titles) {
    const on = Array.from({ length: pagesIn(file) - 1 }, (_, i) => i + 2).filter((n) => words(n).includes(title));
    expect(on.length, title).toBeGreaterThan(0);
    for (const n of on)
      for (const other of titles.filter((t) => t !== title && !t.includes(title)))
        expect(words(n), `page ${n}`).not.toContain(other);
  }
});

test('the SVG is drawn by another program at true scale', async ({ page }) => {
  await openMarit(page, 'print');
  const svg = await saved(page, page.getByRole('button', { name: 'SVG, one sheet' }), 'sheet.svg');
  const width = Number(/<svg[^>]* width="([\d.]+)mm"/.exec(readFileSync(svg, 'utf8'))?.[1]);
  const pdf = join(folder, 'sheet.pdf');
  run('rsvg-convert', '-f', 'pdf', '-o', pdf, svg);
  const drawn = /Page size:\s+([\d.]+) x/.exec(run('pdfinfo', pdf));
  expect(Math.abs((Number(drawn?.[1]) * 25.4) / 72 - width)).toBeLessThan(0.2);
});

test('the projector is made true on a stand-in table, and throws a piece at its size', async ({ page, context }) => {
  await page.goto('/job/marit-causeway/projector');
  const panel = page.getByRole('region', { name: 'Calibrate' });
  await expect(panel).toBeVisible();
  const table = await context.newPage();
  await table.goto('/job/marit-causeway/projector-table');
  const tape = table.getByText('The tape on the square reads');
  const readings = async (): Promise<readonly string[]> =>
    [...(await tape.innerText()).matchAll(/([\d.]+) cm/g)].map((m) => m[1] as string);
  await expect(tape).toBeVisible();

  // Nonsense is refused in a sentence; nothing is taken.
  await panel.getByLabel('Across').fill('1');
  await panel.getByLabel('Down').fill('1');
  await panel.getByRole('button', { name: 'Take the readings' }).click();
  await expect(panel.getByRole('alert')).toContainText('Is it centimetres or inches?');

  // Aslant first: it is told, with what it would cost.
  await table.getByLabel('Aslant').fill('2');
  const type = async () => {
    const read = await readings();
    for (const [i, label] of ['Across', 'Down', 'Diagonal ╲', 'Diagonal ╱'].entries())
      await panel.getByLabel(label).fill(read[i] ?? '');
    await panel.getByRole('button', { name: 'Take the readings' }).click();
  };
  await type();
  await expect(panel.getByText(/leans 2\.\d° from square/)).toBeVisible();
  await table.getByRole('button', { name: 'As it hung' }).click();
  await type();
  await expect(panel.getByText(/leans/)).toHaveCount(0);
  await expect.poll(async () => (await readings())[0] === (await readings())[1]).toBe(true);
  await panel.getByRole('button', { name: 'On to the pieces' }).click();

  // What a piece's millimetre is on the table, by the transforms on the table's own screen.
  const scale = async () => {
    await expect(table.locator('[data-thrown]')).toBeVisible();
    return table.locator('[data-thrown]').evaluate((g: SVGGElement) => {
      const root = g.ownerSVGElement as SVGSVGElement;
      const m = (root.getScreenCTM() as DOMMatrix).inverse().multiply(g.getScreenCTM() as DOMMatrix);
      return { across: Math.hypot(m.a, m.b), down: Math.hypot(m.c, m.d), turn: m.a * m.d - m.b * m.c };
    });
  };
  for (const key of ['', 'n', 'q', 'o']) {
    if (key) await page.keyboard.press(key);
    const s = await scale();
    // A tape is read to half a millimetre in 400: a thousandth.
    expect(Math.abs(s.across - 1)).toBeLessThan(0.002);
    expect(Math.abs(s.down - 1)).toBeLessThan(0.002);
    expect(Math.sign(s.turn)).toBe(key === 'o' ? -1 : 1);
  }
  await expect(page.getByRole('img', { name: 'Bodice back, true size' })).toBeVisible();
  await page.keyboard.press('h');
  await expect(page.getByRole('region', { name: 'The picture' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Show the controls' }).click();
  await page.reload();
  // The scale is kept; another screen would be told.
  await expect(page.getByRole('img', { name: /true size/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Print', exact: true })).toBeVisible();
  await expect(table.getByText('No projector is on')).toBeVisible();
});

test.describe('the stand-in bureau', () => {
  const bureau = (page: Page) => page.getByRole('region', { name: 'Print bureau' });
  const sendSo = async (page: Page, fault: string) => {
    await openMarit(page, 'print');
    await bureau(page).getByRole('combobox').selectOption({ label: fault });
    await bureau(page).getByRole('button', { name: 'Send and ask the price' }).click();
  };

  test('takes a roll over a lost connection, prices it, and its ticket goes through the queue', async ({ page }) => {
    const codes: number[] = [];
    page.on('response', (r) => {
      if (r.url().includes('/api/bureau/uploads')) codes.push(r.status());
    });
    await sendSo(page, 'the connection is lost in the middle');
    const box = bureau(page);
    await expect(box.getByText('Price, one copy')).toBeVisible();
    // The map of the roll and the offer tell of the same length.
    await page.getByRole('radio', { name: /Roll/ }).check();
    const roll = await page.getByText(/cm of roll/).innerText();
    await expect(box.getByRole('row', { name: /Roll/ })).toContainText(/^Roll[\d.]+ cm$/);
    expect(roll).toContain(/[\d.]+/.exec(await box.getByRole('row', { name: /Roll/ }).innerText())?.[0] ?? '?');
    await box.getByLabel('Copies').fill('2');
    await box.getByRole('button', { name: 'Order' }).click();
    await expect(box.getByText(/Ticket B-\w+ (waits|is being printed)/)).toBeVisible();
    // The ticket outlives the page.
    await page.reload();
    await expect(box.getByText(/Ticket B-\w+ is ready/)).toBeVisible();
    await box.getByRole('button', { name: 'Clear the ticket' }).click();
    await expect(box.getByText(/Ticket/)).toHaveCount(0);
    expect(codes.every((c) => c < 300)).toBe(true);
  });

  test('sends a damaged file again, and says why an order came to nothing', async ({ page }) => {
    await sendSo(page, 'the file is damaged on its way');
    await expect(bureau(page).getByText('Price, one copy')).toBeVisible();
    await bureau(page).getByRole('button', { name: 'Leave it' }).click();
    await bureau(page).getByRole('combobox').selectOption({ label: 'the roll runs out while printing' });
    await bureau(page).getByRole('button', { name: 'Send and ask the price' }).click();
    await bureau(page).getByRole('button', { name: 'Order' }).click();
    await expect(bureau(page).getByText(/was not printed: the roll ran out/)).toBeVisible();
  });

  test('that does not answer is given up in words, with a way on', async ({ page }) => {
    await sendSo(page, 'it does not answer');
    await expect(
      bureau(page)
        .getByText(/trying again in/)
        .first(),
    ).toBeVisible();
    await expect(bureau(page).getByRole('alert')).toContainText('does not work at the moment');
    await bureau(page).getByRole('button', { name: 'Resume' }).click();
    await bureau(page).getByRole('button', { name: 'Stop' }).click();
    await expect(bureau(page).getByText('Sending was stopped')).toBeVisible();
    await bureau(page).getByRole('button', { name: 'Leave it' }).click();
    await expect(bureau(page).getByRole('button', { name: 'Send and ask the price' })).toBeEnabled();
  });
});
