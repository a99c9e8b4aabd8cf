import type { AlterationDefinition } from './contract.ts';
import { fullBustSideDart } from './fullBustSideDart/definition.ts';

/** Every alteration the app knows. One line each. */
export const CATALOGUE: readonly AlterationDefinition[] = [fullBustSideDart];

export const alterationById = (id: string): AlterationDefinition | undefined => CATALOGUE.find((d) => d.id === id);
