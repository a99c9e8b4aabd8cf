import { describe, expect, it } from 'vitest';
import { samplePattern } from '../blocks/index.ts';
import { sayRefusal } from '../words/index.ts';
import { isPaper } from '../out/index.ts';
import { parseJson, readJob, readPattern, readWearer } from './read.ts';
import { JOB_VERSION } from './schema.ts';

const units = { unit: 'cm', fraction: 8 } as const;
const NAMES = ['__proto__', 'constructor', 'toString', 'valueOf', 'hasOwnProperty'] as const;
const json = (value: unknown): Record<string, never> => JSON.parse(JSON.stringify(value)) as Record<string, never>;
const pattern = () => json(samplePattern('causeway-side', ['4']));
const job = (more: object) => ({
  format: 'ample-draft/job',
  version: JOB_VERSION,
  id: 'j',
  wearer: { id: 'w' },
  pattern: { sample: 'causeway' },
  ...more,
});
const step = (id: string, values = '{}') =>
  `{"id":"${id}","alteration":"shoulder-slash","revision":1,"values":${values}}`;
/** What is said of a document that is refused; empty where it is read. */
const said = (result: ReturnType<typeof readJob> | ReturnType<typeof readPattern> | ReturnType<typeof readWearer>) =>
  result.ok ? '' : sayRefusal(result.error, units);

describe('a name that every object has of its own', () => {
  it.each(NAMES)('“%s” is refused as size, step, value, label, piece and edge, in a sentence', (name) => {
    const parsed = (text: string): unknown => {
      const read = parseJson(text);
      return read.ok ? read.value : null;
    };
    const whole = JSON.stringify(job({}));
    const withPart = (part: string): unknown => parsed(`${whole.slice(0, -1)},${part}}`);
    for (const part of [
      `"size":"${name}"`,
      `"steps":[${step(name)}]`,
      `"steps":[${step('s', `{"${name}":1}`)}]`,
      `"labels":{"${name}":"a word"}`,
    ]) {
      const read = readJob(withPart(part));
      // As a key this one is left out on reading, which is as well.
      if (name === '__proto__' && read.ok)
        expect([read.value.labels, read.value.steps[0]?.values ?? {}]).toEqual([{}, {}]);
      else expect(said(read), part).toMatch(/^The document is not right at “.*”: .*\.$/);
    }
    const renamed = (from: string): unknown => parsed(JSON.stringify(pattern()).replaceAll(`"${from}"`, `"${name}"`));
    for (const from of ['front', 'side']) expect(said(readPattern(renamed(from))), from).not.toBe('');
    expect(isPaper(name)).toBe(false);
  });
});

describe('a document that is not right', () => {
  it('is refused where an id stands twice: piece, edge, dart, mark, seam, step', () => {
    const twice = (of: string): unknown => {
      const p = pattern() as unknown as {
        sizes: Record<string, { edges: object[]; darts: object[]; marks: object[] }[]>;
        seams: object[];
      };
      const pieces = p.sizes['4']!;
      const lists: Record<string, object[]> = {
        piece: pieces,
        edge: pieces[0]!.edges,
        dart: pieces[0]!.darts,
        mark: pieces[0]!.marks,
        seam: p.seams,
      };
      lists[of]!.push(lists[of]![0]!);
      return p;
    };
    for (const of of ['piece', 'edge', 'dart', 'mark', 'seam'])
      expect(said(readPattern(twice(of))), of).toContain('have the same id');
    const steps = JSON.parse(`[${step('a')},${step('a')}]`) as unknown;
    expect(said(readJob(job({ steps })))).toContain('have the same id');
  });

  it('is refused before it is gone through, where it holds more than any of ours', () => {
    const labels = Object.fromEntries(Array.from({ length: 100_000 }, (_, i) => [`k${i}`, 'x']));
    expect(said(readJob(job({ labels })))).toContain('far more than any document of ours');
    const fine = pattern() as unknown as { sizes: Record<string, { edges: { path: { segments: object[] } }[] }[]> };
    for (const e of fine.sizes['4']![0]!.edges)
      e.path.segments = Array.from({ length: 400 }, () => e.path.segments[0]!);
    const edges = fine.sizes['4']![0]!.edges;
    while (edges.length < 12) edges.push({ ...edges[0]!, id: `more${edges.length}` } as never);
    expect(said(readPattern(fine))).toContain('at most 4000 bits of line');
  });

  it.each<[object, string]>([
    [{ due: '9999-99-99' }, 'there is no such day'],
    [{ due: '2026-02-30' }, 'there is no such day'],
    [{ due: '1 May' }, 'a date like 2026-11-23'],
    [{ size: 4 }, 'a text is needed'],
    [{ steps: 'none' }, 'a list is needed'],
    [{ steps: [{}] }, 'a text is needed, and nothing is there'],
    [{ order: 'upwards' }, 'one of these is needed: topDown, bustFirst'],
    [{ archived: 'no' }, 'true or false is needed'],
    [{ notes: 'x'.repeat(5000) }, 'no more than 4000 characters may stand there'],
  ])('is told what is wrong, case %#', (more, says) => {
    const text = said(readJob(job(more)));
    expect(text).toContain(says);
    expect(text).not.toMatch(/undefined|Invalid|expected|received/);
  });

  it('is refused where a name cannot be seen, and read on a day that there is', () => {
    const wearer = (name: string) => ({ format: 'ample-draft/wearer', version: 1, id: 'w', name });
    for (const name of ['\u200B', ' \u00AD ', '\uFEFF\u2060'])
      expect(said(readWearer(wearer(name)))).toContain('can be seen');
    expect(said(readWearer(wearer('Ylva \u200D')))).toBe('');
    expect(said(readJob(job({ due: '2028-02-29' })))).toBe('');
  });
});
