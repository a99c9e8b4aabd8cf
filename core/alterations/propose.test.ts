import { describe, expect, it } from 'vitest';
import { draftSample, SAMPLE_IDS } from '../blocks/index.ts';
import { mirrorPiece } from '../pattern/index.ts';
import { CATALOGUE, GUARD_REFUSALS, propose, runAlteration } from './index.ts';

const best = (id: (typeof SAMPLE_IDS)[number]) => propose(draftSample(id, '4'), 'bust')[0];

describe('which alteration suits a pattern', () => {
  it.each([
    ['causeway', 'full-bust-side-dart'],
    ['causeway-side', 'full-bust-side-dart'],
    ['causeway-waist', 'full-bust-waist-dart'],
    ['causeway-french', 'full-bust-french-dart'],
    ['causeway-shoulder', 'full-bust-shoulder-dart'],
    ['causeway-neck', 'full-bust-neck-dart'],
    ['causeway-armhole', 'full-bust-armhole-dart'],
    ['causeway-shirt', 'full-bust-no-dart'],
    ['causeway-cut-on', 'full-bust-cut-on-sleeve'],
    ['ebb', 'full-bust-raglan'],
    ['skerry-armhole', 'full-bust-princess-armhole'],
    ['skerry-shoulder', 'full-bust-princess-shoulder'],
  ] as const)('%s: %s, and only that one is proposed', (id, wanted) => {
    expect(best(id)).toMatchObject({ id: wanted, grade: 'best' });
    expect(propose(draftSample(id, '4'), 'bust').filter((p) => p.grade === 'best')).toHaveLength(1);
  });

  it('is the same for a front that lies the other way round', () => {
    for (const id of SAMPLE_IDS) {
      const mirrored = draftSample(id, '4').map((p) => mirrorPiece(p));
      expect(propose(mirrored, 'bust')[0]?.id).toBe(best(id)?.id);
    }
  });

  it('offers nothing where there is no front, and says so', () => {
    for (const p of propose([], 'bust')) expect(p).toMatchObject({ grade: 'no', why: { code: 'front-not-found' } });
  });

  it('never offers what then cannot be carried out', () => {
    for (const id of SAMPLE_IDS) {
      const pieces = draftSample(id, '5');
      for (const family of ['bust', 'dart'] as const)
        for (const p of propose(pieces, family).filter((x) => x.grade !== 'no')) {
          const d = CATALOGUE.find((x) => x.id === p.id)!;
          const whose = d.params.some((x) => x.key === 'whose') ? { whose: 'pattern' } : {};
          const r = runAlteration(d, { pieces, seams: [], original: pieces, originalSeams: [], wearer: {} }, whose);
          // What hangs on an amount or a place may still be refused, in words that say how to go on.
          if (!r.ok)
            expect([
              ...GUARD_REFUSALS,
              'dart-too-narrow-to-cut',
              'no-such-seam',
              'rotation-same-place',
              'box-needs-side-dart',
              'no-room-to-slide',
              'dart-cannot-give',
              'no-such-dart',
              'no-room-to-split',
            ]).toContain(r.error.code);
        }
    }
  });
});

describe('on a front that lies the other way round', () => {
  it('every bust alteration comes to the mirror image', () => {
    for (const d of CATALOGUE.filter((x) => x.family === 'bust')) {
      const example = d.examples[0]!;
      const pieces = draftSample(example.on as (typeof SAMPLE_IDS)[number], '4');
      const mirrored = pieces.map((p) => mirrorPiece(p));
      const whose = d.params.some((x) => x.key === 'whose') ? { whose: 'pattern' } : {};
      const run = (all: typeof pieces) => {
        const r = runAlteration(
          d,
          { pieces: all, seams: [], original: all, originalSeams: [], wearer: {} },
          { ...example.values, ...whose },
        );
        if (!r.ok) throw new Error(`${d.id}: ${r.error.code}`);
        return r.value;
      };
      const [a, b] = [run(pieces), run(mirrored)];
      for (const [i, change] of a.changes.entries()) {
        const other = b.changes[i]!;
        expect(other.piece).toBe(change.piece);
        expect(other.inserted, d.id).toBeCloseTo(change.inserted, 4);
        for (const [edge, l] of Object.entries(change.lengths))
          if (other.lengths[edge] && !/ 2$/.test(edge) && !change.lengths[`${edge} 2`])
            expect(other.lengths[edge].after, `${d.id} ${edge}`).toBeCloseTo(l.after, 3);
        const intakes = (darts: readonly { intake: number }[]) => darts.map((x) => x.intake).sort((x, y) => x - y);
        intakes(other.darts).forEach((v, k) => expect(v, d.id).toBeCloseTo(intakes(change.darts)[k]!, 3));
      }
    }
  });
});
