import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import { draftSample, samplePattern } from '@ample/core/blocks';
import { drawPiece, pageMap, pathData } from '@ample/core/out';
import { writePdf, type PdfConstructor } from '@ample/core/out/pdf';
import { boundsOf, flatten, mapPath } from '@ample/core/geometry';
import { outlineOf, type Pattern, type Piece } from '@ample/core/pattern';
import type { Page } from '@playwright/test';
import { linesOf } from '../core/testing/drawn.ts';
import { expect, storedJob, test } from './app.ts';

const find = createRequire(import.meta.url).resolve;
const font = (weight: number): Uint8Array =>
  new Uint8Array(
    readFileSync(find(`@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-${weight}-normal.woff`)),
  );
const folder = mkdtempSync(join(tmpdir(), 'ample-bring-'));
const drafted = draftSample('causeway', '5');
const pieceOf = (id: string): Piece => drafted.find((p) => p.id === id) as Piece;

async function tiledPdf(): Promise<string> {
  const bytes = await writePdf(PDFDocument as unknown as PdfConstructor, {
    map: pageMap(drafted, 'a4'),
    label: { wearer: 'Marit Quell', pattern: 'Landing', size: '5', date: '2026-11-24', changes: {} },
    original: [],
    notes: [],
    fonts: { text: font(400), bold: font(700) },
  });
  const file = join(folder, 'landing.pdf');
  writeFileSync(file, bytes);
  return file;
}

async function openBring(page: Page): Promise<void> {
  await page.goto('/job/marit-causeway/bring');
  await expect(page.getByRole('heading', { name: 'Import pieces' })).toBeVisible();
}
const choose = (page: Page, file: string | { name: string; mimeType: string; buffer: Buffer }) =>
  page.getByLabel('A PDF, SVG or DXF file').setInputFiles(file as never);
const pick = (page: Page, name: string) =>
  page.getByRole('list', { name: 'Outlines found' }).getByRole('button').filter({ hasText: name }).first().click();
const take = (page: Page) => page.getByRole('button', { name: 'Add it to the pattern' }).click();
const patternIn = async (page: Page): Promise<Pattern> =>
  ((await storedJob(page)) as unknown as { pattern: Pattern }).pattern;

test('a tiled PDF becomes a pattern, is altered for a full bust, and is printed again', async ({ page }) => {
  await openBring(page);
  await choose(page, await tiledPdf());
  await expect(page.getByText('laid together by the lines that two of them show')).toBeVisible();
  await expect(page.getByText(/100\.00 mm.*the scale is true/)).toBeVisible();
  for (const name of ['Bodice front', 'Bodice back']) {
    await pick(page, name);
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
    await expect(page.getByLabel('Size', { exact: true })).toHaveValue('5');
    await take(page);
  }
  const taken = page.getByRole('region', { name: 'In the pattern' });
  await expect(taken.getByText('side', { exact: true })).toBeVisible();
  await expect(taken.getByText('walks').first()).toBeVisible();
  await expect.poll(async () => (await patternIn(page)).seams?.length).toBe(2);
  const { sizes } = await patternIn(page);
  const front = sizes['5']?.find((p) => p.part === 'front') as Piece;
  expect(front.darts).toHaveLength(2);
  expect(front.fold).toBe('centreFront');
  expect(front.marks.some((m) => m.kind === 'bustPoint')).toBe(true);
  // Out by its allowance and in again: the seam line is where it was drafted.
  const b = boundsOf(flatten(outlineOf(front), 0.1));
  const was = boundsOf(flatten(outlineOf(pieceOf('front')), 0.1));
  expect(b.maxX - b.minX).toBeCloseTo(was.maxX - was.minX, 1);
  expect(b.maxY - b.minY).toBeCloseTo(was.maxY - was.minY, 1);

  await page.getByRole('link', { name: 'Go on with the pattern' }).click();
  await page.getByRole('link', { name: /Plan/ }).click();
  await expect(page.getByRole('heading', { name: 'Full bust, with a side dart' }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Open the table' }).click();
  for (let i = 0; i < 3; i++) await page.keyboard.press('n');
  await page.getByRole('link', { name: /Print/ }).click();
  await page.getByRole('radio', { name: /Roll/ }).check();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: /^PDF/ }).click();
  const file = join(folder, 'altered.pdf');
  await (await waiting).saveAs(file);
  expect(execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })).toMatch(
    /Bodice front[\s\S]*Full bust/,
  );
  const info = execFileSync('pdfinfo', ['-f', '2', '-l', '2', file], { encoding: 'utf8' });
  // 914.4 mm is 2592 points exactly.
  expect(Number(/Page\s+2 size:\s+([\d.]+)/.exec(info)?.[1])).toBeCloseTo(2592, 1);
});

