/** The words of every alteration, joined. One line for each words file; the codes of all sentences are read off it. */
import { words as backBackWidth } from './back/backWidth/words.en.ts';
import { words as backFlatUpperBack } from './back/flatUpperBack/words.en.ts';
import { words as backRoundBack } from './back/roundBack/words.en.ts';
import { words as backSwaybackFold } from './back/swaybackFold/words.en.ts';
import { words as backSwaybackLower } from './back/swaybackLower/words.en.ts';
import { words as backSwaybackWaistSeam } from './back/swaybackWaistSeam/words.en.ts';
import { words as backYokeRoundBack } from './back/yokeRoundBack/words.en.ts';
import { words as bustArmholeDart } from './bust/armholeDart/words.en.ts';
import { words as bustCutOnSleeve } from './bust/cutOnSleeve/words.en.ts';
import { words as bustFrenchDart } from './bust/frenchDart/words.en.ts';
import { words as bustNeckDart } from './bust/neckDart/words.en.ts';
import { words as bustNoDart } from './bust/noDart/words.en.ts';
import { words as bustPrincessArmhole } from './bust/princessArmhole/words.en.ts';
import { words as bustPrincessSeam } from './bust/princessSeam/words.en.ts';
import { words as bustPrincessShoulder } from './bust/princessShoulder/words.en.ts';
import { words as bustRaglan } from './bust/raglan/words.en.ts';
import { words as bustShoulderDart } from './bust/shoulderDart/words.en.ts';
import { words as bustSideDart } from './bust/sideDart/words.en.ts';
import { words as bustWaistDart } from './bust/waistDart/words.en.ts';
import { words as dartBustPoint } from './dart/bustPoint/words.en.ts';
import { words as dartCutAway } from './dart/cutAway/words.en.ts';
import { words as dartEase } from './dart/ease/words.en.ts';
import { words as dartDoubleDart } from './dart/doubleDart/words.en.ts';
import { words as dartPrincessApex } from './dart/princessApex/words.en.ts';
import { words as dartPrincessLine } from './dart/princessLine/words.en.ts';
import { words as dartRaise } from './dart/raise/words.en.ts';
import { words as dartRotate } from './dart/rotate/words.en.ts';
import { words as dartSetback } from './dart/setback/words.en.ts';
import { words as dartSplit } from './dart/split/words.en.ts';
import { words as dartWaistWidth } from './dart/waistWidth/words.en.ts';
import { words as followBand } from './follow/band/words.en.ts';
import { words as followCollar } from './follow/collar/words.en.ts';
import { words as followWaistband } from './follow/waistband/words.en.ts';
import { words as followCap } from './follow/cap/words.en.ts';
import { words as followFacing } from './follow/facing/words.en.ts';
import { words as followPocket } from './follow/pocket/words.en.ts';
import { words as followSkirt } from './follow/skirt/words.en.ts';
import { words as kit } from './kit/words.en.ts';
import { words as kitBust } from './kit/bust/words.en.ts';
import { words as kitDart } from './kit/dart/words.en.ts';
import { words as lengthAnywhere } from './length/anywhere/words.en.ts';
import { words as lengthAtLine } from './length/atLine/words.en.ts';
import { words as lengthHipDepth } from './length/hipDepth/words.en.ts';
import { words as neckArmholeDepth } from './neck/armholeDepth/words.en.ts';
import { words as neckBandHeight } from './neck/bandHeight/words.en.ts';
import { words as neckCollarHeight } from './neck/collarHeight/words.en.ts';
import { words as neckFacingWidth } from './neck/facingWidth/words.en.ts';
import { words as neckGapeDart } from './neck/gapeDart/words.en.ts';
import { words as neckGapeSeam } from './neck/gapeSeam/words.en.ts';
import { words as neckNeckline } from './neck/neckline/words.en.ts';
import { words as shoulder } from './shoulder/words.en.ts';
import { words as shoulderForward } from './shoulder/forward/words.en.ts';
import { words as shoulderRedraw } from './shoulder/redraw/words.en.ts';
import { words as shoulderSlash } from './shoulder/slash/words.en.ts';
import { words as shoulderSlide } from './shoulder/slide/words.en.ts';
import { words as shoulderSlope } from './shoulder/slope/words.en.ts';
import { words as sleeveCuff } from './sleeve/cuff/words.en.ts';
import { words as sleeveFullness } from './sleeve/fullness/words.en.ts';
import { words as sleeveLength } from './sleeve/length/words.en.ts';
import { words as sleeveUpperArm } from './sleeve/upperArm/words.en.ts';
import { words as sleeveWrist } from './sleeve/wrist/words.en.ts';
import { words as trouserCrotchDepth } from './trouser/crotchDepth/words.en.ts';
import { words as trouserHipDepth } from './trouser/hipDepth/words.en.ts';
import { words as trouserHip } from './trouser/hip/words.en.ts';
import { words as trouserWaist } from './trouser/waist/words.en.ts';
import { words as trouserThigh } from './trouser/thigh/words.en.ts';
import { words as trouserCrotchLength } from './trouser/crotchLength/words.en.ts';
import { words as trouserFullSeat } from './trouser/fullSeat/words.en.ts';
import { words as trouserFrontDip } from './trouser/frontDip/words.en.ts';
import { words as trouserLegLength } from './trouser/legLength/words.en.ts';
import { words as widthBetweenSizes } from './width/betweenSizes/words.en.ts';
import { words as widthFitAllowance } from './width/fitAllowance/words.en.ts';
import { words as widthFrontWidth } from './width/frontWidth/words.en.ts';
import { words as widthFullSeat } from './width/fullSeat/words.en.ts';
import { words as widthGradeByChart } from './width/gradeByChart/words.en.ts';
import { words as widthHemSweep } from './width/hemSweep/words.en.ts';
import { words as widthHipCurve } from './width/hipCurve/words.en.ts';
import { words as widthHipSlash } from './width/hipSlash/words.en.ts';
import { words as widthSideAdd } from './width/sideAdd/words.en.ts';

