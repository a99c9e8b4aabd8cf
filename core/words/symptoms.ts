import type { SymptomId, TissueCheckId, View, Zone } from '../fitting/fit/index.ts';
import type { FollowUp } from '../documents/schema.ts';
import { inWords } from '../speech/index.ts';

/** What a fitting may show, as one says it; `pin` is what its amount counts. */
export const SYMPTOM_WORDS: Readonly<Record<SymptomId, { readonly name: string; readonly pin: string }>> = inWords({
  'neck-gapes': { name: 'The neckline gapes in front', pin: 'pinned out at the neckline, both sides together' },
  'neck-tight': { name: 'The neckline is tight', pin: 'still missing around the neck' },
  'neck-pulls-back': {
    name: 'Neckline and shoulder seam pull to the back',
    pin: 'how far forward they should lie',
  },
  'neck-stands-away': { name: 'The back neckline stands away', pin: 'pinned out at the back neck' },
  'drag-neck-shoulder': {
    name: 'Drag lines from the front neck to the shoulder end',
    pin: 'how far the shoulder end should come forward',
  },
  'folds-neck-armhole': { name: 'Slanting folds from neck to armhole', pin: 'pinned out at the shoulder end' },
  'shoulder-hangs': {
    name: 'The shoulder seam hangs off the shoulder',
    pin: 'how far past the shoulder bone, on each shoulder',
  },
  'shoulder-strain': { name: 'Strain at the shoulder end', pin: 'let out or still missing at the shoulder end' },
  'bubble-below-neck': { name: 'A bubble of cloth below the back neck', pin: 'folded out at the centre back' },
  'tight-across-back': { name: 'Tight across the back', pin: 'still missing across the back' },
  'loose-across-back': { name: 'Loose folds down the back', pin: 'pinned out on each half of the back' },
  'armhole-gapes': { name: 'The armhole gapes in front', pin: 'pinned out at each armhole' },
  'armhole-cuts-in': { name: 'The armhole cuts in under the arm', pin: 'how much lower it should be' },
  'pull-bust-side': { name: 'Drag lines from the bust to the side', pin: '' },
  'tight-bust': { name: 'Tight across the bust', pin: 'still missing over the whole front' },
  'folds-over-bust': { name: 'Folds of cloth over the bust', pin: 'pinned out over the whole front' },
  'centre-too-far': {
    name: 'The centre front comes too far across',
    pin: 'how far the centre passes the middle',
  },
  'fullness-above-bust': { name: 'Fullness above the bust', pin: 'how much lower it should be' },
  'fullness-below-bust': { name: 'Fullness below the bust', pin: 'how much higher it should be' },
  'dart-pointed': { name: 'The dart ends in a point of cloth', pin: 'how much sooner the dart should end' },
  'waist-high': { name: 'The waist sits too high', pin: 'how much is missing in length' },
  'waist-low': { name: 'The waist sits too low', pin: 'folded out across the bodice' },
  'tight-waist': { name: 'Tight at the waist', pin: 'still missing around the waist' },
  'loose-waist': { name: 'Loose at the waist', pin: 'pinned out at each side' },
  'cloth-above-seat': { name: 'Cloth pools above the seat', pin: 'folded out at the centre back waist' },
  'hip-wrinkles': { name: 'Wrinkles across the hip', pin: 'still missing around the hip' },
  'loose-hip': { name: 'Loose at the hip', pin: 'pinned out at each side' },
  'side-forward': { name: 'The side seam swings to the front', pin: 'how far forward at the hem' },
  'hem-rises-front': { name: 'The hem rises in front', pin: 'how much higher than at the side' },
  'hem-rises-back': { name: 'The hem rises at the back', pin: 'how much higher than at the side' },
  'sleeve-binds': { name: 'The sleeve binds when the arms come forward', pin: 'still missing' },
  'sleeve-tight': { name: 'The sleeve is tight around the upper arm', pin: 'still missing around the arm' },
  'sleeve-loose': { name: 'The sleeve is loose around the upper arm', pin: 'pinned out around the arm' },
  'sleeve-short': { name: 'The sleeve ends above the wrist bone', pin: 'how much is missing in length' },
  'sleeve-long': { name: 'The sleeve ends below the wrist bone', pin: 'folded out across the sleeve' },
  'wrist-tight': { name: 'Tight at the wrist', pin: 'still missing around the wrist' },
  'wrist-loose': { name: 'Loose at the wrist', pin: 'pinned out around the wrist' },
  'crotch-cuts-in': { name: 'The crotch cuts in between the legs', pin: 'how much lower it should be' },
  'crotch-hangs': { name: 'The crotch hangs too low', pin: 'folded out across hip and seat' },
  'crotch-pulls-front': {
    name: 'Drag lines fan out from the crotch in front',
    pin: 'still missing along the front crotch seam',
  },
  'crotch-folds-front': {
    name: 'Folds across the front above the crotch',
    pin: 'folded out along the front crotch seam',
  },
  'front-waist-stands': {
    name: 'The waist stands too high in front',
    pin: 'how much lower the centre front should be',
  },
  'seat-pulls': {
    name: 'Drag lines from the crotch up over the seat',
    pin: 'still missing along the back crotch seam',
  },
  'seat-bags': { name: 'Cloth bags under the seat', pin: 'folded out under the seat' },
  'back-waist-dips': { name: 'The waist dips at the back', pin: 'how much higher the centre back should be' },
  'thigh-tight': { name: 'Tight around the thigh', pin: 'still missing around one leg' },
  'thigh-loose': { name: 'Loose around the thigh', pin: 'pinned out around one leg' },
  'leg-short': { name: 'The leg ends too high', pin: 'how much is missing in length' },
  'leg-long': { name: 'The leg ends too low', pin: 'folded out across the leg' },
  'leg-twists': { name: 'The leg twists around', pin: 'how far the side seam lies off at the hem' },
  'sitting-waist-dips': {
    name: 'Sitting, the waist is pulled down at the back',
    pin: 'how much higher the centre back should be',
  },
  'sitting-crotch-cuts': { name: 'Sitting, the crotch cuts in', pin: 'how much lower it should be' },
  'sitting-front-folds': {
    name: 'Sitting, cloth stands up in front below the waist',
    pin: 'folded out along the front crotch seam',
  },
  'sitting-thigh-tight': { name: 'Sitting, it is tight over the thigh', pin: 'still missing around one leg' },
});

