import type { ClothId } from '../cloth/index.ts';
import { shows, type Reading, type ReadingId } from '../drape/index.ts';
import { en, inWords, type Units } from '../speech/index.ts';
import { formatLength } from '../units/index.ts';

/** What a reading is called, and what it means on either side. */
interface ReadingWords {
  readonly name: string;
  readonly place: string;
  readonly more: string;
  readonly less: string;
}

export const READING_WORDS: Readonly<Record<ReadingId, ReadingWords>> = inWords({
  'pull-bust': {
    name: 'Pull over the bust',
    place: 'front, at the bust',
    more: 'It pulls across the bust.',
    less: 'It pulls less over the bust.',
  },
  'pull-waist': {
    name: 'Pull at the waist',
    place: 'at the waist',
    more: 'It pulls at the waist.',
    less: 'It pulls less at the waist.',
  },
  'pull-hip': {
    name: 'Pull at the hip',
    place: 'at the hip',
    more: 'It pulls at the hip.',
    less: 'It pulls less at the hip.',
  },
  'pull-cross-back': {
    name: 'Pull across the back',
    place: 'back, half-way down the armhole',
    more: 'It pulls across the back.',
    less: 'It pulls less across the back.',
  },
  'ease-cross-front': {
    name: 'Ease across the chest',
    place: 'front, half-way down the armhole',
    more: 'The front is wide across the chest.',
    less: 'Width is missing across the chest.',
  },
  'ease-cross-back': {
    name: 'Ease across the back',
    place: 'back, half-way down the armhole',
    more: 'The back is wide between the armholes.',
    less: 'Width is missing between the armholes.',
  },
  'ease-bust': {
    name: 'Ease at the bust',
    place: 'at the bust',
    more: 'It is wide at the bust.',
    less: 'Ease is missing at the bust.',
  },
  'ease-waist': {
    name: 'Ease at the waist',
    place: 'at the waist',
    more: 'It is wide at the waist.',
    less: 'Ease is missing at the waist.',
  },
  'ease-hip': {
    name: 'Ease at the hip',
    place: 'at the hip',
    more: 'It is wide at the hip.',
    less: 'Ease is missing at the hip.',
  },
  'pull-upper-arm': {
    name: 'Pull around the upper arm',
    place: 'sleeve, upper arm',
    more: 'The sleeve pulls around the upper arm.',
    less: 'The sleeve pulls less around the upper arm.',
  },
  'ease-upper-arm': {
    name: 'Ease around the upper arm',
    place: 'sleeve, upper arm',
    more: 'The sleeve is wide around the upper arm.',
    less: 'Ease is missing around the upper arm.',
  },
  'pull-seat': {
    name: 'Pull over the seat',
    place: 'back, between waist and crotch',
    more: 'It pulls over the seat.',
    less: 'It pulls less over the seat.',
  },
  'pull-crotch': {
    name: 'Pull at the crotch',
    place: 'between the legs',
    more: 'The crotch cuts in.',
    less: 'It pulls less at the crotch.',
  },
  'crotch-drop': {
    name: 'Crotch below the body',
    place: 'between the legs',
    more: 'The crotch hangs low.',
    less: 'The crotch sits high.',
  },
  'pull-thigh': {
    name: 'Pull around the thigh',
    place: 'leg, at the thigh',
    more: 'It pulls around the thigh.',
    less: 'It pulls less around the thigh.',
  },
  'ease-thigh': {
    name: 'Ease around the thigh',
    place: 'leg, at the thigh',
    more: 'It is wide at the thigh.',
    less: 'Ease is missing at the thigh.',
  },
  'ease-knee': {
    name: 'Ease around the knee',
    place: 'leg, at the knee',
    more: 'It is wide at the knee.',
    less: 'Ease is missing at the knee.',
  },
  'stand-off-neck': {
    name: 'Neckline off the body',
    place: 'front neckline',
    more: 'The neckline gapes in front.',
    less: 'The neckline lies closer.',
  },
  'stand-off-armhole': {
    name: 'Armhole off the body',
    place: 'armhole',
    more: 'The armhole gapes.',
    less: 'The armhole lies closer.',
  },
  'surplus-back-waist': {
    name: 'Folds down the centre back',
    place: 'centre back, blades to hip',
    more: 'Cloth pools at the back waist.',
    less: 'Less cloth pools at the back waist.',
  },
  'surplus-over-bust': {
    name: 'Cloth over the bust',
    place: 'front, at the bust',
    more: 'Cloth is empty over the bust.',
    less: 'The front has less cloth to spare over the bust.',
  },
  'waist-seam-front': {
    name: 'Waist at the centre front',
    place: 'centre front',
    more: 'The waist is pulled up in front.',
    less: 'The waist lies low in front.',
  },
  'waist-seam-side': {
    name: 'Waist at the side',
    place: 'side',
    more: 'The waist is pulled up at the side.',
    less: 'The waist lies low at the side.',
  },
  'waist-seam-back': {
    name: 'Waist at the centre back',
    place: 'centre back',
    more: 'The waist is pulled up behind.',
    less: 'The waist lies low behind.',
  },
  'hem-front': {
    name: 'Hem at the centre front',
    place: 'hem, centre front',
    more: 'The hem rises in front.',
    less: 'The hem dips in front.',
  },
  'hem-side': {
    name: 'Hem at the side',
    place: 'hem, side',
    more: 'The hem rises at the side.',
    less: 'The hem dips at the side.',
  },
  'hem-back': {
    name: 'Hem at the centre back',
    place: 'hem, centre back',
    more: 'The hem rises behind.',
    less: 'The hem dips behind.',
  },
  'shoulder-end': {
    name: 'Shoulder end',
    place: 'shoulder bone',
    more: 'The shoulder runs over the bone.',
    less: 'The shoulder ends before the bone.',
  },
  'side-seam-lean': {
    name: 'Side seam',
    place: 'side seam',
    more: 'The side seam runs forward.',
    less: 'The side seam runs back.',
  },
  'neck-rise-back': {
    name: 'Back neckline',
    place: 'nape',
    more: 'The back neckline rides up.',
    less: 'The back neckline slides down.',
  },
});

