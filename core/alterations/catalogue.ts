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
];

export const alterationById = (id: string): AlterationDefinition | undefined => CATALOGUE.find((d) => d.id === id);
