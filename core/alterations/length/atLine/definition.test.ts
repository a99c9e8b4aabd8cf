import { describe, expect, it } from 'vitest';
import { levelOf, type Piece } from '../../../pattern/index.ts';
import { contextOn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { samplePattern } from '../../../blocks/index.ts';
import { alterationById, flatOf, runAlteration, type Values } from '../../index.ts';

const definition = alterationById('length-line')!;
const run = (sample: 'causeway' | 'causeway-shirt', values: Values) => {
  const context = contextOn(sample, '4');
  return { was: context, now: expectOk(runAlteration(definition, context, values), sample) };
};
const front = (pieces: readonly Piece[]): Piece => pieces.find((p) => p.part === 'front')!;

describe('length wherever it is wanted', () => {
  it('goes above and below the bust in shares of their own', () => {
    const { was, now } = run('causeway', { by: 24, where: 'both', above: 0.75 });
    const at = (p: Piece, level: 'bust' | 'waist') => levelOf(p, level)!.y;
    const [before, after] = [front(was.pieces), front(now.pieces)];
    // Three quarters above the bust: 18 of 24.
    expect(at(after, 'bust') - at(before, 'bust')).toBeCloseTo(18, 6);
    expect(at(after, 'waist') - at(before, 'waist')).toBeCloseTo(24, 6);
  });

  it('lets a shirt down to a tunic, 28 cm at the hem', () => {
    const { was, now } = run('causeway-shirt', { by: 280, where: 'hem' });
    const lowest = (p: Piece) => Math.max(...p.edges.map((e) => e.path.start.y));
    for (const part of ['front', 'back'] as const) {
      const of = (pieces: readonly Piece[]) => pieces.find((p) => p.part === part)!;
      expect(lowest(of(now.pieces)) - lowest(of(was.pieces))).toBeCloseTo(280, 3);
    }
    expect(flatOf(now, 'napeToWaist')?.value).toBeCloseTo(flatOf(was, 'napeToWaist')!.value, 6);
  });

  it('refuses in words what a piece has no room for, and a line off the piece', () => {
    const context = contextOn('causeway-shirt', '4');
    const refused = (values: Values) => runAlteration(definition, context, values);
    expect(refused({ by: -400, where: 'belowBust' }).ok).toBe(false);
    expect(refused({ by: 10, where: 'hem', moved: 300 })).toMatchObject({ ok: false });
  });
});

describe('widths by one size, lengths by another', () => {
  // As children's charts are: each size has its height. 8 cm from size to size.
  const pattern = samplePattern('causeway');
  const chart = pattern.chart.map((r, i) => ({ ...r, body: { fullBust: r.body.fullBust!, height: 1160 + 80 * i } }));
  const context = { ...contextOn('causeway', '4'), chart, size: '4', nest: pattern.sizes, draftedHeight: null };
  const back = (size: string) => flatOf({ pieces: pattern.sizes[size]!, seams: pattern.seams }, 'napeToWaist')!.value;

  it('takes the length of the size of her height from the nest', () => {
    // 1490 is nearest to size 5 (1480): its back is 4 longer than that of size 4.
    const fit = definition.fits?.({ ...context, wearer: { height: 1490 } });
    expect(fit?.values).toMatchObject({ where: 'belowBust' });
    expect(fit?.values['by']).toBeCloseTo(back('5') - back('4'), 1);
    expect(fit?.values['by']).toBeCloseTo(4, 1);
    expect(fit?.sum).toMatchObject({ code: 'fit.lengths', data: { size: '4', lengths: '5' } });
  });

  it('asks for nothing at her own size, and gives way to a side that was measured', () => {
    expect(definition.fits?.({ ...context, wearer: { height: 1410 } })?.values['by']).toBe(0);
    const side = flatOf(context, 'sideWaist')!.value;
    const fit = definition.fits?.({ ...context, wearer: { height: 1490, sideWaist: side - 7 } });
    expect(fit?.values['by']).toBeCloseTo(-7, 1);
  });

  it('without a nest goes by a share of the height of its own row', () => {
    const { nest: _none, ...alone } = context;
    // 1490 − 1400 = 90: three eighths of it lie in the bodice.
    expect(definition.fits?.({ ...alone, wearer: { height: 1490 } })?.values['by']).toBeCloseTo(33.8, 1);
  });
});

describe('a skirt’s weight', () => {
  it('is taken off a back that is compared with the chart alone', () => {
    const { pieces, ...rest } = contextOn('causeway', '4');
    const chart = [{ size: '4', body: { napeToWaist: 400 } }];
    const fronts = { ...rest, pieces: pieces.filter((p) => p.part === 'front'), chart, size: '4' };
    const by = (more: object) => definition.fits?.({ ...fronts, wearer: { napeToWaist: 390 }, ...more })?.values['by'];
    expect(by({})).toBeCloseTo(-10, 6);
    // 390 − 12 − 400.
    expect(by({ hung: 12 })).toBeCloseTo(-22, 6);
  });
});
