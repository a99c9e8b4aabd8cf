import type { Point } from '../../geometry/index.ts';

/** Where on the body something is seen. */
export const ZONES = [
  'neck',
  'shoulder',
  'upperBack',
  'armhole',
  'bust',
  'waist',
  'hip',
  'side',
  'hem',
  'sleeve',
  'crotch',
  'leg',
] as const;
export type Zone = (typeof ZONES)[number];
export const VIEWS = ['front', 'back', 'side', 'seated'] as const;
export type View = (typeof VIEWS)[number];

/** What kind of thing is seen, and how it lies. */
export type SymptomKind = 'pull' | 'fold' | 'gape' | 'tight' | 'loose' | 'seam' | 'level' | 'dart';
export const LIES = ['across', 'down', 'slanting'] as const;
export type Lie = (typeof LIES)[number];

/**
 * A symptom a fitting may show. `counts` says what a pinned amount means: `out` what was pinned out, `in` what is
 * missing, `shift` how far something should lie elsewhere; null where nothing is pinned.
 */
export interface Symptom {
  readonly id: SymptomId;
  readonly zone: Zone;
  readonly view: View;
  readonly kind: SymptomKind;
  readonly lie: Lie | null;
  readonly counts: 'out' | 'in' | 'shift' | null;
  /** Where it is usually seen, on the wearer's left; figure space, 200 × 420. */
  readonly at: Point;
}

export const SYMPTOM_IDS = [
  'neck-gapes',
  'neck-tight',
  'neck-pulls-back',
  'neck-stands-away',
  'drag-neck-shoulder',
  'folds-neck-armhole',
  'shoulder-hangs',
  'shoulder-strain',
  'bubble-below-neck',
  'tight-across-back',
  'loose-across-back',
  'armhole-gapes',
  'armhole-cuts-in',
  'pull-bust-side',
  'tight-bust',
  'folds-over-bust',
  'centre-too-far',
  'fullness-above-bust',
  'fullness-below-bust',
  'dart-pointed',
  'waist-high',
  'waist-low',
  'tight-waist',
  'loose-waist',
  'cloth-above-seat',
  'hip-wrinkles',
  'loose-hip',
  'side-forward',
  'hem-rises-front',
  'hem-rises-back',
  'sleeve-binds',
  'sleeve-tight',
  'sleeve-loose',
  'sleeve-short',
  'sleeve-long',
  'wrist-tight',
  'wrist-loose',
  'crotch-cuts-in',
  'crotch-hangs',
  'crotch-pulls-front',
  'crotch-folds-front',
  'front-waist-stands',
  'seat-pulls',
  'seat-bags',
  'back-waist-dips',
  'thigh-tight',
  'thigh-loose',
  'leg-short',
  'leg-long',
  'leg-twists',
  'sitting-waist-dips',
  'sitting-crotch-cuts',
  'sitting-front-folds',
  'sitting-thigh-tight',
] as const;
export type SymptomId = (typeof SYMPTOM_IDS)[number];

const s = (
  id: SymptomId,
  [zone, view, kind, lie]: readonly [Zone, View, SymptomKind, Lie | null],
  counts: Symptom['counts'],
  x: number,
  y: number,
): Symptom => ({ id, zone, view, kind, lie, counts, at: { x, y } });

