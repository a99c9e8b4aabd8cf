import { describe, expect, it } from 'vitest';
import { wornAs } from '../../pattern/index.ts';
import { draftSample } from '../../blocks/index.ts';
import { SYMPTOM_IDS, symptomsFor, tissueChecksFor, viewsOf } from './index.ts';

const signsOf = (worn: Parameters<typeof symptomsFor>[0]) => symptomsFor(worn).map((s) => s.id);

describe('what is worn', () => {
  it('is told by its pieces', () => {
    expect(wornAs(draftSample('landing', '4'))).toBe('trousers');
    expect(wornAs(draftSample('causeway', '4'))).toBe('bodice');
    expect(wornAs(draftSample('causeway', '4').filter((p) => p.part.startsWith('skirt')))).toBe('skirt');
    expect(wornAs([])).toBe('bodice');
  });

  it('shows what it can show: no bust on trousers, no leg on a bodice, neither on a skirt', () => {
    expect(signsOf('trousers')).toEqual(
      expect.arrayContaining(['tight-waist', 'hip-wrinkles', 'seat-bags', 'leg-twists', 'sitting-waist-dips']),
    );
    for (const sign of ['tight-bust', 'sleeve-short', 'hem-rises-front', 'waist-high'] as const)
      expect(signsOf('trousers')).not.toContain(sign);
    expect([viewsOf('skirt'), viewsOf('trousers').at(-1)]).toEqual([['front', 'back', 'side'], 'seated']);
    for (const sign of ['seat-bags', 'leg-twists', 'front-waist-stands', 'sitting-waist-dips'] as const) {
      expect(signsOf('bodice')).not.toContain(sign);
      expect(signsOf('skirt')).not.toContain(sign);
    }
    expect(signsOf('skirt')).toEqual(expect.arrayContaining(['tight-waist', 'hem-rises-back', 'cloth-above-seat']));
    // Nothing is left that no garment shows.
    const shown = new Set((['bodice', 'skirt', 'trousers'] as const).flatMap(signsOf));
    expect(SYMPTOM_IDS.filter((id) => !shown.has(id))).toEqual([]);
  });

  it('is looked at from the top down, each look with a sign the garment can show', () => {
    expect(tissueChecksFor('skirt').map((c) => c.id)).toEqual(['waistAnchor', 'hip', 'sideSeam']);
    expect(tissueChecksFor('trousers').map((c) => c.id)).toEqual([
      'waistAnchor',
      'hip',
      'crotchDepth',
      'crotchFront',
      'seat',
      'thigh',
      'sideSeam',
      'legLength',
    ]);
    expect(tissueChecksFor('bodice')).toHaveLength(13);
    for (const worn of ['bodice', 'skirt', 'trousers'] as const)
      for (const { id, signs } of tissueChecksFor(worn)) {
        expect(signs.length, `${worn} ${id}`).toBeGreaterThan(0);
        expect(signs.filter((s) => !signsOf(worn).includes(s))).toEqual([]);
      }
  });
});