export const ZONE_WORDS: Readonly<Record<Zone, string>> = {
  neck: 'neck',
  shoulder: 'shoulder',
  upperBack: 'upper back',
  armhole: 'armhole',
  bust: 'bust',
  waist: 'waist',
  hip: 'hip',
  side: 'side seam',
  hem: 'hem',
  sleeve: 'sleeve',
  crotch: 'crotch and seat',
  leg: 'leg',
};
export const VIEW_WORDS: Readonly<Record<View, string>> = {
  front: 'Front',
  back: 'Back',
  side: 'Side',
  seated: 'Sitting',
};
export const SIDE_WORDS = { both: 'both sides', left: 'left side', right: 'right side' } as const;
export const RESULT_WORDS: Readonly<Record<FollowUp | 'new' | 'unsaid', string>> = {
  gone: 'gone',
  less: 'less',
  same: 'as before',
  more: 'more',
  new: 'new',
  unsaid: 'not looked at',
};
export const VERDICT_WORDS = {
  open: 'Not decided yet',
  alter: 'To be altered',
  good: 'Right: cut the good cloth',
} as const;
export const FITTING_WORDS = inWords({
  form: 'On the form',
  tissue: 'Tissue-fit',
  toile: 'Toile',
  garment: 'The garment itself',
} as const);

/** The tissue-fit, look by look: how to hold the paper, what lines up, and what to mark where it does not. */
export const TISSUE_WORDS: Readonly<
  Record<TissueCheckId, { readonly name: string; readonly hold: string; readonly look: string; readonly mark: string }>
