import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { PDF_OPEN } from '@ample/core/in/readers';
import { main } from './main.ts';

describe('ample alter', () => {
  it('writes patches instead of pieces, and only the lines asked for', async () => {
    const out = mkdtempSync(join(tmpdir(), 'ample-patches-'));
    const pages = async (...flags: string[]): Promise<{ pages: number; text: string }> => {
      const done = await main(
        ['alter', 'samples/documents/marit-causeway.job.json', '--out', out, '--formats', 'pdf', ...flags],
        '2026-11-27',
      );
      expect(done.code).toBe(0);
      const data = new Uint8Array(readFileSync(join(out, 'pattern.pdf')));
      const document = await getDocument({ data, ...PDF_OPEN }).promise;
      const layers = [
        ...((await document.getOptionalContentConfig()) as unknown as Iterable<[string, { name: string }]>),
      ];
      return {
        pages: document.numPages,
        text: layers
          .map(([, l]) => l.name)
          .sort()
          .join(),
      };
    };
    const whole = await pages();
    const patches = await pages('--patches', '--lines', 'cutting,added,patch');
    expect(patches.pages).toBeLessThan(whole.pages / 2);
    expect(patches.text).toBe('Added paper,Cutting line,Edge of the patch');
    expect(whole.text).toBe('Cutting line,Darts and marks,Seam line,Untouched piece,Words');
    expect(
      (await main(['alter', 'samples/documents/marit-causeway.job.json', '--lines', 'glitter'], '2026-11-27')).code,
    ).toBe(2);
  });
});
