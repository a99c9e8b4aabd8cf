import { flatOf } from '../../alterations/index.ts';
import type { MeasurementKey, Pattern, Piece, Seam } from '../../pattern/index.ts';
import { MEASUREMENT_CATALOGUE } from './catalogue.ts';
import { garmentOf, usualEase, wearingEase, type Ease, type OwnEases } from './ease.ts';
import { dropBy, HUNG, type Hanging } from './hanging.ts';
import { chartHighBust } from './size.ts';

/** The ease wanted at one measurement, whole body, mm, and where it comes from. */
export interface EaseAt {
  readonly value: number;
  /**
   * Typed for this kind of garment; what the pieces measure beyond the body they are drafted for; or the usual. `untold`:
   * nothing tells how low the underarm was drafted, so nothing is compared there. `hung`: the design's or the usual, less
   * what a skirt pulls down.
   */
  readonly from: 'own' | 'design' | 'usual' | 'untold' | 'hung';
  /** The design's own: pieces less chart. Null where one of the two is not known. */
  readonly design: number | null;
  /** What a body needs to move. */
  readonly wearing: number;
  /** The design hangs loose here: a larger body is asked for nothing while wearing ease is left. */
  readonly loose: boolean;
}
export type Eases = Readonly<Record<MeasurementKey, EaseAt>>;

/** From so many wearing eases a level hangs loose. */
const LOOSE_FROM = 2;

/** What the chart says of the body a size is drafted for; the high bust derived from the cup where it is not printed. */
export function chartBody(pattern: Pattern, size: string | null): Readonly<Partial<Record<MeasurementKey, number>>> {
  const row = pattern.chart.find((r) => r.size === size);
  if (!row) return {};
  const highBust = chartHighBust(row, pattern);
  return highBust === undefined ? row.body : { ...row.body, highBust };
}

interface Sewn {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
}

/** What the pattern itself measures: its pieces; with paper only what was measured by hand or is printed. */
function flatAsSold(pattern: Pattern, size: string | null, sewn: Sewn | null, key: MeasurementKey): number | null {
  if (sewn) return flatOf(sewn, key)?.value ?? null;
  const told = size === null ? undefined : pattern.flat[size]?.[key];
  const printed = key === 'fullBust' && size !== null ? pattern.finished[size]?.bust : undefined;
  return told ?? printed ?? null;
}

/** What ends at the underarm: longer, and shorter, by how far it is drafted below the body's. */
const AT_UNDERARM: Readonly<Partial<Record<MeasurementKey, 1 | -1>>> = { napeToUnderarm: 1, sideWaist: -1 };

/**
 * How far the underarm of a size is drafted below the body's, mm: as entered by hand, otherwise what the pieces measure to it
 * beyond the chart body. Null where neither tells: a low underarm then looks like any other.
 */
export function underarmDropOf(pattern: Pattern, size: string | null, sewn: Sewn | null): number | null {
  const told = size === null ? undefined : pattern.underarmDrop[size];
  if (told !== undefined) return told;
  const chart = chartBody(pattern, size);
  for (const key of ['napeToUnderarm', 'sideWaist'] as const) {
    const [flat, body] = [flatAsSold(pattern, size, sewn, key), chart[key]];
    if (flat !== null && body !== undefined) return (AT_UNDERARM[key] ?? 1) * (flat - body);
  }
  return null;
}

/**
 * The ease wanted at every measurement: the wearer's own for this kind of garment; else the design's own, so that the
 * body the pattern is drafted for is asked for nothing; else the usual. `sewn` are the untouched pieces of the size,
 * null with paper only. What hangs from a bodice that stretches takes its drop off the lengths to the waist.
 */
export function easesFor(
  pattern: Pattern,
  size: string | null,
  sewn: Sewn | null,
  own: OwnEases = {},
  bustEase: number | null = null,
  hanging: Hanging | null = null,
): Eases {
  const mine = own[garmentOf(pattern)] ?? {};
  const chart = chartBody(pattern, size);
  const drop = underarmDropOf(pattern, size, sewn);
  const at = MEASUREMENT_CATALOGUE.map((d): readonly [MeasurementKey, EaseAt] => {
    const flat = flatAsSold(pattern, size, sewn, d.key);
    const body = chart[d.key];
    const way = AT_UNDERARM[d.key];
    const dropped = way === undefined || drop === null ? null : way * drop;
    const design = flat === null ? null : (dropped ?? (body === undefined ? null : flat - body));
    // A knit that hangs loose is worn like a loose woven.
    const hangs = design !== null && d.kind !== 'length' && d.ease > 0 && design >= LOOSE_FROM * d.ease;
    const wearing = hangs ? d.ease : wearingEase(pattern, d);
    const typed = mine[d.key] ?? (d.key === 'fullBust' ? bustEase : null);
    const untold = way !== undefined && sewn !== null && flat !== null;
    const pulled = typed === null && HUNG.includes(d.key) ? dropBy(hanging) : 0;
    const from = typed !== null ? 'own' : design !== null ? 'design' : untold ? 'untold' : 'usual';
    return [
      d.key,
      {
        value: (typed ?? design ?? usualEase(pattern, d)) - pulled,
        from: pulled > 0 && from !== 'untold' ? 'hung' : from,
        design,
        wearing,
        loose: hangs && from === 'design',
      },
    ];
  });
  return Object.fromEntries(at) as Eases;
}

/** Where nothing can be compared: see `EaseAt.from`. */
export const untoldOf = (eases: Eases): readonly MeasurementKey[] =>
  MEASUREMENT_CATALOGUE.map((d) => d.key).filter((key) => eases[key].from === 'untold');

/** The eases alone. */
export const easeOf = (eases: Eases): Ease =>
  Object.fromEntries(Object.entries(eases).map(([key, { value }]) => [key, value]));

/** Where less than the design's ease will do, and how much: see `EaseAt.loose`. */
export const enoughOf = (eases: Eases): Ease =>
  Object.fromEntries(Object.entries(eases).flatMap(([key, e]) => (e.loose ? [[key, e.wearing]] : [])));
