import type { Worn } from '../../pattern/index.ts';
import type { SymptomId } from './symptoms.ts';
import { symptomsFor } from './worn.ts';

export const TISSUE_CHECK_IDS = [
  'anchor',
  'waistAnchor',
  'shoulderSeam',
  'backNeck',
  'backWidth',
  'backWaist',
  'frontNeck',
  'underArm',
  'bustLevel',
  'bustWidth',
  'dartAim',
  'waist',
  'hip',
  'crotchDepth',
  'crotchFront',
  'seat',
  'thigh',
  'sideSeam',
  'legLength',
] as const;
export type TissueCheckId = (typeof TISSUE_CHECK_IDS)[number];

/** One check in the mirror with the pinned paper on; `signs` are the symptoms seen when it does not line up. */
export interface TissueCheck {
  readonly id: TissueCheckId;
  readonly on: readonly Worn[];
  readonly signs: readonly SymptomId[];
}

const BODICE: readonly Worn[] = ['bodice'];
const BELOW: readonly Worn[] = ['skirt', 'trousers'];
const LEGS: readonly Worn[] = ['trousers'];
const ALL: readonly Worn[] = ['bodice', 'skirt', 'trousers'];

/** In the order of the work: anchored first, back before front, then down to the hip; the side seam last. */
export const TISSUE_CHECKS: readonly TissueCheck[] = [
  { id: 'anchor', on: BODICE, signs: ['centre-too-far', 'tight-bust'] },
  { id: 'waistAnchor', on: BELOW, signs: ['tight-waist', 'loose-waist', 'front-waist-stands', 'back-waist-dips'] },
  {
    id: 'shoulderSeam',
    on: BODICE,
    signs: ['shoulder-hangs', 'shoulder-strain', 'folds-neck-armhole', 'drag-neck-shoulder', 'neck-pulls-back'],
  },
  { id: 'backNeck', on: BODICE, signs: ['bubble-below-neck', 'neck-stands-away', 'neck-pulls-back'] },
  { id: 'backWidth', on: BODICE, signs: ['tight-across-back', 'loose-across-back'] },
  { id: 'backWaist', on: BODICE, signs: ['cloth-above-seat', 'waist-low', 'waist-high'] },
  { id: 'frontNeck', on: BODICE, signs: ['neck-gapes', 'neck-tight'] },
  { id: 'underArm', on: BODICE, signs: ['armhole-gapes', 'armhole-cuts-in'] },
  { id: 'bustLevel', on: BODICE, signs: ['fullness-above-bust', 'fullness-below-bust'] },
  { id: 'bustWidth', on: BODICE, signs: ['tight-bust', 'pull-bust-side', 'folds-over-bust', 'centre-too-far'] },
  { id: 'dartAim', on: BODICE, signs: ['dart-pointed', 'fullness-above-bust', 'fullness-below-bust'] },
  { id: 'waist', on: BODICE, signs: ['waist-high', 'waist-low', 'tight-waist', 'loose-waist'] },
  { id: 'hip', on: ALL, signs: ['hip-wrinkles', 'loose-hip'] },
  { id: 'crotchDepth', on: LEGS, signs: ['crotch-cuts-in', 'crotch-hangs', 'sitting-crotch-cuts'] },
  {
    id: 'crotchFront',
    on: LEGS,
    signs: ['crotch-pulls-front', 'crotch-folds-front', 'front-waist-stands', 'sitting-front-folds'],
  },
  { id: 'seat', on: LEGS, signs: ['seat-pulls', 'seat-bags', 'back-waist-dips', 'sitting-waist-dips'] },
  { id: 'thigh', on: LEGS, signs: ['thigh-tight', 'thigh-loose', 'sitting-thigh-tight'] },
  { id: 'sideSeam', on: ALL, signs: ['side-forward', 'hem-rises-front', 'hem-rises-back', 'leg-twists'] },
  { id: 'legLength', on: LEGS, signs: ['leg-short', 'leg-long'] },
];

/** The looks for what is worn, each with the signs it can show. */
export function tissueChecksFor(worn: Worn): readonly TissueCheck[] {
  const shown = new Set(symptomsFor(worn).map((s) => s.id));
  return TISSUE_CHECKS.filter((c) => c.on.includes(worn)).map((c) => ({
    ...c,
    signs: c.signs.filter((s) => shown.has(s)),
  }));
}
