import type { SymptomId } from './symptoms.ts';

export const TISSUE_CHECK_IDS = [
  'anchor',
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
  'sideSeam',
] as const;
export type TissueCheckId = (typeof TISSUE_CHECK_IDS)[number];

/** One check in the mirror with the pinned paper on; `signs` are the symptoms seen when it does not line up. */
export interface TissueCheck {
  readonly id: TissueCheckId;
  readonly signs: readonly SymptomId[];
}

/** In the order of the work: anchored first, back before front, then down to the hip; the side seam last. */
export const TISSUE_CHECKS: readonly TissueCheck[] = [
  { id: 'anchor', signs: ['centre-too-far', 'tight-bust'] },
  {
    id: 'shoulderSeam',
    signs: ['shoulder-hangs', 'shoulder-strain', 'folds-neck-armhole', 'drag-neck-shoulder', 'neck-pulls-back'],
  },
  { id: 'backNeck', signs: ['bubble-below-neck', 'neck-stands-away', 'neck-pulls-back'] },
  { id: 'backWidth', signs: ['tight-across-back', 'loose-across-back'] },
  { id: 'backWaist', signs: ['cloth-above-seat', 'waist-low', 'waist-high'] },
  { id: 'frontNeck', signs: ['neck-gapes', 'neck-tight'] },
  { id: 'underArm', signs: ['armhole-gapes', 'armhole-cuts-in'] },
  { id: 'bustLevel', signs: ['fullness-above-bust', 'fullness-below-bust'] },
  { id: 'bustWidth', signs: ['tight-bust', 'pull-bust-side', 'folds-over-bust', 'centre-too-far'] },
  { id: 'dartAim', signs: ['dart-pointed', 'fullness-above-bust', 'fullness-below-bust'] },
  { id: 'waist', signs: ['waist-high', 'waist-low', 'tight-waist', 'loose-waist'] },
  { id: 'hip', signs: ['hip-wrinkles', 'loose-hip'] },
  { id: 'sideSeam', signs: ['side-forward', 'hem-rises-front', 'hem-rises-back'] },
];
