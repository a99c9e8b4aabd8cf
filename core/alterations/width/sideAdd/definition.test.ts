import { describe, expect, it } from 'vitest';
import { curvatureOn, spansOf, tangentOn, turnBetween } from '../../../geometry/index.ts';
import { edgesWithRole } from '../../../pattern/index.ts';
import { runOn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { hemSweep } from '../hemSweep/definition.ts';
import { sideAdd } from './definition.ts';

describe('a side moved out', () => {
  it.each([
    ['at the hip', sideAdd, 'causeway', { by: 32, level: 'hip' }],
    ['at the waist', sideAdd, 'causeway-shirt', { by: 24, level: 'waist' }],
    ['at the hem', hemSweep, 'causeway-shirt', { by: -40 }],
  ] as const)('%s runs on in one curve: no kink, and no bend tighter than a pencil follows', (_name, d, on, values) => {
    const run = expectOk(runOn(d, on, '4', values), d.id);
    for (const { piece, original } of run.changes.map((c) => ({
      original: c.original,
      piece: run.pieces.find((p) => p.id === c.piece)!,
    })))
      for (const edge of edgesWithRole(piece, 'side')) {
        const spans = spansOf(edge.path);
        const before = original.edges.find((e) => e.id === edge.id)!;
        const kinks = (s: typeof spans): number =>
          Math.max(0, ...s.slice(1).map((b, i) => Math.abs(turnBetween(tangentOn(s[i]!, 1), tangentOn(b, 0)))));
        expect(kinks(spans)).toBeLessThan(kinks(spansOf(before.path)) + 0.002);
        // Within the rounding the radius is at least about what the rounding reaches.
        const bend = Math.max(...spans.flatMap((s) => [0.25, 0.5, 0.75].map((t) => Math.abs(curvatureOn(s, t)))));
        expect(bend).toBeLessThan(1 / 40);
      }
  });
});
