import { describe, expect, it } from 'vitest';
import { SYMPTOMS, TISSUE_CHECK_IDS, TISSUE_CHECKS } from '../fitting/fit/index.ts';
import { drafted, seenAs, stepOf } from '../testing/fittings.ts';
import { CAUSES, differences, rankCauses } from '../fitting/toile/index.ts';
import {
  CAUSE_WORDS,
  cautionsFor,
  sayAnswer,
  sayChange,
  sayDifference,
  sayEvidence,
  SYMPTOM_WORDS,
  TISSUE_WORDS,
} from './index.ts';

const cm = { unit: 'cm', fraction: 8 } as const;
const inch = { unit: 'in', fraction: 8 } as const;
const swayOn = (by: number) => [stepOf('sway', 'swayback-waist-seam', { values: { by } })];
const first = (steps: Parameters<typeof drafted>[0], seen: ReturnType<typeof seenAs>, cause: string, readings = {}) => {
  const found = rankCauses([seen], drafted(steps, readings), { sizeMethod: 'highBust' }).find((r) => r.cause === cause);
  if (!found) throw new Error(`expected ${cause}`);
  return found;
};

describe('the words of a fitting', () => {
  it('name every sign, and what its pins count where it has any', () => {
    for (const s of SYMPTOMS) expect(SYMPTOM_WORDS[s.id].pin !== '', s.id).toBe(s.counts !== null);
  });
  it('give every cause a test of its own, and advice where the plan knows no step', () => {
    for (const c of CAUSES) {
      expect(CAUSE_WORDS[c.id]?.test.length, c.id).toBeGreaterThan(40);
      expect(CAUSE_WORDS[c.id]?.advice !== undefined, c.id).toBe(c.remedy.kind === 'advice');
    }
    expect(new Set(CAUSES.map((c) => CAUSE_WORDS[c.id]?.test)).size).toBe(CAUSES.length);
    expect(Object.keys(CAUSE_WORDS).sort()).toEqual(CAUSES.map((c) => c.id).sort());
  });
  it('tell each look of the tissue-fit how to hold, what lines up and what to mark', () => {
    expect(TISSUE_CHECKS.map((c) => c.id)).toEqual([...TISSUE_CHECK_IDS]);
    for (const id of TISSUE_CHECK_IDS)
      for (const key of ['hold', 'look', 'mark'] as const) expect(TISSUE_WORDS[id][key].length, id).toBeGreaterThan(20);
  });
  it('never call a body wrong', () => {
    const all = JSON.stringify([SYMPTOM_WORDS, CAUSE_WORDS, TISSUE_WORDS]).toLowerCase();
    for (const word of ['problem', 'flaw', 'defect', 'fault', 'bad ', 'ugly', 'abnormal', '!'])
      expect(all).not.toContain(word);
  });
});

describe('sums', () => {
  it('stand as one writes them, in either unit', () => {
    const sway = first(swayOn(10), seenAs('cloth-above-seat', { pinned: 6 }), 'swayback');
    expect(sayChange(sway.change, cm)).toEqual({
      does: 'Change “Swayback, at the waist seam” to +1.6 cm',
      sum: '+1.0 cm + 0.6 cm pinned = +1.6 cm',
    });
    expect(sayChange(sway.change, inch).sum).toBe('+3/8″ + 1/4″ pinned = +5/8″');
    const shoulder = first(
      [stepOf('s', 'shoulder-slash', { values: { by: -8 } })],
      seenAs('shoulder-hangs', { pinned: 4 }),
      'narrow-shoulder',
    );
    expect(sayChange(shoulder.change, cm).sum).toBe('−0.8 cm − 0.4 cm pinned = −1.2 cm');
    // What the form told nobody pinned.
    expect(sayChange(shoulder.change, cm, 'form').sum).toBe('−0.8 cm − 0.4 cm on the form = −1.2 cm');
    const waist = first([], seenAs('loose-waist', { pinned: 8 }), 'waist-wide');
    expect(sayChange(waist.change, cm)).toEqual({
      does: 'Add “Side seams taken in”',
      sum: '0.8 cm pinned × 2 → −1.6 cm',
    });
    const measured = first([], seenAs('cloth-above-seat'), 'swayback', { napeToWaist: [384], sideWaist: [196] });
    expect(sayChange(measured.change, cm).sum).toBe('the measurements ask for +2.0 cm');
    expect(sayEvidence(measured.because[0]!, cm)).toBe(
      'For it: nape to waist is still 2.0 cm less on the body than on the pattern.',
    );
    const much = first(swayOn(10), seenAs('cloth-above-seat', { pinned: 90 }), 'swayback');
    expect(sayChange(much.change, cm).sum).toBe('+1.0 cm + 9.0 cm pinned = +6.0 cm, the most this step can do');
    const undo = first(swayOn(8), seenAs('hem-rises-back'), 'sway-overdone');
    expect(sayChange(undo.change, cm)).toEqual({
      does: 'Undo “Swayback, at the waist seam”',
      sum: '+0.8 cm → 0; the step is switched off and kept',
    });
  });
  it('say what was done about something seen', () => {
    const a = { alteration: 'swayback-waist-seam' } as const;
    expect(sayAnswer({ ...a, did: 'add', from: null, to: 6 }, cm)).toBe('Swayback, at the waist seam +0.6 cm');
    expect(sayAnswer({ ...a, did: 'edit', from: 6, to: 10 }, cm)).toBe(
      'Swayback, at the waist seam +0.4 cm, now +1.0 cm',
    );
    expect(sayAnswer({ ...a, did: 'undo', from: 6, to: null }, cm)).toBe('Swayback, at the waist seam undone');
  });
  it('say what two versions differ by', () => {
    const said = (a: Parameters<typeof drafted>[0], b: Parameters<typeof drafted>[0]) =>
      differences(drafted(a), drafted(b)).map((d) => sayDifference(d, cm));
    expect(said(swayOn(10), swayOn(16))).toEqual(['Swayback, at the waist seam: +1.0 cm → +1.6 cm.']);
    expect(said(swayOn(10), [])).toEqual(['Taken out: Swayback, at the waist seam, +1.0 cm.']);
    expect(said(swayOn(10), [{ ...swayOn(10)[0]!, on: false }])).toEqual([
      'Undone: Swayback, at the waist seam, +1.0 cm.',
    ]);
  });
});

it('cautions where they matter name blade, pins, heat and those who know better', () => {
  expect(cautionsFor('cut').join(' ')).toMatch(/close the blade.*other hand/s);
  expect(cautionsFor('tissue').join(' ')).toMatch(/never in the mouth.*clinician/s);
  expect(cautionsFor('sheet').join(' ')).toMatch(/scorch.*safety rules of your country/s);
});
