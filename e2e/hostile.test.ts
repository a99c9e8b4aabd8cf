import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import type { Browser, Page } from '@playwright/test';
import { expect, test } from './app.ts';

const folder = mkdtempSync(join(tmpdir(), 'ample-hostile-'));
const at = (name: string): string => join(folder, name);
const write = (name: string, data: string | Uint8Array): string => {
  writeFileSync(at(name), data);
  return at(name);
};
const run = (program: string, ...args: string[]) => execFileSync(program, args);
const svg = (inside: string, more = 'width="400mm" viewBox="0 0 400 400"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${more}>${inside}</svg>`;
/** Lines of DXF tags. */
const dxf = (...tags: readonly (readonly [number, string | number])[]): string =>
  tags.map(([code, value]) => `${code}\n${value}\n`).join('');
const PIECE = 'M20 20H220L260 120L240 320H20Z';

async function pdf(draw: (doc: InstanceType<typeof PDFDocument>) => void, options = {}): Promise<Buffer> {
  const doc = new PDFDocument({ size: [600, 800], margin: 0, ...options });
  const chunks: Buffer[] = [];
  doc.on('data', (c: Buffer) => chunks.push(c));
  const done = new Promise<void>((resolve) => doc.on('end', () => resolve()));
  draw(doc);
  doc.end();
  await done;
  return Buffer.concat(chunks);
}

/** Memory of the pages of a browser, MB. */
async function memory(browser: Browser): Promise<number> {
  const session = await browser.newBrowserCDPSession();
  const { processInfo } = await session.send('SystemInfo.getProcessInfo');
  await session.detach();
  return processInfo
    .filter((p) => p.type === 'renderer')
    .reduce((sum, p) => {
      try {
        return sum + Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${p.id}/status`, 'utf8'))?.[1] ?? 0) / 1024;
      } catch {
        return sum;
      }
    }, 0);
}

async function openBring(page: Page): Promise<void> {
  await page.goto('/job/marit-causeway/bring');
  await expect(page.getByRole('heading', { name: 'Import pieces' })).toBeVisible();
}

/** A file, and what is said of it: a refusal, or a repair beside the outlines that were found. */
type Case = readonly [name: string, make: () => string | Promise<string>, says: RegExp, outlines?: number];

const MANY = 1_000_000;
const CASES: readonly Case[] = [
  [
    'a PDF locked by another program',
    async () => {
      const plain = write('plain.pdf', await pdf((d) => d.path(PIECE).stroke()));
      run('qpdf', '--encrypt', 'secret', 'owner', '256', '--', plain, at('locked.pdf'));
      return at('locked.pdf');
    },
    /locked with a password/,
  ],
  [
    'a PDF cut off in the middle',
    async () => write('cut.pdf', (await pdf((d) => d.path(PIECE).stroke())).subarray(0, 500)),
    /damaged|no line/,
  ],
  [
    'a million bits of line in a PDF',
    async () => write('many.pdf', await pdf((d) => d.addContent(`0 0 m ${'1 1 l 2 0 l '.repeat(MANY / 2)}S`))),
    /more than any pattern|more than a pattern does/,
  ],
  [
    'a million bits of line in an SVG',
    () => write('many.svg', svg(`<path d="M0 0${'l1 1'.repeat(MANY)}"/>`)),
    /more than any pattern/,
  ],
  [
    'a million bits of line in a DXF',
    () => {
      const line = dxf([0, 'LINE'], [8, '1'], [10, 0], [20, 0], [11, 9], [21, 9]);
      return write(
        'many.dxf',
        dxf([0, 'SECTION'], [2, 'ENTITIES']) + line.repeat(MANY) + dxf([0, 'ENDSEC'], [0, 'EOF']),
      );
    },
    /more than any pattern|larger|MB/,
  ],
  [
    'references into references',
    () =>
      write(
        'use.svg',
        svg(
          `<path d="${PIECE}"/>` +
            Array.from({ length: 40 }, (_, i) => `<g id="g${i}">${`<use href="#g${i + 1}"/>`.repeat(10)}</g>`).join(
              '',
            ) +
            '<g id="g40"><path d="M0 0H9"/></g><use href="#g0"/>',
        ),
      ),
    /followed only so far/,
    1,
  ],
  [
    'abbreviations that swell',
    () =>
      write(
        'entities.svg',
        `<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa">${'bcdefgh'
          .split('')
          .map((c, i) => `<!ENTITY ${c} "${`&${'abcdefg'[i]};`.repeat(10)}">`)
          .join('')}]>${svg('<text>&h;</text>')}`,
      ),
    /abbreviations of its own/,
  ],
  [
    'scripts, foreign content and addresses outside',
    () =>
      write(
        'active.svg',
        svg(
          `<script>document.title="taken"</script><foreignObject><img src="https://example.invalid/x.png" onerror="document.title='taken'"/></foreignObject><image href="https://example.invalid/a.png"/><a href="javascript:alert(1)"><path d="${PIECE}" onclick="alert(1)"/></a>`,
        ),
      ),
    /nothing of it was run/,
    1,
  ],
  [
    'fifty thousand crumbs about a piece',
    () => {
      const crumb = (i: number): string =>
        `<path d="M0 0L${(300 * Math.cos(i)).toFixed(2)} ${(300 * Math.sin(i)).toFixed(2)}"/>`;
      return write(
        'crumbs.svg',
        svg(Array.from({ length: 50_000 }, (_, i) => crumb(i)).join('') + `<path d="${PIECE}"/>`),
      );
    },
    /more lines than can be drawn at once/,
    1,
  ],
  [
    'numbers that are none',
    () => write('nan.svg', svg(`<path d="${PIECE}"/><path d="M0 NaNL5 5"/><path d="M0 0L1e999 5"/>`)),
    /number that is none/,
    1,
  ],
  [
    'a drawing of no size',
    () => write('zero.svg', svg('<path d="M5 5L5 5Z"/>', 'width="0" height="0" viewBox="0 0 0 0"')),
    /no line/,
  ],
  [
    'an exchange file without an end',
    () =>
      write(
        'open.dxf',
        dxf([0, 'SECTION'], [2, 'ENTITIES'], [0, 'POLYLINE'], [8, '1'], [66, 1], [70, 1]) +
          [
            [0, 0],
            [250, 0],
            [260, 400],
            [0, 400],
          ]
            .map(([x, y]) => dxf([0, 'VERTEX'], [8, '1'], [10, x as number], [20, y as number]))
            .join(''),
      ),
    /no end mark/,
    1,
  ],
];

/** A tab that has said nothing by then hangs, however busy the machine is, ms. Ten seconds are usual on an idle one. */
const GIVEN_UP = 60_000;

for (const [name, make, says, outlines] of CASES)
  test(`${name}: said in a sentence within 500 MB, and the tab goes on`, async ({ page, browser }) => {
    const file = await make();
    await openBring(page);
    const before = await memory(browser);
    let most = before;
    const watch = setInterval(
      () =>
        void memory(browser).then(
          (m) => (most = Math.max(most, m)),
          () => undefined,
        ),
      100,
    );
    const begun = Date.now();
    await page.getByLabel('A PDF, SVG or DXF file').setInputFiles(file);
    await expect(page.getByText(says).first()).toBeVisible({ timeout: GIVEN_UP });
    const seconds = (Date.now() - begun) / 1000;
    clearInterval(watch);
    test
      .info()
      .annotations.push({ type: 'measured', description: `${seconds.toFixed(1)} s, ${(most - before).toFixed(0)} MB` });
    if (process.env['SHOW_MEASURES'])
      process.stdout.write(`   ${name}: ${seconds.toFixed(1)} s, ${(most - before).toFixed(0)} MB\n`);
    expect(most - before).toBeLessThan(500);
    if (outlines !== undefined)
      await expect(page.getByRole('list', { name: 'Outlines found' }).getByRole('button')).toHaveCount(outlines);
    await expect(page).not.toHaveTitle('taken');
    // The same tab opens a sound file next.
    await page
      .getByLabel('A PDF, SVG or DXF file')
      .setInputFiles(write(`sound ${outlines ?? 0}.svg`, svg(`<path d="${PIECE}"/>`)));
    await expect(page.getByRole('list', { name: 'Outlines found' }).getByRole('button')).toHaveCount(1);
  });

test('two hundred megabytes are refused before they are read', async ({ page }) => {
  await openBring(page);
  // Made in the page: what is tested is that nothing of it is read.
  await page.getByLabel('A PDF, SVG or DXF file').evaluate((input: HTMLInputElement) => {
    const part = new Uint8Array(1e6).fill(32);
    const head = new TextEncoder().encode('%PDF-1.7\n');
    const files = new DataTransfer();
    files.items.add(new File([head, ...Array.from({ length: 200 }, () => part)], 'huge.pdf'));
    input.files = files.files;
    input.dispatchEvent(new Event('change', { bubbles: true }));
  });
  await expect(page.getByRole('alert')).toContainText(/The file is 2\d\d MB/);
});

test('inches taken for millimetres are doubted, and put right with one choice', async ({ page }) => {
  await openBring(page);
  // A front of 10.2 by 15.7 inches, its numbers called millimetres.
  const file = write(
    'inches.svg',
    svg('<path d="M0.8 0.8H8.6L10.2 4.7L9.4 15.7H0.8Z"/>', 'width="16mm" height="16mm" viewBox="0 0 16 16"'),
  );
  await page.getByLabel('A PDF, SVG or DXF file').setInputFiles(file);
  await expect(page.getByText(/inches/).first()).toBeVisible();
  await page.getByRole('combobox').filter({ hasText: 'points, 72 to the inch' }).selectOption('in');
  const outline = page.getByRole('list', { name: 'Outlines found' }).getByRole('button');
  await expect(outline).toContainText('23.9 × 37.8 cm');
});

test('an outline that crosses itself is not taken for a piece', async ({ page }) => {
  await openBring(page);
  const file = write('crossed.svg', svg('<path d="M20 20L260 320L260 20L20 320Z"/>'));
  await page.getByLabel('A PDF, SVG or DXF file').setInputFiles(file);
  const found = page.getByRole('list', { name: 'Outlines found' }).getByRole('button');
  if ((await found.count()) > 0) {
    await found.first().click();
    await expect(page.getByText(/It cannot be taken as it is/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Add it to the pattern' })).toBeDisabled();
  } else await expect(page.getByText(/crosses itself|No closed outline/)).toBeVisible();
});

test('a scan in a PDF is traced as a picture at the size of its page', async ({ page }) => {
  const drawn = write('drawn.pdf', await pdf((d) => d.lineWidth(3).path('M100 100H400V500H100Z').stroke()));
  run('pdftoppm', '-r', '120', '-png', '-singlefile', drawn, at('scan'));
  const scan = await pdf((d) => d.image(at('scan.png'), 0, 0, { width: 600, height: 800 }));
  await openBring(page);
  await page.getByLabel('A PDF, SVG or DXF file').setInputFiles(write('scan.pdf', scan));
  await expect(page.getByRole('alert')).toContainText('holds a picture only');
  await page.getByRole('button', { name: 'Trace its pages as pictures' }).click();
  await expect(page.getByText('The page itself is taken as known')).toBeVisible();
  // 600 points are 211.7 mm.
  await expect(page.getByLabel('Across')).toHaveValue('21.2');
  await page.getByRole('button', { name: 'Lay it flat' }).click();
  const picture = page.getByRole('application', { name: 'The picture laid flat' });
  await expect(picture).toBeVisible();
  const box = await picture.boundingBox();
  const transform = (await picture.locator('> g').getAttribute('transform')) ?? '';
  const [x = 0, y = 0, k = 1] = [...transform.matchAll(/-?[\d.]+(?:e-?\d+)?/g)].map(Number);
  for (const [px, py] of [
    [100, 100],
    [400, 100],
    [400, 500],
    [100, 500],
  ] as const)
    await page.mouse.click((box?.x ?? 0) + x + ((px * 25.4) / 72) * k, (box?.y ?? 0) + y + ((py * 25.4) / 72) * k);
  await page.getByRole('button', { name: 'Follow the edges' }).click();
  // 300 by 400 points: 105.8 by 141.1 mm, give or take the width of the line.
  const said = page
    .getByRole('region', { name: 'Pieces drawn so far' })
    .getByText(/across and/)
    .first();
  await expect(said).toBeVisible();
  const [across = 0, down = 0] = [...((await said.textContent()) ?? '').matchAll(/([\d.]+) cm/g)].map((m) =>
    Number(m[1]),
  );
  expect(Math.abs(across - 10.58)).toBeLessThan(0.15);
  expect(Math.abs(down - 14.11)).toBeLessThan(0.15);
});
