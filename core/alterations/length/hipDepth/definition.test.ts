import { describe, expect, it } from 'vitest';
import { pathLength } from '../../../geometry/index.ts';
import { doubleDartsOf, edgesWithRole, levelOf, type Piece } from '../../../pattern/index.ts';
import { contextOn } from '../../../testing/samples.ts';
import { walkSeam } from '../../../paper/truing/index.ts';
import { expectOk } from '../../../units/index.ts';
import { alterationById, flatOf, runAlteration } from '../../index.ts';

const definition = alterationById('hip-depth')!;
const context = contextOn('causeway', '4');
const lower = (by: number) => expectOk(runAlteration(definition, context, { by }), `by ${by}`);
const skirt = (pieces: readonly Piece[]): Piece => pieces.find((p) => p.part === 'skirtFront')!;
const along = (p: Piece, role: 'waist' | 'hem' | 'centreFront'): number =>
  edgesWithRole(p, role).reduce((n, e) => n + pathLength(e.path), 0);

describe('the hip moved to where the body has it', () => {
  it.each([-25, -12, 15, 40])('by %s: hip line and dart go along, waist, hem and length stay', (by) => {
    const [was, now] = [skirt(context.pieces), skirt(lower(by).pieces)];
    expect(levelOf(now, 'hip')!.y - levelOf(was, 'hip')!.y).toBeCloseTo(by, 6);
    expect(now.darts[0]!.tip.y - was.darts[0]!.tip.y).toBeCloseTo(by, 6);
    expect(along(now, 'centreFront')).toBeCloseTo(along(was, 'centreFront'), 6);
    for (const role of ['waist', 'hem'] as const) expect(along(now, role)).toBeCloseTo(along(was, role), 1);
  });

  it('leaves the side seams as long as each other', () => {
    const { pieces, seams } = lower(-20);
    const side = seams.find((s) => s.id === 'skirt side')!;
    expect(Math.abs(walkSeam(pieces, side).difference)).toBeLessThan(0.25);
  });

  it('is asked for by a hip depth that differs, by the difference along the side', () => {
    const flat = flatOf(context, 'hipDepth')!.value;
    const fit = definition.fits?.({ ...context, wearer: { hipDepth: flat - 18 } });
    expect(fit?.values['by']).toBeCloseTo(-18, 1);
    expect(flatOf({ ...context, pieces: lower(-18).pieces }, 'hipDepth')!.value - flat).toBeCloseTo(-18, 0);
  });

  it('of a dress in one: hip line and lower tips go along, the upper tips, bust, waist and hem stay', () => {
    const sheath = contextOn('jetty', '4');
    for (const by of [-20, 15]) {
      const { pieces, seams } = expectOk(runAlteration(definition, sheath, { by }), `by ${by}`);
      for (const part of ['front', 'back'] as const) {
        const [was, now] = [sheath.pieces, pieces].map((all) => all.find((p) => p.part === part)!);
        expect(levelOf(now!, 'hip')!.y - levelOf(was!, 'hip')!.y).toBeCloseTo(by, 6);
        const [then, dart] = [doubleDartsOf(was!)[0]!, doubleDartsOf(now!)[0]!];
        expect(dart.lower.y - then.lower.y).toBeCloseTo(by, 6);
        expect(dart.upper).toEqual(then.upper);
        expect(dart.width).toBeCloseTo(then.width, 9);
        expect(along(now!, 'hem')).toBeCloseTo(along(was!, 'hem'), 1);
      }
      const side = seams.find((s) => s.kind === 'side')!;
      expect(Math.abs(walkSeam(pieces, side).difference)).toBeLessThan(0.25);
      expect(flatOf({ pieces, seams }, 'hipDepth')!.value - flatOf(sheath, 'hipDepth')!.value).toBeCloseTo(by, 0);
    }
  });

  it('is refused in words where there is no hip to move, or no room above the hem', () => {
    const top = contextOn('causeway-side', '4');
    expect(runAlteration(definition, top, { by: 10 })).toMatchObject({ ok: false, error: { code: 'hip-missing' } });
  });
});
