import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { CATALOGUE } from '@ample/core/alterations';
import { GLOSSARY } from '@ample/core/words';
import { alterationDocs, glossaryPage } from './alteration-docs.ts';

const folder = new URL('../docs/alterations/', import.meta.url);

describe('the pages of the alterations', () => {
  const files = alterationDocs();

  it('stand in the docs as the definitions make them (npm run docs writes them)', () => {
    for (const { name, text } of files) {
      expect(existsSync(new URL(name, folder)), name).toBe(true);
      expect(readFileSync(new URL(name, folder), 'utf8'), name).toBe(text);
    }
    const there = [
      ...readdirSync(folder).filter((f) => f.endsWith('.md')),
      ...readdirSync(new URL('drawings/', folder)).map((f) => `drawings/${f}`),
    ];
    expect(there.sort()).toEqual(files.map((f) => f.name).sort());
  });

  it('show every example with a drawing, say every step, and leave nothing unsaid', () => {
    for (const d of CATALOGUE) {
      const page = files.find((f) => f.name === `${d.id}.md`)?.text ?? '';
      for (const e of d.examples) expect(page).toContain(`drawings/${d.id}-${e.name.replace(/[ ,]+/g, '-')}.svg`);
      expect(page).not.toMatch(/undefined|NaN|\[object/);
      expect(page.match(/^- \*\*/gm)?.length ?? 0).toBeGreaterThan(2);
    }
    for (const f of files.filter((x) => x.name.endsWith('.svg'))) expect(f.text).not.toMatch(/NaN|undefined|Infinity/);
  });

  it('come with the glossary that Help shows, in order of the alphabet, each term once', () => {
    const { name, text } = glossaryPage();
    expect(readFileSync(new URL(`../docs/${name}`, import.meta.url), 'utf8')).toBe(text);
    const terms = GLOSSARY.map((t) => t.term);
    expect(terms).toEqual([...new Set(terms)].sort((a, b) => a.localeCompare(b, 'en')));
  });

  it('are linked from the README', () => {
    expect(readFileSync(new URL('../README.md', import.meta.url), 'utf8')).toContain('docs/alterations/README.md');
  });
});