/** All symptoms, from the neck down. */
export const SYMPTOMS: readonly Symptom[] = [
  s('neck-gapes', ['neck', 'front', 'gape', null], 'out', 112, 86),
  s('neck-tight', ['neck', 'front', 'tight', null], 'in', 100, 80),
  s('neck-pulls-back', ['neck', 'side', 'seam', null], 'shift', 98, 74),
  s('neck-stands-away', ['neck', 'back', 'gape', null], 'out', 100, 74),
  s('drag-neck-shoulder', ['shoulder', 'front', 'pull', 'slanting'], 'shift', 128, 90),
  s('folds-neck-armhole', ['shoulder', 'front', 'fold', 'slanting'], 'out', 130, 100),
  s('shoulder-hangs', ['shoulder', 'front', 'seam', null], 'out', 146, 92),
  s('shoulder-strain', ['shoulder', 'front', 'pull', null], 'in', 142, 90),
  s('bubble-below-neck', ['upperBack', 'back', 'fold', 'across'], 'out', 100, 92),
  s('tight-across-back', ['upperBack', 'back', 'tight', 'across'], 'in', 100, 116),
  s('loose-across-back', ['upperBack', 'back', 'fold', 'down'], 'out', 72, 120),
  s('armhole-gapes', ['armhole', 'front', 'gape', null], 'out', 138, 118),
  s('armhole-cuts-in', ['armhole', 'front', 'tight', null], 'in', 141, 132),
  s('pull-bust-side', ['bust', 'front', 'pull', 'slanting'], null, 130, 150),
  s('tight-bust', ['bust', 'front', 'tight', 'across'], 'in', 100, 142),
  s('folds-over-bust', ['bust', 'front', 'fold', 'down'], 'out', 120, 140),
  s('centre-too-far', ['bust', 'front', 'seam', null], 'out', 100, 150),
  s('fullness-above-bust', ['bust', 'front', 'fold', null], 'shift', 120, 126),
  s('fullness-below-bust', ['bust', 'front', 'fold', null], 'shift', 120, 162),
  s('dart-pointed', ['bust', 'front', 'dart', null], 'shift', 126, 146),
  s('waist-high', ['waist', 'front', 'level', null], 'in', 100, 190),
  s('waist-low', ['waist', 'front', 'level', null], 'out', 100, 206),
  s('tight-waist', ['waist', 'front', 'tight', 'across'], 'in', 100, 198),
  s('loose-waist', ['waist', 'front', 'loose', 'down'], 'out', 124, 198),
  s('cloth-above-seat', ['waist', 'back', 'fold', 'across'], 'out', 100, 204),
  s('hip-wrinkles', ['hip', 'front', 'fold', 'across'], 'in', 100, 238),
  s('loose-hip', ['hip', 'front', 'loose', 'down'], 'out', 138, 250),
  s('side-forward', ['side', 'side', 'seam', null], 'shift', 100, 280),
  s('hem-rises-front', ['hem', 'front', 'level', null], 'in', 100, 330),
  s('hem-rises-back', ['hem', 'back', 'level', null], 'in', 100, 330),
  s('sleeve-binds', ['sleeve', 'front', 'tight', null], 'in', 150, 116),
  s('sleeve-tight', ['sleeve', 'front', 'tight', 'across'], 'in', 156, 140),
  s('sleeve-loose', ['sleeve', 'front', 'loose', 'down'], 'out', 160, 150),
  s('sleeve-short', ['sleeve', 'front', 'level', null], 'in', 171, 226),
  s('sleeve-long', ['sleeve', 'front', 'level', null], 'out', 172, 246),
  s('wrist-tight', ['sleeve', 'front', 'tight', 'across'], 'in', 166, 236),
  s('wrist-loose', ['sleeve', 'front', 'loose', null], 'out', 178, 238),
  s('crotch-cuts-in', ['crotch', 'front', 'tight', null], 'in', 100, 282),
  s('crotch-hangs', ['crotch', 'front', 'level', null], 'out', 100, 296),
  s('crotch-pulls-front', ['crotch', 'front', 'pull', 'slanting'], 'in', 112, 272),
  s('crotch-folds-front', ['crotch', 'front', 'fold', 'across'], 'out', 100, 262),
  s('front-waist-stands', ['waist', 'front', 'level', null], 'out', 100, 212),
  s('seat-pulls', ['crotch', 'back', 'pull', 'slanting'], 'in', 88, 268),
  s('seat-bags', ['crotch', 'back', 'fold', 'across'], 'out', 82, 292),
  s('back-waist-dips', ['waist', 'back', 'level', null], 'in', 100, 214),
  s('thigh-tight', ['leg', 'front', 'tight', 'across'], 'in', 126, 306),
  s('thigh-loose', ['leg', 'front', 'loose', 'down'], 'out', 134, 312),
  s('leg-short', ['leg', 'front', 'level', null], 'in', 122, 380),
  s('leg-long', ['leg', 'front', 'level', null], 'out', 122, 394),
  s('leg-twists', ['leg', 'side', 'seam', 'slanting'], 'shift', 104, 352),
  // Trousers are judged sitting too: seen from the left, on a stool.
  s('sitting-waist-dips', ['waist', 'seated', 'level', null], 'in', 84, 216),
  s('sitting-crotch-cuts', ['crotch', 'seated', 'tight', null], 'in', 112, 290),
  s('sitting-front-folds', ['crotch', 'seated', 'fold', 'across'], 'out', 114, 250),
  s('sitting-thigh-tight', ['leg', 'seated', 'tight', 'across'], 'in', 152, 288),
];

export const symptomOf = (id: SymptomId): Symptom => {
  const found = SYMPTOMS.find((x) => x.id === id);
  if (!found) throw new Error(`signOf: expected one of the signs, got "${id}"`);
  return found;
};
/** Seen from the wearer’s left: both sides are one there. */
export const isProfile = (view: View): boolean => view === 'side' || view === 'seated';

/** Those of the symptoms that are visible in a view, those nearest the point first. */
export const symptomsNear = (symptoms: readonly Symptom[], view: View, at: Point): readonly Symptom[] =>
  symptoms.filter((x) => x.view === view).sort((a, b) => apart(a, at) - apart(b, at));

/** Where both sides of the wearer are seen, both count: the nearer of a symptom's two places is used. */
const apart = ({ at: place, view }: Symptom, at: Point): number =>
  Math.min(
    Math.hypot(place.x - at.x, place.y - at.y),
    isProfile(view) ? Infinity : Math.hypot(200 - place.x - at.x, place.y - at.y),
  );