> = inWords({
  anchor: {
    name: 'Anchor the paper',
    hold: 'Allowances pinned out of the way, darts pinned shut, side and shoulder pinned. Put the half on and fasten centre front and centre back to a close top with a pin each, or with tape.',
    look: 'Centre front and centre back lie on the middle of the body, from neck to waist, without being pulled there.',
    mark: 'Do not force it: measure how far the centre line stays away from the middle, or passes it.',
  },
  shoulderSeam: {
    name: 'Shoulder seam',
    hold: 'Stand easily, arms down. Smooth the shoulder with one finger from the neck outward.',
    look: 'The seam lies along the top of the shoulder and ends at the bone.',
    mark: 'Mark on the paper where the bone is, and where the top of the shoulder lies.',
  },
  backNeck: {
    name: 'Back neck',
    hold: 'Use a second mirror, or take a picture over the shoulder.',
    look: 'The neckline meets the nape and lies flat; nothing bubbles below it.',
    mark: 'Fold what is too much straight across and pin it, or mark how far the nape lies above the paper.',
  },
  backWidth: {
    name: 'Across the back',
    hold: 'Cross the arms in front once, then let them hang.',
    look: 'The armhole line runs up where arm and back meet; the paper neither strains nor folds.',
    mark: 'Mark the crease of the arm on the paper, or pin the fold out.',
  },
  backWaist: {
    name: 'Back waist',
    hold: 'Tie a tape around the waist over the paper.',
    look: 'The waistline of the paper lies on the tape at the centre back and at the side.',
    mark: 'Pin a fold across where cloth would pool: all of it at the centre, to nothing at the side if the side is right.',
  },
  frontNeck: {
    name: 'Front neck',
    hold: 'Turn to the mirror again; check that the centre front has stayed.',
    look: 'The neckline lies flat and clears the throat.',
    mark: 'Pin out what gapes; mark where it is tight.',
  },
  underArm: {
    name: 'Under the arm',
    hold: 'Lift the arm a little and hold the side together under it with two fingers.',
    look: 'The underarm sits a little below the armpit; the armhole neither gapes nor cuts in.',
    mark: 'Pin out what gapes towards the bust; mark where the armhole should be lower.',
  },
  bustLevel: {
    name: 'Bust level',
    hold: 'Stand as always, in the bra the garment is for.',
    look: 'The bust line of the paper is level with the bust point.',
    mark: 'Put a cross on the paper where the bust point is.',
  },
  bustWidth: {
    name: 'Across the bust',
    hold: 'Keep hold of the side under the arm; do not pull the paper round.',
    look: 'The paper reaches the side seam without strain and does not stand away.',
    mark: 'Measure what is missing at the centre front or the side, and count it for both halves together; or pin out what is too much.',
  },
  dartAim: {
    name: 'Darts',
    hold: 'Follow each dart with a finger to its end.',
    look: 'Each dart aims at the bust point and ends before it.',
    mark: 'Draw the line from the dart to the cross, and mark where it should end.',
  },
  waist: {
    name: 'Waist',
    hold: 'Leave the tape around the waist. Stand, then sit down once, slowly; the paper is stiff.',
    look: 'The waistline lies on the tape all round, with room for a breath.',
    mark: 'Mark the tape on the paper where it lies elsewhere; measure what is missing or too much.',
  },
  waistAnchor: {
    name: 'Anchor the paper at the waist',
    hold: 'Tie a tape around the waist. Darts pinned shut, the side pinned, on trousers the inseam as well; put the half on and pin its waistline to the tape at front, side and back.',
    look: 'The centre lines lie on the middle of the body, and the waistline on the tape, without being pulled there.',
    mark: 'Mark the tape on the paper where it lies elsewhere; measure what is missing or too much.',
  },
  crotchDepth: {
    name: 'Crotch depth',
    hold: 'Hold the paper up to the body between the legs. Then sit on a hard seat, slowly; the paper is stiff.',
    look: 'The crotch seam clears the body by a finger, standing and sitting.',
    mark: 'Measure how much lower it should be, or fold what is too much straight across between waist and hip.',
  },
  crotchFront: {
    name: 'Front crotch seam',
    hold: 'Smooth the front from the side to the middle with a flat hand.',
    look: 'The crotch seam runs along the middle of the body to the waist; nothing pulls or folds.',
    mark: 'Measure what is missing at the waist, or fold what is too much across to nothing at the side.',
  },
  seat: {
    name: 'Seat',
    hold: 'Turn sideways and look over the shoulder, or take a picture. Bend forward a little.',
    look: 'The back lies over the seat and falls from there; the waist stays on the tape.',
    mark: 'Measure how far the waist is pulled down, or fold what bags across to nothing at the side.',
  },
  thigh: {
    name: 'Thigh',
    hold: 'Stand with the feet a hand’s breadth apart.',
    look: 'The paper goes around the thigh and a finger can be pushed between.',
    mark: 'Measure what is missing between the edges of the inseam, or pin out what is too much.',
  },
  legLength: {
    name: 'Leg length',
    hold: 'Put on the shoes meant for it. Let the leg hang; do not look down.',
    look: 'The knee line lies at the knee, and the hem where it is wanted.',
    mark: 'Mark knee and hem on the paper where they should be.',
  },
  hip: {
    name: 'Hip',
    hold: 'With a skirt or trousers: pin front and back together down the side.',
    look: 'The paper goes around the fullest part with a little to spare.',
    mark: 'Measure what is missing around the hip, or pin out what is too much at the side.',
  },
  sideSeam: {
    name: 'Side seam',
    hold: 'Stand sideways to the mirror, arms a little forward.',
    look: 'The side seam hangs straight down, and the lower edge is level.',
    mark: 'Mark where it swings to, and how much the edge rises.',
  },
});
