import type { Row } from '../fitting/compare/index.ts';
import type { LengthUnit } from '../units/index.ts';
import { FLAT_WORDS } from './compare.ts';
import { MEASUREMENT_WORDS } from './measurements.ts';

const FACTOR = { cm: 10, in: 25.4 } as const;

/** The worksheet as a table: headings, then a row for each measurement, numbers in the unit named in the headings. */
export function worksheetTable(
  rows: readonly Row[],
  unit: LengthUnit,
): readonly (readonly (string | number | null)[])[] {
  const n = (mm: number | null): number | null => (mm === null ? null : Math.round((mm / FACTOR[unit]) * 1000) / 1000);
  const columns = ['Body', 'Ease', 'Wanted', 'Pattern', 'Difference', 'On each piece', 'After the plan', 'Left'];
  return [
    ['Measurement', ...columns.map((c) => `${c}, ${unit}`), 'Pattern known by'],
    ...rows.map((r) => [
      MEASUREMENT_WORDS[r.key].name,
      ...[r.body, r.ease, r.wanted, r.pattern, r.difference, r.each, r.after, r.left].map(n),
      r.from === null ? '' : FLAT_WORDS[r.from],
    ]),
  ];
}
