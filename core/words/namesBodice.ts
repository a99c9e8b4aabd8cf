import type { AlterationWords } from './nameTypes.ts';
import type { Sentence } from './say.ts';

const same = (name: string, about: string, over = ''): AlterationWords => ({ name, lapName: name, about, over });
const both = (name: string, lapName: string, about: string, over = ''): AlterationWords => ({
  name,
  lapName,
  about,
  over,
});

/** Names of the alterations of shoulder, back, length, width and neck, and of what follows them. */
export const BODICE_WORDS: Readonly<Record<string, AlterationWords>> = {
  'shoulder-slash': both(
    'Broad shoulder, slashed',
    'Narrow shoulder, slashed',
    'The outer part of the shoulder swings about a pin on the armhole seam line until the seam is as long as wanted. The armhole keeps its length, so the sleeve still fits.',
    'on each shoulder',
  ),
  'shoulder-slide': both(
    'Broad shoulder, block slid',
    'Narrow shoulder, block slid',
    'The upper armhole is cut out as a block and slid along the shoulder; the armhole is blended below it.',
    'on each shoulder',
  ),
  'shoulder-redraw': both(
    'Broad shoulder, redrawn',
    'Narrow shoulder, redrawn',
    'The shoulder point moves along the seam and the armhole is drawn again to nothing at the notch. The armhole changes its length; the cap has to follow.',
    'on each shoulder',
  ),
  'shoulder-slope': both(
    'Sloping shoulder',
    'Square shoulder',
    'The shoulder turns about the neck point until its end lies lower (or higher). A slash to the neck point, or more seam allowance at the end, gives the same line. The underarm can follow, so that the armhole keeps its size.',
    'at the shoulder end',
  ),
  'forward-shoulder': both(
    'Forward shoulder',
    'Shoulder seam back',
    'The shoulder seam moves forward: the sliver taken from the front is joined to the back as it is. Nothing is lost or gained; the cap’s notch moves by the same.',
    'at the shoulder end',
  ),
  'swayback-fold': same(
    'Swayback, folded at the waist',
    'What pools above the seat is folded out across the back at the waist: all of it at the centre back, nothing at the side. The side seam keeps its length and the front needs nothing.',
    'at the centre back',
  ),
  'swayback-waist-seam': same(
    'Swayback, at the waist seam',
    'The waist seam of the back is drawn again from the amount above it at the centre back to nothing at the side.',
    'at the centre back',
  ),
  'swayback-lower': same(
    'Swayback, between waist and hip',
    'The same fold, placed lower, where the wrinkle sits between waist and hip.',
    'at the centre back',
  ),
  'round-back': same(
    'High round back',
    'The back is slashed across a little below the neck and the neck raised at the centre back, nothing at the armhole. Neckline, shoulder and armhole keep their lengths.',
    'at the centre back',
  ),
  'flat-upper-back': same(
    'Flat upper back',
    'What folds between neck and shoulder blades is taken out across the upper back, nothing at the armhole.',
    'at the centre back',
  ),
  'back-width': both(
    'Broad back',
    'Narrow back',
    'The armhole block of the back moves out (or in) by half the difference; the shoulder keeps its length.',
    'across the back',
  ),
  'front-width': both(
    'Broad front',
    'Narrow front',
    'The armhole block of the front moves out (or in) by half the difference; the shoulder keeps its length.',
    'across the front',
  ),
  'length-line': both(
    'Longer',
    'Shorter',
    'Every piece is cut straight across at the same distance from a shared place and spread or lapped in parallel; the seams are drawn again from end to end.',
    '',
  ),
  'length-anywhere': both(
    'Longer at a line of your own',
    'Shorter at a line of your own',
    'A line anywhere, so far from the underarm, the notch or the lower end of the side seam: every piece it crosses is cut there and spread or lapped in parallel. For more lines take the step again, each with its own amount.',
    '',
  ),
  'hip-depth': both(
    'Hip lower',
    'Hip higher',
    'The curve of the hip moves to where the body has it: the skirt is spread or lapped between waist and hip, and the other way below the hip. Darts become longer or shorter with it; waist and hem stay.',
    'from waist to hip',
  ),
  'grade-between-sizes': same(
    'From one size to another',
    'The side seams run on the pattern’s own sizes: one at the bust, another at the waist, another at the hip. Front and back stay equally long.',
  ),
  'grade-by-chart': both(
    'Wider at waist and hip',
    'Narrower at waist and hip',
    'For a pattern of one size: a quarter of what the body differs at each side edge, level by level.',
    'around the waist',
  ),
  'side-add': both(
    'Side seams let out',
    'Side seams taken in',
    'A quarter of the amount at each side edge at one level, to nothing at the next notch.',
    'around the body',
  ),
  'hip-slash': both(
    'Hip wider, slashed',
    'Hip narrower, slashed',
    'The skirt is slashed from the hem to a pin at the waist and across to a pin at the side, and spread evenly from hip to hem. Waist and side seam keep their lengths.',
    'around the hip',
  ),
  'hem-sweep': both(
    'Hem wider',
    'Hem narrower',
    'A quarter of the amount at each side edge of the hem, from nothing at the hip.',
    'around the hem',
  ),
  'full-seat': same(
    'Full seat',
    'A wedge across the seat: the amount at the centre back, nothing at the side.',
    'at the centre back',
  ),
  'fit-allowance': same(
    'Allowance to fit by',
    'Leaves more paper and cloth beyond the seam where an amount is not yet sure. The seam line does not move.',
    'beyond the seam',
  ),
  'neck-gape-dart': same(
    'Neckline gape, into the dart',
    'What stands away at the neckline is folded out to nothing at the bust point; the dart opens by the same turn.',
    'at the neckline',
  ),
  'neck-gape-seam': same(
    'Neckline gape, pinned at a seam',
    'What stands away at the neckline is taken out of a seam, from the pinned amount to nothing over a length.',
    'over both sides of the seam',
  ),
  neckline: both(
    'Neckline lower',
    'Neckline higher',
    'The neckline is drawn again between new ends on the centre and the shoulder; the facings are drawn on the new neck.',
    'at the centre front',
  ),
  'armhole-depth': both(
    'Underarm higher',
    'Underarm lower',
    'The underarm moves up, down or out and is blended into the curve at the notch, alike on front, back and sleeve.',
    'at the underarm',
  ),
  'band-height': both(
    'Band higher',
    'Band lower',
    'The band is spread or lapped along its middle; both long edges stay as they are. Stiff cloth wants a lower stand than cloth that drapes.',
    'in height',
  ),
  'cap-follows': same(
    'Sleeve cap follows the armhole',
    'The cap is raised or lowered from the biceps line until each half fits its armhole with the ease it was drafted with.',
  ),
  'skirt-follows': same(
    'Skirt follows the bodice',
    'The skirt is let out or taken in at its side seams, from nothing at the hip, until its waist fits the bodice.',
  ),
  'facing-follows': same(
    'Facings follow the neckline',
    'The neck facings are drawn anew on the altered pieces, as deep as they were.',
  ),
  'band-follows': same(
    'Band follows the neckline',
    'The band loses or gains what the neckline did, times the share of the neckline it was drafted with.',
  ),
  'pocket-follows': same(
    'Pocket follows the side seam',
    'The opening of the pocket bag is drawn anew along the altered side seam between its notches; bag and grainline go with it.',
  ),
};

