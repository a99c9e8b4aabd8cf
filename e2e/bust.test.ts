import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, middleOf, storedJob, test } from './app.ts';

const open = async (page: Page, job: string, station: string) => {
  await page.goto(`/job/${job}/${station}`);
  await expect(page.getByText(/size 4/).first()).toBeVisible();
};
const stage = (page: Page, name: string) =>
  page.getByRole('button', { name: new RegExp(name) }).and(page.locator('[aria-current="step"]'));
const piece = (page: Page, id: string) => page.locator(`[data-piece="${id}"]`);

async function pdfText(page: Page): Promise<{ text: string; pages: number }> {
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: /^PDF/ }).click();
  const file = join(mkdtempSync(join(tmpdir(), 'ample-bust-')), 'pattern.pdf');
  await (await waiting).saveAs(file);
  const pages = Number(/Pages:\s+(\d+)/.exec(execFileSync('pdfinfo', [file], { encoding: 'utf8' }))?.[1]);
  return { text: execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }), pages };
}

for (const [job, pattern, says, seams] of [
  ['marit-skerry', 'Skerry', /the princess seam opens at the notch/, 4],
  ['marit-ebb', 'Ebb', /What opened in the side seam is the new dart/, 4],
] as const)
  test(`${pattern}: from the plan over the table to the printed pages and the hand sheet`, async ({ page }) => {
    await open(page, job, 'plan');
    await expect(page.getByText('proposed', { exact: true })).toBeVisible();
    await page.getByLabel('Your own amount over the whole front').fill('4');
    await page.keyboard.press('Enter');
    await page.getByRole('link', { name: 'Open the table' }).click();
    await expect(stage(page, 'Mark')).toBeVisible();
    for (const name of ['Cut', 'Open', 'Level', 'Dart']) {
      await page.keyboard.press('n');
      await expect(stage(page, name)).toBeVisible();
    }
    await expect(page.getByRole('region', { name: 'Stages' }).getByText(says)).toBeVisible();
    for (let i = 0; i < 2; i++) await page.keyboard.press('n');
    await expect(page.getByRole('region', { name: 'Stages' }).getByText(/Fix:/)).toHaveCount(0);
    await page.getByRole('link', { name: /Check/ }).first().click();
    await expect(page.getByText(/they meet/)).toHaveCount(seams);
    await page.keyboard.press('9');
    const promised = Number(
      /(\d+) pages/.exec((await page.getByRole('button', { name: /^PDF/ }).textContent()) ?? '')?.[1],
    );
    const { text, pages } = await pdfText(page);
    expect(pages).toBeGreaterThan(promised);
    expect(text).toContain('This square measures 100 mm.');
    expect(text).toMatch(/over the front/);
    expect(text).toContain('Check at the end');
    // Numbered as on the screen.
    await page.getByRole('link', { name: 'read it' }).click();
    const first = await page.getByRole('article').getByRole('listitem').first().textContent();
    expect(first).toMatch(/^1/);
    expect(text.replace(/\s+/g, ' ')).toContain(`1. ${(first ?? '').slice(1, 40).replace(/\s+/g, ' ')}`.slice(0, 34));
  });

test('which one is right: another pattern brings another proposal, alternatives are one click', async ({ page }) => {
  await open(page, 'marit-causeway', 'pattern');
  await page.getByLabel('Pattern of this job').selectOption('causeway-french');
  await expect(page.getByText(/view D: French dart/).first()).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: /Plan/ }).click();
  await expect(page.getByRole('radio', { name: /Full bust, with a French dart/ })).toBeChecked();
  await page.getByText('The others, and what this pattern lacks for them').click();
  await expect(page.getByText(/is one of two front panels|has no raglan seam/).first()).toBeVisible();
  await open(page, 'marit-causeway', 'pattern');
  await page.getByLabel('Pattern of this job').selectOption('causeway-shoulder');
  await page.getByRole('link', { name: /Plan/ }).click();
  await page.getByRole('radio', { name: /Full bust, without darts/ }).check();
  await expect.poll(async () => (await storedJob(page)).steps[0]).toMatchObject({ alteration: 'full-bust-no-dart' });
});

test('too much for one dart: four ways on, each one step, each one undo', async ({ page }) => {
  await open(page, 'marit-causeway', 'plan');
  await page.getByLabel('Your own amount over the whole front').fill('9');
  await page.keyboard.press('Enter');
  for (const [way, steps] of [
    ['Two darts', ['full-bust-side-dart', 'dart-split']],
    ['A dart cut away', ['full-bust-side-dart', 'dart-cut-away']],
    ['In two steps', ['full-bust-side-dart', 'full-bust-side-dart']],
    ['A princess line', ['princess-line', 'full-bust-princess-armhole']],
  ] as const) {
    await page.getByRole('button', { name: way, exact: true }).click();
    const stored = async () =>
      (await storedJob(page)).steps.map((s) => (s as unknown as { alteration: string }).alteration);
    await expect.poll(stored).toEqual(steps);
    await expect(page.getByRole('alert')).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(stored).toEqual(['full-bust-side-dart']);
  }
});