export const NAMES = {
  ...backBackWidth.names,
  ...backFlatUpperBack.names,
  ...backRoundBack.names,
  ...backSwaybackFold.names,
  ...backSwaybackLower.names,
  ...backSwaybackWaistSeam.names,
  ...backYokeRoundBack.names,
  ...bustArmholeDart.names,
  ...bustCutOnSleeve.names,
  ...bustFrenchDart.names,
  ...bustNeckDart.names,
  ...bustNoDart.names,
  ...bustPrincessArmhole.names,
  ...bustPrincessShoulder.names,
  ...bustPrincessSeam.names,
  ...bustRaglan.names,
  ...bustShoulderDart.names,
  ...bustSideDart.names,
  ...bustWaistDart.names,
  ...dartBustPoint.names,
  ...dartCutAway.names,
  ...dartDoubleDart.names,
  ...dartEase.names,
  ...dartPrincessApex.names,
  ...dartPrincessLine.names,
  ...dartRaise.names,
  ...dartRotate.names,
  ...dartSetback.names,
  ...dartSplit.names,
  ...dartWaistWidth.names,
  ...followBand.names,
  ...followCollar.names,
  ...followWaistband.names,
  ...followCap.names,
  ...followFacing.names,
  ...followPocket.names,
  ...followSkirt.names,
  ...lengthAnywhere.names,
  ...lengthAtLine.names,
  ...lengthHipDepth.names,
  ...neckArmholeDepth.names,
  ...neckBandHeight.names,
  ...neckCollarHeight.names,
  ...neckFacingWidth.names,
  ...neckGapeDart.names,
  ...neckGapeSeam.names,
  ...neckNeckline.names,
  ...shoulderForward.names,
  ...shoulderRedraw.names,
  ...shoulderSlash.names,
  ...shoulderSlide.names,
  ...shoulderSlope.names,
  ...sleeveCuff.names,
  ...sleeveFullness.names,
  ...sleeveLength.names,
  ...sleeveUpperArm.names,
  ...sleeveWrist.names,
  ...trouserCrotchDepth.names,
  ...trouserHipDepth.names,
  ...trouserHip.names,
  ...trouserWaist.names,
  ...trouserThigh.names,
  ...trouserCrotchLength.names,
  ...trouserFullSeat.names,
  ...trouserFrontDip.names,
  ...trouserLegLength.names,
  ...widthBetweenSizes.names,
  ...widthFitAllowance.names,
  ...widthFrontWidth.names,
  ...widthFullSeat.names,
  ...widthGradeByChart.names,
  ...widthHemSweep.names,
  ...widthHipCurve.names,
  ...widthHipSlash.names,
  ...widthSideAdd.names,
};

