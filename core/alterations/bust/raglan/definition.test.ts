import { describe, expect, it } from 'vitest';
import { pathLength } from '../../../geometry/index.ts';
import { requireEdge } from '../../../pattern/index.ts';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { walkSeam } from '../../../paper/truing/index.ts';
import { expectOk } from '../../../units/index.ts';
import { fullBustRaglan as fba } from './definition.ts';

const { pieces } = sampleIn('ebb', '4');
const ran = (values: Parameters<typeof runOn>[3]) => expectOk(runOn(fba, 'ebb', '4', values), JSON.stringify(values));

describe('a full bust on a raglan', () => {
  it('does not touch sleeve and back, and the raglan seams still meet', () => {
    for (const total of [-24, 16, 48]) {
      const r = ran({ total });
      expect(r.pieces.slice(1)).toEqual(pieces.slice(1));
      expect(r.pieces[2]).toBe(pieces[2]);
      for (const seam of r.seams.filter((s) => s.kind === 'raglan'))
        expect(Math.abs(walkSeam(r.pieces, seam).difference)).toBeLessThan(0.1);
    }
  });

  it('hinges on the raglan seam line at the share asked for', () => {
    const path = requireEdge(pieces[0]!, 'raglan').path;
    for (const hinge of [0.62, 0.78]) {
      const at = ran({ total: 20, hinge }).frames[0]!.pieces[0]!.points.find((p) => p.kind === 'hinge')!.at;
      const grip = ran({ total: 20, hinge }).grips.find((g) => g.id === 'hinge')!;
      expect(grip.at).toEqual(at);
      expect(grip.kind === 'along' ? pathLength(grip.path) : 0).toBeCloseTo(pathLength(path), 9);
    }
  });

  it('works through the dart it once made, in a second step', () => {
    const first = ran({ total: 30 });
    const second = expectOk(runOn(fba, 'ebb', '4', { total: 20 }, first), 'again');
    expect(second.pieces[0]!.darts).toHaveLength(1);
    expect(second.findings.filter((f) => f.grade === 'fault')).toEqual([]);
  });

  it('needs a raglan seam', () => {
    expect(codeOn(fba, 'causeway-shirt')).toBe('raglan-missing');
    expect(codeOn(fba, 'ebb', { total: 280 })).toBe('spread-beyond-reach');
  });
});
