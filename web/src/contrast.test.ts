import { readFileSync } from 'node:fs';
import { COLOURS } from '@ample/core/out';
import { describe, expect, it } from 'vitest';

/** The colours of the design, by name, as the style sheet states them. */
const css = readFileSync(new URL('./styles.css', import.meta.url), 'utf8');
const TOKENS: Readonly<Record<string, string>> = Object.fromEntries(
  [...css.matchAll(/--color-(\w+): (#[0-9a-f]{6});/gi)].map((m) => [m[1] ?? '', m[2] ?? '']),
);
const colour = (name: string): string => {
  const found = TOKENS[name];
  if (!found) throw new Error(`no colour is called ${name}`);
  return found;
};

/** Relative luminance of an sRGB colour, WCAG 2.2. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const c = parseInt(hex.slice(i, i + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * (r ?? 0) + 0.7152 * (g ?? 0) + 0.0722 * (b ?? 0);
}
function contrast(one: string, other: string): number {
  const [light, dark] = [luminance(colour(one)), luminance(colour(other))].sort((a, b) => b - a);
  return ((light ?? 0) + 0.05) / ((dark ?? 0) + 0.05);
}

describe('colours', () => {
  it('are the same in the style sheet and in the drawings', () => {
    const drawn = Object.entries(COLOURS).map(([name, hex]) => [name, hex.toLowerCase()]);
    expect(TOKENS).toEqual(Object.fromEntries(drawn));
  });

  it('are measured as black on white, twenty-one to one', () => {
    expect(luminance('#ffffff')).toBeCloseTo(1, 6);
    expect((luminance('#ffffff') + 0.05) / (luminance('#000000') + 0.05)).toBeCloseTo(21, 6);
  });
  it.each([
    ['ink', 'page'],
    ['ink', 'white'],
    ['ink', 'tissue'],
    ['ink', 'insert'],
    ['ink', 'tape'],
    ['ink', 'ahead'],
    ['ink', 'ruled'],
    ['quiet', 'page'],
    ['quiet', 'white'],
    ['quiet', 'tissue'],
    ['quiet', 'ruled'],
    ['pencil', 'page'],
    ['pencil', 'white'],
    ['pencil', 'tissue'],
    ['carbon', 'page'],
    ['carbon', 'white'],
    ['white', 'ink'],
    ['white', 'carbon'],
    ['white', 'mat'],
    ['tissue', 'mat'],
  ])('%s on %s is read by weak eyes: 4.5 to one and more', (one, other) => {
    expect(contrast(one, other)).toBeGreaterThanOrEqual(4.5);
  });
  it.each([
    ['carbon', 'tissue'],
    ['pencil', 'tissue'],
    ['ink', 'tissue'],
    ['carbon', 'insert'],
    ['brass', 'white'],
    ['carbon', 'page'],
  ])('lines of %s on %s stand out: 3 to one and more', (one, other) => {
    expect(contrast(one, other)).toBeGreaterThanOrEqual(3);
  });
});
