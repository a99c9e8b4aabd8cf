import { describe, expect, it } from 'vitest';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { princessApex as d } from './definition.ts';

describe(d.id, () => {
  it('slides both apexes by the same, up and down', () => {
    for (const by of [-20, 14]) {
      const r = expectOk(runOn(d, 'skerry-shoulder', '4', { by }), String(by));
      for (const part of ['front', 'sideFront'] as const) {
        const bust = (pieces: typeof r.pieces) =>
          pieces.find((p) => p.part === part)!.marks.find((m) => m.kind === 'bustPoint') as { at: { y: number } };
        expect(bust(sampleIn('skerry-shoulder', '4').pieces).at.y - bust(r.pieces).at.y).toBeCloseTo(by, 9);
      }
    }
  });
  it('needs panels and an amount', () => {
    expect(codeOn(d, 'skerry-shoulder', { by: 0 })).toBe('ran');
    expect(codeOn(d, 'causeway')).toBe('side-front-not-found');
  });
});
