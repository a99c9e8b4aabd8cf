import { describe, expect, it } from 'vitest';
import { distance, endOf, pathLength, sub } from '../../../geometry/index.ts';
import { edgesWithRole, type Piece } from '../../../pattern/index.ts';
import { walkSeam } from '../../../paper/truing/index.ts';
import { expectOk } from '../../../units/index.ts';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { fullBustPrincessArmhole } from '../../bust/princessArmhole/definition.ts';
import { fullBustPrincessShoulder } from '../../bust/princessShoulder/definition.ts';

/** What holds of the bust alteration of a princess line, wherever its seam begins. */
describe.each([
  ['armhole', fullBustPrincessArmhole],
  ['shoulder', fullBustPrincessShoulder],
] as const)('on panels from the %s', (top, definition) => {
  const on = `skerry-${top}`;
  const other = top === 'armhole' ? 'shoulder' : 'armhole';
  const { pieces: before } = sampleIn(on, '4');
  const ran = (total: number) => expectOk(runOn(definition, on, '4', { total }), `by ${total}`);
  const part = (pieces: readonly Piece[], name: Piece['part']) => pieces.find((p) => p.part === name)!;
  const seam = (piece: Piece) => pathLength(edgesWithRole(piece, 'princess')[0]!.path);
  const cf = (pieces: readonly Piece[]) => pathLength(edgesWithRole(part(pieces, 'front'), 'centreFront')[0]!.path);

  describe(`a full bust on panels from the ${top}`, () => {
    it('lengthens both princess seams by the same, apex to apex', () => {
      for (const total of [-24, 16, 50]) {
        const r = ran(total);
        const [a, b] = [part(r.pieces, 'front'), part(r.pieces, 'sideFront')];
        expect(Math.abs(seam(a) - seam(b))).toBeLessThan(0.05);
        expect(Math.sign(seam(b) - seam(part(before, 'sideFront')))).toBe(Math.sign(total));
        const notch = walkSeam(
          r.pieces,
          r.seams.find((s) => s.id === 'princess front')!,
        );
        expect(Math.abs((notch.first.notches[0]?.at ?? 0) - (notch.second.notches[0]?.at ?? 9))).toBeLessThan(0.1);
      }
    });

    it('spreads the centre front straight across by the two amounts it names', () => {
      const r = ran(40);
      const said = (code: string) => r.frames.flatMap((f) => f.messages).find((m) => m.code === code)!.data;
      const two = Number(said('princess.centre')['apex']) + Number(said('princess.level.down')['dy']);
      expect(two).toBeGreaterThan(10);
      // The centre front is straight and grows by both; what the apex spread was settled to differs from what is named by little.
      expect(Math.abs(cf(r.pieces) - cf(before) - two)).toBeLessThan(2.5);
      expect(part(r.pieces, 'front').edges.find((e) => e.role === 'neck')).toEqual(
        part(before, 'front').edges.find((e) => e.role === 'neck'),
      );
    });

    it('says how far the side front leans against its grain, and sets the grain square to its waist where asked', () => {
      const told = (values: object) => expectOk(runOn(definition, on, '4', { total: 40, ...values }), 'run');
      const kept = told({});
      const leans = kept.findings.find((f) => f.code === 'panel-leans');
      expect(leans?.grade).toBe('look');
      expect(Number(leans?.data['degrees'])).toBeGreaterThan(10);
      const square = told({ grain: 'square' });
      expect(square.findings.map((f) => f.code)).not.toContain('panel-leans');
      const panel = part(square.pieces, 'sideFront');
      const [waist] = edgesWithRole(panel, 'waist');
      const grain = panel.marks.find((m) => m.kind === 'grain')!;
      const [a, b] = [sub(endOf(waist!.path), waist!.path.start), sub(grain.to, grain.from)];
      expect(a.x * b.x + a.y * b.y).toBeCloseTo(0, 6);
      const was = part(kept.pieces, 'sideFront').marks.find((m) => m.kind === 'grain')!;
      expect(distance(grain.from, grain.to)).toBeCloseTo(distance(was.from, was.to), 9);
      expect(grain.from.y).toBeLessThan(grain.to.y);
      // Nothing but the grain line is different.
      expect(panel.edges).toEqual(part(kept.pieces, 'sideFront').edges);
    });

    it('keeps the grain of the side front and every piece of the back', () => {
      const r = ran(40);
      const grain = (p: Piece) => p.marks.find((m) => m.kind === 'grain');
      expect(grain(part(r.pieces, 'sideFront'))).toEqual(grain(part(before, 'sideFront')));
      expect(part(r.pieces, 'sideBack')).toBe(part(before, 'sideBack'));
    });

    it(`is for panels whose seam begins at the ${top}`, () => {
      expect(codeOn(definition, `skerry-${other}`)).toBe(`princess-not-from-${top}`);
      expect(codeOn(definition, 'causeway')).toBe('side-front-not-found');
      expect(codeOn(definition, on, { total: 290 })).toBe('spread-beyond-reach');
    });
  });
});
