import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, openMarit, test } from './app.ts';

/** What the database holds of Tove's job. */
const job = (page: Parameters<typeof openMarit>[0], id = 'tove-causeway') =>
  page.evaluate(
    (key) =>
      new Promise<{
        steps: { alteration: string; on: boolean; values: Record<string, number> }[];
        versions: { name: string; steps: unknown[] }[];
        fittings: { verdict: string; observations: { sign: string }[]; photos: { id: string }[] }[];
      }>((resolve) => {
        const open = indexedDB.open('ample-draft');
        open.onsuccess = () => {
          const get = open.result.transaction('jobs').objectStore('jobs').get(key);
          get.onsuccess = () => resolve(get.result as never);
        };
      }),
    id,
  );

test('two toiles: a cause is found, a step added, at the next one it has gone too far and is undone', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: /Tove Anselm/ }).click();
  // The rail knows what is next.
  await expect(page).toHaveURL(/toile$/);
  const cause = page.getByRole('listitem', { name: 'A narrower shoulder than the draft' });
  await expect(cause).toContainText('Likely');
  await expect(cause).toContainText('shoulder is still 1.2 cm less on the body than on the pattern');
  await expect(cause).toContainText('0.8 cm pinned → −0.8 cm');
  await cause.getByRole('button', { name: 'Add “Narrow shoulder, slashed”' }).click();
  await expect(cause).toContainText('Done');
  // Measured: no longer a difference the plan leaves.
  await expect(cause).toContainText('Shoulder is right as the plan stands.');
  // Something new is pointed at on the figure.
  await page.getByRole('radio', { name: /^Back/ }).click();
  const figure = page.getByRole('img', { name: /^Back: / });
  const box = (await figure.boundingBox())!;
  const k = box.height / 420;
  await page.mouse.click(box.x + box.width / 2, box.y + 116 * k);
  await page.getByRole('group', { name: 'What is it?' }).getByRole('button', { name: 'Tight across the back' }).click();
  await expect(page.getByRole('listitem', { name: 'A broader back than the draft' })).toBeVisible();

  await page.getByRole('button', { name: 'New toile' }).click();
  const before = page.getByRole('region', { name: 'From the fittings before' });
  await expect(before).toContainText('after Narrow shoulder, slashed −0.8 cm');
  await before
    .getByLabel(/shoulder seam hangs.*: now/)
    .getByRole('radio', { name: 'gone' })
    .click();
  await page.getByRole('combobox', { name: 'Note what you see' }).selectOption('Strain at the shoulder end');
  const broad = page.getByRole('listitem', { name: 'A broader shoulder than the draft' });
  await broad.getByRole('button', { name: 'Undo “Narrow shoulder, slashed”' }).click();
  await expect(broad).toContainText('Narrow shoulder, slashed undone');
  await expect
    .poll(async () => (await job(page)).steps.map((s) => [s.alteration, s.on]))
    .toContainEqual(['shoulder-slash', false]);
  // The first toile tells what became of it.
  await page.getByRole('button', { name: /Toile, 14 November/ }).click();
  await expect(page.getByText('after Narrow shoulder, slashed −0.8 cm: gone')).toBeVisible();
  await page.getByRole('tab', { name: 'Two side by side' }).click();
  await expect(page.getByRole('row', { name: /The shoulder seam hangs off.*gone/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Strain at the shoulder end.*new/ })).toBeVisible();

  // The second toile was sewn from a version; going back to it brings the step back and keeps today's beside it.
  await page.getByRole('tab', { name: 'Versions' }).click();
  await page.getByRole('button', { name: 'Compare' }).click();
  await expect(page.getByText('Undone: Narrow shoulder, slashed, −0.8 cm.')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Bodice front' })).toBeVisible();
  await page.getByRole('button', { name: 'Go back to it' }).click();
  await expect(page.getByText('They are the same.')).toBeVisible();
  const now = await expect
    .poll(async () => (await job(page)).versions.length)
    .toBe(2)
    .then(() => job(page));
  expect(now.steps.every((s) => s.on)).toBe(true);
  expect(now.fittings).toHaveLength(2);
  // One change like any other.
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await job(page)).steps.some((s) => !s.on)).toBe(true);
});

