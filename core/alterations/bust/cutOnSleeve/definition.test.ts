import { describe, expect, it } from 'vitest';
import { distance, move, type Point } from '../../../geometry/index.ts';
import { primary } from '../../../testing/runs.ts';
import { codeOn, runOn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { fullBustCutOnSleeve as fba } from './definition.ts';

const ON = 'causeway-cut-on';
const ran = (values: Parameters<typeof runOn>[3]) =>
  primary(expectOk(runOn(fba, ON, '4', values), JSON.stringify(values)));
const drop = (r: ReturnType<typeof ran>) => Number(r.frames[3]!.messages[0]!.data['drop']);

describe('a full bust with a cut-on sleeve', () => {
  it('moves the bust point sideways by half the amount, with one hinge as with two', () => {
    for (const hinges of ['one', 'two'])
      for (const total of [10, 14]) {
        const r = ran({ total, hinges });
        const [from, to] = [r.frames[2]!.dimensions[0]!.from, r.frames[2]!.dimensions[0]!.to];
        expect(to.x - from.x).toBeCloseTo(total / 2, 6);
      }
  });

  it('needs the second hinge to keep the drop small', () => {
    expect(drop(ran({ total: 14, hinges: 'two' }))).toBeLessThan(drop(ran({ total: 14, hinges: 'one' })) / 2);
    expect(drop(ran({ total: 40, overarmShare: 1 }))).toBeLessThan(drop(ran({ total: 40, overarmShare: 0.7 })));
  });

  it('keeps paper whole at both hinges while the sleeve swings', () => {
    const r = ran({ total: 40 });
    const spec = r.frames[2]!.moves!.spec;
    const panels = r.frames[2]!.panels;
    const image = (panel: string, p: Point) => move(panels.find((x) => x.id === panel)!.motion, p);
    for (const {
      at,
      panels: [a, b],
    } of spec.hinges)
      expect(distance(image(a, at), image(b, at))).toBeLessThan(1e-6);
    expect(spec.hinges).toHaveLength(3);
  });

  it('laps a small bust at the overarm, and is only for cut-on sleeves', () => {
    expect(ran({ total: -24 }).overlapped).toBeGreaterThan(1000);
    expect(codeOn(fba, 'causeway')).toBe('underarm-missing');
    expect(codeOn(fba, ON, { total: 300, overarmShare: 1 })).toBe('spread-beyond-reach');
  });
});
