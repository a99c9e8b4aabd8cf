import { counted, inWords } from '../speech/index.ts';
import type { HeightLies, MeasurementKey } from '../pattern/index.ts';

/** Whom a ready-made cup piece is for. */
export const CUP_PIECE_WORDS = (sizesUp: number): string =>
  sizesUp === 0
    ? 'for the bust of the size'
    : `for a bust ${counted(Math.abs(sizesUp), 'size')} ${sizesUp > 0 ? 'above' : 'below'}`;

/** Where a wearer is taller or shorter than the pattern. */
export const HEIGHT_LIES_WORDS: Readonly<Record<HeightLies, string>> = {
  allOver: 'all over',
  torso: 'in the torso',
  legs: 'in the legs',
};

/** Names and how-to, two sentences each. */
export const MEASUREMENT_WORDS: Readonly<Record<MeasurementKey, { readonly name: string; readonly how: string }>> =
  inWords({
    neck: { name: 'Neck', how: 'Around the base of the neck. The tape lies like a necklace, not tight.' },
    highBust: {
      name: 'High bust',
      how: 'Around the body high under the arms, above the bust; the tape may slope. Snug, and read after breathing out.',
    },
    fullBust: {
      name: 'Full bust',
      how: 'Around the fullest part, level all round. Two fingers fit under the tape; never tight.',
    },
    underbust: { name: 'Underbust', how: 'Around the ribs just under the bust. Level, breathing normally.' },
    waist: {
      name: 'Waist',
      how: 'Around the natural waist: bend sideways, the crease is the waist. Leave a tied tape there for the other measurements.',
    },
    highHip: { name: 'High hip', how: 'Around the body 7.5 cm (3 in) below the waist. Level.' },
    hip: { name: 'Hip', how: 'Around the fullest part. Note how far below the waist it lies.' },
    hipDepth: {
      name: 'Hip depth',
      how: 'From the waist tape down to the hip line at the side. Over the curve of the body.',
    },
    shoulder: {
      name: 'Shoulder',
      how: 'From the base of the neck to the shoulder bone. Lift the arm to find the bone.',
    },
    shoulderSlope: {
      name: 'Shoulder slope',
      how: 'How far the shoulder bone lies below the base of the neck. Hold a ruler level at the neck.',
    },
    crossBack: {
      name: 'Cross back',
      how: 'From arm crease to arm crease across the back, half-way down the armhole. Arms down, shoulders easy.',
    },
    crossFront: {
      name: 'Cross front',
      how: 'From arm crease to arm crease across the front, half-way down the armhole. Arms down.',
    },
    napeToWaist: {
      name: 'Nape to waist',
      how: 'From the bone at the nape down the centre back to the waist tape. Stand as you always stand.',
    },
    napeToBustPoint: {
      name: 'Nape to bust point',
      how: 'From the nape around the side of the neck down to the bust point. In the underwear meant for the garment.',
    },
    napeToFrontWaist: {
      name: 'Nape to front waist',
      how: 'The same way over the bust point and on to the waist tape. Straight down below the bust.',
    },
    frontWaistLength: {
      name: 'Front waist length',
      how: 'From the pit of the neck down the centre front to the waist tape. Let the tape bridge the bust.',
    },
    neckPointToBustPoint: {
      name: 'Bust height',
      how: 'From the side of the neck base down to the bust point. In the underwear meant for the garment.',
    },
    bustPointToWaist: {
      name: 'Bust point to waist',
      how: 'From the bust point straight down to the waist tape. Follow the body.',
    },
    bustSpan: {
      name: 'Bust span',
      how: 'From bust point to bust point, straight across. The tape does not dip between.',
    },
    napeToUnderarm: {
      name: 'Nape to underarm',
      how: 'From the nape down to the level of the underarm. A ruler held under the arm shows the level.',
    },
    sideWaist: {
      name: 'Side waist',
      how: 'From the underarm down the side to the waist tape. A pencil under the arm marks the start.',
    },
    armhole: { name: 'Armhole', how: 'Around the arm joint, over the shoulder bone and under the arm. Not tight.' },
    upperArm: { name: 'Upper arm', how: 'Around the fullest part of the arm. Bend it slightly.' },
    wrist: { name: 'Wrist', how: 'Around the wrist bone. Loose enough to turn.' },
    shoulderToElbow: { name: 'Shoulder to elbow', how: 'From the shoulder bone to the elbow. Arm slightly bent.' },
    shoulderToWrist: {
      name: 'Shoulder to wrist',
      how: 'From the shoulder bone over the elbow to the wrist bone. Arm slightly bent.',
    },
    crotchDepth: {
      name: 'Crotch depth',
      how: 'Sit on a hard seat and measure from the waist down to the seat at the side. Sit straight.',
    },
    crotchLength: { name: 'Crotch length', how: 'From the front waist between the legs to the back waist. Not tight.' },
    thigh: { name: 'Thigh', how: 'Around the fullest part of one leg. Level.' },
    knee: { name: 'Knee', how: 'Around the knee. Slightly bent.' },
    waistToKnee: {
      name: 'Waist to knee',
      how: 'From the waist tape down the side over the hip to the middle of the knee. Stand straight.',
    },
    outsideLeg: {
      name: 'Outside leg',
      how: 'From the waist tape down the side over the hip to the ankle bone. Without shoes, legs together.',
    },
    skirtLength: { name: 'Skirt length', how: 'From the waist tape to the hem wanted. In the shoes meant for it.' },
    height: { name: 'Height', how: 'Without shoes, against a wall. A book on the head marks it.' },
  });
