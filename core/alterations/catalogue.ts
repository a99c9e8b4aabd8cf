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
];

export const alterationById = (id: string): AlterationDefinition | undefined => CATALOGUE.find((d) => d.id === id);
