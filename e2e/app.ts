import { test as base, expect, type Page } from '@playwright/test';

/** Every page of every test: no request may leave the machine, and nothing may go wrong unseen. */
export const test = base.extend<{ page: Page }>({
  page: async ({ page, baseURL }, use) => {
    const outside: string[] = [];
    const faults: string[] = [];
    page.on('request', (r) => {
      const url = r.url();
      if (!url.startsWith(baseURL ?? '') && !/^(blob|data):/.test(url)) outside.push(url);
    });
    page.on('pageerror', (e) => faults.push(e.message));
    page.on('console', (m) => {
      // The stand-in bureau refuses as bureaus do; the browser writes every refusal down.
      const refused = m.location().url.includes('/api/bureau/');
      // A test that takes a part of the app away says so.
      const missing =
        base.info().annotations.some((a) => a.type === 'part taken away') && /404|dynamically imported/.test(m.text());
      if (m.type() === 'error' && !refused && !missing && !/ERR_FILE_NOT_FOUND/.test(m.text())) faults.push(m.text());
    });
    await use(page);
    expect(outside, 'requests that left the machine').toEqual([]);
    expect(faults, 'errors in the page').toEqual([]);
  },
});
export { expect };

/** Seams of the whole Causeway: bodice, sleeve, skirt, facings and pocket. */
export const SEAMS = 12;
export const STATIONS = ['body', 'pattern', 'size', 'compare', 'plan', 'table', 'check', 'toile', 'print'] as const;

export async function openMarit(page: Page, station: string): Promise<void> {
  await page.goto(`/job/marit-causeway/${station}`);
  await expect(page.getByRole('link', { name: 'Ample Draft' })).toBeVisible();
  // The first draft waits for its worker, which a busy machine is slow to start.
  await expect(page.getByText('size 4').first()).toBeVisible({ timeout: 60_000 });
}

/** The job as the database holds it. */
export const storedJob = (page: Page, id = 'marit-causeway') =>
  page.evaluate(
    (key) =>
      new Promise<{ steps: { school: string; values: Record<string, unknown> }[]; size: string | null }>(
        (resolve, reject) => {
          const open = indexedDB.open('ample-draft');
          open.onerror = () => reject(new Error('no database'));
          open.onsuccess = () => {
            const get = open.result.transaction('jobs').objectStore('jobs').get(key);
            get.onsuccess = () => resolve(get.result as never);
          };
        },
      ),
    id,
  );

/** Where a handle's middle is on the screen. */
export async function middleOf(page: Page, name: string): Promise<{ x: number; y: number }> {
  const handle = page.getByRole('slider', { name, exact: true });
  // A draft that comes late on a busy machine moves the handle once more: it must lie still before it is taken hold of.
  let last = await handle.boundingBox();
  for (let still = 0; still < 3;) {
    await page.waitForTimeout(100);
    const now = await handle.boundingBox();
    still = now !== null && last !== null && now.x === last.x && now.y === last.y ? still + 1 : 0;
    last = now;
  }
  if (!last) throw new Error(`no handle "${name}" on the mat`);
  return { x: last.x + last.width / 2, y: last.y + last.height / 2 };
}
