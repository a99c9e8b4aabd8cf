import type { Sentence } from './say.ts';
import type { AlterationWords } from './nameTypes.ts';

const bust = (how: string, about: string): AlterationWords => ({
  name: `Full bust, ${how}`,
  lapName: `Small bust, ${how}`,
  about,
  over: 'over the front',
});
const through = (dart: string): AlterationWords =>
  bust(
    `with a ${dart} dart`,
    `Room at the bust is made through the side seam as usual, then turned into the ${dart} dart: the side seam stays without one.`,
  );

/** Names of the alterations of bust and darts. */
export const BUST_WORDS: Readonly<Record<string, AlterationWords>> = {
  'full-bust-side-dart': bust(
    'with a side dart',
    'Gives the front more (or less) room at the bust without touching neck, shoulder or armhole. The side swings about a hinge on the armhole seam line; the side dart takes up what opens.',
  ),
  'full-bust-no-dart': bust(
    'without darts',
    'The same swing on a front without darts. What opens at the side is kept as a new dart, let down to the hem, or, when it is little, eased in.',
  ),
  'full-bust-waist-dart': bust(
    'with a waist dart',
    'The side swings as usual; what opens at the side is closed again and hangs in the waist dart, which grows by it.',
  ),
  'full-bust-french-dart': through('French'),
  'full-bust-shoulder-dart': through('shoulder'),
  'full-bust-neck-dart': through('neck'),
  'full-bust-armhole-dart': through('armhole'),
  'full-bust-raglan': bust(
    'raglan',
    'The swing of a front without darts, hinged on the raglan seam line. The raglan seam keeps its length, so the sleeve is not touched.',
  ),
  'full-bust-princess-armhole': bust(
    'princess from the armhole',
    'The side front opens along its princess seam; the opening at the side is closed into that seam. The centre front is lengthened by the same amounts, so that both seams still meet.',
  ),
  'full-bust-princess-shoulder': bust(
    'princess from the shoulder',
    'The side front opens along its princess seam; the opening at the side is closed into that seam. The centre front is lengthened by the same amounts, so that both seams still meet.',
  ),
  'full-bust-cut-on-sleeve': bust(
    'with a cut-on sleeve',
    'Sleeve and body are one piece: the side hinges on the underarm curve, and a second hinge on the overarm lets the sleeve swing, so that the front need not drop far.',
  ),
  'bust-point': {
    name: 'Bust point',
    lapName: 'Bust point',
    about: 'Finds the bust point, or moves it to the wearer’s own. The darts that aim at it go with it, or stay.',
    over: '',
  },
  'dart-raise': {
    name: 'Dart higher',
    lapName: 'Dart lower',
    about: 'Moves a dart up or down to the height of the bust: the whole dart in a box, or its tip alone.',
    over: '',
  },
  'dart-setback': {
    name: 'Dart length',
    lapName: 'Dart length',
    about: 'Lengthens or shortens a dart until it ends as far from the bust point as it should.',
    over: 'from the bust point',
  },
  'dart-rotate': {
    name: 'Dart to another place',
    lapName: 'Dart to another place',
    about: 'Turns a dart, wholly or in part, about the bust point to any other seam, or into a dart that is there.',
    over: 'of the dart',
  },
  'dart-split': {
    name: 'Dart in two',
    lapName: 'Dart in two',
    about: 'Two narrower darts side by side in place of one that is too wide to press flat.',
    over: 'goes to the second',
  },
  'dart-cut-away': {
    name: 'Dart cut away',
    lapName: 'Dart cut away',
    about: 'A wide dart is cut open along its legs and sewn like a seam.',
    over: 'allowance',
  },
  'dart-ease': {
    name: 'Dart into ease or gathers',
    lapName: 'Dart into ease or gathers',
    about: 'A dart is left unsewn and drawn up in the seam it opens in.',
    over: '',
  },
  'dart-waist-width': {
    name: 'Waist wider, in the darts',
    lapName: 'Waist narrower, in the darts',
    about: 'The difference around the whole waist is shared over the waist darts, half of each share on each leg.',
    over: 'around the waist',
  },
  'princess-apex': {
    name: 'Apex higher',
    lapName: 'Apex lower',
    about: 'Moves the fullest place of a princess seam up or down on both panels.',
    over: '',
  },
  'princess-line': {
    name: 'Into a princess line',
    lapName: 'Into a princess line',
    about:
      'Cuts a front with a waist dart and one other dart into centre front and side front; both darts become the seam.',
    over: '',
  },
};

/** Why an alteration is proposed for a pattern. */
export const BUST_WHY: Readonly<Record<string, Sentence>> = {
  'why.side-dart': () => 'The front has a dart in its side seam: what opens goes straight into it.',
  'why.no-dart': () => 'The front has no dart and a set-in armhole to hinge on.',
  'why.waist-dart': () => 'The front has a waist dart and none at the side: it takes what opens.',
  'why.french-dart': () => 'The front has a French dart low in the side seam: the opening is turned into it.',
  'why.shoulder-dart': () => 'The front has a shoulder dart: the opening is turned into it, the side seam stays plain.',
  'why.neck-dart': () => 'The front has a neck dart: the opening is turned into it, the side seam stays plain.',
  'why.armhole-dart': () => 'The front has an armhole dart: the opening is turned into it, the side seam stays plain.',
  'why.raglan': () => 'The front has a raglan seam: it carries the hinge, and the sleeve is not touched.',
  'why.princess-armhole': () => 'The front is in two panels whose seam begins at the armhole.',
  'why.princess-shoulder': () => 'The front is in two panels whose seam begins at the shoulder.',
  'why.cut-on': () => 'The sleeve is cut in one with the front: it hinges under the arm and on the overarm.',
  'why.dart': () => 'There is a dart to work on.',
  'why.bustPoint': () => 'The front is in one piece, its darts aim at one bust point.',
  'why.apex': () => 'The front is in two panels with an apex notch.',
  'why.princessLine': () => 'A waist dart and another dart can become one seam over the bust.',
};