test('the tissue-fit is gone through alone: what differs is noted with its pins, what lines up is not', async ({
  page,
}) => {
  await openMarit(page, 'toile');
  await page.getByRole('button', { name: 'New tissue-fit' }).click();
  await expect(page.getByText('never in the mouth')).toBeVisible();
  await page.getByRole('button', { name: 'Begin' }).click();
  for (const look of ['Anchor the paper', 'Shoulder seam', 'Back neck', 'Across the back']) {
    await expect(page.getByRole('heading', { name: look })).toBeVisible();
    await page.getByRole('button', { name: 'It lines up' }).click();
  }
  await expect(page.getByRole('heading', { name: 'Back waist' })).toBeVisible();
  await page.getByRole('button', { name: 'It differs' }).click();
  await page.getByLabel('Cloth pools above the seat').check();
  await page.getByLabel(/^Pinned: folded out/).fill('1.2');
  // Half-way out, and back to where one was.
  await page.getByRole('link', { name: 'Leave off here' }).click();
  await expect(page.getByRole('listitem', { name: 'A hollow back waist' })).toContainText('1.2 cm pinned → +1.2 cm');
  await page.getByRole('link', { name: 'Go through the looks' }).click();
  await expect(page.getByRole('heading', { name: 'Front neck' })).toBeVisible();
  for (let i = 0; i < 8; i++) await page.getByRole('button', { name: 'Skip', exact: true }).click();
  await expect(page.getByText('4 line up, 1 differ, 8 skipped.')).toBeVisible();
});

test('pictures are made smaller and lose what the camera wrote; what is no picture is told', async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), 'ample-photo-'));
  await page.goto('/job/tove-causeway/toile');
  // A picture as a camera leaves it: large, with a block that tells where it was taken.
  const plain = Buffer.from(
    await page.evaluate(() => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [2400, 1200];
      canvas.getContext('2d')?.fillRect(300, 200, 900, 500);
      return canvas.toDataURL('image/jpeg').split(',')[1] ?? '';
    }),
    'base64',
  );
  const told = Buffer.from('Exif\0\0taken at 52.1 N 4.3 E', 'latin1');
  const head = Buffer.from([0xff, 0xe1, 0, told.length + 2]);
  const photo = Buffer.concat([plain.subarray(0, 2), head, told, plain.subarray(2)]);
  expect(photo.toString('latin1')).toContain('taken at');
  writeFileSync(join(folder, 'big.jpg'), photo);
  writeFileSync(join(folder, 'note.txt'), 'no picture');
  await page.getByLabel('Add pictures').setInputFiles([join(folder, 'big.jpg'), join(folder, 'note.txt')]);
  await expect(page.getByRole('alert')).toContainText('“note.txt” is not a picture that can be read.');
  await expect(page.getByRole('button', { name: 'Open Picture 1' }).getByRole('img')).toBeVisible();
  const stored = await page.evaluate(
    () =>
      new Promise<{ type: string; bytes: number[] }[]>((resolve) => {
        const open = indexedDB.open('ample-draft');
        open.onsuccess = () => {
          const get = open.result.transaction('photos').objectStore('photos').getAll();
          get.onsuccess = () =>
            resolve(
              (get.result as { type: string; bytes: Uint8Array }[]).map((p) => ({
                type: p.type,
                bytes: [...p.bytes.slice(0, 4000)],
              })),
            );
        };
      }),
  );
  expect(stored).toHaveLength(1);
  expect(stored[0]?.type).toBe('image/jpeg');
  const kept = Buffer.from(stored[0]!.bytes).toString('latin1');
  for (const trace of ['Exif', 'taken at']) expect(kept).not.toContain(trace);
  await expect.poll(async () => (await job(page)).fittings[0]?.photos).toMatchObject([{ width: 1600, height: 800 }]);
});

