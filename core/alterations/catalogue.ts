import type { AlterationDefinition } from './contract.ts';
import { fullBustArmholeDart } from './fullBustArmholeDart/definition.ts';
import { fullBustCutOnSleeve } from './fullBustCutOnSleeve/definition.ts';
import { fullBustFrenchDart } from './fullBustFrenchDart/definition.ts';
import { fullBustNeckDart } from './fullBustNeckDart/definition.ts';
import { fullBustNoDart } from './fullBustNoDart/definition.ts';
import { fullBustPrincessArmhole } from './fullBustPrincessArmhole/definition.ts';
import { fullBustPrincessShoulder } from './fullBustPrincessShoulder/definition.ts';
import { fullBustRaglan } from './fullBustRaglan/definition.ts';
import { fullBustShoulderDart } from './fullBustShoulderDart/definition.ts';
import { fullBustSideDart } from './fullBustSideDart/definition.ts';
import { fullBustWaistDart } from './fullBustWaistDart/definition.ts';
import { bustPoint } from './bustPoint/definition.ts';
import { dartCutAway } from './dartCutAway/definition.ts';
import { dartEase } from './dartEase/definition.ts';
import { dartRaise } from './dartRaise/definition.ts';
import { dartRotate } from './dartRotate/definition.ts';
import { dartSetback } from './dartSetback/definition.ts';
import { dartSplit } from './dartSplit/definition.ts';
import { dartWaistWidth } from './dartWaistWidth/definition.ts';
import { princessApex } from './princessApex/definition.ts';
import { princessLine } from './princessLine/definition.ts';
import { forwardShoulder } from './forwardShoulder/definition.ts';
import { shoulderRedraw } from './shoulderRedraw/definition.ts';
import { shoulderSlash } from './shoulderSlash/definition.ts';
import { shoulderSlide } from './shoulderSlide/definition.ts';
import { shoulderSlope } from './shoulderSlope/definition.ts';
import { swaybackFold } from './swaybackFold/definition.ts';
import { swaybackWaistSeam } from './swaybackWaistSeam/definition.ts';
import { swaybackLower } from './swaybackLower/definition.ts';
import { roundBack } from './roundBack/definition.ts';
import { flatUpperBack } from './flatUpperBack/definition.ts';
import { backWidth } from './backWidth/definition.ts';
import { frontWidth } from './frontWidth/definition.ts';
import { fullSeat } from './fullSeat/definition.ts';
import { hipDepth } from './hipDepth/definition.ts';
import { lengthLine } from './lengthLine/definition.ts';
import { lengthAnywhere } from './lengthAnywhere/definition.ts';
import { gradeBetweenSizes } from './gradeBetweenSizes/definition.ts';
import { gradeByChart } from './gradeByChart/definition.ts';
import { sideAdd } from './sideAdd/definition.ts';
import { hipSlash } from './hipSlash/definition.ts';
import { hemSweep } from './hemSweep/definition.ts';
import { neckGapeDart } from './neckGapeDart/definition.ts';
import { neckGapeSeam } from './neckGapeSeam/definition.ts';
import { neckline } from './neckline/definition.ts';
import { armholeDepth } from './armholeDepth/definition.ts';
import { bandHeight } from './bandHeight/definition.ts';
import { fitAllowance } from './fitAllowance/definition.ts';
import { capFollows } from './capFollows/definition.ts';
import { skirtFollows } from './skirtFollows/definition.ts';
import { facingFollows } from './facingFollows/definition.ts';
import { pocketFollows } from './pocketFollows/definition.ts';
import { bandFollows } from './bandFollows/definition.ts';

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
  fullBustCutOnSleeve,
  bustPoint,
  dartRaise,
  dartSetback,
  dartRotate,
  dartSplit,
  dartCutAway,
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
  hemSweep,
  neckGapeDart,
  neckGapeSeam,
  neckline,
  armholeDepth,
  bandHeight,
  fitAllowance,
  capFollows,
  skirtFollows,
  facingFollows,
  bandFollows,
  pocketFollows,
];

export const alterationById = (id: string): AlterationDefinition | undefined => CATALOGUE.find((d) => d.id === id);
