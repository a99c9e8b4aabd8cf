import { describe, expect, it } from 'vitest';
import { draft } from '../../fitting/plan/index.ts';
import { samplePattern } from '../../blocks/index.ts';
import { JOB_VERSION, jobSchema } from '../../documents/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import { wearerWith } from '../wearers.ts';
import { chanceFrom } from './chance.ts';
import { searchDocuments } from './documents.ts';
import { mutateBytes, mutateDocument } from './mutate.ts';

describe('documents and files changed at random', () => {
  it.each([3, 1971])('are read or refused in a sentence, seed %i', async (seed) => {
    let left = 250;
    const { tally, broken } = await searchDocuments(seed, () => left-- <= 0);
    expect(broken.map((b) => [b.base, b.what, b.mutations])).toEqual([]);
    // Neither all refused nor all read: the changes are large enough to matter and small enough to pass.
    expect(tally.read).toBeGreaterThan(30);
    expect(tally.refused).toBeGreaterThan(30);
  });

  it('are changed the same way by the same seed, and do change', () => {
    const document = { a: [1, { b: 'x' }], c: 4 };
    const changes = (seed: number) => {
      const chance = chanceFrom(seed);
      return Array.from({ length: 40 }, () => mutateDocument(chance, document)).map((m) => m.apply(document));
    };
    expect(changes(5)).toEqual(changes(5));
    expect(changes(5).filter((d) => JSON.stringify(d) !== JSON.stringify(document)).length).toBeGreaterThan(20);
    expect(document).toEqual({ a: [1, { b: 'x' }], c: 4 });
    const bytes = Uint8Array.from({ length: 64 }, (_, i) => i);
    const chance = chanceFrom(5);
    for (let i = 0; i < 40; i++) mutateBytes(chance, bytes).apply(bytes);
    expect([...bytes.slice(0, 3)]).toEqual([0, 1, 2]);
  });
});

/** Found by the search: a pattern carried in a job was drafted without being looked at, and the draft broke. */
describe('a job that carries a broken pattern', () => {
  const sound = samplePattern('causeway-side', ['4']);
  const job = jobSchema.parse({
    format: 'ample-draft/job',
    version: JOB_VERSION,
    id: 'j',
    wearer: { id: 'w' },
    pattern: { id: 'own' },
    steps: [],
  });
  const refusalOn = (pattern: Pattern) =>
    draft({ job, wearer: wearerWith({ highBust: 872, fullBust: 968, waist: 751, hip: 1025 }), pattern }).refusal;
  it('is told which edge of which seam stands twice', () => {
    const [first, ...rest] = sound.seams;
    const twice = { ...first!, second: { ...first!.second, edges: [...first!.second.edges, ...first!.second.edges] } };
    expect(refusalOn({ ...sound, seams: [twice, ...rest] })).toMatchObject({
      code: 'pattern-invalid',
      data: { problem: 'seam-edge-repeated', edge: first!.second.edges[0] },
    });
  });
  it('is told which edge is gone', () => {
    const [piece, ...others] = sound.sizes['4']!;
    const less = { ...piece!, edges: piece!.edges.slice(1) };
    expect(refusalOn({ ...sound, sizes: { '4': [less, ...others] } })).toMatchObject({ code: 'pattern-invalid' });
  });
  it('and drafts a sound one as before', () => {
    expect(refusalOn(sound)).toBeNull();
  });
});
