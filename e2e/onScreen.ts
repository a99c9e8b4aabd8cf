import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** The station is there with all of its parts and letters: nothing more is on its way. */
export async function settled(page: Page): Promise<void> {
  await page.waitForLoadState('networkidle');
  await page.evaluate(async () => void (await document.fonts.ready));
}

/** Everything axe knows, no rule left out and nothing too slight to count. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map((v) => [v.id, v.nodes.map((n) => n.target.join(' '))])).toEqual([]);
}

/** What is wrong to the eye or the finger on the page as it stands, in words; nothing where all is well. */
export const seenWrong = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const LEAST_TEXT = 14.9;
    const LEAST_TARGET = 39.5;
    const seen = (e: Element): boolean => {
      const { width, height } = e.getBoundingClientRect();
      return (
        width > 0 && height > 0 && e.checkVisibility({ visibilityProperty: true }) && !e.closest('.sr-only, title')
      );
    };
    const name = (e: Element): string => {
      const labels = e instanceof HTMLInputElement ? (e.labels?.[0]?.textContent ?? '') : '';
      return `${e.tagName.toLowerCase()} “${(e.getAttribute('aria-label') ?? (labels || e.textContent || '')).trim().slice(0, 50)}”`;
    };
    const wrong: string[] = [];
    const say = (what: string): void => void (wrong.includes(what) || wrong.push(what));

    const targets =
      'button, a[href], input, select, textarea, summary, [role="tab"], [role="menuitem"], [role="switch"]';
    for (const e of document.querySelectorAll(targets)) {
      if (!seen(e) || e.closest('svg') || e.matches('[type="file"]')) continue;
      // A link or a term within a sentence is as high as its line; a box is pressed by its label too.
      if (e.matches('[data-term]') || (e.tagName === 'A' && getComputedStyle(e).display === 'inline')) continue;
      const pressed = e.matches('[type="checkbox"], [type="radio"]') ? (e.closest('label') ?? e) : e;
      const { width, height } = pressed.getBoundingClientRect();
      if (width < LEAST_TARGET || height < LEAST_TARGET)
        say(`target of ${Math.round(width)} × ${Math.round(height)} px: ${name(e)}`);
    }

    for (const e of document.querySelectorAll('body *')) {
      const own = [...e.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.textContent?.trim());
      if (!own || !seen(e)) continue;
      const matrix = e instanceof SVGGraphicsElement ? e.getScreenCTM() : null;
      const size = parseFloat(getComputedStyle(e).fontSize) * (matrix ? Math.hypot(matrix.b, matrix.d) : 1);
      if (size < LEAST_TEXT) say(`text of ${size.toFixed(1)} px: ${name(e)}`);
      if (e.closest('svg')) continue;
      const { overflowX, textOverflow } = getComputedStyle(e);
      if (overflowX !== 'visible' && textOverflow === 'ellipsis' && e.scrollWidth > e.clientWidth + 1)
        say(`cut off: ${name(e)}`);
      const range = document.createRange();
      range.selectNodeContents(e);
      const { left, right } = range.getBoundingClientRect();
      for (let p: Element | null = e; p; p = p.parentElement) {
        const over = getComputedStyle(p).overflowX;
        if (over === 'auto' || over === 'scroll') break;
        const box = p.getBoundingClientRect();
        if (over !== 'visible' && (right > box.right + 1 || left < box.left - 1)) {
          say(`cut off: ${name(e)}`);
          break;
        }
      }
    }
    const wide = document.documentElement.scrollWidth - window.innerWidth;
    if (wide > 0) say(`${wide} px run off the side`);
    return wrong;
  });