test('a nest of three sizes is taken at once, and the plan can grade between them', async ({ page }) => {
  const colours = { '4': '#aa0000', '5': '#00aa00', '6': '#0000aa' };
  const pattern = samplePattern('causeway', ['4', '5', '6']);
  // Front and back beside each other, each size in its colour, as a drawing program would save them.
  const drawn = Object.entries(colours).flatMap(([size, colour]) =>
    ['front', 'back'].map((id, i) => {
      const piece = pattern.sizes[size]?.find((p) => p.id === id) as Piece;
      const lines = linesOf(piece).map((l) =>
        pathData(mapPath(l.path, (p) => ({ x: p.x + 60 + i * 500, y: p.y + 60 }))),
      );
      return `<path d="${lines.join('')}" fill="none" stroke="${colour}" stroke-width="0.4"/>`;
    }),
  );
  const file = join(folder, 'nest.svg');
  writeFileSync(
    file,
    `<svg xmlns="http://www.w3.org/2000/svg" width="900mm" height="700mm" viewBox="0 0 900 700">${drawn.join('')}</svg>`,
  );
  await openBring(page);
  await choose(page, file);
  const outlines = page.getByRole('list', { name: 'Outlines found' }).getByRole('button');
  await expect(outlines).toHaveCount(6);
  for (const part of ['front', 'back']) {
    // The middle size of each part: told by its width, to a millimetre.
    const { bounds } = drawPiece(pattern.sizes['5']?.find((p) => p.id === part) as Piece);
    const wide = ((bounds.maxX - bounds.minX) / 10).toFixed(1);
    const long = ((bounds.maxY - bounds.minY) / 10).toFixed(1);
    await outlines.filter({ hasText: `${wide} × ${long}` }).click();
    await page.getByLabel('This piece is the').selectOption(part);
    await page.getByLabel('Size', { exact: true }).first().fill('5');
    await page.keyboard.press('Enter');
    if (part === 'front')
      await page
        .getByRole('checkbox', { name: /lies on the fold/ })
        .last()
        .check();
    const others = page.getByRole('region', { name: 'Other sizes' });
    await expect(others.getByRole('listitem')).toHaveCount(2);
    for (const i of [0, 1]) {
      const row = others.getByRole('listitem').nth(i);
      const across = Number(/([\d.]+) ×/.exec(await row.innerText())?.[1]);
      await row.getByLabel('Size').fill(across < Number(wide) ? '4' : '6');
      await page.keyboard.press('Enter');
    }
    await others.getByRole('button', { name: 'Take it with 2 other sizes' }).click();
  }
  await expect
    .poll(async () =>
      Object.entries((await patternIn(page)).sizes)
        .map(([size, of]) => `${size}: ${of.length}`)
        .sort(),
    )
    .toEqual(['4: 2', '5: 2', '6: 2']);
  const taken = await patternIn(page);
  expect(taken.seams.map((s) => s.id).sort()).toEqual(['shoulder', 'side']);
  const ids = (size: string) => taken.sizes[size]?.map((p) => p.edges.map((e) => e.id).join());
  expect(ids('4')).toEqual(ids('6'));
});

test('files that hold no pattern are refused in a sentence, and the tab goes on', async ({ page }) => {
  await openBring(page);
  const alert = page.getByRole('alert');
  const file = (name: string, text: string) => ({
    name,
    mimeType: 'application/octet-stream',
    buffer: Buffer.from(text),
  });
  for (const [name, text, says] of [
    ['empty.svg', '', 'The file is empty'],
    ['notes.txt', 'hello', 'is none that pieces can be read from'],
    ['broken.pdf', '%PDF-1.7 nothing', 'This PDF is damaged'],
    [
      'bomb.svg',
      '<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><svg xmlns="http://www.w3.org/2000/svg"><text>&b;</text></svg>',
      'abbreviations of its own',
    ],
    ['page.svg', '<svg xmlns="http://www.w3.org/2000/svg"><text>words</text></svg>', 'There is no line in this file'],
  ] as const) {
    await choose(page, file(name, text));
    await expect(alert).toContainText(says);
  }
  const active =
    '<svg xmlns="http://www.w3.org/2000/svg" width="300mm" viewBox="0 0 300 300"><script>document.title="taken"</script><image href="https://example.invalid/a.png"/><path d="M0 0H200V250H0Z" stroke="#000"/></svg>';
  await choose(page, file('active.svg', active));
  await expect(page.getByText('nothing of it was run')).toBeVisible();
  await expect(page.getByText('nothing was fetched')).toBeVisible();
  await expect(page).not.toHaveTitle('taken');
  await expect(page.getByRole('list', { name: 'Outlines found' }).getByRole('button')).toHaveCount(1);
});
