import { shows, type Reading, type ReadingId } from '../../drape/index.ts';
import type { SymptomId } from '../fit/index.ts';

/** What a fitting on the form shows: a sign, and how much of it there is, mm; null where no length tells. */
export interface FormSign {
  readonly sign: SymptomId;
  readonly amount: number | null;
  /** The readings that say so, the strongest first. */
  readonly from: readonly Reading[];
}

/** Which sign a reading is, above and below what the drafted body reads, and which other reading tells its amount. */
interface Telling {
  readonly more?: SymptomId;
  readonly less?: SymptomId;
  /** Missing width tells how much a pull is; the reading itself where it is a length. */
  readonly amount?: ReadingId | 'own' | 'none';
}
const TELLS: Readonly<Partial<Record<ReadingId, Telling>>> = {
  'pull-bust': { more: 'tight-bust', amount: 'ease-bust' },
  'pull-waist': { more: 'tight-waist', amount: 'ease-waist' },
  'pull-hip': { more: 'hip-wrinkles', amount: 'ease-hip' },
  'pull-cross-back': { more: 'tight-across-back', amount: 'ease-cross-back' },
  'ease-cross-back': { more: 'loose-across-back', less: 'tight-across-back' },
  'ease-bust': { more: 'folds-over-bust', less: 'tight-bust' },
  'ease-waist': { more: 'loose-waist', less: 'tight-waist' },
  'ease-hip': { more: 'loose-hip', less: 'hip-wrinkles' },
  'pull-upper-arm': { more: 'sleeve-tight', amount: 'ease-upper-arm' },
  'ease-upper-arm': { more: 'sleeve-loose', less: 'sleeve-tight' },
  'pull-seat': { more: 'seat-pulls', amount: 'none' },
  'pull-crotch': { more: 'crotch-cuts-in', amount: 'none' },
  'crotch-drop': { more: 'crotch-hangs', less: 'crotch-cuts-in' },
  'pull-thigh': { more: 'thigh-tight', amount: 'ease-thigh' },
  'ease-thigh': { more: 'thigh-loose', less: 'thigh-tight' },
  'stand-off-neck': { more: 'neck-gapes', amount: 'none' },
  'stand-off-armhole': { more: 'armhole-gapes', amount: 'none' },
  'surplus-back-waist': { more: 'cloth-above-seat' },
  'surplus-over-bust': { more: 'folds-over-bust' },
  'waist-seam-front': { more: 'waist-high', less: 'waist-low' },
  'waist-seam-side': { more: 'waist-high', less: 'waist-low' },
  // The back alone too long sinks onto the seat.
  'waist-seam-back': { more: 'waist-high', less: 'cloth-above-seat' },
  'hem-front': { more: 'hem-rises-front' },
  'hem-back': { more: 'hem-rises-back' },
  'shoulder-end': { more: 'shoulder-hangs', less: 'shoulder-strain' },
  // By itself it is no sign; with the whole garment it is one without a length of its own: see SLOPES.
  'neck-rise-back': { amount: 'none' },
  'side-seam-lean': { more: 'side-forward', amount: 'none' },
};

/**
 * The signs a toile would show, from what was read on the form: one of each kind, the strongest first. Readings within
 * their thresholds, and those no sign stands for, are left out.
 */
export function signsOf(readings: readonly Reading[]): readonly FormSign[] {
  const strength = (r: Reading): number => Math.abs(r.off) / r.threshold;
  const found = new Map<SymptomId, Reading[]>();
  const whole = movedAsOne(readings);
  for (const r of [...readings].filter(shows).sort((a, b) => strength(b) - strength(a))) {
    const tells = r.id === 'neck-rise-back' && whole ? SLOPES : TELLS[r.id];
    const sign = r.off > 0 ? tells?.more : tells?.less;
    if (!sign || (r.id === 'waist-seam-back' && sunkAllRound(readings))) continue;
    if (whole && MOVED.includes(r.id) && Math.sign(r.off) === whole) continue;
    found.set(sign, [...(found.get(sign) ?? []), r]);
  }
  return [...found].map(([sign, from]) => ({ sign, from, amount: pinned(sign, largest(from, readings)) }));
}

/** What is told of the whole width is pinned by halves where a fitting pins it on both sides. */
const pinned = (sign: SymptomId, amount: number | null): number | null =>
  amount !== null && sign === 'loose-across-back' ? amount / 2 : amount;

/** A neckline that rises or sinks with the whole garment is told by the shoulders under it. */
const SLOPES: Telling = { more: 'shoulder-strain', less: 'folds-neck-armhole' };
const MOVED: readonly ReadingId[] = ['waist-seam-front', 'waist-seam-side', 'waist-seam-back'];
/** How far the waist in front and at the side has moved at least where the whole garment has, mm. */
const ALONG: number = 3;

/**
 * Whether the garment lies higher (1) or lower (−1) as one, its neckline first: on shoulders squarer or more sloping than the draft's.
 * 0 where the neckline lies where it should, or moved by itself.
 */
function movedAsOne(readings: readonly Reading[]): number {
  const neck = readings.find((r) => r.id === 'neck-rise-back');
  if (!neck || !shows(neck)) return 0;
  const way = Math.sign(neck.off);
  const goes = (id: ReadingId): boolean => (readings.find((r) => r.id === id)?.off ?? 0) * way >= ALONG;
  return goes('waist-seam-front') && goes('waist-seam-side') ? way : 0;
}

/** A waist that lies as low at the side as behind is a long bodice, not a long back. */
function sunkAllRound(readings: readonly Reading[]): boolean {
  const off = (id: ReadingId): number => readings.find((r) => r.id === id)?.off ?? 0;
  return off('waist-seam-back') < 0 && off('waist-seam-side') < off('waist-seam-back') / 2;
}

function largest(from: readonly Reading[], readings: readonly Reading[]): number | null {
  const amounts = from.flatMap((r): readonly number[] => {
    const by = TELLS[r.id]?.amount ?? 'own';
    if (by === 'none') return [];
    const told = by === 'own' ? r : readings.find((x) => x.id === by);
    return told?.unit === 'mm' && (by === 'own' || told.off < 0) ? [Math.abs(told.off)] : [];
  });
  return amounts.length === 0 ? null : Math.max(...amounts);
}