/** Why each can be done on these pieces. */
export const BODICE_WHY: Readonly<Record<string, Sentence>> = {
  'why.shoulder-slash': () =>
    'Front and back meet in a shoulder seam that ends at an armhole; the armhole keeps its length.',
  'why.shoulder-slide': () => 'Front and back meet in a shoulder seam that ends at an armhole.',
  'why.shoulder-redraw': () => 'Front and back meet in a shoulder seam that ends at an armhole; the cap must follow.',
  'why.shoulder-slope': () => 'The shoulder seams can turn about the neck points.',
  'why.forward-shoulder': () => 'Front and back share a shoulder seam that can lie elsewhere.',
  'why.swayback-fold': () => 'The back runs on below the waist in one piece.',
  'why.swayback-waist-seam': () => 'The back ends at a waist seam.',
  'why.swayback-lower': () => 'The back runs on below the waist in one piece.',
  'why.round-back': () => 'The back has neck, shoulder and armhole.',
  'why.flat-upper-back': () => 'The back has neck, shoulder and armhole.',
  'why.back-width': () => 'The back has an armhole between shoulder and side.',
  'why.front-width': () => 'The front has an armhole between shoulder and side.',
  'why.hip-depth': () => 'The skirt carries a waist and a hip line.',
  'why.length-line': () => 'The pieces carry a line to lengthen or shorten at.',
  'why.length-anywhere': () => 'Any piece with a side seam will do; no line has to be marked on it.',
  'why.grade-between-sizes': () => 'The pattern has several sizes drawn inside each other.',
  'why.grade-by-chart': () => 'The pieces have side seams.',
  'why.side-add': () => 'The pieces have side seams.',
  'why.hip-slash': () => 'There is a skirt with a waist and a hip level.',
  'why.hem-sweep': () => 'The side seams end in a hem.',
  'why.full-seat': () => 'The back reaches over the seat.',
  'why.fit-allowance': () => 'The pieces have side seams.',
  'why.neck-gape-dart': () => 'The front has a dart that can take what the neckline gives.',
  'why.neck-gape-seam': () => 'Front and back meet in a shoulder seam at the neck.',
  'why.neckline': () => 'Front and back have a neckline between centre and shoulder.',
  'why.armhole-depth': () => 'The armhole comes down to a side seam.',
  'why.band-height': () => 'There is a band.',
  'why.cap-follows': () => 'A sleeve is set into the armholes.',
  'why.skirt-follows': () => 'A skirt is sewn to the bodice at the waist.',
  'why.facing-follows': () => 'The neckline has facings.',
  'why.band-follows': () => 'The neckline has a band.',
  'why.pocket-follows': () => 'There is a pocket in the side seam.',
};
