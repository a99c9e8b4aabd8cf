import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium, type Page } from '@playwright/test';
import { samplePattern } from '@ample/core/blocks';
import { planStep } from '@ample/core/fitting/plan';
import { DEMO_WEARERS } from '@ample/samples';
import { CHROMIUM } from '../e2e/chromium.ts';
import { startServer } from './server.mjs';

/**
 * How evenly the mat is drawn while something is dragged for two seconds, with six pieces on it: the time between
 * frames, which at sixty a second is 16.7 ms. Run after a build; printed by `npm run bench`.
 */
const root = fileURLToPath(new URL('..', import.meta.url));
const LASTS = 2000;
/** Half a millisecond over the craft's figures: a display's clock is no finer. */
const BUDGET = { median: 16.7 + 0.5, late: 33 + 0.5 };

const skerry = samplePattern('skerry-armhole', ['4']);
const more = samplePattern('causeway', ['4']).sizes['4'] ?? [];
const six = [...(skerry.sizes['4'] ?? []), ...more.map((p) => ({ ...p, id: `${p.id}-other`, part: 'other' as const }))];
const job = {
  format: 'ample-draft/job',
  version: 4,
  id: 'frames',
  title: 'Six pieces',
  wearer: DEMO_WEARERS[0],
  pattern: { ...skerry, id: 'six', sizes: { '4': six } },
  size: '4',
  sizeMethod: 'highBust',
  steps: [{ ...planStep('bust', 'full-bust-princess-armhole', { total: 30 }) }],
  due: null,
  fabric: '',
  notes: '',
  demo: false,
};

const put = (page: Page): Promise<unknown> =>
  page.evaluate(`new Promise((resolve, reject) => {
    const open = indexedDB.open('ample-draft');
    open.onerror = () => reject(new Error('no database'));
    open.onsuccess = () => {
      const write = open.result.transaction('jobs', 'readwrite');
      write.objectStore('jobs').put(${JSON.stringify(job)});
      write.oncomplete = () => resolve();
    };
  })`);

/** Drags for two seconds to and fro and returns the times between frames, sorted. */
async function frames(page: Page, from: { x: number; y: number }, reach: number): Promise<readonly number[]> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  // As text: what is passed as a function is rewritten on its way here.
  await page.evaluate(
    'window.times = []; (times => requestAnimationFrame(function tick(t) { times.push(t); if (window.times === times) requestAnimationFrame(tick); }))(window.times)',
  );
  const begun = Date.now();
  for (let i = 0; Date.now() - begun < LASTS; i++) await page.mouse.move(from.x + Math.sin(i / 12) * reach, from.y);
  const times = await page.evaluate<number[]>('window.times');
  await page.mouse.up();
  return times
    .slice(1)
    .map((t, i) => t - (times[i] as number))
    .sort((a, b) => a - b);
}

if (!existsSync(join(root, 'web/dist/index.html')))
  throw new Error('bench-frames: expected a build; run npm run build first');
const server = await startServer();
const { base } = server;
const browser = await chromium.launch(CHROMIUM);
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(base);
  await page.getByText('Start my own').waitFor();
  await put(page);
  await page.goto(`${base}/job/frames/table`);
  await page.locator('[data-piece]').nth(5).waitFor();
  await page.keyboard.press('n');
  await page.keyboard.press('n');
  await page.waitForTimeout(800);
  const middle = async (selector: string) => {
    const box = await page.locator(selector).first().boundingBox();
    if (!box) throw new Error(`bench-frames: expected ${selector} on the mat`);
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  const gap = await frames(page, await middle('[data-handle="Gap"]'), 10);
  const piece = await frames(page, await middle('[data-piece="back-other"]'), 60);
  let over = 0;
  for (const [name, sorted] of [
    ['dragging a gap', gap],
    ['dragging a piece', piece],
  ] as const) {
    const median = sorted[Math.floor(sorted.length / 2)] as number;
    const late = sorted[Math.floor(sorted.length * 0.95)] as number;
    const good = median <= BUDGET.median && late <= BUDGET.late;
    if (!good) over += 1;
    process.stdout.write(
      `${name.padEnd(18)} six pieces, ${String(sorted.length).padStart(3)} frames: median ${median.toFixed(1)} ms, 95th ${late.toFixed(1)} ms  ${good ? 'within' : 'OVER'} 16.7 and 33\n`,
    );
  }
  process.exitCode = over === 0 ? 0 : 1;
} finally {
  await browser.close();
  await server.stop();
}