export const WHY = {
  ...backBackWidth.why,
  ...backFlatUpperBack.why,
  ...backRoundBack.why,
  ...backSwaybackFold.why,
  ...backSwaybackLower.why,
  ...backSwaybackWaistSeam.why,
  ...backYokeRoundBack.why,
  ...bustArmholeDart.why,
  ...bustCutOnSleeve.why,
  ...bustFrenchDart.why,
  ...bustNeckDart.why,
  ...bustNoDart.why,
  ...bustPrincessArmhole.why,
  ...bustPrincessShoulder.why,
  ...bustPrincessSeam.why,
  ...bustRaglan.why,
  ...bustShoulderDart.why,
  ...bustSideDart.why,
  ...bustWaistDart.why,
  ...dartBustPoint.why,
  ...dartPrincessApex.why,
  ...dartPrincessLine.why,
  ...followBand.why,
  ...followCollar.why,
  ...followWaistband.why,
  ...followCap.why,
  ...followFacing.why,
  ...followPocket.why,
  ...followSkirt.why,
  ...dartDoubleDart.why,
  ...kitDart.why,
  ...lengthAnywhere.why,
  ...lengthAtLine.why,
  ...lengthHipDepth.why,
  ...neckArmholeDepth.why,
  ...neckBandHeight.why,
  ...neckCollarHeight.why,
  ...neckFacingWidth.why,
  ...neckGapeDart.why,
  ...neckGapeSeam.why,
  ...neckNeckline.why,
  ...shoulderForward.why,
  ...shoulderRedraw.why,
  ...shoulderSlash.why,
  ...shoulderSlide.why,
  ...shoulderSlope.why,
  ...sleeveCuff.why,
  ...sleeveFullness.why,
  ...sleeveLength.why,
  ...sleeveUpperArm.why,
  ...sleeveWrist.why,
  ...trouserCrotchDepth.why,
  ...trouserHipDepth.why,
  ...trouserHip.why,
  ...trouserWaist.why,
  ...trouserThigh.why,
  ...trouserCrotchLength.why,
  ...trouserFullSeat.why,
  ...trouserFrontDip.why,
  ...trouserLegLength.why,
  ...widthBetweenSizes.why,
  ...widthFitAllowance.why,
  ...widthFrontWidth.why,
  ...widthFullSeat.why,
  ...widthGradeByChart.why,
  ...widthHemSweep.why,
  ...widthHipCurve.why,
  ...widthHipSlash.why,
  ...widthSideAdd.why,
};

export const STEPS = {
  ...bustPrincessSeam.steps,
  ...backFlatUpperBack.steps,
  ...backRoundBack.steps,
  ...backSwaybackFold.steps,
  ...backSwaybackLower.steps,
  ...backSwaybackWaistSeam.steps,
  ...backYokeRoundBack.steps,
  ...dartBustPoint.steps,
  ...dartCutAway.steps,
  ...dartDoubleDart.steps,
  ...dartEase.steps,
  ...dartPrincessApex.steps,
  ...dartPrincessLine.steps,
  ...dartRaise.steps,
  ...dartRotate.steps,
  ...dartSetback.steps,
  ...dartSplit.steps,
  ...dartWaistWidth.steps,
  ...followBand.steps,
  ...followCollar.steps,
  ...followWaistband.steps,
  ...followCap.steps,
  ...followFacing.steps,
  ...followPocket.steps,
  ...followSkirt.steps,
  ...kit.steps,
  ...kitBust.steps,
  ...kitDart.steps,
  ...lengthAtLine.steps,
  ...lengthHipDepth.steps,
  ...neckArmholeDepth.steps,
  ...neckBandHeight.steps,
  ...neckCollarHeight.steps,
  ...neckFacingWidth.steps,
  ...neckGapeDart.steps,
  ...neckGapeSeam.steps,
  ...neckNeckline.steps,
  ...shoulder.steps,
  ...shoulderForward.steps,
  ...shoulderSlope.steps,
  ...sleeveCuff.steps,
  ...sleeveFullness.steps,
  ...sleeveLength.steps,
  ...sleeveUpperArm.steps,
  ...sleeveWrist.steps,
  ...trouserCrotchDepth.steps,
  ...trouserHipDepth.steps,
  ...trouserHip.steps,
  ...trouserWaist.steps,
  ...trouserThigh.steps,
  ...trouserCrotchLength.steps,
  ...trouserFullSeat.steps,
  ...trouserFrontDip.steps,
  ...trouserLegLength.steps,
  ...widthBetweenSizes.steps,
  ...widthFitAllowance.steps,
  ...widthFullSeat.steps,
  ...widthGradeByChart.steps,
  ...widthHemSweep.steps,
  ...widthHipCurve.steps,
  ...widthHipSlash.steps,
  ...widthSideAdd.steps,
};

export type StepCode = keyof typeof STEPS;
export type WhyCode = keyof typeof WHY;
export type AlterationId = keyof typeof NAMES;