test('the record prints on one page, and the pieces are laid on three cloths', async ({ page }) => {
  await page.goto('/job/tove-causeway/print');
  await expect(page.getByText('size 5').first()).toBeVisible();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Record, one page' }).click();
  const file = join(mkdtempSync(join(tmpdir(), 'ample-record-')), 'record.pdf');
  await (await waiting).saveAs(file);
  expect(execFileSync('pdfinfo', [file]).toString()).toMatch(/Pages:\s+1\n/);
  const text = execFileSync('pdftotext', ['-layout', file, '-']).toString();
  for (const wanted of [
    'Concert bodice, Tove Anselm',
    'Full bust',
    '94.3 cm',
    'Small bust',
    'The shoulder seam hangs off the shoulder, 0.8 cm pinned',
  ])
    expect(text).toContain(wanted);
  await page.getByRole('button', { name: 'Lay the pieces' }).click();
  const rows = page.getByRole('region', { name: 'Cloth' }).getByRole('row');
  await expect(rows).toHaveCount(4);
  const laid = (await rows.locator('td:nth-child(3)').allTextContents()).map((t) => Number.parseFloat(t));
  expect(laid).toEqual([...laid].sort((a, b) => b - a));
  expect(laid.every((cm) => cm > 90 && cm < 300)).toBe(true);
  await expect(page.getByRole('img', { name: /pieces laid on the cloth/ })).toBeVisible();

  // One edge folded only so deep: fronts lie on that fold, and the list says how each is cut.
  await page.getByLabel('Folded').selectOption({ label: 'one edge, only so deep' });
  await expect(page.getByText('Something has changed: lay the pieces again.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Depth of the fold' }).fill('40');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Lay the pieces' }).click();
  await expect(page.getByText('Something has changed: lay the pieces again.')).toHaveCount(0);
  await expect(page.getByRole('listitem').filter({ hasText: /Bodice front: on the fold/ })).toBeVisible();

  // Folded anew farther along, less is needed; the list says what is cut from which stretch.
  const once = Number.parseFloat((await rows.nth(3).locator('td:nth-child(3)').textContent()) ?? '');
  await page.getByRole('button', { name: 'Fold again farther along' }).click();
  const second = page.getByRole('group', { name: 'Folding 2' });
  await second.getByRole('textbox', { name: 'Its depth' }).fill('20');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Lay the pieces' }).click();
  await expect(page.getByText('Something has changed: lay the pieces again.')).toHaveCount(0);
  const anew = Number.parseFloat((await rows.nth(3).locator('td:nth-child(3)').textContent()) ?? '');
  expect(anew).toBeLessThanOrEqual(once);
  await expect(page.getByRole('heading', { name: /^1\. .* of the cloth, folded/ })).toBeVisible();
  await second.getByRole('button', { name: 'Take folding 2 out' }).click();
  await expect(second).toHaveCount(0);
});

test('made again in another cloth: the amounts stay, and what to check stands on the plan', async ({ page }) => {
  await openMarit(page, 'toile');
  await page.getByRole('tab', { name: 'Make it again' }).click();
  await page.getByLabel('The new cloth').fill('Rust linen');
  await page.getByRole('button', { name: 'Make it again', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Made again from “Concert bodice”: check these' })).toBeVisible();
  await expect(page.getByText('it was Midnight wool crêpe')).toBeVisible();
  await expect(page.getByText('Your own amount').first()).toBeVisible();
  await page.getByRole('link', { name: 'Ample Draft' }).click();
  await expect(page.getByRole('link', { name: /Marit Quell.*Look over what to check again/s })).toBeVisible();
});
