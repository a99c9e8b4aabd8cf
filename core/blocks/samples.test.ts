import { describe, expect, it } from 'vitest';
import {
  patternSchema,
  flatMeasure,
  validatePattern,
  edgesWithRole,
  bustPointOf,
  dartShape,
  type Piece,
} from '../pattern/index.ts';
import { distance, midpoint, pathLength } from '../geometry/index.ts';
import { checkPieces, walkSeam } from '../paper/truing/index.ts';
import { expectOk } from '../units/index.ts';
import { chartOf, SAMPLE_IDS, SAMPLE_SIZES, sampleName, samplePattern, type SampleId } from './index.ts';

const part = (pieces: readonly Piece[], name: Piece['part']): Piece => pieces.find((p) => p.part === name) as Piece;

describe.each(SAMPLE_IDS.map((id) => [id] as const))('%s', (id: SampleId) => {
  const pattern = samplePattern(id);
  it('is a sound document in eight sizes, the same every time', () => {
    expect(Object.keys(pattern.sizes)).toEqual([...SAMPLE_SIZES]);
    expect(validatePattern(pattern)).toEqual([]);
    expect(patternSchema.parse(pattern)).toEqual(pattern);
    expect(samplePattern(id, ['3']).sizes['3']).toEqual(pattern.sizes['3']);
  });

  it('passes the app’s own Check in every size', () => {
    for (const pieces of Object.values(pattern.sizes)) expect(checkPieces(pieces, pattern.seams).findings).toEqual([]);
  });

  it.skipIf(pattern.bustEase === null)(
    'measures at the bust what body and drafted ease make, to two centimetres, and grows with the size',
    () => {
      let last = 0;
      for (const size of SAMPLE_SIZES) {
        const body = chartOf(id).find((r) => r.size === size)!.body.fullBust!;
        const flat = expectOk(flatMeasure(pattern.sizes[size]!, 'bust'), 'bust');
        expect(Math.abs(flat - body - pattern.bustEase!)).toBeLessThan(30);
        expect(flat).toBeGreaterThan(last);
        last = flat;
      }
    },
  );

  it('walks every seam it names to a tenth of a millimetre or its tolerance', () => {
    for (const pieces of Object.values(pattern.sizes))
      for (const seam of pattern.seams) expect(Math.abs(walkSeam(pieces, seam).difference)).toBeLessThan(0.35);
  });
});

describe('the darts of the views', () => {
  it.each([
    ['causeway-waist', ['waist']],
    ['causeway-french', ['french']],
    ['causeway-shoulder', ['shoulder', 'waist']],
    ['causeway-neck', ['neck', 'waist']],
    ['causeway-armhole', ['armhole', 'waist']],
    ['causeway-side', ['side']],
    ['causeway-shirt', []],
    ['causeway-cut-on', []],
    ['ebb', []],
  ] as const)('%s has the darts its name says, all aimed at the bust point', (id, kinds) => {
    for (const pieces of Object.values(samplePattern(id).sizes)) {
      const front = part(pieces, 'front');
      expect(front.darts.map((d) => d.kind).sort()).toEqual([...kinds]);
      const p = bustPointOf(front)!;
      for (const d of front.darts) {
        const { start, end, tip } = dartShape(front, d);
        const m = midpoint(start, end);
        const aside = Math.abs((p.x - m.x) * (tip.y - m.y) - (p.y - m.y) * (tip.x - m.x)) / distance(tip, m);
        expect(aside).toBeLessThan(6);
      }
    }
  });

  it('princess panels share one seam, apex to apex', () => {
    for (const id of ['skerry-armhole', 'skerry-shoulder'] as const)
      for (const pieces of Object.values(samplePattern(id).sizes)) {
        expect(pieces.map((p) => p.part)).toEqual(['front', 'sideFront', 'sideBack', 'back']);
        const [a, b] = [part(pieces, 'front'), part(pieces, 'sideFront')].map((p) =>
          pathLength(edgesWithRole(p, 'princess')[0]!.path),
        );
        expect(Math.abs(a! - b!)).toBeLessThan(0.01);
      }
  });

  it('have names of our own house only', () => {
    expect(new Set(SAMPLE_IDS.map(sampleName)).size).toBe(SAMPLE_IDS.length);
    for (const id of SAMPLE_IDS)
      expect(sampleName(id)).toMatch(/^No\. (31 Causeway|44 Ebb|12 Skerry|57 Landing|63 Jetty|70 Quay|8 Skiff)/);
  });
});
