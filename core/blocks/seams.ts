import type { Seam } from '../pattern/index.ts';
import { CAP_EASE } from './sleeve.ts';
import { CUFF_EASE, CUFF_SIDE } from './longSleeve.ts';
import { FLY_SIDE, pocketSideOf } from './trimmings.ts';

type SideOf = readonly [piece: string, edges: readonly string[], reversed?: boolean];
/** A seam between two sides, each a piece and its edges in the order walked. */
export const seam = (id: string, kind: Seam['kind'], first: SideOf, second: SideOf, ease = 0): Seam => {
  const side = ([piece, edges, reversed = false]: SideOf) => ({ piece, edges: [...edges], reversed });
  return { id, kind, ease, first: side(first), second: side(second) };
};

export const bodiceSeams: readonly Seam[] = [
  seam('shoulder', 'shoulder', ['front', ['shoulder']], ['back', ['shoulderNeck', 'shoulderArm'], true]),
  seam('side', 'side', ['front', ['sideUpper', 'sideLower']], ['back', ['side'], true]),
];

const armholeSeams: readonly Seam[] = [
  seam('armhole front', 'armhole', ['front', ['armhole']], ['sleeve', ['capFront']], CAP_EASE.front),
  seam('armhole back', 'armhole', ['back', ['armhole'], true], ['sleeve', ['capBack'], true], CAP_EASE.back),
];
const underarmSeam = (front: readonly string[], back: readonly string[]): Seam =>
  seam('sleeve underarm', 'other', ['sleeve', front], ['sleeve', back, true]);

export const fittedSleeveSeams: readonly Seam[] = [
  ...bodiceSeams,
  ...armholeSeams,
  underarmSeam(['underarmFrontUpper', 'underarmFrontLower'], ['underarmBackUpper', 'underarmBackLower']),
];

export const shirtSleeveSeams: readonly Seam[] = [
  ...bodiceSeams,
  ...armholeSeams,
  underarmSeam(['underarmFront'], ['underarmBack']),
  { ...seam('cuff', 'other', ['sleeve', ['sleeveHem']], ['cuff', ['seam']], CUFF_EASE), second: CUFF_SIDE },
];

/** The head of a sleeve in the armhole of a shirt with a yoke: behind it runs over yoke and back. */
const shirtArmhole = (sleeve: string): readonly Seam[] => [
  seam(`armhole front ${sleeve}`, 'armhole', ['front', ['armhole']], [sleeve, ['capFront']], CAP_EASE.front),
  {
    ...seam(
      `armhole back ${sleeve}`,
      'armhole',
      ['yoke', ['armhole'], true],
      [sleeve, ['capBack'], true],
      CAP_EASE.back,
    ),
    first: {
      ...{ piece: 'yoke', edges: ['armhole'], reversed: true },
      then: { piece: 'back', edges: ['armhole'], reversed: true },
    },
  },
];

export const yokedShirtSeams: readonly Seam[] = [
  seam('shoulder', 'shoulder', ['front', ['shoulder']], ['yoke', ['shoulder'], true]),
  seam('side', 'side', ['front', ['side']], ['back', ['side'], true]),
  seam('yoke', 'other', ['back', ['yokeSeam']], ['yoke', ['yokeSeam'], true]),
  ...shirtArmhole('sleeve'),
  ...shirtArmhole('shortSleeve'),
  ...shirtSleeveSeams.slice(-2),
  seam('short sleeve underarm', 'other', ['shortSleeve', ['underarmFront']], ['shortSleeve', ['underarmBack'], true]),
  seam('stand front', 'neck', ['front', ['neck']], ['stand', ['neckFront'], true]),
  seam('stand back', 'neck', ['yoke', ['neck'], true], ['stand', ['neckBack']]),
  seam('collar', 'neck', ['stand', ['collarSeam']], ['collar', ['seam'], true]),
];

const facingSeams: readonly Seam[] = [
  seam('facing front', 'neck', ['front', ['neck']], ['frontFacing', ['neck']]),
  seam('facing back', 'neck', ['back', ['neck'], true], ['backFacing', ['neck'], true]),
  seam('facing shoulder', 'shoulder', ['frontFacing', ['shoulder']], ['backFacing', ['shoulder'], true]),
];

export const sheathSeams: readonly Seam[] = [...bodiceSeams, ...facingSeams];

const WAIST = ['waistCentre', 'waistSide'];
export const dressSeams: readonly Seam[] = [
  ...bodiceSeams,
  ...armholeSeams,
  underarmSeam(['underarmFront'], ['underarmBack']),
  seam('waist front', 'waist', ['front', WAIST, true], ['skirtFront', WAIST]),
  seam('waist back', 'waist', ['back', WAIST], ['skirtBack', WAIST, true]),
  seam('skirt side', 'side', ['skirtFront', ['side']], ['skirtBack', ['side'], true]),
  ...facingSeams,
  {
    ...seam('pocket', 'pocket', ['skirtFront', ['side']], ['pocket', ['opening']]),
    first: pocketSideOf({ id: 'skirtFront' }),
  },
];

export const raglanSeams: readonly Seam[] = [
  seam('side', 'side', ['front', ['side']], ['back', ['side'], true]),
  seam('raglan front', 'raglan', ['front', ['raglan']], ['sleeve', ['raglanFront']]),
  seam('raglan back', 'raglan', ['back', ['raglan'], true], ['sleeve', ['raglanBack'], true]),
  underarmSeam(['underarmFront'], ['underarmBack']),
];

export const trouserSeams: readonly Seam[] = [
  seam('side', 'side', ['trouserFront', ['side']], ['trouserBack', ['side'], true]),
  seam('inseam', 'inseam', ['trouserFront', ['inseam']], ['trouserBack', ['inseam'], true]),
  seam('waistband front', 'waist', ['trouserFront', WAIST], ['waistband', ['waistFront'], true]),
  seam('waistband back', 'waist', ['trouserBack', WAIST, true], ['waistband', ['waistBack']]),
  {
    ...seam('pocket', 'pocket', ['trouserFront', ['side']], ['pocket', ['opening']]),
    first: pocketSideOf({ id: 'trouserFront' }),
  },
  {
    ...seam('fly', 'pocket', ['trouserFront', ['crotch']], ['flyFacing', ['opening']]),
    first: FLY_SIDE,
  },
];
