import { describe, expect, it } from 'vitest';
import { levelOf, type Piece } from '../../pattern/index.ts';
import { contextOn } from '../../testing/samples.ts';
import { expectOk } from '../../units/index.ts';
import { alterationById, flatOf, runAlteration, type Values } from '../index.ts';

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