test('dart work: turned to where it is dragged, drawn to a notch that is named', async ({ page }) => {
  await page.goto('/job/marit-causeway/plan');
  await page.getByRole('region', { name: 'Add to the plan' }).locator('summary', { hasText: 'Darts' }).click();
  await page.getByRole('button', { name: 'Dart to another place' }).click();
  await page.getByRole('button', { name: 'Remove' }).first().click();
  // The slips follow with the draft: the new one comes, the bust's goes.
  const dart = page.getByRole('region', { name: 'Dart to another place' });
  await expect(dart).toBeVisible();
  await expect(page.getByRole('region', { name: 'Full bust, with a side dart' })).toBeHidden();
  await dart.getByRole('link', { name: 'Open the table' }).click();
  const place = page.getByRole('slider', { name: 'New place', exact: true });
  await page.getByRole('combobox', { name: 'If there is a dart already' }).selectOption('new');
  await page.getByRole('combobox', { name: 'New place' }).selectOption('armhole');
  await expect(place).toBeVisible();
  const from = await middleOf(page, 'New place');
  const mat = page.getByRole('group', { name: /Cutting mat/ });
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  let named = false;
  for (let i = 1; i <= 40 && !named; i++) {
    await page.mouse.move(from.x - i * 0.6, from.y - i * 2);
    // The name stands in the drawing only once the frame of this move is drawn.
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
    named = (await mat.getByText(/at the notch, armhole/).count()) > 0;
  }
  expect(named).toBe(true);
  await page.mouse.up();
  await expect.poll(async () => (await storedJob(page)).steps[0]?.values['toPoint']).toBeTruthy();
  await page.getByRole('button', { name: 'Dart', exact: false }).and(page.locator('li button')).first().click();
  await expect(page.getByRole('complementary', { name: 'Workings' }).getByText('Armhole dart').first()).toBeVisible();
});

test('pieces are slid and stay where they were put; before is held, the tape measures along the seam', async ({
  page,
}) => {
  await open(page, 'marit-causeway', 'table');
  const at = async (id: string) => (await piece(page, id).boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  const before = await at('back');
  await page.mouse.move(before.x + before.width / 2, before.y + before.height / 2);
  await page.mouse.down();
  await page.mouse.move(before.x + before.width / 2 + 40, before.y + before.height / 2 + 30, { steps: 6 });
  await page.mouse.up();
  await expect.poll(async () => Math.round((await at('back')).x - before.x)).toBe(40);
  await page.reload();
  await expect.poll(async () => Math.round((await at('back')).x - before.x)).toBe(40);
  await page.getByRole('button', { name: /Bodice back on the mat/ }).focus();
  await page.keyboard.press('ArrowLeft');
  await expect.poll(async () => (await at('back')).x - before.x).toBeLessThan(39);
  await page.getByRole('button', { name: 'Put the pieces back in order' }).click();
  await expect.poll(async () => Math.round((await at('back')).x - before.x)).toBe(0);

  for (let i = 0; i < 3; i++) await page.keyboard.press('n');
  await expect(stage(page, 'Level')).toBeVisible();
  await page.keyboard.down('o');
  await expect(page.getByText('Untouched, as drafted')).toBeVisible();
  await page.keyboard.up('o');
  await expect(page.getByText('Untouched, as drafted')).toHaveCount(0);

  await page.keyboard.press('m');
  const tape = page.getByRole('region', { name: 'Tape measure' });
  const list = tape.getByRole('combobox');
  const option = (text: RegExp) => list.locator('option').filter({ hasText: text }).first().getAttribute('value');
  await list.selectOption(await option(/Bodice back: at the end of the armhole/));
  await list.selectOption(await option(/Bodice back: at the notch, armhole/));
  await expect(tape.getByText(/along the seam line/)).toBeVisible();
  const figures = (await tape.getByRole('status').textContent()) ?? '';
  const [straight, along] = [...figures.matchAll(/([\d.]+) cm/g)].map((m) => Number(m[1]));
  expect(along).toBeGreaterThanOrEqual(straight ?? Infinity);
});

test.describe('on a tablet', () => {
  test.use({ hasTouch: true });
  test('a piece is brought near, two fingers pinch', async ({ page }) => {
    await open(page, 'marit-skerry', 'table');
    const mat = page.getByRole('group', { name: /Cutting mat/ });
    const scale = async () =>
      Number(/scale\(([\d.]+)\)/.exec((await mat.locator('> g').getAttribute('transform')) ?? '')?.[1]);
    await page.keyboard.press('0');
    const fitted = await scale();
    await page.getByRole('button', { name: 'Zoom to Side front' }).click();
    await expect.poll(scale).toBeGreaterThan(fitted * 1.3);
    await page.keyboard.press('0');
    await expect.poll(scale).toBeCloseTo(fitted, 3);
    const box = await mat.boundingBox();
    if (!box) throw new Error('no mat');
    const session = await page.context().newCDPSession(page);
    const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', apart: number) =>
      session.send('Input.dispatchTouchEvent', {
        type,
        touchPoints:
          type === 'touchEnd'
            ? []
            : [
                { x: middle.x - apart, y: middle.y, id: 1 },
                { x: middle.x + apart, y: middle.y, id: 2 },
              ],
      });
    await touch('touchStart', 40);
    for (const apart of [50, 65, 80]) await touch('touchMove', apart);
    await touch('touchEnd', 0);
    await expect.poll(scale).toBeGreaterThan(fitted * 1.5);
  });
});
