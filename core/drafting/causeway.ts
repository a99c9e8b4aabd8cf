import { flatMeasure, type Pattern, type Piece } from '../pattern/index.ts';
import { expectOk } from '../units/index.ts';
import { draftBack, draftFront } from './bodice.ts';
import { SAMPLE_CHART } from './chart.ts';

export const CAUSEWAY_SIZES: readonly string[] = SAMPLE_CHART.map((r) => r.size);

/** Front and back of "Causeway" in one size. */
export function draftCauseway(size: string): readonly Piece[] {
  const row = SAMPLE_CHART.find((r) => r.size === size);
  if (!row) throw new Error(`draftCauseway: expected a size of ${CAUSEWAY_SIZES.join(', ')}, got "${size}"`);
  const front = draftFront(row);
  return [front, draftBack(row, front)];
}

/** No. 31 "Causeway" as a pattern document, in the sizes asked for. */
export function causewayPattern(sizes: readonly string[] = CAUSEWAY_SIZES): Pattern {
  const pieces = Object.fromEntries(sizes.map((s) => [s, draftCauseway(s)]));
  return {
    format: 'ample-draft/pattern',
    version: 1,
    id: 'causeway',
    house: 'Halyard Paper Patterns',
    number: '31',
    name: 'Causeway',
    fabric: { kind: 'woven', stretch: 0 },
    style: 'fitted',
    draftCup: 50,
    draftedHeight: 1660,
    chart: SAMPLE_CHART,
    finished: Object.fromEntries(
      sizes.map((s) => [
        s,
        { bust: Math.round(expectOk(flatMeasure(pieces[s] ?? [], 'bust'), 'causeway bust') / 5) * 5 },
      ]),
    ),
    seams: [
      {
        id: 'shoulder',
        kind: 'shoulder',
        ease: 0,
        first: { piece: 'front', edges: ['shoulder'], reversed: false },
        second: { piece: 'back', edges: ['shoulderNeck', 'shoulderArm'], reversed: true },
      },
      {
        id: 'side',
        kind: 'side',
        ease: 0,
        first: { piece: 'front', edges: ['sideUpper', 'sideLower'], reversed: false },
        second: { piece: 'back', edges: ['side'], reversed: true },
      },
    ],
    sizes: pieces,
    notes:
      'Darted bodice to the waist, front on the fold, back opening. Drafted with 50 mm ease at the bust and 30 mm at the waist.',
  };
}
