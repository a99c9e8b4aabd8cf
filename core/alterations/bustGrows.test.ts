import { describe, expect, it } from 'vitest';
import { SAMPLE_SIZES } from '../blocks/index.ts';
import { runOn, sampleIn } from '../testing/samples.ts';
import { expectOk } from '../units/index.ts';
import { CATALOGUE, flatOf, runAlteration, throughBody } from './index.ts';

const TOTALS = [-16, -8, 8, 20, 40, 60];

describe('what is typed is what the bust grows by, through the bust point', () => {
  const bust = CATALOGUE.filter((d) => d.family === 'bust' && d.amount === 'total');
  it.each(bust.map((d) => [d.id, d] as const))('%s', (_, d) => {
    const off: string[] = [];
    let ran = 0;
    for (const on of new Set(d.examples.map((e) => e.on)))
      for (const size of SAMPLE_SIZES)
        for (const total of TOTALS) {
          const values = d.examples.find((e) => e.on === on)?.values ?? {};
          const run = runOn(d, on, size, { ...values, total });
          if (!run.ok) continue;
          ran += 1;
          const grown =
            (flatOf(run.value, 'fullBust')?.value ?? 0) - (flatOf(sampleIn(on, size), 'fullBust')?.value ?? 0);
          if (!(Math.abs(grown - total) <= 1)) off.push(`${on} ${size} by ${total}: ${grown.toFixed(2)}`);
        }
    expect(ran).toBeGreaterThan(20);
    expect(off).toEqual([]);
  });

  it('is so about the wearer’s own bust point too, where the tape is laid through it', () => {
    for (const [id, on] of [
      ['full-bust-side-dart', 'causeway'],
      ['full-bust-french-dart', 'causeway-french'],
      ['full-bust-no-dart', 'causeway-shirt'],
    ] as const)
      for (const [neckPointToBustPoint, bustSpan] of [
        [273, 195],
        [250, 180],
      ] as const) {
        const wearer = { neckPointToBustPoint, bustSpan };
        const { seams, pieces } = sampleIn(on, '4');
        const laid = throughBody(pieces, wearer);
        const context = { pieces: laid, seams, original: laid, originalSeams: seams, wearer };
        const d = CATALOGUE.find((x) => x.id === id) as (typeof CATALOGUE)[number];
        const run = expectOk(runAlteration(d, context, { total: 48, ...d.suggest(48) }), id);
        const bust = (now: { readonly pieces: typeof pieces }) =>
          flatOf({ pieces: now.pieces, seams }, 'fullBust')?.value ?? 0;
        expect(Math.abs(bust(run) - bust({ pieces: laid }) - 48), `${id} ${neckPointToBustPoint}`).toBeLessThan(1);
      }
  });
});
