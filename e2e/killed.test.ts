import type { Page } from '@playwright/test';
import { expect, test } from './app.ts';

/** The first worker of a kind breaks down as it begins, as one does that the system ends; later ones live. */
const breakFirst = (page: Page, kind: string) =>
  page.addInitScript((name) => {
    const Real = window.Worker;
    let broken = false;
    window.Worker = class extends Real {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(url, options);
        if (broken || !String(url).includes(`${name}.worker`)) return;
        broken = true;
        this.terminate();
        setTimeout(() => this.dispatchEvent(new ErrorEvent('error', { message: 'ended', cancelable: true })), 50);
      }
    };
  }, kind);
const PIECE = Buffer.from(
  '<svg xmlns="http://www.w3.org/2000/svg" width="400mm" viewBox="0 0 400 400"><path d="M20 20H220L260 120L240 320H20Z"/></svg>',
);

const KINDS: Readonly<Record<string, (page: Page) => Promise<void>>> = {
  pdf: async (page) => {
    await page.goto('/job/marit-causeway/print');
    const button = page.getByRole('button', { name: /^PDF/ });
    await expect(button).toBeVisible();
    await button.click();
    await expect(page.getByRole('alert')).toContainText(/could not be/);
    const waiting = page.waitForEvent('download');
    await button.click();
    expect((await waiting).suggestedFilename()).toMatch(/\.pdf$/);
  },
  read: async (page) => {
    await page.goto('/job/marit-causeway/bring');
    const file = { name: 'piece.svg', mimeType: 'image/svg+xml', buffer: PIECE };
    await page.getByLabel('A PDF, SVG or DXF file').setInputFiles(file);
    await expect(page.getByRole('alert')).toBeVisible();
    await page.getByLabel('A PDF, SVG or DXF file').setInputFiles(file);
    await expect(page.getByRole('list', { name: 'Outlines found' }).getByRole('button')).toHaveCount(1);
  },
  cloth: async (page) => {
    await page.goto('/job/marit-causeway/print');
    await page.getByRole('button', { name: 'Lay the pieces' }).click();
    await expect(page.getByText(/The pieces could not be laid/)).toBeVisible();
    await page.getByRole('button', { name: /Lay/ }).first().click();
    await expect(page.getByRole('img', { name: /pieces laid on the cloth/ })).toBeVisible();
  },
  bundle: async (page) => {
    await page.goto('/');
    const button = page.getByRole('button', { name: 'Export everything' });
    await button.click();
    await expect(page.getByRole('alert').last()).toBeVisible();
    const waiting = page.waitForEvent('download');
    await button.click();
    expect((await waiting).suggestedFilename()).toMatch(/\.ample$/);
  },
};
for (const [kind, goes] of Object.entries(KINDS))
  test(`the ${kind} worker ended by the system: a sentence, and the next try is answered`, async ({ page }) => {
    await breakFirst(page, kind);
    await goes(page);
  });
