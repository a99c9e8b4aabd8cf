import type { Dart, EdgeRole, SnapKind } from '../pattern/index.ts';

export * from './alterations.ts';

export const PARAM_WORDS: Readonly<Record<string, string>> = {
  total: 'Amount over the whole front',
  whose: 'Bust point from',
  bustPoint: 'Bust point',
  hinge: 'Hinge along its seam',
  hingePoint: 'Hinge placed by hand',
  setback: 'Dart ends before the bust point by',
  below: 'Line 2 starts below the underarm by',
  ending: 'What opened at the side',
  hinges: 'Hinges',
  overarmShare: 'Share of the spread at the overarm',
  overarm: 'Hinge on the overarm',
  part: 'Piece',
  dart: 'Dart',
  to: 'New place',
  at: 'Along that seam',
  toPoint: 'New place put down by hand',
  merge: 'If there is a dart already',
  share: 'How much of it',
  apart: 'Distance between the two',
  allowance: 'Seam allowance along the legs',
  by: 'By how much',
  over: 'Shared over',
  way: 'How',
  others: 'The other dart',
  tips: 'Tips of the darts',
  newBustPoint: 'New bust point',
  waistDart: 'Waist dart',
  waistWidth: 'Waist width',
};

export const CHOICE_WORDS: Readonly<Record<string, string>> = {
  'whose.wearer': 'the wearer',
  'whose.pattern': 'the pattern’s mark',
  'whose.darts': 'where the darts cross',
  'whose.tip': 'the side dart’s tip',
  'newBustPoint.middle': 'middle of the gap',
  'newBustPoint.moved': 'the moved one',
  'ending.dart': 'keep it as a new dart',
  'ending.hem': 'close it, fullness to the hem',
  'ending.ease': 'ease it in',
  'hinges.two': 'underarm and overarm',
  'hinges.one': 'underarm only',
  'part.any': 'front, or back if only it has a dart',
  'part.front': 'front',
  'part.back': 'back',
  'dart.largest': 'the largest',
  'dart.side': 'side dart',
  'dart.french': 'French dart',
  'dart.waist': 'waist dart',
  'dart.shoulder': 'shoulder dart',
  'dart.armhole': 'armhole dart',
  'dart.neck': 'neck dart',
  'to.side': 'side seam',
  'to.waist': 'waist',
  'to.hem': 'hem',
  'to.armhole': 'armhole',
  'to.raglan': 'raglan seam',
  'to.shoulder': 'shoulder',
  'to.neck': 'neck',
  'to.centreFront': 'centre front',
  'merge.merge': 'turn into it',
  'merge.new': 'make another',
  'over.both': 'front and back, four pieces',
  'over.front': 'the two fronts',
  'over.back': 'the two backs',
  'way.box': 'slide the whole dart in a box',
  'way.retip': 'move the tip only',
  'others.follow': 'its tip goes with it',
  'others.stay': 'stays where it is',
  'tips.together': 'all go with it',
  'tips.side': 'only the side dart goes with it',
  'tips.waist': 'only the waist dart goes with it',
  'tips.stay': 'stay where they are',
  'waistDart.widen': 'takes the change',
  'waistDart.keep': 'stays as wide',
  'waistWidth.straight': 'as drafted, straight side',
  'waistWidth.curved': 'as drafted, curved side',
  'waistWidth.keep': 'leave the change in',
};

export const SEAM_WORDS: Readonly<Record<string, string>> = {
  shoulder: 'Shoulder seam',
  side: 'Side seam',
  princess: 'Princess seam',
  raglan: 'Raglan seam',
  waist: 'Waist seam',
  armhole: 'Armhole and cap',
  other: 'Seam',
};

export const DART_WORDS: Readonly<Record<Dart['kind'], string>> = {
  side: 'Side dart',
  waist: 'Waist dart',
  shoulder: 'Shoulder dart',
  armhole: 'Armhole dart',
  neck: 'Neck dart',
  french: 'French dart',
  other: 'Dart',
};

/** What one takes hold of on the table. */
export const GRIP_WORDS: Readonly<Record<string, string>> = {
  hinge: 'Hinge',
  bustPoint: 'Bust point',
  gap: 'Gap',
  tip: 'Dart tip',
  target: 'New place',
};

/** Names of edges by their role, as a sewist says them. */
export const ROLE_WORDS: Readonly<Record<EdgeRole, string>> = {
  centreFront: 'centre front',
  centreBack: 'centre back',
  neck: 'neck',
  shoulder: 'shoulder',
  armhole: 'armhole',
  side: 'side seam',
  waist: 'waist',
  hem: 'hem',
  princess: 'princess seam',
  raglan: 'raglan seam',
  underarm: 'underarm',
  sleeveHem: 'sleeve hem',
  dart: 'dart',
  other: 'edge',
};

/** What a drag was drawn to. */
export function saySnap(snap: { readonly kind: SnapKind; readonly role?: EdgeRole }): string {
  const edge = snap.role ? ROLE_WORDS[snap.role] : '';
  if (snap.kind === 'notch') return `at the notch, ${edge}`;
  if (snap.kind === 'third') return `at a third of the ${edge}`;
  if (snap.kind === 'corner') return `at the end of the ${edge}`;
  return snap.kind === 'grain' ? 'straight along the grain' : 'square to the grain';
}
