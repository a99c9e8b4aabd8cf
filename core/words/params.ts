import type { Dart } from '../pattern/index.ts';

/** Names of alterations, their values and choices. */
export const ALTERATION_WORDS: Readonly<
  Record<string, { readonly name: string; readonly lapName: string; readonly about: string }>
> = {
  'full-bust-side-dart': {
    name: 'Full bust, with a side dart',
    lapName: 'Small bust, with a side dart',
    about:
      'Gives the front more (or less) room at the bust without touching neck, shoulder or armhole. The side swings about a hinge on the armhole seam line; the side dart takes up what opens.',
  },
};

export const PARAM_WORDS: Readonly<Record<string, string>> = {
  total: 'Amount over the whole front',
  whose: 'Bust point from',
  bustPoint: 'Bust point',
  hinge: 'Hinge on the armhole',
  hingePoint: 'Hinge placed by hand',
  setback: 'Side dart ends before the bust point by',
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
