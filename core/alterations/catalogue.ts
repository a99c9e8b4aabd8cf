import type { AlterationDefinition } from './contract.ts';
import { fullBustArmholeDart } from './bust/armholeDart/definition.ts';
import { fullBustCutOnSleeve } from './bust/cutOnSleeve/definition.ts';
import { fullBustFrenchDart } from './bust/frenchDart/definition.ts';
import { fullBustNeckDart } from './bust/neckDart/definition.ts';
import { fullBustNoDart } from './bust/noDart/definition.ts';
import { fullBustPrincessArmhole } from './bust/princessArmhole/definition.ts';
import { fullBustPrincessSeam } from './bust/princessSeam/definition.ts';
import { fullBustPrincessShoulder } from './bust/princessShoulder/definition.ts';
import { fullBustRaglan } from './bust/raglan/definition.ts';
import { fullBustShoulderDart } from './bust/shoulderDart/definition.ts';
import { fullBustSideDart } from './bust/sideDart/definition.ts';
import { fullBustWaistDart } from './bust/waistDart/definition.ts';
import { bustPoint } from './dart/bustPoint/definition.ts';
import { doubleDart } from './dart/doubleDart/definition.ts';
import { dartCutAway } from './dart/cutAway/definition.ts';
import { dartEase } from './dart/ease/definition.ts';
import { dartRaise } from './dart/raise/definition.ts';
import { dartRotate } from './dart/rotate/definition.ts';
import { dartSetback } from './dart/setback/definition.ts';
import { dartSplit } from './dart/split/definition.ts';
import { dartWaistWidth } from './dart/waistWidth/definition.ts';
import { princessApex } from './dart/princessApex/definition.ts';
import { princessLine } from './dart/princessLine/definition.ts';
import { forwardShoulder } from './shoulder/forward/definition.ts';
import { shoulderRedraw } from './shoulder/redraw/definition.ts';
import { shoulderSlash } from './shoulder/slash/definition.ts';
import { shoulderSlide } from './shoulder/slide/definition.ts';
import { shoulderSlope } from './shoulder/slope/definition.ts';
import { swaybackFold } from './back/swaybackFold/definition.ts';
import { swaybackWaistSeam } from './back/swaybackWaistSeam/definition.ts';
import { swaybackLower } from './back/swaybackLower/definition.ts';
import { roundBack } from './back/roundBack/definition.ts';
import { flatUpperBack } from './back/flatUpperBack/definition.ts';
import { yokeRoundBack } from './back/yokeRoundBack/definition.ts';
import { backWidth } from './back/backWidth/definition.ts';
import { frontWidth } from './width/frontWidth/definition.ts';
import { fullSeat } from './width/fullSeat/definition.ts';
import { hipDepth } from './length/hipDepth/definition.ts';
import { lengthLine } from './length/atLine/definition.ts';
import { lengthAnywhere } from './length/anywhere/definition.ts';
import { gradeBetweenSizes } from './width/betweenSizes/definition.ts';
import { gradeByChart } from './width/gradeByChart/definition.ts';
import { sideAdd } from './width/sideAdd/definition.ts';
import { hipCurve } from './width/hipCurve/definition.ts';
import { hipSlash } from './width/hipSlash/definition.ts';
import { hemSweep } from './width/hemSweep/definition.ts';
import { neckGapeDart } from './neck/gapeDart/definition.ts';
import { neckGapeSeam } from './neck/gapeSeam/definition.ts';
import { neckline } from './neck/neckline/definition.ts';
import { armholeDepth } from './neck/armholeDepth/definition.ts';
import { facingWidth } from './neck/facingWidth/definition.ts';
import { bandHeight } from './neck/bandHeight/definition.ts';
import { collarHeight } from './neck/collarHeight/definition.ts';
import { fitAllowance } from './width/fitAllowance/definition.ts';
import { cuffWidth } from './sleeve/cuff/definition.ts';
import { sleeveFullness } from './sleeve/fullness/definition.ts';
import { sleeveLength } from './sleeve/length/definition.ts';
import { upperArm } from './sleeve/upperArm/definition.ts';
import { wristWidth } from './sleeve/wrist/definition.ts';
import { crotchDepth } from './trouser/crotchDepth/definition.ts';
import { trouserHipDepth } from './trouser/hipDepth/definition.ts';
import { trouserHip } from './trouser/hip/definition.ts';
import { trouserWaist } from './trouser/waist/definition.ts';
import { thigh } from './trouser/thigh/definition.ts';
import { crotchLength } from './trouser/crotchLength/definition.ts';
import { fullSeatTrousers } from './trouser/fullSeat/definition.ts';
import { frontDip } from './trouser/frontDip/definition.ts';
import { legLength } from './trouser/legLength/definition.ts';
import { capFollows } from './follow/cap/definition.ts';
import { skirtFollows } from './follow/skirt/definition.ts';
import { facingFollows } from './follow/facing/definition.ts';
import { waistbandFollows } from './follow/waistband/definition.ts';
import { pocketFollows } from './follow/pocket/definition.ts';
import { collarFollows } from './follow/collar/definition.ts';
import { bandFollows } from './follow/band/definition.ts';

/** Every alteration the app knows. One line each. */
export const CATALOGUE: readonly AlterationDefinition[] = [
  fullBustSideDart,
  fullBustNoDart,
  fullBustWaistDart,
  fullBustFrenchDart,
  fullBustShoulderDart,
  fullBustNeckDart,
  fullBustArmholeDart,
  fullBustRaglan,
  fullBustPrincessArmhole,
  fullBustPrincessShoulder,
  fullBustPrincessSeam,
  fullBustCutOnSleeve,
  bustPoint,
  dartRaise,
  dartSetback,
  dartRotate,
  dartSplit,
  dartCutAway,
  doubleDart,
  dartEase,
  dartWaistWidth,
  princessApex,
  princessLine,
  shoulderSlash,
  shoulderSlide,
  shoulderRedraw,
  shoulderSlope,
  forwardShoulder,
  swaybackFold,
  swaybackWaistSeam,
  swaybackLower,
  roundBack,
  flatUpperBack,
  yokeRoundBack,
  backWidth,
  frontWidth,
  fullSeat,
  lengthLine,
  lengthAnywhere,
  hipDepth,
  gradeBetweenSizes,
  gradeByChart,
  sideAdd,
  hipSlash,
  hipCurve,
  hemSweep,
  neckGapeDart,
  neckGapeSeam,
  neckline,
  armholeDepth,
  bandHeight,
  collarHeight,
  facingWidth,
  fitAllowance,
  // A cap that becomes lower makes the sleeve shorter: its length is worked out after the upper arm.
  upperArm,
  sleeveLength,
  wristWidth,
  cuffWidth,
  sleeveFullness,
  // In the order of work: each changes what the next measures.
  crotchDepth,
  trouserHipDepth,
  trouserHip,
  trouserWaist,
  thigh,
  crotchLength,
  fullSeatTrousers,
  frontDip,
  legLength,
  capFollows,
  skirtFollows,
  facingFollows,
  bandFollows,
  collarFollows,
  waistbandFollows,
  pocketFollows,
];

export const alterationById = (id: string): AlterationDefinition | undefined => CATALOGUE.find((d) => d.id === id);