export const CLOTH_WORDS: Readonly<Record<ClothId, string>> = inWords({
  calico: 'Calico, as a toile',
  light: 'Light woven cloth',
  heavy: 'Heavy woven cloth',
  denim: 'Denim',
  drapey: 'Woven cloth that drapes',
  stableJersey: 'Stable jersey',
  stretchJersey: 'Stretchy jersey',
});

/** A reading with its unit: lengths as the reader measures, a pull in per cent. */
export function sayAmount({ unit }: Pick<Reading, 'unit'>, value: number, { unit: lengths, fraction }: Units): string {
  if (unit === 'mm') return formatLength(value, lengths, { fraction });
  return unit === '%' ? `${signed(value, 2)} %` : `${signed(value, 1)}°`;
}

/** Rounded, with a minus sign of its own; what rounds to nothing has none. */
function signed(value: number, digits: number): string {
  const size = Math.abs(value).toFixed(digits);
  return value < 0 && Number(size) !== 0 ? `−${size}` : size;
}

/** By how much a reading changes, with its sign. */
export function sayMoved(r: Pick<Reading, 'unit'>, by: number, units: Units): string {
  const amount = sayAmount(r, Math.abs(by), units);
  // What rounds to nothing has no sign.
  return amount === sayAmount(r, 0, units) ? amount : `${by < 0 ? '−' : '+'}${amount}`;
}

/** What a reading says of the cloth; nothing beyond what a drafted body shows as well. */
export const sayReading = (r: Reading): string =>
  shows(r) ? READING_WORDS[r.id][r.off > 0 ? 'more' : 'less'] : 'As on the body it was drafted for.';

/** What the whole is, and is not; with the names of pieces that are not sewn on. */
export const onFormIs = (leftOut: readonly string[] = []): string => {
  const is = en`Computed; sew the toile before you cut good cloth. The form is made of the tape alone, the cloth is a middling one of its kind, and collars, cuffs and bands are stiffened with interfacing. Under sleeves the arms are held away from the sides and do not move; under trousers the legs stand a little apart, and the waist is held where it belongs.`;
  return leftOut.length === 0 ? is : `${is} Not sewn on here: ${leftOut.join(', ')}.`;
};
