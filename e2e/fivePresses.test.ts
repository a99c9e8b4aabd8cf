import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { draftSample, type SampleId } from '@ample/core/blocks';
import type { Pattern, Piece } from '@ample/core/pattern';
import { PIECE_WORDS } from '@ample/core/words';
import type { Page } from '@playwright/test';
import {
  differences,
  draftedNest,
  PLAIN,
  printAtHome,
  sheetOf,
  type Making,
} from '../core/testing/printAtHome/index.ts';
import { expect, storedJob, test } from './app.ts';

const folder = mkdtempSync(join(tmpdir(), 'ample-five-'));
/** A pattern as one buys it, of another program: three sizes nested, printed at home. */
function bought(
  sample: SampleId,
  making: Partial<Making>,
  titles: Readonly<Record<string, string>> = PIECE_WORDS,
): string {
  const pieces = draftSample(sample, '4');
  const sheet = sheetOf(
    sample,
    pieces.map((p, i) => [
      p.id,
      [
        titles[p.part] ?? '7',
        ...(i === 0 ? ['Size 36 38 40', 'Seam allowance 1 cm included'] : []),
        p.fold ? 'cut 1 on fold' : 'cut 2',
      ],
    ]),
  );
  const file = join(folder, `${sample}-${Object.keys(making).join('-')}.pdf`);
  writeFileSync(file, printAtHome(sheet, { ...PLAIN, ...making }));
  return file;
}

async function openBring(page: Page): Promise<void> {
  await page.goto('/job/marit-causeway/bring');
  await expect(page.getByRole('heading', { name: 'Import pieces' })).toBeVisible();
}
const patternIn = async (page: Page): Promise<Pattern> =>
  ((await storedJob(page)) as unknown as { pattern: Pattern }).pattern;
const cards = (page: Page) => page.getByRole('list', { name: 'Pieces as they were read' }).getByRole('listitem');
const right = (page: Page) => page.getByRole('button', { name: /pieces? (are|is) right/ });

for (const [name, making] of [
  ['one large sheet', {}],
  ['cut at the frame of A4, pages over each other by 10 mm', { page: 'a4', cut: true, overlap: 10 }],
] as const)
  test(`five presses from the file to the mat: ${name}`, async ({ page }) => {
    await openBring(page);
    let presses = 0;
    const press = async (act: () => Promise<void>): Promise<void> => {
      presses++;
      await act();
    };
    await press(() => page.getByLabel('A PDF, SVG or DXF file').setInputFiles(bought('causeway', making)));
    await press(() => page.getByRole('button', { name: '38', exact: true }).click());
    await expect(cards(page)).toHaveCount(8);
    await expect(page.getByText('No questions are open.')).toBeVisible();
    await press(() => right(page).click());
    await expect(page.getByRole('table', { name: 'Seams' }).getByText('walks').first()).toBeVisible();
    await press(() => page.getByRole('button', { name: 'The seams are right' }).click());
    await press(() => page.getByRole('button', { name: 'Take 8 pieces in 3 sizes into the pattern' }).click());
    await expect(page.getByRole('region', { name: 'In the pattern' })).toBeVisible();
    expect(presses).toBe(5);
    await expect.poll(async () => Object.keys((await patternIn(page)).sizes ?? {}).sort()).toEqual(['36', '38', '40']);
    const { sizes } = await patternIn(page);
    for (const p of draftSample('causeway', '4')) {
      const drawn = draftedNest('causeway', p.id)[1]?.[1] as Piece;
      const got = sizes['38']?.find((x) => x.part === p.part) as Piece;
      expect(differences(drawn, got), p.id).toEqual([]);
    }
  });

/** What the browser keeps of the import, as JSON. */
const keptStanding = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string>((resolve, reject) => {
        const open = indexedDB.open('ample-draft');
        open.onerror = () => reject(new Error('no database'));
        open.onsuccess = () => {
          const get = open.result.transaction('sheet').objectStore('sheet').get('standing');
          get.onsuccess = () => resolve(JSON.stringify(get.result ?? null));
        };
      }),
  );

test('what is doubtful stands first, is answered with one click, and taken back with one key', async ({ page }) => {
  await openBring(page);
  const file = bought('causeway-side', { sizesBy: 'same' }, { front: 'Front' });
  await page.getByLabel('A PDF, SVG or DXF file').setInputFiles(file);
  await page.getByRole('button', { name: '40', exact: true }).click();
  await expect(cards(page)).toHaveCount(2);
  const first = cards(page).first();
  await expect(first.getByText('please look')).toBeVisible();
  await expect(first.getByText('Which piece is this?')).toBeVisible();
  await expect(page.getByRole('button', { name: 'This piece is right' })).toBeVisible();
  await first.getByLabel('This piece is the').selectOption('back');
  await expect(page.getByText('Which piece is this?')).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Which piece is this?')).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByText('Which piece is this?')).toBeHidden();
  // By hand, with every tool there is, and back among the others.
  await page.getByRole('listitem', { name: 'Front' }).getByRole('button', { name: 'Correct it' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Bodice front');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Put it back with the others' }).click();
  await expect(page.getByRole('listitem', { name: 'Bodice front' })).toHaveCount(1);
  // After a reload one stands where one stood.
  await expect
    .poll(() => keptStanding(page), { message: 'what was done is written down' })
    .toContain('"name":"Bodice front"');
  await page.reload();
  await expect(cards(page)).toHaveCount(2);
  await expect(page.getByRole('listitem', { name: 'Bodice front' })).toHaveCount(1);
  await expect(page.getByText('Which piece is this?')).toBeHidden();
});
