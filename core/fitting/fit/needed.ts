import { alterationById, flatOf } from '../../alterations/index.ts';
import { edgesWithRole, levelOf, type MeasurementKey, type Pattern, type Piece } from '../../pattern/index.ts';
import { MEASUREMENT_CATALOGUE } from './catalogue.ts';

const TOP: readonly MeasurementKey[] = ['highBust', 'fullBust', 'waist', 'neckPointToBustPoint', 'bustSpan'];
const BOTTOM: readonly MeasurementKey[] = ['waist', 'hip'];

/** Of long sleeves and of trousers only: with pieces that have none, neither chart nor body tells anything about them. */
export const LIMBS: readonly MeasurementKey[] = [
  'wrist',
  'shoulderToElbow',
  'shoulderToWrist',
  'crotchDepth',
  'crotchLength',
  'thigh',
  'knee',
  'waistToKnee',
  'outsideLeg',
];

/** What the pieces themselves make worth measuring. */
function byPieces(pieces: readonly Piece[], seams: Pattern['seams']): readonly MeasurementKey[] {
  const has = (test: (p: Piece) => boolean): boolean => pieces.some(test);
  return [
    ...(has((p) => edgesWithRole(p, 'shoulder').length > 0) ? (['shoulder'] as const) : []),
    ...(has((p) => p.part === 'back') ? (['napeToWaist'] as const) : []),
    ...(has((p) => levelOf(p, 'hip') !== null) ? (['hip'] as const) : []),
    ...(has((p) => p.part === 'sleeve') ? (['upperArm'] as const) : []),
    ...LIMBS.filter((key) => flatOf({ pieces, seams }, key) !== null),
  ];
}

/** The measurements this pattern and this plan need, in measuring order; the rest can wait. */
export function neededFor(
  pattern: Pattern | null,
  steps: readonly { readonly alteration: string }[],
): readonly MeasurementKey[] {
  const pieces = Object.values(pattern?.sizes ?? {})[0] ?? [];
  const bottom = pattern?.garment === 'bottom';
  // A hip line that can be moved: of a skirt, or of paper that nobody has drawn here.
  const hipMoves = pieces.length === 0 || flatOf({ pieces, seams: pattern?.seams ?? [] }, 'hipDepth') !== null;
  const base = !bottom ? TOP : hipMoves ? [...BOTTOM, 'hipDepth'] : BOTTOM;
  // With paper only, what the chart tells of a body is what it can be compared with.
  const chart = pattern && pieces.length === 0 ? Object.keys(pattern.chart[0]?.body ?? {}) : [];
  const planned = steps.flatMap((s) => alterationById(s.alteration)?.reads ?? []);
  const wanted = new Set<string>([...base, ...byPieces(pieces, pattern?.seams ?? []), ...chart, ...planned]);
  return MEASUREMENT_CATALOGUE.map((d) => d.key).filter((key) => wanted.has(key));
}
